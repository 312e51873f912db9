import { parseQuantity, STYLES } from '@frank-gauge/core';

export interface CurvePoint {
  flow: number;
  pressure: number;
}

type ReadCurve =
  | { readonly ok: true; readonly points: CurvePoint[] }
  | { readonly ok: false; readonly reason: string };

/** Reads a curve written a point a line, flow then pressure, in any units. */
export function readCurve(text: string, system: 'us' | 'metric'): ReadCurve {
  const points: CurvePoint[] = [];
  const lines = text.split('\n');
  for (const [index, line] of lines.entries()) {
    if (line.trim() === '') continue;
    const refuse = (why: string): ReadCurve => ({ ok: false, reason: `Line ${index + 1}: ${why}` });
    const [first, second, ...rest] = line
      .split(/[;\t]|,\s|\s{2,}|\sat\s/)
      .map((part) => part.trim());
    const parts = second === undefined ? line.trim().split(/\s+/) : [first ?? '', second, ...rest];
    if (parts.length !== 2) return refuse('write a flow, then a pressure, such as “400  8.5”.');
    const flow = parseQuantity(parts[0] ?? '', STYLES[system].flow.unit);
    const pressure = parseQuantity(parts[1] ?? '', STYLES[system].pressure.unit);
    if (!flow.ok) return refuse(flow.reason);
    if (!pressure.ok) return refuse(pressure.reason);
    if (flow.value < 0 || pressure.value < 0) return refuse('a curve has no values below zero.');
    const before = points.at(-1);
    if (before && flow.value <= before.flow) {
      return refuse('the flow goes backward: each point has to lie beyond the one before.');
    }
    points.push({ flow: flow.value, pressure: pressure.value });
  }
  if (points.length < 2) return { ok: false, reason: 'A curve needs at least two points.' };
  if (points.length > 200) return { ok: false, reason: 'A curve takes at most 200 points.' };
  return { ok: true, points };
}
