import type { Part, PartLine } from '@frank-gauge/core/build';
import { HOSES, PIPES } from '@frank-gauge/core/catalogue';
import { formatQuantity, formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import { rulerLength } from './tape-length';

const degrees = (angle: number) => `${Math.round((angle * 180) / Math.PI)}°`;

/** What a part is asked for at the counter. */
export function partName(part: Part, system: UnitSystem): string {
  const wide = (diameter: number) => formatShort(diameter, 'diameter', system);
  switch (part.kind) {
    case 'pipe':
      return `${PIPES[part.pipe].name}, ${wide(part.diameter)}, lengths of ${formatQuantity(part.stock, 'length', system)}`;
    case 'elbow':
      return `Elbow, ${degrees(part.angle)}, ${wide(part.diameter)}, ${PIPES[part.pipe].name}`;
    case 'wye':
      return `Wye, ${wide(part.main)} with a branch of ${wide(part.diameter)} at ${degrees(part.angle)}, ${PIPES[part.pipe].name}`;
    case 'Y':
      return `Y, two legs of ${wide(part.diameter)} at ${degrees(part.angle)} each into ${wide(part.main)}, ${PIPES[part.pipe].name}`;
    case 'reducer':
      return `Reducer, ${wide(part.from)} to ${wide(part.to)}`;
    case 'coupling':
      return `Coupling, ${wide(part.diameter)}`;
    case 'adapter':
      return `Adapter between ends of ${wide(part.diameter)}, by their true diameters`;
    case 'gate':
      return `Blast gate, ${wide(part.diameter)}`;
    case 'clamp':
      return `Hose clamp, ${wide(part.diameter)}`;
    case 'hose':
      return `Hose, ${HOSES[part.hose].name.toLowerCase()}, ${wide(part.diameter)}`;
    case 'collectorPipe':
      return `Rigid pipe from part to part of the collector, ${wide(part.diameter)}`;
    case 'pipeOutdoors':
      return `Pipe to the outdoors, ${wide(part.diameter)}, ${PIPES[part.pipe].name}`;
    case 'hanger':
      return 'Hanger';
    case 'strap':
      return 'Strap, where pipe climbs';
    case 'screw':
      return 'Sheet-metal screw';
    case 'tape':
      return 'Foil tape';
    case 'silicone':
      return 'Silicone, along the seams of adjustable elbows';
    case 'gasket':
      return part.thickness === null
        ? 'Gasket, for bin and filter'
        : `Gasket, ${rulerLength(part.thickness, system)} thick`;
  }
}

const MEASURED: ReadonlySet<Part['kind']> = new Set([
  ...(['collectorPipe', 'pipeOutdoors', 'hose', 'tape', 'silicone', 'gasket'] as const),
]);

/** How many pieces, or how long. */
export const partQuantity = ({ part, quantity }: PartLine, system: UnitSystem): string =>
  MEASURED.has(part.kind) ? formatQuantity(quantity, 'length', system) : `${Math.round(quantity)}`;
