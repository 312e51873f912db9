import { circleArea } from '../../air/velocity-pressure';
import { openingResistance } from '../../collector/air-outdoors';
import { type Filter, filterResistance } from '../../collector/filter';
import { holeLeakage } from '../../duct/leakage';
import { DUCT_ENDS } from '../../fitting/weather-cap';
import type { Exhaust } from '../network';
import { pipeLaw } from './friction-by-school';
import type { Setting } from './setting';

/**
 * What lies behind the blower, by the way its air goes: through a filter; outdoors by a duct and its
 * end; into another room and back by an opening; or out of an enclosure by a return filter. Dust
 * loads the first filter the air meets; an enclosure's return filter, if that is its only one.
 */
export function exhaustOfShop(setting: Setting, density: number): Exhaust {
  const { shop, view, factors } = setting;
  const { exhaust } = shop.collector;
  const { filterLoading, pressureSide } = shop.condition;
  const isFound = view === 'found';
  const loading = isFound ? filterLoading.value : 1;
  const hole = isFound ? holeLeakage(pressureSide.area, density) * factors.leaks : 0;
  const through = (filter: Filter | null) =>
    filter ? filterResistance(filter, loading) * factors.filter : 0;
  const { kind } = exhaust;
  const plain = { kind, quadratic: 0, duct: null, hole };

  switch (exhaust.kind) {
    case 'filter':
      return { ...plain, linear: through(exhaust.filter) };
    case 'outdoors': {
      const { diameter, length, pipe, lossCoefficient, end } = exhaust;
      const heads = lossCoefficient * factors.fittings + DUCT_ENDS[end].loss;
      const friction = pipeLaw(pipe, length, shop.shop.rules.friction, factors.friction);
      return {
        kind,
        linear: 0,
        quadratic: (heads * density) / (2 * circleArea(diameter) ** 2),
        duct: length > 0 ? { diameter, friction } : null,
        hole,
      };
    }
    case 'room': {
      const quadratic = openingResistance(exhaust.opening, density);
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
