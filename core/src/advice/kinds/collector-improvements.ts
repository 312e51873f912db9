import {
  BLOWER_CLASS_IDS,
  BLOWER_CLASSES,
  type BlowerClassId,
  blowerOfClass,
} from '../../collector/blower-classes';
import { filterResistance, MEDIA, workingLoading } from '../../collector/filter';
import { SEPARATORS } from '../../collector/separator';
import { swapIn } from '../../design/edit-candidates';
import type { Candidate, Shop } from '../../design/schema';
import type { Improvement, Purchase } from '../improvement';

/** A filter is worth cleaning from so many times its cleaned resistance on. */
const DIRTY = 1.15;
/** A cartridge is offered where it takes less than this share of what the filter takes cleaned. */
const WORTH_CHANGING = 0.8;
/** Blowers of the next classes that are offered. */
const CLASSES_UP = 2;
/** Work, h: estimates. */
const HOURS = { cleaning: 0.75, cartridge: 1.5, separator: 6, blower: 6 };

/** Filter cleaned or replaced, another separator or blower, and the candidates the shop has. */
export function collectorImprovements(shop: Shop): Improvement[] {
  return [...filterImprovements(shop), ...separators(shop), ...blowers(shop), ...candidates(shop)];
}

function filterImprovements({ collector: { exhaust }, condition }: Shop): Improvement[] {
  if (exhaust.kind === 'outdoors' || !exhaust.filter) return [];
  const { filter } = exhaust;
  const loading = condition.filterLoading.value;
  const isDirty = workingLoading(filter, loading) > DIRTY * workingLoading(filter, 1);
  const cleaned = filterResistance(filter, workingLoading(filter, 1));
  const cartridges = [1, 2].flatMap((count): Improvement[] => {
    const { name, permeability, seasoned, usualArea } = MEDIA.nanofibre;
    const area = count * usualArea;
    const media = { name, permeability, seasoned, area, grade: 15 as const };
    if (filterResistance(media, seasoned) > WORTH_CHANGING * cleaned) return [];
    return [
      {
        id: `cartridge ${count}`,
        work: { kind: 'cartridge', area },
        change: (changed) => {
          const { exhaust: own } = changed.collector;
          if (own.kind === 'outdoors') return;
          own.filter = media;
          changed.condition.filterLoading = { value: 1, origin: { kind: 'assumed' } };
        },
        buys: [{ item: 'cartridge', quantity: count, diameter: null }],
        price: null,
        hours: HOURS.cartridge,
        changes: ['filter'],
      },
    ];
  });
  return [...(isDirty ? [cleaning] : []), ...cartridges];
}

const cleaning: Improvement = {
  id: 'clean the filter',
  work: { kind: 'clean the filter' },
  change: ({ condition }) => {
    condition.filterLoading = { value: 1, origin: { kind: 'assumed' } };
  },
  buys: [],
  price: null,
  hours: HOURS.cleaning,
  changes: ['filter'],
};

/** A cyclone for what takes more: nothing is offered that would let more dust into the filter. */
function separators({ collector }: Shop): Improvement[] {
  const { kind } = collector.separator;
  if (kind !== 'baffle' && kind !== 'lid') return [];
  const { lossCoefficient, caught } = SEPARATORS.cyclone;
  return [
    {
      id: 'separator cyclone',
      work: { kind: 'separator', to: 'cyclone' },
      change: (shop) => {
        Object.assign(shop.collector.separator, {
          ...{ kind: 'cyclone', lossCoefficient, caught, proportions: null },
          origin: { kind: 'assumed' },
        });
        dropEstimatesOf(shop, 'separator');
      },
      buys: [{ item: 'cyclone', quantity: 1, diameter: null }],
      price: null,
      hours: HOURS.separator,
      changes: ['separator'],
    },
  ];
}

/** What readings say of a part they say of the one that was read. */
function dropEstimatesOf({ condition }: Shop, part: 'separator' | 'blower'): void {
  condition.estimates = condition.estimates.filter(({ of }) => of.kind !== part);
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
    changes: ['blower'],
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
      changes: ['blower', 'separator', 'filter'],
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
