import type { Calibration } from '@frank-gauge/core/journal';
import { fromSI, parseQuantity, type UnitId } from '@frank-gauge/core/quantity';

type Row = Calibration['table'][number];

type ReadTable =
  | { readonly ok: true; readonly table: readonly Row[] }
  | { readonly ok: false; readonly reason: string };

const shortly = (value: number) => String(Number(value.toPrecision(6)));

/** A calibration table as a line of text: what the meter shows = what is true, the rows apart by semicolons. */
export const writeCalibrationTable = (table: readonly Row[], unit: UnitId): string =>
  table
    .map(({ shown, truth }) => `${shortly(fromSI(shown, unit))} = ${shortly(fromSI(truth, unit))}`)
    .join('; ');

/** Reads such a line; an empty one is an empty table. A sentence where it cannot be read. */
export function readCalibrationTable(text: string, unit: UnitId): ReadTable {
  const table: Row[] = [];
  const style = { unit, places: 3 };
  for (const part of text.split(';')) {
    if (part.trim() === '') continue;
    const [first = '', second, ...rest] = part.split('=');
    if (second === undefined || rest.length > 0) {
      return { ok: false, reason: `“${part.trim()}” is not like “4000 = 3900”: shown, then true.` };
    }
    const [shown, truth] = [parseQuantity(first, style), parseQuantity(second, style)];
    if (!shown.ok) return shown;
    if (!truth.ok) return truth;
    if (shown.value < 0 || truth.value < 0) {
      return { ok: false, reason: 'A meter’s values are not below zero.' };
    }
    table.push({ shown: shown.value, truth: truth.value });
  }
  const byShown = table.toSorted((a, b) => a.shown - b.shown);
  const twice = byShown.find(({ shown }, i) => i > 0 && shown === byShown[i - 1]?.shown);
  if (twice) {
    return { ok: false, reason: `It shows ${shortly(fromSI(twice.shown, unit))} twice.` };
  }
  return { ok: true, table: byShown };
}
