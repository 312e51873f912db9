import { chainOrder } from '../design/chain-order';
import type { CollectorParts } from '../design/edit-candidates';
import { assemblyMasses } from './assembly-masses';
import { bracketLoad } from './bracket';
import type { AssemblyPart, Elevation, Placed } from './elevation';

export type ConflictKind =
  | 'over the ceiling'
  | 'larger than the room'
  | 'filter over the ceiling'
  | 'pipe over the ceiling'
  | 'bin too tall'
  | 'bin short of the lid'
  | 'bin stays caught'
  | 'no room to lift'
  | 'coupling holds'
  | 'nothing holds the separator'
  | 'hangs, cannot be lifted'
  | 'nothing to stand on'
  | 'coupling too short'
  | 'filter bin too tall'
  | 'wheel in its housing'
  | 'heavy lift off the bin'
  | 'heavy blower'
  | 'cleat too short'
  | 'screws draw out'
  | 'screws shear'
  | 'box too small'
  | 'chips pass the wheel'
  | 'flat sides'
  | 'liner sucked up';

/** What does not fit, with the number that is short. */
export interface Conflict {
  readonly kind: ConflictKind;
  /** Serious: it cannot stand or work so. Caution: it can hurt, or cost. */
  readonly severity: 'serious' | 'caution' | 'note';
  readonly part: AssemblyPart | 'cleat';
  /** By how much it is short, SI; null where no number is. */
  readonly short: number | null;
  readonly of: 'length' | 'mass' | 'force' | null;
  /** What is wanted, and what there is, in the same unit. */
  readonly wanted: number;
  readonly has: number;
}

/** Closer than this two lengths are one, m. */
const TOLERANCE = 0.002;
/** Air an enclosure keeps around what stands in it, m: common practice, no source. */
export const BOX_CLEARANCE = 0.05;
/** Masses and forces nearer than this are one. */
const LEAST = 1e-9;

const short = (
  kind: ConflictKind,
  severity: Conflict['severity'],
  part: Conflict['part'],
  wanted: number,
  has: number,
  of: Conflict['of'] = 'length',
): Conflict[] => {
  const by = wanted - has;
  const least = of === 'length' ? TOLERANCE : LEAST;
  return by > least ? [{ kind, severity, part, short: by, of, wanted, has }] : [];
};

const plain = (
  kind: ConflictKind,
  severity: Conflict['severity'],
  part: Conflict['part'],
): Conflict => ({ kind, severity, part, short: null, of: null, wanted: 0, has: 0 });

/**
 * Everything about a collector that does not fit or cannot be worked so: what would go through the
 * ceiling, a bin that cannot come free, couplings and fasteners that are short, weights too heavy for
 * the people at hand. Serious ones first, else from the floor up.
 */
export function assemblyConflicts(parts: CollectorParts, elevation: Elevation): Conflict[] {
  const rank = { serious: 0, caution: 1, note: 2 };
  return [
    ...heights(parts, elevation),
    ...freeing(parts, elevation),
    ...joining(parts, elevation),
    ...carrying(parts, elevation),
    ...boxed(parts, elevation),
    ...asideOfSizes(parts),
  ].sort((a, b) => rank[a.severity] - rank[b.severity]);
}

const partOf = ({ placed }: Elevation, part: AssemblyPart): Placed | undefined =>
  placed.find((each) => each.part === part);

function heights(parts: CollectorParts, elevation: Elevation): Conflict[] {
  const { ceiling, sizes } = elevation;
  if (ceiling === null) return [];
  const found: Conflict[] = [];
  const isHere = !['attic', 'nextRoom'].includes(parts.assembly.mount.kind);
  const onEnd = sizes.blower.width + sizes.blower.motorLength;
  const own = elevation.shaft === 'upright' ? onEnd : sizes.blower.housing;
  if (isHere) found.push(...short('larger than the room', 'serious', 'blower', own, ceiling));
  const filter = partOf(elevation, 'filter');
  if (filter && !filter.isElsewhere) {
    found.push(...short('filter over the ceiling', 'serious', 'filter', filter.z1, ceiling));
  }
  const stacked = elevation.placed.filter(
    ({ part, isElsewhere }) => !isElsewhere && part !== 'filter' && part !== 'box',
  );
  const top = stacked.reduce<Placed | null>(
    (high, p) => (high && high.z1 >= p.z1 ? high : p),
    null,
  );
  if (top) found.push(...short('over the ceiling', 'serious', top.part, top.z1, ceiling));
  const isIn = parts.assembly.mount.kind !== 'attic';
  for (const { part, points, diameter } of isIn ? elevation.joints : []) {
    const over = Math.max(...points.map(({ z }) => z)) + diameter / 2;
    found.push(...short('pipe over the ceiling', 'caution', part, over, ceiling));
  }
  return found;
}

