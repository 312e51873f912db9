import type { Calibration, Instrument } from '../journal/instrument';

/**
 * The calibration that held at a time: the latest that began by then; null where none had.
 * @param at ISO 8601
 */
export function calibrationAt(
  { calibrations }: Pick<Instrument, 'calibrations'>,
  at: string,
): Calibration | null {
  const time = Date.parse(at);
  let latest: Calibration | null = null;
  for (const each of calibrations) {
    const from = Date.parse(each.from);
    if (from <= time && (!latest || from >= Date.parse(latest.from))) latest = each;
  }
  return latest;
}

/**
 * The true value for one that a meter shows: by its table, linear between two rows and in proportion beyond
 * either end, then times its factor. SI.
 * @example // a table of 10 → 9 and 20 → 19, factor 1: 15 is 14, 5 is 4.5, 40 is 38
 */
export function calibrated(shown: number, { table, factor }: Calibration): number {
  const [first] = table;
  const last = table.at(-1);
  if (!first || !last) return factor * shown;
  const proportional = ({ shown: at, truth }: { shown: number; truth: number }) =>
    at > 0 ? (shown * truth) / at : shown + truth;
  if (shown <= first.shown) return factor * proportional(first);
  if (shown >= last.shown) return factor * proportional(last);
  const next = table.findIndex((row) => row.shown > shown);
  const [a, b] = [table[next - 1] ?? first, table[next] ?? last];
  const share = (shown - a.shown) / (b.shown - a.shown);
  return factor * (a.truth + share * (b.truth - a.truth));
}
