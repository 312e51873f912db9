import type { Reading } from '../journal/reading';
import { type Circumstances, correctReading } from './corrections';

export type MeasuredFlow =
  /** m³/s with the half-width of its 95 % interval. */
  | { readonly kind: 'value'; readonly flow: number; readonly uncertainty: number }
  /** Over range: the flow is this or more. */
  | { readonly kind: 'at least'; readonly flow: number }
  /** Under range: the flow is this or less. */
  | { readonly kind: 'at most'; readonly flow: number }
  /** It says nothing of how much air flows: it is relative, of something else, or beyond both ends of the range. */
  | { readonly kind: 'no flow'; readonly why: 'relative' | 'other quantity' | 'bounds' };

/**
 * Flow through the pipe a reading was taken in: velocity × TRUE inside area after every correction. Scatter of
 * the repeats, accuracy of the meter and uncertainty of each step are added at right angles.
 * @example // 3583 fpm averaged across 4.75 in. → 441 CFM
 */
export function measuredFlow(
  reading: Parameters<typeof correctReading>[0] & Pick<Reading, 'method'>,
  by: Circumstances,
): MeasuredFlow {
  if (reading.method === 'relative') return { kind: 'no flow', why: 'relative' };
  const { quantity, mean, systematic } = correctReading(reading, by);
  if (quantity !== 'flow') return { kind: 'no flow', why: 'other quantity' };
  switch (mean.kind) {
    case 'nothing':
      return { kind: 'no flow', why: 'bounds' };
    case 'value': {
      const flow = mean.mean;
      return { kind: 'value', flow, uncertainty: Math.hypot(mean.spread, systematic * flow) };
    }
    default:
      return { kind: mean.kind, flow: mean.mean };
  }
}
