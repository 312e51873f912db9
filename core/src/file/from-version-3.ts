import { eachOf, type Json, within } from '../document/json-walk';
import type { Migration } from './migration';
import type { Renewal } from './renewal';

/**
 * Old defaults and what they became, written down here once and for all: a later change of the tables
 * must not change what this step does.
 */

/** Velocity heads by kind of separator. */
const HEADS: Readonly<Record<string, readonly [old: number, now: number]>> = {
  cyclone: [5, 3],
  baffle: [10, 9],
  lid: [6, 5],
};

const PERM = 0.3048 / 60;
/** Permeability of media, CFM/ft² at half an inch of water, and the loading each is seasoned to. */
const MEDIA: readonly (readonly [old: number, now: number, seasoned: number])[] = [
  [60, 30, 3],
  [30, 20, 1],
  [20, 10, 1],
  [18, 9, 1],
  [15, 8, 1],
];
const CLOTH = 'Cloth bag, 5 µm';

const INCH = 0.0254;
const CFM = 0.3048 ** 3 / 60;
const DENSITY = 1.2014;
const SHARES = [0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1];
const EXPONENT = 1.9;
/** rev/s, on American mains and others. */
const SPEEDS = [57.5, 47.5] as const;

/** A blower the library had: wheel and flow then; wheel, inlet, bare flow and efficiency now. */
interface OldBlower {
  readonly name: string;
  readonly wheel: number;
  readonly freeCfm: number;
  readonly now: {
    readonly name: string;
    readonly wheel: number;
    readonly inlet: number;
    readonly bareCfm: number;
    readonly efficiency: number;
  };
}

const blower = (
  name: string,
  [wheel, freeCfm]: readonly [number, number],
  [newWheel, inlet, bareCfm]: readonly [number, number, number],
  efficiency = 0.5,
  newName = name,
): OldBlower => ({
  name,
  wheel,
  freeCfm,
  now: { name: newName, wheel: newWheel, inlet, bareCfm, efficiency },
});

const BLOWERS: readonly OldBlower[] = [
  blower('½ hp (estimate)', [8, 380], [8, 4, 340]),
  blower('¾ hp (estimate)', [9, 520], [9.5, 4, 450]),
  blower('1 hp (estimate)', [10, 680], [11.25, 4, 570]),
  blower('1½ hp (estimate)', [11, 880], [11.75, 5, 820]),
  blower('2 hp (estimate)', [12, 1100], [12.5, 5, 950]),
  blower('2 hp, 12-in. wheel (estimate)', [12, 1050], [12.5, 5, 950], 0.5, '2 hp (estimate)'),
  blower('3 hp (estimate)', [14, 1500], [14, 6, 1250], 0.55),
  blower('5 hp (estimate)', [15.5, 2200], [15.5, 8, 1900], 0.55),
];

const shutOffOf = (wheel: number, speed: number) =>
  0.7 * DENSITY * (Math.PI * wheel * INCH * speed) ** 2;

const curveOf = (shutOff: number, free: number) =>
  SHARES.map((share) => ({ flow: share * free, pressure: shutOff * (1 - share ** EXPONENT) }));

/** The estimated curve through the flow a blower moves with its inlet open and nothing attached. */
function curveThroughBare(shutOff: number, flow: number, inlet: number) {
  const area = (Math.PI / 4) * (inlet * INCH) ** 2;
  const entry = (0.93 * DENSITY * (flow / area) ** 2) / 2;
  return curveOf(shutOff, flow / (1 - entry / shutOff) ** (1 / EXPONENT));
}

const isNear = (value: unknown, wanted: number): boolean =>
  typeof value === 'number' && Math.abs(value - wanted) <= 1e-9 * Math.max(1e-3, Math.abs(wanted));

const numbersOf = (value: unknown): Json =>
  typeof value === 'object' && value !== null ? (value as Json) : {};

const isAssumed = ({ origin }: Json) => numbersOf(origin).kind === 'assumed';

