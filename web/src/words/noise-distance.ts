import { NOISE_DISTANCE } from '@frank-gauge/core/collector';
import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';

/** Where a collector's noise is stated, in a round figure: 3 m and 10 ft are 0.1 dB apart. */
export const noiseDistance = (system: UnitSystem): string =>
  formatShort(system === 'us' ? toSI(10, 'ft') : NOISE_DISTANCE, 'length', system);
