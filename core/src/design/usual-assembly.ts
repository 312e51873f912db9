import { toSI } from '../quantity/units';
import type { Assembly } from './schema';

/**
 * How a new collector stands until it is described: a bin on low castors that is lowered by a lever,
 * sizes as such parts usually have them. With a separator the blower stands on it; without one, on a cart.
 */
export const usualAssembly = (hasSeparator: boolean): Assembly => ({
  order: 'pulled',
  bin: {
    shape: 'round',
    diameter: null,
    height: null,
    raised: 0.05,
    weight: null,
    isLined: false,
  },
  lid: { thickness: 0.036, lip: 0.02 },
  emptying: { kind: 'lift' },
  separator: { diameter: null, height: null, weight: null, hungAt: null },
  coupling: { kind: 'hose', length: 0.3 },
  blower: { housing: null, width: null, motorLength: null, weight: null },
  mount: hasSeparator ? { kind: 'onSeparator' } : { kind: 'cart', height: 0.15 },
  cleat: {
    length: 0.6,
    studSpacing: toSI(16, 'in'),
    screws: 4,
    screwDiameter: 0.008,
    screwDepth: 0.05,
    rise: 0.3,
  },
  transition: { kind: 'rigid', length: 0.3 },
  filter: { diameter: null, height: null, weight: null, hungAt: null },
  filterBin: { kind: 'bin', height: null },
  people: 1,
});
