import type { DesignDifference } from '@frank-gauge/core/design';

const COLLECTOR = {
  separator: 'separator',
  blower: 'blower',
  exhaust: 'filter and exhaust',
  dust: 'dust',
  assembly: 'assembly',
  place: 'place',
  turn: 'direction',
  inlet: 'inlet',
};

/** What the members of each area are called. */
const MEMBERS: Readonly<Record<DesignDifference['area'], Readonly<Record<string, string>>>> = {
  shop: {
    name: 'name',
    note: 'note',
    units: 'units',
    site: 'elevation and air',
    rules: 'methods and gate combinations',
    money: 'currency',
  },
  room: {
    outline: 'outline',
    ceilingHeight: 'ceiling height',
    walls: 'studs',
    doors: 'doors',
    windows: 'windows',
    posts: 'posts',
    boardLength: 'longest board',
  },
  machine: {
    name: 'name',
    kind: 'kind',
    place: 'place',
    turn: 'direction',
    size: 'size',
    feed: 'room for boards',
    chips: 'chips',
    ports: 'ports and required airflow',
  },
  duct: {
    name: 'name',
    from: 'where it begins',
    to: 'where it leads',
    joins: 'how it joins',
    pipe: 'pipe',
    route: 'route',
    length: 'length',
    diameter: 'diameter',
    fittings: 'fittings',
    joints: 'joints',
    hose: 'flex hose',
    gate: 'blast gate',
  },
  junctions: {},
  joints: { measuredEnds: 'true diameters', stock: 'tape and bands' },
  collector: COLLECTOR,
  candidate: { ...COLLECTOR, name: 'name', cost: 'cost' },
  condition: {
    filterLoading: 'filter loading',
    sealing: 'leakage',
    joints: 'gaps at joints',
    pressureSide: 'leaks after the blower',
    holes: 'openings in ducts',
    estimates: 'what readings say of the estimates',
  },
  advice: { budget: 'budget', weights: 'what counts', rules: 'house rules', prices: 'prices' },
  issues: {},
  order: {},
};

const AREAS: Readonly<Record<DesignDifference['area'], string>> = {
  shop: 'The shop',
  room: 'The room',
  machine: 'Machine',
  duct: 'Duct',
  junctions: 'Where ducts meet',
  joints: 'Joints',
  collector: 'The collector',
  candidate: 'Collector to compare',
  condition: 'Wear and leaks',
  advice: 'Improve',
  issues: 'Issues set aside',
  order: 'The order of the lists',
};

/** What is said of a thing that only one of two designs has: of a shop and a file of it, and of a shop and its tray. */
const ONLY_IN = {
  file: { added: 'only in the file', removed: 'only here' },
  tray: { added: 'added', removed: 'removed' },
} as const;

/**
 * What two designs differ in, as a line: “Duct Main 2: length, fittings”.
 * @param second what the second design is
 */
export function differenceWords(
  { area, name, what, members }: DesignDifference,
  second: keyof typeof ONLY_IN = 'file',
): string {
  const thing = name === null ? AREAS[area] : `${AREAS[area]} ${name}`;
  if (what !== 'changed') return `${thing}: ${ONLY_IN[second][what]}`;
  if (members.length === 0) return thing;
  return `${thing}: ${members.map((member) => MEMBERS[area][member] ?? member).join(', ')}`;
}
