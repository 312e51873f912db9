import { z } from 'zod';
import { ELBOW_STYLE_IDS } from '../../catalogue/ids';
import { id, positive } from '../../document/atoms';
import { elbowClamped } from '../elbow';
import { fittingKind } from './fitting-kind';

/** So many elbows alike. */
export const elbowKind = fittingKind(
  z.strictObject({
    kind: z.literal('elbow'),
    id,
    style: z.enum(ELBOW_STYLE_IDS),
    /** rad */
    angle: positive(Math.PI),
    radiusRatio: z.number().min(0.5).max(10),
    count: z.int().min(1).max(50),
    /** Straight duct to the next elbow or the inlet, m; null: enough. */
    after: z.number().min(0).max(100).nullable(),
  }),
  {
    name: 'Elbow',
    usual: (own) =>
      ({
        kind: 'elbow',
        id: own,
        style: 'fivePiece',
        angle: Math.PI / 2,
        radiusRatio: 1.5,
        count: 1,
        after: null,
      }) as const,
    isBend: true,
    loss: (elbow, where, method) => method.turn({ ...elbow, ...where }, 1),
    straightBehind: ({ after }) => after,
    pieces: 1,
    clamped: ({ style, angle, radiusRatio }) => elbowClamped(style, angle, radiusRatio),
    sources: null,
  },
);
