import { z } from 'zod';
import { MOST_SETS } from '../analysis/every-gate-set';
import { FRICTION_METHODS, JUNCTION_METHODS } from '../catalogue/ids';
import { BARE_ENTRY_LOSS } from '../collector/blower-classes';
import { LONGEST_CURVE_TEXT } from '../collector/curve-file';

const finite = z.number();

/**
 * A blower with nothing attached to its inlet, SI. What is left out is the separator's inlet diameter, a
 * plain pipe end, and what the shop's own filter takes at this flow.
 */
const bare = z.strictObject({
  flow: finite,
  inletDiameter: z.number().min(0.01).max(2).optional(),
  entryLoss: z.number().min(0).max(50).default(BARE_ENTRY_LOSS),
  /** Static pressure at the blower's outlet, Pa over the room. */
  outlet: z.number().min(0).max(50_000).optional(),
});

/** A blower's curve by any of the ways there are; it takes the place of the shop's own. */
const curve = z.discriminatedUnion('kind', [
  /** Text of a CSV file: flow, then pressure; `units` for what states none. */
  z.strictObject({
    kind: z.literal('csv'),
    text: z.string().max(LONGEST_CURVE_TEXT),
    units: z.enum(['us', 'metric']).default('metric'),
  }),
  /**
   * Two field tests at the blower's own inlet, in the shop's own air and at its speed, SI: the suction
   * with the inlet blocked, and what passes with it open and nothing attached.
   */
  z.strictObject({ kind: z.literal('tests'), blocked: finite, open: bare }),
  /** From the shop's wheel and speed, and the flow at no fan static pressure, m³/s. */
  z.strictObject({ kind: z.literal('estimate'), freeFlow: z.number().positive().max(50) }),
  /** The same from what the blower moves with nothing attached. */
  z.strictObject({ kind: z.literal('bare'), open: bare }),
]);

const side = z.number().positive().max(100);

/** A filter's media measured by its pleats or as a bag, m; takes the place of the shop's area. */
const filterArea = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('pleats'),
    depth: side,
    height: side,
    pleats: z.int().min(1).max(10_000),
  }),
  z.strictObject({ kind: z.literal('bag'), diameter: side, length: side }),
]);

/** A drop's way in as a tapered hood, by included angle in rad, instead of its own loss. */
const hood = z.strictObject({
  drop: z.string(),
  shape: z.enum(['round', 'rectangular']),
  angle: z.number().positive().max(Math.PI),
});

const reading = z.strictObject({ value: finite, uncertainty: z.number().min(0) });

/**
 * What may be asked about a shop. Everything is SI; what is left out is as the document has it.
 * `include` names the answers wanted beyond the solution itself.
 *
 * Served at /api/solve, a request has 1 MB, ten seconds with its waiting, and an answer of 20 MB; of what is wrong
 * with it twenty things are named.
 */
export const requestSchema = z.strictObject({
  shop: z.unknown(),
  /** Ids of runs whose gates stand open. */
  openGates: z.array(z.string()).max(2000).optional(),
  view: z.enum(['designed', 'found']).default('found'),
  /** Methods to compute by instead of the shop's own. */
  friction: z.enum(FRICTION_METHODS).optional(),
  junctions: z.enum(JUNCTION_METHODS).optional(),
  curve: curve.optional(),
  filterArea: filterArea.optional(),
  hoods: z.array(hood).max(500).default([]),
  include: z.array(z.enum(['load', 'findings', 'methods', 'gateSets', 'candidates'])).default([]),
  /** Fits the separator's coefficient to a drop read without it and with it. */
  separatorPair: z.strictObject({ drop: z.string(), without: reading, with: reading }).optional(),
});

export type SolveRequest = z.infer<typeof requestSchema>;

const met = z.strictObject({ value: finite, drawing: z.array(z.string()) });

/** Every set of drops the shop's rule lets draw at once, the worst of each drop and run kept. */
export const overSetsSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('evaluated'),
    sets: z.int().max(MOST_SETS),
    drops: z.array(z.strictObject({ drop: z.string(), least: met, margin: finite })),
    runs: z.array(
      z.strictObject({ run: z.string(), slowest: met, fastest: met, settles: met.nullable() }),
    ),
    unsolved: z.array(z.array(z.string())),
  }),
  z.strictObject({ kind: z.literal('too many sets'), sets: finite, most: finite }),
]);
