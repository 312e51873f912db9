import { describe, expect, it } from 'vitest';
import { recordWith } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { correctReading } from '../measuring/corrections';
import { measuredFlow } from '../measuring/measured-flow';
import { filterAtOneFlow as filterByPoint } from './filter-at-flow';
import { indexOf } from './reading-index';

const meter = recordWith('instruments', { id: 'm', name: 'M', kind: 'other', accuracy: 0.03 });
const by = () => ({
  instrument: meter,
  point: undefined,
  air: { density: 1.2, viscosity: 1.82e-5 },
  roughness: 9e-5,
});
let count = 0;
const reading = (
  day: number,
  hour: number,
  quantity: Reading['quantity'],
  value: number,
  openGates: string[],
  rest: Partial<Reading> = {},
) =>
  recordWith('readings', {
    id: `r${count++}`,
    at: new Date(Date.UTC(2026, 0, day, hour)).toISOString(),
    testPoint: quantity === 'pressure' ? 'filter' : 'planer',
    instrument: 'm',
    ...{ quantity, spot: 'average', diameter: 0.1, unit: '', openGates, note: '' },
    taken: [{ kind: 'value', value }],
    ...rest,
  });
const filterAtOneFlow = (
  readings: readonly Reading[],
  filters: ReadonlySet<string>,
  circumstances: typeof by,
  most = 300,
) => filterByPoint(indexOf(readings).byPoint, filters, circumstances, most);
const FILTERS = new Set(['filter']);

describe('pressure across the filter at one flow', () => {
  it('is in proportion to the flow read with the same gates open the same day', () => {
    const series = filterAtOneFlow(
      [
        reading(2, 9, 'flow', 0.3, ['a', 'b']),
        reading(2, 10, 'pressure', 150, ['b', 'a']),
        reading(2, 10, 'flow', 0.1, ['c']),
        reading(8, 9, 'flow', 0.2, ['a', 'b']),
        reading(8, 10, 'pressure', 200, ['a', 'b']),
        // Read with other gates open, or on a day nobody read an airflow: it tells nothing.
        reading(9, 10, 'pressure', 90, ['a', 'b']),
        reading(8, 11, 'pressure', 90, ['d']),
        reading(8, 12, 'pressure', 900, ['a', 'b'], {
          struckOut: { at: '2026-01-09T10:00:00Z', reason: 'slip' },
        }),
      ],
      FILTERS,
      by,
    );
    expect(series?.atFlow).toBeCloseTo(0.2, 12);
    expect(series?.leftOut).toBe(2);
    // 150 Pa at 0.3 m³/s are 100 Pa at 0.2: the filter is twice as loaded, not a third more.
    expect(series?.points.map(({ pressure }) => pressure)).toEqual([
      expect.closeTo(100, 9),
      expect.closeTo(200, 9),
    ]);
    // As far as the pressure and the flow beside it are known, together.
    const beside = measuredFlow(reading(8, 9, 'flow', 0.2, []), by());
    const { mean, systematic } = correctReading(reading(8, 10, 'pressure', 200, []), by());
    const own = mean.kind === 'value' ? Math.hypot(systematic, mean.spread / mean.mean) : 0;
    const known = beside.kind === 'value' ? beside.uncertainty / beside.flow : Number.NaN;
    expect((series?.points[1]?.uncertainty ?? 0) / 200).toBeCloseTo(Math.hypot(own, known), 9);
  });

  it('is nothing where nobody read across the filter', () => {
    expect(filterAtOneFlow([reading(2, 9, 'flow', 0.3, [])], FILTERS, by)).toBeNull();
    expect(filterAtOneFlow([reading(2, 9, 'pressure', 150, [])], FILTERS, by)).toMatchObject({
      points: [],
      leftOut: 1,
    });
  });
});
