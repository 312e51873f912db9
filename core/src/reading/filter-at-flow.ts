import { timeOf } from '../journal/journal';
import type { Reading } from '../journal/reading';
import { correctReading } from '../measuring/corrections';
import { measuredFlow } from '../measuring/measured-flow';
import type { SideReadings } from './compare-sides';
import { countAfter, type ReadingsByPoint } from './reading-index';

/** A reading across the filter, brought to one flow. */
export interface FilterAtFlow {
  readonly reading: Reading;
  /** Pa at `atFlow`, with the half-width of its 95 % interval. */
  readonly pressure: number;
  readonly uncertainty: number;
  /** m³/s it was read at. */
  readonly flow: number;
}

export interface FilterSeries {
  /** The flow they are all brought to, m³/s: that of the latest. */
  readonly atFlow: number;
  /** Earliest first. */
  readonly points: readonly FilterAtFlow[];
  /** Readings across the filter with no airflow read the same day with the same gates open. */
  readonly leftOut: number;
  /** Earlier readings across the filter that are not looked at. */
  readonly earlier: number;
}

/** An airflow tells of a pressure read within so long of it, ms. */
const SAME_VISIT = 12 * 3_600_000;

const gatesKey = ({ openGates }: Reading) => [...openGates].sort().join(' ');

/**
 * Pressures across the filter brought to one flow, by which alone they tell of its loading: media takes pressure in
 * proportion to flow (laminar, ASTM D737). The flow a pressure was read at is that of the drop read nearest in time
 * the same day with the same gates open. Null: there are none.
 * @param byPoint readings that count
 * @param filters ids of the test points across the filter
 * @param most readings across it that are looked at, the latest
 */
export function filterAtOneFlow(
  byPoint: ReadingsByPoint,
  filters: ReadonlySet<string>,
  by: SideReadings['by'],
  most: number,
): FilterSeries | null {
  const all = [...filters]
    .flatMap((filter) => byPoint.get(filter) ?? [])
    .filter(({ quantity, method }) => quantity === 'pressure' && method === 'absolute')
    .sort((a, b) => timeOf(a) - timeOf(b));
  if (all.length === 0) return null;
  const across = all.slice(-most);
  const earlier = all.length - across.length;
  const elsewhere = [...byPoint].flatMap(([point, list]) => (filters.has(point) ? [] : [list]));
  const found = across.flatMap((reading) => {
    const { mean, systematic } = correctReading(reading, by(reading));
    const flow = flowBeside(reading, elsewhere, by);
    if (mean.kind !== 'value' || !flow) return [];
    const share = Math.hypot(mean.spread / mean.mean, systematic, flow.uncertainty / flow.flow);
    return [{ reading, pressure: mean.mean, share, flow: flow.flow }];
  });
  const last = found.at(-1);
  if (!last) return { atFlow: 0, points: [], leftOut: across.length, earlier };
  const points = found.map(({ reading, pressure, share, flow }): FilterAtFlow => {
    const brought = (pressure * last.flow) / flow;
    return { reading, pressure: brought, uncertainty: share * brought, flow };
  });
  return { atFlow: last.flow, points, leftOut: across.length - found.length, earlier };
}

/** @param lists readings elsewhere, each list the latest first */
function flowBeside(
  pressure: Reading,
  lists: readonly (readonly Reading[])[],
  by: SideReadings['by'],
) {
  const at = timeOf(pressure);
  const gates = gatesKey(pressure);
  const distance = (other: Reading) => Math.abs(timeOf(other) - at);
  const near = lists
    .flatMap((list) =>
      list.slice(countAfter(list, at + SAME_VISIT), countAfter(list, at - SAME_VISIT - 1)),
    )
    .filter((other) => other.method === 'absolute' && gatesKey(other) === gates)
    .sort((a, b) => distance(a) - distance(b));
  for (const reading of near) {
    const flow = measuredFlow(reading, by(reading));
    if (flow.kind === 'value' && flow.flow > 0) return flow;
  }
  return null;
}
