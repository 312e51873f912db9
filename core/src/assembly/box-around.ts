import { BOX_LININGS, BOX_WALLS, type Box } from '../collector/enclosure';
import type { CollectorParts } from '../design/edit-candidates';
import { BOX_CLEARANCE } from './assembly-conflicts';
import { standAssembly } from './stand-assembly';

/** Boxes are built to steps of so much, m. */
const STEP = 0.05;
const up = (value: number) => Math.ceil(value / STEP - 1e-9) * STEP;

/** A box to start from, with air around blower and filter as they stand: fibreboard, half lined. */
export function boxAround(parts: CollectorParts): Box {
  const { placed, sizes } = standAssembly(parts, null);
  const inside = placed.filter(({ part }) =>
    ['blower', 'motor', 'filter', 'filterBin'].includes(part),
  );
  const span = (from: 'x0' | 'z0', to: 'x1' | 'z1') =>
    Math.max(...inside.map((part) => part[to])) - Math.min(...inside.map((part) => part[from]));
  const around = 4 * BOX_CLEARANCE;
  return {
    length: up(span('x0', 'x1') + around),
    width: up(Math.max(sizes.blower.housing, sizes.filter.diameter) + around),
    height: up(span('z0', 'z1') + around),
    surfaceMass: BOX_WALLS.mdf.surfaceMass,
    absorption: BOX_LININGS.half.absorption,
  };
}
