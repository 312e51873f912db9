import { type OctaveTable, octaveTable, readTable } from '../quantity/octave-table';

/** Below this suction (Pa) a leak's law passes smoothly through zero instead of rising upright. */
const SMOOTHED_BELOW = 0.05;

/**
 * Writes into `out` what openings of `hole`·P^0.5 draw in at `suction` Pa, m³/s, and the slope by
 * suction. Odd about zero (pressure blows out what suction draws in) and smooth through it, where
 * the power's own slope is infinite.
 */
export function openingInto(out: Float64Array, hole: number, suction: number): void {
  const size = Math.abs(suction);
  if (size < SMOOTHED_BELOW) {
    smoothInto(out, hole * Math.sqrt(SMOOTHED_BELOW), 0.5, suction);
    return;
  }
  const flow = hole * Math.sqrt(size);
  out[0] = suction < 0 ? -flow : flow;
  out[1] = flow / (2 * size);
}

const MOST_SUCTION = 2 ** 18;
/** Makes the least suction in the table 51 wholes of something. */
const SUCTION_SCALE = 1024;
const MOST_KEPT = 64;
const keptPowers = new Map<number, OctaveTable>();

/** Suction, Pa, to the power `exponent`, tabulated; kept, since most shops have the same one. */
export function powersOfSuction(exponent: number): OctaveTable {
  const known = keptPowers.get(exponent);
  if (known) return known;
  if (keptPowers.size >= MOST_KEPT) keptPowers.clear();
  const table = octaveTable(
    (out, suction) => {
      out[0] = suction ** exponent;
      out[1] = exponent * suction ** (exponent - 1);
    },
    SMOOTHED_BELOW,
    MOST_SUCTION,
    SUCTION_SCALE,
  );
  keptPowers.set(exponent, table);
  return table;
}

/** What is read from a table: a seam's flow at c = 1. */
const power = new Float64Array(2);

/**
 * As `openingInto`, with seams besides: `seam`·P^`exponent`, the power read from its table.
 */
export function leakInto(
  out: Float64Array,
  seam: number,
  exponent: number,
  powers: OctaveTable,
  hole: number,
  suction: number,
): void {
  if (hole === 0) out[0] = out[1] = 0;
  else openingInto(out, hole, suction);
  if (seam === 0) return;
  const size = Math.abs(suction);
  if (size < SMOOTHED_BELOW) smoothInto(power, SMOOTHED_BELOW ** exponent, exponent, suction);
  else readTable(power, powers, size);
  const flow = seam * (power[0] as number);
  out[0] = (out[0] as number) + (size >= SMOOTHED_BELOW && suction < 0 ? -flow : flow);
  out[1] = (out[1] as number) + seam * (power[1] as number);
}

/** The odd cubic a·t + b·t³ that meets `edge`·tⁿ with its slope at t = 1, t in parts of SMOOTHED_BELOW. */
function smoothInto(out: Float64Array, edge: number, exponent: number, suction: number): void {
  const t = suction / SMOOTHED_BELOW;
  const a = (3 - exponent) / 2;
  const b = (exponent - 1) / 2;
  out[0] = edge * (a * t + b * t ** 3);
  out[1] = (edge * (a + 3 * b * t * t)) / SMOOTHED_BELOW;
}
