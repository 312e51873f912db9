import type { Origin } from '../../quantity/origin';
import type { QuantityKind } from '../../quantity/unit-system';
import { toSI } from '../../quantity/units';
import { LONG_HOSE } from '../../routing/layout-limits';

/** Where findings begin to speak. */
export interface Limit {
  readonly name: string;
  readonly value: number;
  readonly kind: QuantityKind;
  readonly origin: Origin;
}

export const LIMITS = {
  fastDuct: {
    name: 'Duct called too fast: noise, wear and loss',
    value: toSI(6000, 'fpm'),
    kind: 'velocity',
    origin: 'practice',
  },
  longHose: {
    name: 'Hose called long',
    value: LONG_HOSE,
    kind: 'length',
    origin: 'practice',
  },
  shortHose: {
    name: 'Hose a drop can hardly do without',
    value: toSI(2, 'ft'),
    kind: 'length',
    origin: 'practice',
  },
  headOn: {
    name: 'Legs of a symmetric Y called head-on, from this angle each',
    value: (75 * Math.PI) / 180,
    kind: 'angle',
    origin: 'practice',
  },
  leakyRun: {
    name: 'Leak of one run called large, of the blower’s flow',
    value: 0.05,
    kind: 'ratio',
    origin: 'estimate',
  },
  fastReturn: {
    name: 'Return filter of an enclosure called fast',
    value: toSI(300, 'fpm'),
    kind: 'velocity',
    origin: 'practice',
  },
  choked: {
    name: 'Blower called choked, of the flow where it makes most air power',
    value: 0.5,
    kind: 'ratio',
    origin: 'estimate',
  },
  runOut: {
    name: 'Blower called run out, of that flow',
    value: 1.4,
    kind: 'ratio',
    origin: 'estimate',
  },
  finesBy: {
    name: 'Finest dust let by above which a filter is called coarse',
    value: 0.5,
    kind: 'ratio',
    origin: 'practice',
  },
} as const satisfies Record<string, Limit>;
