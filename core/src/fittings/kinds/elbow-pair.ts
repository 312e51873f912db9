import { z } from 'zod';
import { ELBOW_STYLE_IDS } from '../../catalogue/ids';
import { id } from '../../document/atoms';
import { elbowClamped } from '../elbow';
import { fittingKind } from './fitting-kind';

/** Two elbows of half a right angle with a straight spacer between. */
export const elbowPair = fittingKind(
  z.strictObject({
    kind: z.literal('pair'),
    id,
    style: z.enum(ELBOW_STYLE_IDS),
    radiusRatio: z.number().min(0.5).max(10),
    /** m */
    spacer: z.number().min(0).max(20),
    count: z.int().min(1).max(50),
  }),
  {
    name: 'Two 45s',
    usual: (own) =>
      ({
        kind: 'pair',
        id: own,
        style: 'fivePiece',
        radiusRatio: 1.5,
        spacer: 0.15,
        count: 1,
      }) as const,
    isBend: true,
    loss: (pair, where, method) => method.pair({ ...pair, ...where }, 1),
    straightBehind: () => null,
    pieces: 2,
    clamped: ({ style, radiusRatio }) => elbowClamped(style, Math.PI / 4, radiusRatio),
    sources: null,
  },
);
