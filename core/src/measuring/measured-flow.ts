import { type Circumstances, type CorrectedReading, correctReading } from './corrections';

export type MeasuredFlow =
  /** m³/s with the half-width of its 95 % interval. */
  | { readonly kind: 'value'; readonly flow: number; readonly uncertainty: number }
  /** Over range: the flow is this or more. */
  | { readonly kind: 'at least'; readonly flow: number }
  /** Under range: the flow is this or less. */
  | { readonly kind: 'at most'; readonly flow: number }
  /** It says nothing of how much air flows: it is relative, of something else, or beyond both ends of the range. */
  | { readonly kind: 'no flow'; readonly why: 'relative' | 'other quantity' | 'bounds' };

/** What a reading measured, with the half-width of its 95 % interval, 0 for a bound. SI of what it is. */
export interface MeasuredValue {
  readonly kind: 'value' | 'at least' | 'at most';
  readonly value: number;
  readonly uncertainty: number;
}

type ReadingFields = Parameters<typeof correctReading>[0];

/**
 * Flow through the pipe a reading was taken in: velocity × TRUE inside area after every correction. Scatter of
 * the repeats, accuracy of the meter and uncertainty of each step are added at right angles.
 * @example // 3583 fpm averaged across 4.75 in. → 441 CFM
 */
export function measuredFlow(reading: ReadingFields, by: Circumstances): MeasuredFlow {
  if (reading.method === 'relative') return { kind: 'no flow', why: 'relative' };
  const corrected = correctReading(reading, by);
  if (corrected.quantity !== 'flow') return { kind: 'no flow', why: 'other quantity' };
  const measured = valueIn(corrected);
  if (!measured) return { kind: 'no flow', why: 'bounds' };
  const { kind, value: flow, uncertainty } = measured;
  return kind === 'value' ? { kind, flow, uncertainty } : { kind, flow };
}

/**
 * What a reading measured after every correction: the flow, a static pressure in Pa, a current in A. Null where it
 * is relative or beyond both ends of the range.
 */
export function measuredValue(reading: ReadingFields, by: Circumstances): MeasuredValue | null {
  return reading.method === 'relative' ? null : valueIn(correctReading(reading, by));
}

function valueIn({ mean, systematic }: CorrectedReading): MeasuredValue | null {
  if (mean.kind === 'nothing') return null;
  const { kind, mean: value } = mean;
  if (kind !== 'value') return { kind, value, uncertainty: 0 };
  return { kind, value, uncertainty: Math.hypot(mean.spread, systematic * value) };
}
