import { z } from 'zod';
import { diameter, id, positive, when } from '../document/atoms';
import { recordType } from './record-type';

/** A field test of the blower: one gate drawn step by step, the air read at each. SI. */
export const fieldTestType = recordType(
  200,
  z.strictObject({
    id,
    at: when,
    density: positive(2),
    speed: positive(500),
    wheelDiameter: positive(3),
    /** Duct where the suction is read, m. */
    tapDiameter: diameter,
    /** Shares the two meters may be off by, 95 % of the time. */
    flowUncertainty: z.number().min(0).max(1),
    pressureUncertainty: z.number().min(0).max(1),
    steps: z
      .array(
        z.strictObject({
          id,
          flow: z.number().min(0).max(50),
          /** Suction at the blower's inlet; pressure at its outlet; suction ahead of the separator. */
          inlet: z.number().min(0).max(50_000),
          outlet: z.number().min(0).max(50_000).nullable(),
          ahead: z.number().min(0).max(50_000).nullable(),
        }),
      )
      .max(100),
  }),
  {
    7: ({ flowDoubt, pressureDoubt, ...rest }) => ({
      ...rest,
      flowUncertainty: flowDoubt,
      pressureUncertainty: pressureDoubt,
    }),
  },
);

export type FieldTest = z.infer<typeof fieldTestType.schema>;
