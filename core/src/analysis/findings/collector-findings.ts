import { SAFE_DEPRESSION } from '../../collector/air-outdoors';
import { PLUGS } from '../../collector/plug';
import type { Shop } from '../../design/schema';
import { CLEAR_DIAMETERS } from '../../fittings/close-elbows';
import { inletElbowOf, SEPARATOR_RUN } from '../../network/assemble/separator-segment';
import type { View } from '../../network/assemble/setting';
import type { ShopSolution } from '../../network/solve-shop';
import { type CollectorLoad, collectorLoad } from '../collector-load';
import { enclosureLoad } from '../enclosure-load';
import type { CollectorPart, Finding } from './finding';
import { LIMITS } from './limits';

const at = (part: CollectorPart) => ({ kind: 'collector', part }) as const;

/** What is to be said of blower, motor, circuit, filter and exhaust at their operating point. */
export function collectorFindings(shop: Shop, solution: ShopSolution, view: View): Finding[] {
  const load = collectorLoad(shop, solution, view);
  return [
    ...inletFindings(shop, solution),
    ...motorFindings(shop, load),
    ...filterFindings(shop, solution, load),
    ...pressureSideFindings(solution),
    ...curveFindings(solution, load),
  ];
}

function inletFindings(shop: Shop, solution: ShopSolution): Finding[] {
  const elbow = inletElbowOf(shop, solution.tree);
  const wanted = CLEAR_DIAMETERS * shop.collector.separator.inletDiameter;
  if (!elbow || elbow.straight >= wanted) return [];
  const parts = solution.airIn.get(SEPARATOR_RUN)?.flatMap((segment) => segment.parts) ?? [];
  const loss = parts.find(({ kind }) => kind === 'inlet')?.loss ?? 0;
  return [
    {
      kind: 'elbow at the inlet',
      severity: 'caution',
      where: at('inlet'),
      numbers: { straight: elbow.straight, wanted, loss },
      remedy: { kind: 'straight ahead of the inlet', length: wanted },
    },
  ];
}

function motorFindings(shop: Shop, load: CollectorLoad): Finding[] {
  const found: Finding[] = [];
  const { fullLoadCurrent: fullLoad, circuit, current } = load;
  const { breaker, conductors, largestBreaker } = circuit;
  if (circuit.isSmall) {
    found.push({
      kind: 'small circuit',
      severity: 'serious',
      where: at('motor'),
      numbers: { breaker, wanted: conductors, fullLoad, largest: largestBreaker },
      remedy: { kind: 'larger circuit', rating: conductors },
    });
  }
  if (circuit.isBreakerLarge && largestBreaker !== null) {
    found.push({
      kind: 'large breaker',
      severity: 'caution',
      where: at('motor'),
      numbers: { breaker, largest: largestBreaker, fullLoad },
      remedy: null,
    });
  }
  found.push(...plugFindings(shop, load));
  if (load.isOverloaded) {
    found.push({
      kind: 'overloaded motor',
      severity: 'serious',
      where: at('motor'),
      numbers: {
        power: load.shaftPower,
        rated: shop.collector.blower.motor.power,
        current,
        plate: fullLoad,
      },
      remedy: { kind: 'shut a gate' },
    });
  }
  return found;
}

/** Between motor and circuit: the plug, and the moment of starting. */
function plugFindings({ collector }: Shop, load: CollectorLoad): Finding[] {
  const where = at('motor');
  const found: Finding[] = [];
  const { plug, motor } = collector.blower;
  const { fullLoadCurrent: fullLoad, plugCarries: carries, startCurrent: start } = load;
  const volts = plug && PLUGS[plug].volts;
  if (load.isPlugWrong && volts) {
    const numbers = { plug: volts, motor: motor.voltage };
    const kind = 'plug of another voltage';
    found.push({ kind, severity: 'serious', where, numbers, remedy: null });
  } else if (carries !== null && fullLoad > carries * 1.001) {
    const numbers = { carries, fullLoad };
    found.push({ kind: 'small plug', severity: 'serious', where, numbers, remedy: null });
  }
  if (start > load.startLimit) {
    const numbers = { start, least: load.startLimit };
    found.push({ kind: 'hard start', severity: 'caution', where, numbers, remedy: null });
  }
  return found;
}

