import { z } from 'zod';
import { ELBOW_STYLE_IDS, HOSE_IDS } from '../catalogue/ids';
import { diameter, id, name, pipe, point3, positive, share } from '../document/atoms';
import { joins } from '../fittings/joins/joins';
import { fitting } from '../fittings/kinds/fitting-kinds';

/** How a turn of a duct is made: of which elbow, or of two half as sharp with a spacer between, m. */
export const bendStyle = z.strictObject({
  elbow: z.enum(ELBOW_STYLE_IDS),
  radiusRatio: z.number().min(0.5).max(10),
  pair: z.number().min(0).max(20).nullable(),
});

/**
 * A point of the duct system. What meets here (elbow, wye, reducer) is derived; `style` keeps the
 * choices a person made about it.
 */
export const node = z.strictObject({
  id,
  kind: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('inlet') }),
    z.strictObject({ kind: z.literal('joint') }),
    z.strictObject({ kind: z.literal('port'), machine: id, port: id }),
  ]),
  at: point3.nullable(),
  style: z.strictObject({
    reducerAngle: positive(Math.PI).optional(),
    /** Of the turn a duct makes here. */
    bend: bendStyle.optional(),
  }),
});

export const hose = z.strictObject({
  kind: z.enum(HOSE_IDS),
  length: positive(100),
  diameter,
  /** Share of its stretched length it is short by. */
  compression: z.number().min(0).max(0.5),
});

export const gate = z.strictObject({
  /** How far it is drawn when open. */
  opening: z.number().gt(0).max(1),
  open: z.boolean(),
  /** Share of its area that stays open when shut. */
  closedGap: z.number().min(0).max(0.2),
  /** Which end of its run it sits at; upstream is towards the machine. */
  end: z.enum(['upstream', 'downstream']),
});

/** A point where a duct turns, and how. */
export const bend = z.strictObject({ id, at: point3, style: bendStyle });

/**
 * The way a duct takes between the places of its nodes. Length, elbows, the angle it joins at and the
 * hose's length follow from it: the first leg of a run with a hose is the hose, longer than the
 * straight line by `slack`.
 */
const route = z.strictObject({
  bends: z.array(bend).max(200),
  slack: share,
  /** Whether the figures follow the drawing; else those typed hold. */
  isFollowed: z.boolean(),
});

/** A duct from its upstream node (towards a machine) to its downstream node (towards the blower). */
export const run = z.strictObject({
  id,
  name: name.min(1),
  from: id,
  to: id,
  /** How its downstream end meets what it runs into. */
  joins,
  pipe,
  /** As drawn on the floor; null: not drawn, and what is typed holds. */
  route: route.nullable(),
  /** Centreline length of pipe, m; typed, or null to take it from the nodes' places. */
  length: z.number().min(0).max(500).nullable(),
  diameter,
  fittings: z.array(fitting).max(50),
  /** Joints of its pipe; null: as many as its length and fittings usually have. */
  joints: z.int().min(0).max(1000).nullable(),
  hose: hose.nullable(),
  gate: gate.nullable(),
});

/** True diameters of one end of a joint as a calliper showed them; joints are named by `jointsOf`. */
export const measuredEnd = z.strictObject({
  joint: z.string().min(1).max(200),
  side: z.enum(['upstream', 'downstream']),
  inside: diameter,
  outside: diameter,
});

/** What lies in the drawer to make joints with. */
const stock = z.strictObject({
  /** Thickness of the tape, m. */
  tape: positive(0.01),
  /** Lengths of the band clamps, m. */
  bands: z.array(positive(10)).max(50),
});

export const ducts = z.strictObject({
  nodes: z.array(node).max(2000),
  runs: z.array(run).max(2000),
  measuredEnds: z.array(measuredEnd).max(5000),
  stock,
});
