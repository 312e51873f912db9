import { chainOrder } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';
import { BETWEEN, type Columns, columnsOf } from './columns';
import type { AssemblyPart, Elevation, Placed } from './elevation';
import { jointsBetween } from './joints-between';
import { placeBlower } from './place-blower';
import { type AssemblySizes, sizesOf } from './usual-sizes';

/** Between a filter and the bin it stands on, m. */
const FILTER_RING = 0.06;
/** A lid reaches so far over its bin on each side. */
const LID_EDGE = 0.02;

/**
 * Where every part of a collector stands, by what carries what: the bin on its castors, lid and
 * separator over it, the blower on the separator, the wall, a cart, in the attic or in the next room,
 * and the filter over its own bin beside them. Never fails: what doesn't fit is placed where it would
 * be, and `assemblyConflicts` says what is short.
 *
 * @param ceiling m; null where it is not known
 */
export function standAssembly(parts: CollectorParts, ceiling: number | null): Elevation {
  const order = chainOrder(parts);
  const sizes = sizesOf(parts);
  const columns = columnsOf(parts, sizes, order);
  const hasSeparator = parts.separator.kind !== 'none';
  const hasFilter = sizes.filter.height > 0;
  const { separatorX, filterX, partitionX } = columns;
  const { inletDiameter } = parts.separator;

  const separator = hasSeparator ? separatorColumn(parts, sizes, separatorX) : NO_COLUMN;
  const blower = placeBlower(parts, sizes, order, columns, separator.top, ceiling);
  const filter = hasFilter ? filterColumn(parts, sizes, columns) : NO_COLUMN;
  const placed = [...separator.placed, ...blower.placed, ...filter.placed];

  const side = order === 'pushed' ? -1 : 1;
  const joints = jointsBetween(parts, {
    order,
    hasSeparator,
    hasFilter,
    separator: { x: separatorX, z: separator.top },
    side: {
      x: separatorX + (side * sizes.separator.diameter) / 2,
      z: separator.top - 0.6 * inletDiameter,
    },
    filter: { x: filterX, z: filter.top },
    outsideX: columns.outsideX,
    outDiameter: parts.exhaust.kind === 'outdoors' ? parts.exhaust.diameter : inletDiameter,
    inlet: blower.inlet,
    outlets: blower.outlets,
    diameter: inletDiameter,
  });
  const all = [...placed, ...carriers(parts, placed)];
  const inRoom = all.filter(({ isElsewhere }) => !isElsewhere);
  return {
    order,
    sizes,
    placed: all,
    joints,
    height: Math.max(0, ...inRoom.map(({ z1 }) => z1)),
    floor: floorOf(parts, sizes, inRoom),
    separatorX: hasSeparator ? separatorX : null,
    filterX: hasFilter ? filterX : null,
    blowerZ: blower.z,
    shaft: blower.shaft,
    lidZ: separator.lidZ,
    ceiling,
    partitionX,
    outsideX: columns.outsideX,
  };
}

interface Column {
  readonly placed: readonly Placed[];
  readonly top: number;
  readonly lidZ: number;
}

const NO_COLUMN: Column = { placed: [], top: 0, lidZ: 0 };

/** Bin, lid and separator, the lid where it hangs or on the bin. */
function separatorColumn({ assembly }: CollectorParts, sizes: AssemblySizes, x: number): Column {
  const { bin, lid, emptying } = assembly;
  const binZ = bin.raised + (emptying.kind === 'lower' ? emptying.travel : 0);
  const binTop = binZ + sizes.bin.height;
  const lidZ = assembly.separator.hungAt ?? binTop;
  const foot = lidZ + lid.thickness;
  const top = foot + sizes.separator.height;
  const lidWidth = Math.max(sizes.bin.diameter + 2 * LID_EDGE, sizes.separator.diameter);
  return {
    placed: [
      standing('bin', x, sizes.bin.diameter, binZ, binTop),
      standing('lid', x, lidWidth, lidZ - lid.lip, foot),
      standing('separator', x, sizes.separator.diameter, foot, top),
    ],
    top,
    lidZ,
  };
}

/** The filter where it hangs, or on its own bin on floor or cart. */
function filterColumn(
  { assembly }: CollectorParts,
  sizes: AssemblySizes,
  { filterX, isFilterElsewhere }: Columns,
): Column {
  const deck = assembly.mount.kind === 'cart' ? assembly.mount.height : 0;
  const bin = sizes.filterBin.height;
  const z0 = assembly.filter.hungAt ?? deck + bin + FILTER_RING;
  const top = z0 + sizes.filter.height;
  const { diameter } = sizes.filter;
  // A bag hangs from its filter; a bin stands under it.
  const binZ =
    assembly.filterBin.kind === 'bag' ? z0 - bin : assembly.filter.hungAt === null ? deck : 0;
  return {
    placed: [
      ...(bin > 0
        ? [standing('filterBin', filterX, 0.9 * diameter, binZ, binZ + bin, isFilterElsewhere)]
        : []),
      standing('filter', filterX, diameter, z0, top, isFilterElsewhere),
    ],
    top,
    lidZ: 0,
  };
}

function standing(
  part: AssemblyPart,
  centre: number,
  width: number,
  z0: number,
  z1: number,
  isElsewhere = false,
): Placed {
  return { part, x0: centre - width / 2, x1: centre + width / 2, z0, z1, isElsewhere };
}

/** Room on the floor: what hangs on a wall takes none. */
function floorOf({ assembly }: CollectorParts, sizes: AssemblySizes, inRoom: readonly Placed[]) {
  const isOnFloor = assembly.mount.kind === 'cart' || assembly.mount.kind === 'onSeparator';
  const taking = inRoom.filter(({ part }) => isOnFloor || (part !== 'blower' && part !== 'motor'));
  const has = (part: AssemblyPart) => taking.some((placed) => placed.part === part);
  const x0 = taking.length === 0 ? 0 : Math.min(...taking.map((placed) => placed.x0));
  const width = taking.length === 0 ? 0 : Math.max(...taking.map(({ x1 }) => x1)) - x0;
  const depth = Math.max(
    has('bin') ? Math.max(sizes.bin.diameter, sizes.separator.diameter) : 0,
    has('filter') ? sizes.filter.diameter : 0,
    has('blower') ? sizes.blower.housing : 0,
  );
  return { x0, width, depth };
}

/** What stands under or around the others. */
function carriers({ assembly, exhaust }: CollectorParts, placed: readonly Placed[]): Placed[] {
  const carried = placed.filter(({ part }) =>
    ['blower', 'motor', 'filter', 'filterBin'].includes(part),
  );
  const left = Math.min(...carried.map(({ x0 }) => x0));
  const right = Math.max(...carried.map(({ x1 }) => x1));
  const low = Math.min(...carried.map(({ z0 }) => z0));
  const { mount } = assembly;
  const out: Placed[] = [];
  if (mount.kind === 'cart' && mount.height > 0) {
    out.push(standing('cart', (left + right) / 2, right - left + 0.06, 0, mount.height));
  }
  if (exhaust.kind === 'enclosure' && exhaust.box) {
    const { length, height } = exhaust.box;
    const z0 = Math.max(0, low - BETWEEN);
    out.push(standing('box', (left + right) / 2, length, z0, z0 + height));
  }
  return out;
}
