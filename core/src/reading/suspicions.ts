import { TO_SIGMA } from '../analysis/flow-uncertainty';
import type { PipeId } from '../catalogue/ids';
import { PIPES } from '../duct/pipes';
import type { Reading, Taken } from '../journal/reading';
import { CONFUSED_UNITS } from '../measuring/confused-units';
import type { MeasuredValue } from '../measuring/measured-flow';
import { numberOf } from '../measuring/repeats';
import { UNITS, type UnitId } from '../quantity/units';
import type { ExpectedReading } from './expected-reading';

/** Something about a reading that looks like a slip, while it is being taken. */
export type Suspicion =
  /** It fits what is expected if the meter showed another unit. */
  | { readonly kind: 'unit'; readonly read: UnitId; readonly likely: UnitId }
  /** The diameter is what the pipe is called, not what it is inside. */
  | { readonly kind: 'diameter'; readonly inside: number }
  /** It fits what is expected if the gates of another drop stand open too. */
  | { readonly kind: 'gate left open'; readonly drops: readonly string[] }
  /** One repeat is far from the others. */
  | { readonly kind: 'stray repeat'; readonly repeat: number }
  /** The meter cannot show so much: its range ends before. */
  | { readonly kind: 'beyond range'; readonly rangeEnd: number }
  /** It is far from what is expected, and no usual slip explains it. */
  | { readonly kind: 'far off'; readonly ratio: number };

export interface SuspectedBy {
  /** In the same quantity as `expected`; null: it says nothing of it. */
  readonly measured: MeasuredValue | null;
  /** Null: the model says nothing of this place. */
  readonly expected: ExpectedReading | null;
  /** Upper end of the meter's range, in the quantity it shows; null: not known. */
  readonly rangeEnd: number | null;
  /** Pipe the meter is in, and what size it is called, m; null: not known. */
  readonly pipe: { readonly id: PipeId; readonly diameter: number } | null;
}

/** χ² by which a reading has to miss what is expected before it is remarked on. */
const REMARKABLE = 4;
/** χ² a slip has to explain more than none before it is named. */
const EXPLAINS = 3;
/** Off by more than this factor, a reading is called far off where no slip explains it. */
const FAR = 1.6;
/** A repeat so far from the middle one of the others is taken for a slip of the pen. */
const STRAY = 1.5;
/** A nominal diameter this close to the one typed, m, and this far from the true one, as a share. */
const AS_NOMINAL = 0.4e-3;
const TRUE_DIFFERS = 0.005;

/**
 * What looks like a slip in a reading: miles per hour taken for feet per minute, the nominal diameter for the
 * true one, a gate left open. It refuses nothing: whoever took the reading decides. At most one explanation of
 * how far it is off, the likeliest, besides the diameter and a stray repeat.
 */
export function suspicionsOf(
  reading: Pick<Reading, 'quantity' | 'taken' | 'diameter' | 'unit' | 'traverse'>,
  { measured, expected, pipe, rangeEnd }: SuspectedBy,
): Suspicion[] {
  const suspicions: Suspicion[] = [];
  const inside = pipe && nominalTaken(reading.diameter, pipe);
  if (inside !== null) suspicions.push({ kind: 'diameter', inside });
  if (rangeEnd !== null && reading.taken.some((one) => isBeyond(one, rangeEnd))) {
    suspicions.push({ kind: 'beyond range', rangeEnd });
  }
  const stray = reading.traverse ? null : strayOf(reading.taken.map(numberOf));
  if (stray !== null) suspicions.push({ kind: 'stray repeat', repeat: stray });
  const off = expected && measured ? offBy(reading, measured, expected) : null;
  if (off) suspicions.push(off);
  return suspicions;
}