function filterFindings(shop: Shop, solution: ShopSolution, load: CollectorLoad): Finding[] {
  const { blower } = solution;
  const { exhaust } = shop.collector;
  const { filter, outdoors, room } = load;
  const found: Finding[] = [];
  if (filter && filter.faceVelocity > filter.comfortable) {
    const { faceVelocity, comfortable } = filter;
    found.push({
      kind: 'small filter',
      severity: 'caution',
      where: at('filter'),
      numbers: { faceVelocity, comfortable },
      remedy: { kind: 'larger filter', area: (blower.flow - blower.outletLeak) / comfortable },
    });
  }
  if (filter && filter.loading >= filter.dueLoading && filter.pressure > filter.cleanPressure) {
    const { loading, pressure, dueLoading: due } = filter;
    found.push({
      kind: 'filter due',
      severity: 'caution',
      where: at('filter'),
      numbers: { loading, due, pressure, clean: filter.cleanPressure },
      remedy: { kind: 'clean the filter' },
    });
  }
  const letBy = filter?.letBy?.[0] ?? 0;
  if (exhaust.kind !== 'room' && letBy > LIMITS.finesBy.value) {
    found.push({
      kind: 'coarse filter',
      severity: 'caution',
      where: at('filter'),
      numbers: { letBy },
      remedy: { kind: 'finer filter' },
    });
  }
  const enclosure = enclosureLoad(shop.collector, solution);
  if (enclosure?.isReturnFast) {
    found.push({
      kind: 'fast return',
      severity: 'caution',
      where: at('exhaust'),
      numbers: { faceVelocity: enclosure.returnVelocity, limit: LIMITS.fastReturn.value },
      remedy: { kind: 'larger filter', area: enclosure.areaWanted },
    });
  }
  if (room && room.depression > SAFE_DEPRESSION) {
    found.push({
      kind: 'small way back',
      severity: 'caution',
      where: at('exhaust'),
      numbers: { depression: room.depression, limit: SAFE_DEPRESSION },
      remedy: { kind: 'larger way back', area: room.opening },
    });
  }
  if (outdoors) {
    const { opening, heat } = outdoors;
    const isKnown = room !== null;
    found.push({
      kind: 'air leaves the building',
      severity: isKnown ? 'note' : 'caution',
      where: at('exhaust'),
      numbers: { flow: blower.flow, opening, heat },
      remedy: isKnown ? null : { kind: 'let air in' },
    });
  }
  return found;
}

function pressureSideFindings({ blower: { outletLeak } }: ShopSolution): Finding[] {
  if (!(outletLeak > 0)) return [];
  const where = at('exhaust');
  const remedy = { kind: 'seal' } as const;
  const numbers = { leak: outletLeak };
  return [{ kind: 'pressure-side leak', severity: 'serious', where, numbers, remedy }];
}

function curveFindings({ blower }: ShopSolution, { bestFlow: best }: CollectorLoad): Finding[] {
  const found: Finding[] = [];
  const { flow, operatingPoints } = blower;
  const where = at('blower');
  if (flow > 0 && flow < LIMITS.choked.value * best) {
    const numbers = { flow, best };
    found.push({ kind: 'choked blower', severity: 'note', where, numbers, remedy: null });
  }
  if (flow > LIMITS.runOut.value * best) {
    const numbers = { flow, best };
    const remedy = { kind: 'shut a gate' } as const;
    found.push({ kind: 'run-out blower', severity: 'note', where, numbers, remedy });
  }
  // The last stable one is where it runs.
  const other = operatingPoints.filter(({ isStable }) => isStable).at(-2);
  if (other) {
    found.push({
      kind: 'several operating points',
      severity: 'caution',
      where,
      numbers: { flow, other: other.flow },
      remedy: { kind: 'open another gate' },
    });
  }
  return found;
}