/** A separator whose loss is still the old default, with the new one; else null. */
function renewedSeparator(separator: Json): Json | null {
  const heads = HEADS[String(separator.kind)];
  if (!heads || !isAssumed(separator) || !isNear(separator.heads, heads[0])) return null;
  return { ...separator, heads: heads[1] };
}

const mediaBefore = (filter: Json) =>
  MEDIA.find(([old]) => isNear(filter.permeability, old * PERM));

/** A filter with what version 4 knows of it besides, its permeability renewed where it is the old default. */
function filterNow(filter: Json): Json {
  const known = mediaBefore(filter);
  const seasoned = known ? known[2] : filter.name === CLOTH ? 3 : 1;
  return known ? { ...filter, permeability: known[1] * PERM, seasoned } : { ...filter, seasoned };
}

/** The library's blower this one still is in every figure of its curve, and on which mains. */
function libraryBlower(own: Json): { readonly known: OldBlower; readonly speed: number } | null {
  const measured = numbersOf(own.measured);
  const { curve } = own;
  if (!Array.isArray(curve)) return null;
  for (const known of BLOWERS) {
    for (const speed of SPEEDS) {
      const free = known.freeCfm * CFM * (speed / SPEEDS[0]);
      const points = curveOf(shutOffOf(known.wheel, speed), free);
      const isSame =
        own.name === known.name &&
        isNear(own.speed, speed) &&
        isNear(own.wheelDiameter, known.wheel * INCH) &&
        isNear(measured.speed, speed) &&
        isNear(measured.wheelDiameter, known.wheel * INCH) &&
        curve.length === points.length &&
        points.every(({ flow, pressure }, i) => {
          const point = numbersOf(curve[i]);
          return isNear(point.flow, flow) && isNear(point.pressure, pressure);
        });
      if (isSame) return { known, speed };
    }
  }
  return null;
}

function renewedBlower(own: Json): Json | null {
  const found = libraryBlower(own);
  if (!found) return null;
  const { now } = found.known;
  const { speed } = found;
  const flow = now.bareCfm * CFM * (speed / SPEEDS[0]);
  const wheelDiameter = now.wheel * INCH;
  const efficiency = isNear(own.efficiency, 0.5) ? now.efficiency : own.efficiency;
  return {
    ...own,
    name: now.name,
    curve: curveThroughBare(shutOffOf(now.wheel, speed), flow, now.inlet),
    measured: { density: DENSITY, speed, wheelDiameter },
    speed,
    wheelDiameter,
    efficiency,
  };
}

/** What a collector and a candidate share. */
function parts(before: Json): Json {
  const own = within(before, 'separator', (separator) => renewedSeparator(separator) ?? separator);
  const blown = within(own, 'blower', (each) => renewedBlower(each) ?? each);
  return within(blown, 'exhaust', (exhaust) => within(exhaust, 'filter', filterNow));
}

function renewedIn(before: Json, candidate: string | null): Renewal[] {
  const found: Renewal[] = [];
  if (renewedSeparator(numbersOf(before.separator))) found.push({ kind: 'separator', candidate });
  if (mediaBefore(numbersOf(numbersOf(before.exhaust).filter))) {
    found.push({ kind: 'filter', candidate });
  }
  if (renewedBlower(numbersOf(before.blower))) found.push({ kind: 'blower', candidate });
  return found;
}

/** Estimates that shops did not confirm, renewed where they are still the program's own; what cloth is seasoned to. */
export const fromVersion3: Migration = {
  from: 3,
  what: 'what a filter is seasoned to; losses of separators, permeabilities of filters and curves of the library’s blowers that are still the old estimates become the new ones',
  migrate: (document) => eachOf(within(document, 'collector', parts), 'candidates', parts),
  renews: (document) => {
    const { candidates } = document;
    return [
      ...renewedIn(numbersOf(document.collector), null),
      ...(Array.isArray(candidates) ? candidates : []).flatMap((each) => {
        const candidate = numbersOf(each);
        return renewedIn(candidate, String(candidate.name ?? ''));
      }),
    ];
  },
};
