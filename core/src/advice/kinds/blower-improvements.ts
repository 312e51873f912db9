import { airAtSite } from '../../air/air-at-site';
import { PLUG_IDS, type PlugId } from '../../catalogue/ids';
import { scaleBlower } from '../../collector/blower';
import {
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from '../../collector/blower-classes';
import {
  breakerAtLeast,
  CONDUCTOR_MARGIN,
  fullLoadCurrent,
  type WiringCode,
} from '../../collector/motor';
import { PLUGS, plugCarries, plugSuits, wiringCode } from '../../collector/plug';
import { shaftPower } from '../../collector/shaft-power';
import { swapIn } from '../../design/edit-candidates';
import type { Candidate, Shop } from '../../design/schema';
import { dropEstimatesOf, type Improvement, type Purchase } from '../improvement';

/** Blowers of the next classes that are offered. */
const CLASSES_UP = 2;
/** Work, h: estimates. */
const HOURS = { blower: 6, impeller: 3, speed: 3, circuit: 1 };
/** How much larger an impeller may be that fits its housing, and how much faster one may turn; modelling estimates. */
const LARGER_WHEEL = 1.08;
const FASTER = 1.08;
/** A wheel that has grown by less than this, or is faster by less, is as it was. */
const ALREADY = 1.04;

/** A larger or a smaller impeller, a faster one, a circuit that carries the motor, another blower, the candidates the shop has. */
export const blowerImprovements = (shop: Shop): Improvement[] => [
  ...impellers(shop),
  ...speeds(shop),
  ...circuits(shop),
  ...blowers(shop),
  ...candidates(shop),
];

/**
 * A larger impeller than the blower's curve was taken with, of a size that its housing may take; and a smaller one, which
 * asks less of a motor that is overloaded with everything open.
 */
function impellers(shop: Shop): Improvement[] {
  const { wheelDiameter: from, measured } = shop.collector.blower;
  const larger = measured.wheelDiameter * LARGER_WHEEL;
  const smaller = from / LARGER_WHEEL;
  return [
    ...(from > larger / ALREADY ? [] : [impeller('impeller', from, larger)]),
    ...(mayBeOverloaded(shop) ? [impeller('smaller impeller', from, smaller)] : []),
  ];
}

const impeller = (
  kind: 'impeller' | 'smaller impeller',
  from: number,
  to: number,
): Improvement => ({
  id: kind,
  work: { kind, from, to },
  change: (shop) => {
    shop.collector.blower.wheelDiameter = to;
    dropEstimatesOf(shop, 'blower');
  },
  buys: [{ item: 'impeller', quantity: 1, diameter: null }],
  price: null,
  hours: HOURS.impeller,
  changes: ['blower'],
});

/** The blower asks more of its motor than its power at the end of its curve. */
function mayBeOverloaded(shop: Shop): boolean {
  const { curve, measured, speed, wheelDiameter, efficiency, motor } = shop.collector.blower;
  const { density } = airAtSite(shop.shop.site);
  const points = scaleBlower(curve, measured, { density, speed, wheelDiameter });
  return shaftPower(points.at(-1)?.flow ?? 0, points, efficiency) > motor.power;
}

/** The same wheel turned faster, by a drive or a pulley; how fast is safe is its maker's to say. */
function speeds({ collector: { blower } }: Shop): Improvement[] {
  const from = blower.speed;
  const to = blower.measured.speed * FASTER;
  if (from > to / ALREADY) return [];
  return [
    {
      id: 'faster',
      work: { kind: 'faster', from, to },
      change: (shop) => {
        shop.collector.blower.speed = to;
      },
      buys: [{ item: 'drive', quantity: 1, diameter: null }],
      price: null,
      hours: HOURS.speed,
      changes: ['blower'],
    },
  ];
}

/**
 * A circuit for a motor that its circuit does not carry, with a plug that suits both; or where only the plug does not
 * carry it, another one.
 */
function circuits({ collector: { blower }, shop: { units } }: Shop): Improvement[] {
  const { plug, motor, breaker } = blower;
  const code = wiringCode(plug, motor, units);
  const full = fullLoadCurrent(motor, code).current;
  const wanted = code === 'nec' ? full * CONDUCTOR_MARGIN : full;
  const isPlugFit = plug === null || isFitPlug(plug, motor, full);
  const fit = isPlugFit ? plug : fitPlug(code, motor, full);
  const isWithin = fit !== null && (PLUGS[fit].rating ?? 0) <= breaker;
  if (wanted <= breaker * ALIKE) {
    if (isPlugFit) return [];
    if (fit !== null && isWithin) return [plugTo(fit)];
  }
  const rating = breakerAtLeast(Math.max(wanted, fit === null ? 0 : (PLUGS[fit].rating ?? 0)));
  return [
    {
      id: 'circuit',
      work: { kind: 'circuit', rating },
      change: (shop) => {
        Object.assign(shop.collector.blower, { breaker: rating, plug: fit });
      },
      buys: [{ item: 'circuit', quantity: 1, diameter: null }],
      price: null,
      hours: HOURS.circuit,
      changes: ['circuit'],
    },
  ];
}

/** Currents this near are the same. */
const ALIKE = 1.001;

const isFitPlug = (id: PlugId, motor: Shop['collector']['blower']['motor'], full: number) =>
  plugSuits(id, motor) && full <= (plugCarries(id) ?? Number.POSITIVE_INFINITY) * ALIKE;

/** The smallest plug of a code that suits a motor and carries it; wired in, where none does. */
const fitPlug = (
  code: WiringCode,
  motor: Shop['collector']['blower']['motor'],
  full: number,
): PlugId =>
  PLUG_IDS.filter((id) => PLUGS[id].code === code && isFitPlug(id, motor, full)).sort(
    (a, b) => (PLUGS[a].rating ?? 0) - (PLUGS[b].rating ?? 0),
  )[0] ?? 'wired';

const plugTo = (to: PlugId): Improvement => ({
  id: 'plug',
  work: { kind: 'plug', to },
  change: (shop) => {
    shop.collector.blower.plug = to;
  },
  buys: [{ item: 'receptacle', quantity: 1, diameter: null }],
  price: null,
  hours: HOURS.circuit,
  changes: ['circuit'],
});

function blowers({ collector: { blower }, shop: { units } }: Shop): Improvement[] {
  const free = Math.max(...blower.curve.map(({ flow }) => flow));
  const stronger = BLOWER_CLASS_IDS.map((id) => ({ id, made: blowerOfClass(id, units) }))
    .filter(
      ({ made }) =>
        made.motor.power > blower.motor.power * 1.05 &&
        Math.max(...made.curve.map(({ flow }) => flow)) > 1.05 * free,
    )
    .sort((a, b) => a.made.motor.power - b.made.motor.power);
  return stronger.slice(0, CLASSES_UP).map(({ id, made }) => blowerUp(id, made, blower));
}

type Blower = Shop['collector']['blower'];

function blowerUp(
  id: BlowerClassId,
  made: ReturnType<typeof blowerOfClass>,
  before: Blower,
): Improvement {
  const needsCircuit = made.breaker > before.breaker || made.motor.voltage !== before.motor.voltage;
  return {
    id: `blower ${id}`,
    work: { kind: 'blower', to: id },
    change: (shop) => {
      const { inletElbow, trip } = shop.collector.blower;
      shop.collector.blower = { ...made, inletElbow, trip };
      dropEstimatesOf(shop, 'blower');
    },
    buys: [
      { item: 'blower', quantity: BLOWER_CLASSES[id].power, diameter: null },
      ...circuitIf(needsCircuit),
    ],
    price: null,
    hours: HOURS.blower,
    // A blower comes with the circuit it wants.
    changes: ['blower', 'circuit'],
  };
}

const circuitIf = (isNeeded: boolean): Purchase[] =>
  isNeeded ? [{ item: 'circuit', quantity: 1, diameter: null }] : [];

function candidates({ candidates: all, collector }: Shop): Improvement[] {
  return all.map((candidate): Improvement => {
    const { id, blower, cost } = candidate;
    const needsCircuit = blower.breaker > collector.blower.breaker;
    return {
      id: `candidate ${id}`,
      work: { kind: 'candidate', candidate: id },
      change: (shop) => swapIn(shop, id, 'Earlier collector'),
      buys: [...partsOf(candidate, collector), ...circuitIf(needsCircuit)],
      price: cost,
      hours: HOURS.blower,
      changes: ['blower', 'circuit', 'separator', 'filter'],
    };
  });
}

/** What a candidate has that the collector has not. */
function partsOf({ blower, separator, exhaust }: Candidate, now: Shop['collector']): Purchase[] {
  const isNew =
    blower.motor.power !== now.blower.motor.power ||
    blower.wheelDiameter !== now.blower.wheelDiameter ||
    JSON.stringify(blower.curve) !== JSON.stringify(now.blower.curve);
  const hasNewSeparator = separator.kind !== now.separator.kind && separator.kind !== 'none';
  const filter = exhaust.kind === 'outdoors' ? null : exhaust.filter;
  const before = now.exhaust.kind === 'outdoors' ? null : now.exhaust.filter;
  const buy = (item: Purchase['item'], quantity: number): Purchase => ({
    ...{ item, quantity, diameter: null },
  });
  return [
    ...(isNew ? [buy('blower', blower.motor.power)] : []),
    ...(hasNewSeparator ? [buy(separator.kind === 'baffle' ? 'baffle' : 'cyclone', 1)] : []),
    ...(filter && filter.area !== before?.area ? [buy('cartridge', 1)] : []),
  ];
}
