import papaparse from 'papaparse';
import { formatShort } from '../quantity/format-quantity';
import { parseQuantity } from '../quantity/parse-quantity';
import { curveFault, MOST_OF_BLOWER, MOST_POINTS } from '../quantity/rising-points';
import { STYLES, type UnitSystem } from '../quantity/unit-system';
import type { BlowerPoint } from './blower';

export type ReadCurve =
  | { readonly ok: true; readonly points: BlowerPoint[] }
  | { readonly ok: false; readonly reason: string };

/** A curve's text has no more letters: two hundred points take a tenth of it. */
export const LONGEST_CURVE_TEXT = 100_000;
const TOO_LONG: ReadCurve = {
  ok: false,
  reason: `It is longer than any curve: at most ${LONGEST_CURVE_TEXT.toLocaleString('en')} letters.`,
};

/** Why a text is too long to be read as a curve; null: it is not. */
export const tooLong = ({ length }: { readonly length: number }): ReadCurve | null =>
  length > LONGEST_CURVE_TEXT ? TOO_LONG : null;

/** What parts flow from pressure, likeliest first: whoever writes 0,5 parts with a semicolon. */
const DELIMITERS = ['\t', ';'] as const;

/**
 * Reads a blower's curve from the text of a CSV file: flow, then pressure, a point a line, with
 * commas, semicolons or tabs between; with semicolons a comma is a decimal one. A first line without numbers is a heading; units written
 * there, in brackets or alone, go for their columns. A unit in a cell goes for that cell; else the
 * shop's units do. Lines are named as a text editor counts them.
 *
 * @example readCurveFile('flow (m3/h),pressure (Pa)\n0,2500\n900,1800', 'us')
 */
export function readCurveFile(text: string, system: UnitSystem): ReadCurve {
  const refused = tooLong(text);
  if (refused) return refused;
  const delimiter = DELIMITERS.find((candidate) => text.includes(candidate)) ?? ',';
  const lines = papaparse.parse<string[]>(text, { delimiter }).data;
  const points: BlowerPoint[] = [];
  const lineOf: number[] = [];
  let units: readonly string[] = ['', ''];
  for (const [index, cells] of lines.entries()) {
    const refuse = (why: string): ReadCurve => ({ ok: false, reason: `Line ${index + 1}: ${why}` });
    if (cells.every((cell) => cell.trim() === '')) continue;
    if (points.length === 0 && !cells.some((cell) => /^[\s+\-.]*\d/.test(cell))) {
      units = cells.slice(0, 2).map((cell) => unitIn(cell));
      continue;
    }
    // So many are too many already: the rest is not read.
    if (points.length > MOST_POINTS) break;
    const [first = '', second = '', ...rest] = cells;
    if (second.trim() === '' || rest.some((cell) => cell.trim() !== '')) {
      return refuse('a flow and a pressure belong here, such as “400,8.5”.');
    }
    const flow = parseQuantity(withUnit(first, units[0]), STYLES[system].flow);
    const pressure = parseQuantity(withUnit(second, units[1]), STYLES[system].pressure);
    if (!flow.ok) return refuse(flow.reason);
    if (!pressure.ok) return refuse(pressure.reason);
    if (flow.value < 0 || pressure.value < 0) return refuse('a curve has no values below zero.');
    points.push({ flow: flow.value, pressure: pressure.value });
    lineOf.push(index + 1);
  }
  return checkedCurve(points, lineOf, system);
}

/**
 * Points read from text as a curve, or why they are none, in a sentence.
 * @param lineOf the line each point stands in, as a text editor counts them
 * @param system whose units the sentence is in
 */
export function checkedCurve(
  points: BlowerPoint[],
  lineOf: readonly number[],
  system: UnitSystem,
): ReadCurve {
  for (const [i, point] of points.entries()) {
    for (const kind of ['flow', 'pressure'] as const) {
      if (point[kind] <= MOST_OF_BLOWER[kind]) continue;
      const written = formatShort(point[kind], kind, system);
      return {
        ok: false,
        reason: `Line ${lineOf[i] ?? i + 1}: ${written} is more than any blower makes. Is the unit right?`,
      };
    }
  }
  const fault = curveFault(points.map(({ flow }) => flow));
  if (!fault) return { ok: true, points };
  switch (fault.kind) {
    case 'too few':
      return { ok: false, reason: 'A curve needs at least two points.' };
    case 'too many':
      return { ok: false, reason: `A curve takes at most ${fault.most} points.` };
    case 'goes backward':
      return {
        ok: false,
        reason: `Line ${lineOf[fault.at] ?? fault.at + 1}: the flow goes backward: each point has to lie beyond the one before.`,
      };
  }
}

const HEADING_WORDS = /^(?:volume|flow|air|fan|blower|static|total|pressure|sp|tp|q|p)\b[\s,:]*/i;

/** The unit a heading names: in its brackets, or what is left of it without its own words. */
function unitIn(heading: string): string {
  const bracketed = /[([](.+)[)\]]/.exec(heading)?.[1];
  if (bracketed !== undefined) return bracketed.trim();
  let rest = heading.trim();
  while (HEADING_WORDS.test(rest)) rest = rest.replace(HEADING_WORDS, '');
  return rest.trim();
}

const BARE_NUMBER = /^\s*[\d.,]+(?:e[+-]?\d+)?\s*$/i;

const withUnit = (cell: string, unit = ''): string =>
  unit !== '' && BARE_NUMBER.test(cell) ? `${cell.trim()} ${unit}` : cell;
