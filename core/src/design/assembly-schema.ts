import { z } from 'zod';
import { positive } from '../document/atoms';

/** A size in m; null: as such a part usually is, an estimate. */
const size = positive(20).nullable();
/** A mass in kg; null: as such a part usually is, an estimate. */
const mass = positive(2000).nullable();
/** Over the floor, m. */
const height = z.number().min(0).max(20);
/** A rigid joint or a hose, with its length along the centre, m. */
const joint = z.strictObject({
  kind: z.enum(['rigid', 'hose']),
  length: z.number().min(0).max(30),
});

/**
 * How a collector's parts stand: sizes, heights, what holds them, and how its bin comes free. The
 * air's own measures (inlet, wheel, media) are kept with the parts themselves.
 */
export const assembly = z.strictObject({
  /**
   * What the air meets after what. Pulled: separator, blower, filter. Pushed: blower, separator,
   * filter. Clean side: separator, filter, blower.
   */
  order: z.enum(['pulled', 'pushed', 'cleanSide']),
  bin: z.strictObject({
    shape: z.enum(['round', 'square']),
    diameter: size,
    height: size,
    /** Castors or blocks under it. */
    raised: z.number().min(0).max(2),
    weight: mass,
    isLined: z.boolean(),
  }),
  lid: z.strictObject({
    thickness: z.number().min(0).max(0.5),
    /** How far it reaches down over the bin's rim: what has to part to free the bin. */
    lip: z.number().min(0).max(0.5),
  }),
  /** Lower: the bin drops by so much, off a wedge or a foot lever. Lift: what stands on it is lifted. */
  emptying: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('lower'), travel: z.number().min(0).max(1) }),
    z.strictObject({ kind: z.literal('lift') }),
  ]),
  separator: z.strictObject({
    diameter: size,
    height: size,
    weight: mass,
    /** Its lid's underside, where something else than the bin holds it; null: it stands on the bin. */
    hungAt: height.nullable(),
  }),
  /** What leads from the first of separator and blower to the second. */
  coupling: joint,
  blower: z.strictObject({
    /** Across its housing, along its shaft without the motor, and the motor's length behind it. */
    housing: size,
    width: size,
    motorLength: size,
    weight: mass,
  }),
  /** What carries the blower; heights of its shaft, or of the deck under it. */
  mount: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('onSeparator') }),
    z.strictObject({ kind: z.literal('wall'), height }),
    z.strictObject({ kind: z.literal('cart'), height }),
    z.strictObject({ kind: z.literal('attic') }),
    z.strictObject({ kind: z.literal('nextRoom'), height }),
  ]),
  /** What a wall-hung blower's bracket is fastened to. */
  cleat: z.strictObject({
    length: positive(10),
    /** Between the stud centres. */
    studSpacing: positive(3),
    screws: z.int().min(1).max(40),
    screwDiameter: positive(0.05),
    /** Thread in the stud. */
    screwDepth: positive(0.3),
    /** Between the upper and the lower row of screws, or the bracket's foot. */
    rise: positive(3),
  }),
  /** What leads to the last part of the chain. */
  transition: joint,
  filter: z.strictObject({
    diameter: size,
    height: size,
    weight: mass,
    /** Its underside; null: it stands on its own bin. */
    hungAt: height.nullable(),
  }),
  filterBin: z.strictObject({ kind: z.enum(['none', 'bag', 'bin']), height: size }),
  /** At hand to lift. */
  people: z.int().min(1).max(6),
});
