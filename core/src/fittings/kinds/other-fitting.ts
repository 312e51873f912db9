import { z } from 'zod';
import { id, name } from '../../document/atoms';
import { fittingKind } from './fitting-kind';

/** Whatever has a loss coefficient of its own, from its maker or measured. */
export const otherFitting = fittingKind(
  z.strictObject({
    kind: z.literal('other'),
    id,
    name: name.min(1),
    lossCoefficient: z.number().min(0).max(100),
    count: z.int().min(1).max(50),
  }),
  {
    name: 'Fitting',
    usual: (own) =>
      ({ kind: 'other', id: own, name: 'Fitting', lossCoefficient: 0.5, count: 1 }) as const,
    isBend: false,
    loss: ({ lossCoefficient, count }) => ({
      kind: 'coefficient',
      coefficient: lossCoefficient * count,
    }),
    straightBehind: () => null,
    pieces: 1,
    clamped: () => [],
    sources: null,
  },
);
