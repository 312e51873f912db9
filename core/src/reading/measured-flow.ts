import type { Air } from '../air/air-at-site';
import { circleArea } from '../air/velocity-pressure';
import { frictionFactor } from '../duct/colebrook';
import type { Instrument } from '../journal/instrument';
import type { Reading } from '../journal/reading';
import { centreToMean, PROFILE_UNCERTAINTY } from './centre-to-mean';
import { meanOfRepeats } from './repeats';

/** Accuracy taken for a meter nobody described, as a share: an estimate. */
export const USUAL_ACCURACY = 0.03;

export type MeasuredFlow =
  /** m³/s with the half-width of its 95 % interval. */
  | { readonly kind: 'value'; readonly flow: number; readonly uncertainty: number }
  /** Over range: the flow is this or more. */
  | { readonly kind: 'at least'; readonly flow: number };

/**
 * Flow through the pipe a reading was taken in: velocity × TRUE inside area, a centre reading
 * brought to the mean by the turbulent profile. Scatter of the repeats, accuracy of the meter and
 * uncertainty of the profile are added at right angles.
 * @param roughness of the pipe at the meter, m
 * @example // 3583 fpm averaged across 4.75 in. → 441 CFM
 */
export function measuredFlow(
  reading: Pick<Reading, 'taken' | 'quantity' | 'spot' | 'diameter'>,
  instrument: Pick<Instrument, 'accuracy'> | undefined,
  air: Air,
  roughness: number,
): MeasuredFlow {
  const mean = meanOfRepeats(reading.taken);
  const accuracy = instrument?.accuracy ?? USUAL_ACCURACY;
  const { diameter } = reading;
  const isVelocity = reading.quantity === 'velocity';
  const isCentre = isVelocity && reading.spot === 'centre';
  const reynolds = (air.density * mean.mean * diameter) / air.viscosity;
  const profile =
    isCentre && mean.mean > 0 ? centreToMean(frictionFactor(reynolds, roughness / diameter)) : 1;
  const toFlow = isVelocity ? circleArea(diameter) * profile : 1;
  const flow = mean.mean * toFlow;
  if (mean.kind === 'at least') return { kind: 'at least', flow };
  const uncertainties = [
    mean.spread * toFlow,
    accuracy * flow,
    isCentre ? PROFILE_UNCERTAINTY * flow : 0,
  ];
  return { kind: 'value', flow, uncertainty: Math.hypot(...uncertainties) };
}
