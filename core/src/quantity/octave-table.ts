/**
 * A smooth function of a positive number, tabulated by cubics: every octave of the argument is cut
 * into 32 cells of equal width, and in each stands the cubic that meets the function and its slope at
 * both ends (Hermite), filled in when it is first asked for. For functions that go like a power of
 * their argument the error is below 1e-8 of the value, and neither value nor slope has a step.
 *
 * A solver spends most of its time in logarithms and powers otherwise; here a cell is found from the
 * argument's leading bits and read with a handful of multiplications.
 */
export interface OctaveTable {
  /** The argument times this is an integer's size: at least 2^5 and below 2^30. */
  readonly scale: number;
  readonly firstOctave: number;
  readonly octaves: number;
  /** Four coefficients a cell, in argument × scale beyond the cell's start; NaN where not asked for. */
  readonly cells: Float64Array;
  readonly exactInto: ExactInto;
}

/** Writes the function's value and slope at `x` into the first two places of `out`. */
export type ExactInto = (out: Float64Array, x: number) => void;

/** 2^5 cells an octave. */
const CELL_BITS = 5;
const CELLS = 1 << CELL_BITS;

/**
 * A table from `least` to `most`, both above zero; outside them the function itself is called.
 * @param scale makes `least` at least 32 and `most` less than 2^30
 */
export function octaveTable(
  exactInto: ExactInto,
  least: number,
  most: number,
  scale = 1,
): OctaveTable {
  const octaveOf = (x: number) => Math.floor(Math.log2(x * scale));
  const firstOctave = octaveOf(least);
  const octaves = octaveOf(most) - firstOctave + 1;
  const cells = new Float64Array(4 * CELLS * octaves).fill(Number.NaN);
  return { scale, firstOctave, octaves, cells, exactInto };
}

/** Writes the value at `x` (above zero) into `out[0]` and the slope into `out[1]`. */
export function readTable(out: Float64Array, table: OctaveTable, x: number): void {
  const { scale, cells } = table;
  const scaled = x * scale;
  const whole = scaled | 0;
  const octave = 31 - Math.clz32(whole);
  const row = octave - table.firstOctave;
  if (row < 0 || row >= table.octaves) {
    table.exactInto(out, x);
    return;
  }
  const shift = octave - CELL_BITS;
  const cell = whole >> shift;
  const i = 4 * (CELLS * row + cell - CELLS);
  if (Number.isNaN(cells[i] as number)) fillCell(table, cell, shift, i);
  const u = scaled - cell * (1 << shift);
  const a = cells[i] as number;
  const b = cells[i + 1] as number;
  const c = cells[i + 2] as number;
  const d = cells[i + 3] as number;
  out[0] = a + u * (b + u * (c + u * d));
  out[1] = (b + u * (2 * c + 3 * u * d)) * scale;
}

const ends = new Float64Array(2);

function fillCell(
  { scale, cells, exactInto }: OctaveTable,
  cell: number,
  shift: number,
  i: number,
) {
  const width = 2 ** shift;
  const read = (edge: number): [number, number] => {
    exactInto(ends, (edge * width) / scale);
    return [ends[0] as number, (ends[1] as number) / scale];
  };
  const [from, fromSlope] = read(cell);
  const [to, toSlope] = read(cell + 1);
  const secant = (to - from) / width;
  cells[i] = from;
  cells[i + 1] = fromSlope;
  cells[i + 2] = (3 * secant - 2 * fromSlope - toSlope) / width;
  cells[i + 3] = (fromSlope + toSlope - 2 * secant) / (width * width);
}