function offBy(
  { quantity, unit }: Pick<Reading, 'quantity' | 'unit'>,
  measured: MeasuredValue,
  expected: ExpectedReading,
): Suspicion | null {
  if (!(measured.value > 0) || !(expected.value > 0)) return null;
  const own = measured.uncertainty / measured.value;
  const sigma = TO_SIGMA * Math.hypot(own, expected.uncertainty / expected.value);
  /** How badly the reading fits a value; a bound on the far side of it fits. */
  const misfit = (value: number) => {
    const off = Math.log(measured.value / value);
    const isBound =
      (measured.kind === 'at least' && off < 0) || (measured.kind === 'at most' && off > 0);
    return isBound ? 0 : (off / sigma) ** 2;
  };
  const asItIs = misfit(expected.value);
  if (asItIs < REMARKABLE) return null;

  const slips: { readonly suspicion: Suspicion; readonly misfit: number }[] = [];
  const read = unitOf(unit);
  if (read) {
    // A flow goes with the root of the velocity pressure it was worked out from.
    const power = quantity === 'velocity pressure' ? 0.5 : 1;
    for (const likely of CONFUSED_UNITS[quantity] ?? []) {
      if (likely === read) continue;
      const factor = (UNITS[likely].size / UNITS[read].size) ** power;
      slips.push({
        suspicion: { kind: 'unit', read, likely },
        misfit: misfit(expected.value / factor),
      });
    }
  }
  // Gates that would lower it alike cannot be told apart: they are named together.
  const fits = expected.withGateLeftOpen
    .map(({ drop, value }) => ({ drop, misfit: misfit(value) }))
    .sort((a, b) => a.misfit - b.misfit);
  const [best] = fits;
  if (best) {
    const drops = fits.filter((each) => each.misfit < best.misfit + 1).map(({ drop }) => drop);
    slips.push({ suspicion: { kind: 'gate left open', drops }, misfit: best.misfit });
  }
  slips.sort((a, b) => a.misfit - b.misfit);
  const [likeliest] = slips;
  if (likeliest && likeliest.misfit < Math.min(REMARKABLE, asItIs - EXPLAINS)) {
    return likeliest.suspicion;
  }
  const ratio = measured.value / expected.value;
  return ratio > FAR || ratio < 1 / FAR ? { kind: 'far off', ratio } : null;
}

/** Shares beyond its own range a meter may still show, by rounding. */
const BY_ROUNDING = 1.02;

const isBeyond = (one: Taken, rangeEnd: number) =>
  one.kind === 'value' && one.value > BY_ROUNDING * rangeEnd;

const unitOf = (symbol: string): UnitId | null => {
  const found = Object.entries(UNITS).find(([, unit]) => unit.symbol === symbol);
  return found ? (found[0] as UnitId) : null;
};

/** The true inside diameter where the nominal one was typed; null where it was not, or they are one. */
function nominalTaken(
  typed: number,
  pipe: { readonly id: PipeId; readonly diameter: number },
): number | null {
  const size = PIPES[pipe.id].sizes.find(({ inside }) => Math.abs(inside - pipe.diameter) < 1e-6);
  const nominal = size ? nominalOf(size.nominal) : null;
  if (!size || nominal === null) return null;
  const isTrue = Math.abs(typed - size.inside) < AS_NOMINAL;
  const differs = Math.abs(nominal / size.inside - 1) > TRUE_DIFFERS;
  return !isTrue && differs && Math.abs(typed - nominal) < AS_NOMINAL ? size.inside : null;
}

/** What a size is called, in m: "4 in.", "110 mm". */
function nominalOf(called: string): number | null {
  const found = /^([\d.]+)\s*(in\.|mm)$/.exec(called);
  if (!found) return null;
  const unit = found[2] === 'mm' ? UNITS.mm : UNITS.in;
  return Number(found[1]) * unit.size;
}

/** The repeat that is far from the middle of the others, from 0; null where none is, or there are two. */
function strayOf(values: readonly number[]): number | null {
  if (values.length < 3) return null;
  for (const [i, value] of values.entries()) {
    const others = values.filter((_, j) => j !== i).sort((a, b) => a - b);
    const [least = 0, most = 0] = [others[0], others.at(-1)];
    // The others agree among themselves, and this one with none of them.
    if (least <= 0 || most / least > 1 + (STRAY - 1) / 2) continue;
    const ratio = value / ((least + most) / 2);
    if (ratio > STRAY || ratio < 1 / STRAY) return i;
  }
  return null;
}
