import { isOfFlow } from '../journal/reading';
import { type Circumstances, correctReading, pointsOf } from './corrections';

type ReadingFields = Parameters<typeof correctReading>[0];

/** Where the search begins, SI: what a meter usually shows in a duct. */
const USUAL = { velocity: 20, flow: 0.2, 'velocity pressure': 240 } as const;
const ROUNDS = 4;

/**
 * What a meter would show of a flow, the corrections of a reading taken backward; null where it shows no flow.
 * Good to a thousandth: the profile and a calibration table bend a little with what is shown.
 * @param flow m³/s, above 0
 * @returns SI, of what the meter shows
 * @example // 441 CFM averaged across a true 4.75 in.: 3583 fpm
 */
export function shownFor(flow: number, reading: ReadingFields, by: Circumstances): number | null {
  const { quantity } = reading;
  if (!isOfFlow(quantity) || !(flow > 0)) return null;
  // A velocity pressure goes with the square of the flow.
  const power = quantity === 'velocity pressure' ? 2 : 1;
  let shown: number = USUAL[quantity as keyof typeof USUAL];
  for (let round = 0; round < ROUNDS; round++) {
    const value = shown;
    const taken = Array.from({ length: pointsOf(reading) }, () => ({
      kind: 'value' as const,
      value,
    }));
    const { mean } = correctReading({ ...reading, taken }, by);
    if (mean.kind !== 'value' || !(mean.mean > 0)) return null;
    shown *= (flow / mean.mean) ** power;
  }
  return shown;
}
