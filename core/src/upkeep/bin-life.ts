import { sizesOf } from '../assembly/usual-sizes';
import type { Shop } from '../design/schema';

/** Density of the wood that is planed off, dry, kg/m³: between pine and oak, an estimate. */
export const WOOD_DENSITY = 600;

/** A bin that fills while the blower runs. */
export interface BinLife {
  /** m³ */
  readonly volume: number;
  /** Time the blower runs until it is to be emptied, s; null: nothing falls into it. */
  readonly running: number | null;
}

type Collecting = Pick<Shop, 'collector' | 'upkeep'>;

/** The separator's bin; null: there is none. */
export function binLife({ collector, upkeep }: Collecting): BinLife | null {
  const { separator, assembly, dust } = collector;
  if (separator.kind === 'none') return null;
  const { diameter, height } = sizesOf(collector).bin;
  const base = assembly.bin.shape === 'square' ? diameter ** 2 : (Math.PI / 4) * diameter ** 2;
  return lifeOf(base * height, dust.rate * separator.caught, upkeep);
}

/** The bag or bin below the filter; null: there is none. What stays on the pleats is left out, which is little. */
export function filterBinLife({ collector, upkeep }: Collecting): BinLife | null {
  const { separator, assembly, dust, exhaust } = collector;
  const { filter, filterBin } = sizesOf(collector);
  if (exhaust.kind !== 'filter' || assembly.filterBin.kind === 'none') return null;
  const caught = separator.kind === 'none' ? 0 : separator.caught;
  const volume = (Math.PI / 4) * filter.diameter ** 2 * filterBin.height;
  return lifeOf(volume, dust.rate * (1 - caught), upkeep);
}

/** Volume planed off, times the bulking factor, over the bin's volume (handbook section 12). */
function lifeOf(volume: number, rate: number, { bulking, fullAt }: Shop['upkeep']): BinLife {
  const loose = (rate / WOOD_DENSITY) * bulking;
  return { volume, running: loose > 0 && volume > 0 ? (fullAt * volume) / loose : null };
}
