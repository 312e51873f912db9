import { circleArea } from '../../air/velocity-pressure';
import { openingResistance } from '../../collector/air-outdoors';
import { type Filter, filterResistance, workingLoading } from '../../collector/filter';
import { chainOrder } from '../../design/chain-order';
import { holeLeakage } from '../../duct/leakage';
import { DUCT_ENDS, EXIT_LOSS } from '../../fittings/weather-cap';
import { lossMethod } from '../../methods/loss-methods';
import type { Exhaust } from '../network';
import { separatorCoefficient } from './separator-segment';
import type { Setting } from './setting';

/**
 * What lies behind the blower, by the way its air goes: through a filter; outdoors by a duct and its
 * end, and back by an opening where one is known; into another room and back by an opening; or out of an enclosure by a return filter. Dust
 * loads the first filter the air meets; an enclosure's return filter, if that is its only one.
 */
export function exhaustOfShop(
  setting: Pick<Setting, 'shop' | 'view' | 'factors'>,
  density: number,
): Exhaust {
  const { shop, view, factors } = setting;
  const { exhaust, separator } = shop.collector;
  const order = chainOrder(shop.collector);
  const { filterLoading, pressureSide } = shop.condition;
  const isFound = view === 'found';
  const loading = isFound ? filterLoading.value : 1;
  // Behind a filter ahead of the blower there is no dust to blow out, nor a filter to blow past.
  const isAhead = order === 'cleanSide';
  const hole = isFound && !isAhead ? holeLeakage(pressureSide.area, density) * factors.leaks : 0;
  const through = (filter: Filter | null) =>
    filter ? filterResistance(filter, workingLoading(filter, loading)) * factors.filter : 0;
  const { kind } = exhaust;
  const pushed = order === 'pushed' ? separatorCoefficient(separator) * factors.separator : 0;
  const inSeparator = (pushed * density) / (2 * circleArea(separator.inletDiameter) ** 2);
  const plain = {
    kind,
    linear: 0,
    quadratic: inSeparator,
    separator: inSeparator,
    isAhead,
    duct: null,
    hole,
  };

  switch (exhaust.kind) {
    case 'filter':
      return { ...plain, linear: through(exhaust.filter) };
    case 'outdoors': {
      const { diameter, length, pipe, lossCoefficient, end, makeUp } = exhaust;
      const coefficient = lossCoefficient * factors.fittings + DUCT_ENDS[end].loss + EXIT_LOSS;
      const friction = lossMethod(shop.shop.rules.friction).pipe(pipe, length, factors.friction);
      const inDuct = (coefficient * density) / (2 * circleArea(diameter) ** 2);
      const back = makeUp === null ? 0 : openingResistance(makeUp, density);
      return {
        ...plain,
        quadratic: inSeparator + inDuct + back,
        duct: length > 0 ? { diameter, friction } : null,
      };
    }
    case 'room': {
      const quadratic = inSeparator + openingResistance(exhaust.opening, density);
      return { ...plain, linear: through(exhaust.filter), quadratic };
    }
    case 'enclosure': {
      const { area, velocity, pressure } = exhaust.returnFilter;
      const load = exhaust.filter ? 1 : loading;
      const back = (pressure / (velocity * area)) * load * factors.filter;
      return { ...plain, linear: through(exhaust.filter) + back };
    }
  }
}
