import {
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from '../../collector/blower-classes';
import { breakerAtLeast, CONDUCTOR_MARGIN, fullLoadCurrent } from '../../collector/motor';
import { wiringCode } from '../../collector/plug';
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

/** A larger impeller, a faster one, a circuit that carries the motor, another blower, the candidates the shop has. */
export const blowerImprovements = (shop: Shop): Improvement[] => [
  ...impellers(shop),
  ...speeds(shop),
  ...circuits(shop),
  ...blowers(shop),
  ...candidates(shop),
];

/** A larger impeller than the blower's curve was taken with, of a size that its housing may take. */
function impellers({ collector: { blower } }: Shop): Improvement[] {
  const from = blower.wheelDiameter;
  const to = blower.measured.wheelDiameter * LARGER_WHEEL;
  if (from > to / ALREADY) return [];
  return [
    {
      id: 'impeller',
      work: { kind: 'impeller', from, to },
      change: (shop) => {
        shop.collector.blower.wheelDiameter = to;
        dropEstimatesOf(shop, 'blower');
      },
      buys: [{ item: 'impeller', quantity: 1, diameter: null }],
      price: null,
      hours: HOURS.impeller,
      changes: ['blower'],
    },
  ];
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

/** A circuit for a motor whose full-load current is above its breaker. */
function circuits({ collector: { blower }, shop: { units } }: Shop): Improvement[] {
  const code = wiringCode(blower.plug, blower.motor, units);
  const full = fullLoadCurrent(blower.motor, code).current;
  if (full <= blower.breaker) return [];
  const rating = breakerAtLeast(code === 'nec' ? full * CONDUCTOR_MARGIN : full);
  return [
    {
      id: 'circuit',
      work: { kind: 'circuit', rating },
      change: (shop) => {
        shop.collector.blower.breaker = rating;
      },
      buys: [{ item: 'circuit', quantity: 1, diameter: null }],
      price: null,
      hours: HOURS.circuit,
      changes: ['circuit'],
    },
  ];
}

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
