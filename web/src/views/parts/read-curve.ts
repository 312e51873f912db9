import { checkedCurve, MOST_POINTS, tooLong } from '@frank-gauge/core/collector';
import { fromSI, parseQuantity, STYLES, type UnitSystem } from '@frank-gauge/core/quantity';

export interface CurvePoint {
  flow: number;
  pressure: number;
}

type ReadCurve =
  | { readonly ok: true; readonly points: CurvePoint[] }
  | { readonly ok: false; readonly reason: string };

const shortly = (value: number) => String(Number(value.toPrecision(4)));

/** A point as a line of text, to four figures: more than any curve is known to. */
export const writePoint = ({ flow, pressure }: CurvePoint, system: UnitSystem): string =>
  `${shortly(fromSI(flow, STYLES[system].flow.unit))}  ${shortly(fromSI(pressure, STYLES[system].pressure.unit))}`;

/**
 * Reads a curve written a point a line, flow then pressure, in any units. A line that still stands
 * as `present` was written keeps that point's own figures, beyond the four shown.
 */
export function readCurve(
  text: string,
  system: UnitSystem,
  present: readonly CurvePoint[] = [],
): ReadCurve {
  const refused = tooLong(text);
  if (refused) return refused;
  const untouched = new Map(present.map((point) => [writePoint(point, system), point]));
  const points: CurvePoint[] = [];
  const lineOf: number[] = [];
  const lines = text.split('\n');
  for (const [index, line] of lines.entries()) {
    if (line.trim() === '') continue;
    // So many are too many already: the rest is not read.
    if (points.length > MOST_POINTS) break;
    const refuse = (why: string): ReadCurve => ({ ok: false, reason: `Line ${index + 1}: ${why}` });
    const [first, second, ...rest] = line
      .split(/[;\t]|,\s|\s{2,}|\sat\s/)
      .map((part) => part.trim());
    const parts = second === undefined ? line.trim().split(/\s+/) : [first ?? '', second, ...rest];
    if (parts.length !== 2) return refuse('type a flow, then a pressure, such as “400  8.5”.');
    const flow = parseQuantity(parts[0] ?? '', STYLES[system].flow);
    const pressure = parseQuantity(parts[1] ?? '', STYLES[system].pressure);
    if (!flow.ok) return refuse(flow.reason);
    if (!pressure.ok) return refuse(pressure.reason);
    if (flow.value < 0 || pressure.value < 0) return refuse('a curve has no values below zero.');
    const point = untouched.get(line) ?? { flow: flow.value, pressure: pressure.value };
    points.push(point);
    lineOf.push(index + 1);
  }
  return checkedCurve(points, lineOf, system);
}