/** Whether the bin comes free: lowered far enough, or what stands on it lifted. */
function freeing(parts: CollectorParts, elevation: Elevation): Conflict[] {
  const { assembly, separator } = parts;
  if (separator.kind === 'none') return [];
  const { lid, emptying, bin } = assembly;
  const { sizes, ceiling } = elevation;
  const { hungAt } = assembly.separator;
  const carriesBlower = assembly.mount.kind === 'onSeparator' && elevation.shaft === 'upright';
  const found: Conflict[] = [];

  if (hungAt !== null) {
    const wedge = emptying.kind === 'lower' ? emptying.travel : 0;
    const top = bin.raised + wedge + sizes.bin.height;
    found.push(...short('bin too tall', 'serious', 'bin', top, hungAt));
    found.push(...short('bin short of the lid', 'serious', 'bin', hungAt, top));
  }
  if (emptying.kind === 'lower') {
    found.push(...short('bin stays caught', 'serious', 'lid', lid.lip, emptying.travel));
    if (hungAt === null) found.push(plain('nothing holds the separator', 'serious', 'separator'));
    return found;
  }
  if (hungAt !== null) {
    found.push(plain('hangs, cannot be lifted', 'serious', 'separator'));
    return found;
  }
  const lifted = elevation.placed.filter(
    ({ part }) =>
      part === 'separator' || (carriesBlower && (part === 'blower' || part === 'motor')),
  );
  const top = Math.max(...lifted.map(({ z1 }) => z1));
  if (ceiling !== null && top <= ceiling) {
    found.push(...short('no room to lift', 'serious', 'separator', lid.lip, ceiling - top));
  }
  if (!carriesBlower && assembly.coupling.kind === 'rigid' && lid.lip > TOLERANCE) {
    found.push(plain('coupling holds', 'serious', 'coupling'));
  }
  const { offBin, byPeople } = assemblyMasses(parts);
  found.push(...short('heavy lift off the bin', 'caution', 'separator', offBin, byPeople, 'mass'));
  return found;
}

function joining(parts: CollectorParts, elevation: Elevation): Conflict[] {
  const found: Conflict[] = [];
  const coupling = elevation.joints.find(({ part }) => part === 'coupling');
  if (coupling && elevation.shaft === 'lying') {
    const { needed, length } = coupling;
    found.push(...short('coupling too short', 'serious', 'coupling', needed, length));
  }
  if (parts.assembly.mount.kind === 'attic' && coupling) {
    found.push(
      ...short('coupling too short', 'serious', 'coupling', coupling.needed, coupling.length),
    );
  }
  if (parts.assembly.filter.hungAt !== null && elevation.filterX !== null) {
    const { height } = elevation.sizes.filterBin;
    const { hungAt } = parts.assembly.filter;
    found.push(...short('filter bin too tall', 'serious', 'filterBin', height, hungAt));
  }
  return found;
}

/** What the blower hangs or stands on. */
function carrying(parts: CollectorParts, elevation: Elevation): Conflict[] {
  const { assembly } = parts;
  const { sizes } = elevation;
  const found: Conflict[] = [];
  const { blower, byPeople } = assemblyMasses(parts);
  if (assembly.mount.kind !== 'cart') {
    found.push(...short('heavy blower', 'caution', 'blower', blower, byPeople, 'mass'));
  }
  if (assembly.mount.kind === 'onSeparator' && elevation.shaft === 'lying') {
    found.push(plain('nothing to stand on', 'serious', 'blower'));
  }
  if (assembly.mount.kind !== 'wall') return found;
  const reach = sizes.blower.housing / 2;
  const load = bracketLoad(assembly.cleat, sizes.blower.weight, reach);
  found.push(
    ...short('cleat too short', 'caution', 'cleat', load.lengthWanted, assembly.cleat.length),
    ...short('screws draw out', 'serious', 'cleat', load.pull, load.pullBorne, 'force'),
    ...short('screws shear', 'serious', 'cleat', load.weight, load.weightBorne, 'force'),
  );
  return found;
}

/** What an enclosure has to hold with air around it. */
function boxed({ exhaust }: CollectorParts, elevation: Elevation): Conflict[] {
  if (exhaust.kind !== 'enclosure' || !exhaust.box) return [];
  const inside = elevation.placed.filter(({ part }) =>
    ['blower', 'motor', 'filter', 'filterBin'].includes(part),
  );
  const { length, width, height } = exhaust.box;
  const around = 2 * BOX_CLEARANCE;
  const high = Math.max(...inside.map(({ z1 }) => z1)) - Math.min(...inside.map(({ z0 }) => z0));
  const wide = Math.max(...inside.map(({ x1 }) => x1)) - Math.min(...inside.map(({ x0 }) => x0));
  const deep = Math.max(elevation.sizes.filter.diameter, elevation.sizes.blower.housing);
  return [
    ...short('box too small', 'serious', 'box', high + around, height),
    ...short('box too small', 'serious', 'box', wide + around, length),
    ...short('box too small', 'serious', 'box', deep + around, width),
  ];
}

function asideOfSizes(parts: CollectorParts): Conflict[] {
  const { assembly, blower, separator } = parts;
  const found: Conflict[] = [];
  if (assembly.blower.housing !== null) {
    found.push(
      ...short(
        'wheel in its housing',
        'serious',
        'blower',
        blower.wheelDiameter,
        assembly.blower.housing,
      ),
    );
  }
  if (separator.kind === 'none') return found;
  const order = chainOrder(parts);
  if (order === 'pushed') found.push(plain('chips pass the wheel', 'caution', 'blower'));
  if (order === 'pushed') return found;
  if (assembly.bin.shape === 'square') found.push(plain('flat sides', 'caution', 'bin'));
  if (assembly.bin.isLined) found.push(plain('liner sucked up', 'note', 'bin'));
  return found;
}
