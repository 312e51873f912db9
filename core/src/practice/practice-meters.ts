import type { Instrument } from '../journal/instrument';
import { recordWith } from '../journal/journal';
import type { UnitSystem } from '../quantity/unit-system';
import { toSI } from '../quantity/units';

/** Ids of the two meters that everyone who practices has. */
export const VANE = 'vane';
export const GAUGE = 'gauge';

/** A vane meter and a manometer, as the notebook describes them. Invented; ranges and accuracies are common practice, no source. */
export function practiceMeters(system: UnitSystem): readonly [Instrument, Instrument] {
  const isUs = system === 'us';
  return [
    recordWith('instruments', {
      id: VANE,
      name: 'Vane meter',
      kind: 'vane',
      accuracy: 0.03,
      unit: isUs ? 'fpm' : 'ms',
      range: { from: 0.4, to: 45 },
      resolution: isUs ? toSI(1, 'fpm') : 0.01,
      hold: 'average',
      isSimulated: true,
    }),
    recordWith('instruments', {
      id: GAUGE,
      name: 'Manometer',
      kind: 'manometer',
      accuracy: 0.02,
      unit: isUs ? 'inwg' : 'pa',
      range: { from: 2, to: 7000 },
      resolution: isUs ? toSI(0.01, 'inwg') : 1,
      hold: 'average',
      isSimulated: true,
    }),
  ];
}
