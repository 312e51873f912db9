import { z } from 'zod';
import { FRICTION_METHODS, JUNCTION_METHODS } from '../catalogue/ids';
import { PRICE_IDS } from '../catalogue/price-ids';
import {
  coordinate,
  diameter,
  id,
  name,
  note,
  origin,
  point2,
  point3,
  positive,
  share,
  size,
  turn,
  when,
} from '../document/atoms';
import { assembly } from './assembly-schema';
import { blower, dust, exhaust, type media, separator } from './collector-schema';
import {
  type bend,
  type bendStyle,
  ducts,
  type gate,
  type hose,
  type measuredEnd,
  type node,
  type run,
} from './duct-schema';
import { usualAdvice } from './usual-advice';
import { USUAL_KERF, usualBuild } from './usual-build';
import { DAY, USUAL_UPKEEP, usualUpkeep, WEEK } from './usual-upkeep';

/**
 * The design of a shop: what is drawn, solved and undone. Everything in SI. Identifiers are
 * stable; places are metres from the room's corner, z up from the floor.
 *
 * Three words are kept apart: what is *designed* (ducts, collector), what condition it is *found* in
 * (`condition`), and what was *measured*, which is no part of it (room `journal`).
 *
 * Each limit refuses what no shop can have, so that a slipped decimal point is named where it was
 * typed rather than met again as a strange answer.
 */

export const FORMAT = 'frank-gauge';
export const VERSION = 17;

const site = z.strictObject({
  elevation: z.number().min(-500).max(5000),
  temperature: z.number().min(233).max(323),
  humidity: share,
});

/** Which methods this shop follows. */
const rules = z.strictObject({
  junctions: z.enum(JUNCTION_METHODS),
  /** How duct, hose and fittings take pressure. */
  friction: z.enum(FRICTION_METHODS),
  /** Which drops may draw at once; the sets name drops by their nodes. */
  gates: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('one') }),
    z.strictObject({ kind: z.literal('atMost'), count: z.int().min(1).max(20) }),
    z.strictObject({
      kind: z.literal('chosen'),
      sets: z.array(z.array(id).min(1).max(500)).max(500),
    }),
  ]),
  /**
   * Drops that draw too little air by themselves to keep their mains moving, each with another whose gate is left open
   * with it; both by their nodes.
   */
  bleeds: z
    .array(z.strictObject({ drop: id, open: id }))
    .max(500)
    .default([]),
  /** m/s a drop must carry. */
  carryingVelocity: positive(60),
  /** m/s below which a main lets chips settle. */
  settlingVelocity: positive(60),
});

const head = z.strictObject({
  name: name.min(1),
  note,
  units: z.enum(['us', 'metric']),
  site,
  rules,
  money: z.strictObject({ currency: z.string().max(8) }),
});

/** A door or a window: which wall, from its start on, and how wide, m. */
const opening = z.strictObject({
  id,
  wall: z.int().min(0),
  along: coordinate,
  width: size(20),
});

const room = z.strictObject({
  outline: z.array(point2).max(200),
  ceilingHeight: z.number().min(0.1).max(30).nullable(),
  walls: z.array(z.strictObject({ studSpacing: z.number().min(0.05).max(3).nullable() })).max(200),
  doors: z.array(opening).max(100),
  windows: z.array(opening).max(100),
  posts: z.array(z.strictObject({ id, at: point2, width: size(3) })).max(100),
  /** Longest board that is worked here, m: what feeds have to clear. */
  boardLength: positive(20),
});

const need = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('flow'), flow: positive(20) }),
  z.strictObject({ kind: z.literal('velocity'), velocity: positive(100) }),
]);

const port = z.strictObject({
  id,
  name,
  /** In the machine's own axes, z over the floor, m; null: where such a machine usually has it. */
  at: point3.nullable(),
  diameter,
  need,
  /** Entry loss on the port's velocity pressure. */
  entryLoss: z.number().min(0).max(50),
  /** Hours a year its gate stands open; null: not known. */
  openTime: z.number().min(0).max(8784).nullable(),
  /** Whether ducts are to reach it, or a small collector of its own stands beside it. */
  servedBy: z.enum(['ducts', 'own collector']).default('ducts'),
});

const machine = z.strictObject({
  id,
  name: name.min(1),
  kind: z.string().min(1).max(64),
  place: point2.nullable(),
  /** Counter-clockwise, rad; 0: boards go along y. */
  turn,
  /** Across and along the way boards go, m; null: as such a machine usually is. */
  size: z.strictObject({ width: size(20), depth: size(20) }).nullable(),
  /** Room boards want ahead of it and behind, m; null: by its kind and the longest board. */
  feed: z
    .strictObject({ ahead: z.number().min(0).max(20), behind: z.number().min(0).max(20) })
    .nullable(),
  chips: z.enum(['fine', 'chips', 'long']),
  ports: z.array(port).min(1).max(8),
});

const collector = z.strictObject({
  separator,
  blower,
  exhaust,
  dust,
  assembly,
  place: point3.nullable(),
  /** Of its footprint, counter-clockwise, rad. */
  turn,
  /** Where the ducts arrive: from which side of it, and how high, m; null: where its parts have it. */
  inlet: z.strictObject({
    side: z.enum(['left', 'right', 'front', 'back']),
    height: z.number().min(0).max(20).nullable(),
  }),
});

/** Another collector for the same ducts, to be held against the one that stands there. */
const candidate = z.strictObject({
  id,
  name: name.min(1),
  separator,
  blower,
  exhaust,
  assembly,
  /** What changing to it costs, in the shop's money; null: not known. */
  cost: z.number().min(0).max(1e9).nullable(),
});

/** What of the model readings can correct: the loss of one part, all leakage, the blower's pressure, a hood's entry loss. */
const estimateOf = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['separator', 'filter', 'leaks', 'blower']) }),
  z.strictObject({ kind: z.literal('hood'), node: id }),
]);

/** What wear and leaks are believed, apart from the design. */
const condition = z.strictObject({
  /** Filter loading: 1 clean, 2–3 seasoned, 5–10 due. */
  filterLoading: z.strictObject({ value: z.number().min(1).max(100), origin }),
  /** Leakage class of runs: CFM per 100 ft² at 1 in. w.g. Runs not named are as `usual`. */
  sealing: z.strictObject({
    /** Of leakage by pressure: 0.65 for seams, 0.5 for openings, 1 for pores. */
    exponent: z.number().min(0.4).max(1),
    usual: z.number().min(0).max(1000),
    /** Of the usual class; absent: assumed. */
    origin: origin.optional(),
    runs: z.array(z.strictObject({ run: id, leakageClass: z.number().min(0).max(1000), origin })),
  }),
  /** Gap all around each joint, m, over and above the class's leakage. */
  joints: z.strictObject({
    usual: z.number().min(0).max(0.02),
    runs: z.array(z.strictObject({ run: id, gap: z.number().min(0).max(0.02), origin })),
  }),
  /** Openings between blower and filter, m², which blow dust into the shop. */
  pressureSide: z.strictObject({ area: z.number().min(0).max(1), origin }),
  /** Openings believed to stand in runs, m². */
  holes: z.array(z.strictObject({ run: id, area: z.number().min(0).max(1), origin })),
  /** Factors on what the model estimates, as readings have it; those not named are 1. */
  estimates: z
    .array(
      z.strictObject({
        of: estimateOf,
        factor: z.number().min(0.05).max(20),
        /** How far it may be off, as a share, 95 times in 100. */
        uncertainty: z.number().min(0).max(10),
        /** When the latest of the readings was taken. */
        on: when,
      }),
    )
    .max(600)
    .default([]),
});

/** How much something weighs: 0 nothing, 1 as usual. */
const weight = z.number().min(0).max(5);

/** What improvements are ranked by. */
const advice = z.strictObject({
  /** What may be spent, in the shop's money; null: not said. */
  budget: z.number().min(0).max(1e9).nullable(),
  weights: z.strictObject({
    /** Air at the drop that is furthest short. */
    worst: weight,
    /** How likely each drop is to get what it needs. */
    met: weight,
    money: weight,
    hours: weight,
    noise: weight,
    /** Fine dust: what the bin keeps from the filter, what the filter lets by, and what no hood catches. */
    dust: weight.default(1),
    /** Floor that the collector takes. */
    space: weight.default(1),
  }),
  /** What is out of the question in this house. */
  rules: z.strictObject({
    noNewCircuit: z.boolean(),
    noNewBlower: z.boolean(),
    /** Nothing may stand higher, m; null: as the ceiling has it. */
    highest: z.number().min(0.1).max(30).nullable(),
    /** The collector has to stay on casters. */
    onCasters: z.boolean().default(false),
  }),
  /** In the shop's money; what is not named is as estimated. */
  prices: z.partialRecord(z.enum(PRICE_IDS), z.number().min(0).max(1e7)),
});

/** An issue that whoever owns the shop has set aside. */
const setAside = z.strictObject({
  id,
  /** Which one, as `issueOf` names it. */
  issue: z.string().min(1).max(200),
  reason: z.string().min(1).max(1000),
  at: when,
});

/** Time between two of a kind, s. */
const interval = z
  .number()
  .min(DAY)
  .max(3650 * DAY);

/** Names of what has been ticked off. */
const ticks = z.array(z.string().min(1).max(200)).max(5000).default([]);

/** How far the building has come, and what it is cut from. */
const build = z.strictObject({
  /** Parts that are there already; pieces that are cut; joints that were fitted dry, and sealed. */
  owned: ticks,
  cut: ticks,
  fitted: ticks,
  sealed: ticks,
  /** Length pipe is bought in, m; null: as each kind is usually sold. */
  stockLength: z.number().min(0.3).max(12).nullable().default(null),
  /** What a cut takes of the length, m. */
  kerf: z.number().min(0).max(0.01).default(USUAL_KERF),
});

/** How much the shop runs, and how often it is looked after. */
const upkeep = z.strictObject({
  /** Time the blower runs in a week, s; null: nobody has said. */
  running: z.number().min(0).max(WEEK).nullable().default(null),
  /** Loose volume of chips over that of the wood they were. */
  bulking: z.number().min(1).max(30).default(USUAL_UPKEEP.bulking),
  /** Share of the bin at which it is emptied. */
  fullAt: z.number().min(0.05).max(1).default(USUAL_UPKEEP.fullAt),
  /** Between two rounds with the meter, and between two looks at gaskets and belts, s. */
  roundEvery: interval.default(USUAL_UPKEEP.roundEvery),
  checkEvery: interval.default(USUAL_UPKEEP.checkEvery),
  /** Between two cleanings of the filter, s, as long as nothing tells when it is due. */
  filterEvery: interval.default(USUAL_UPKEEP.filterEvery),
});

export const shopSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  id,
  shop: head,
  room,
  machines: z.array(machine).max(500),
  collector,
  candidates: z.array(candidate).max(3),
  ducts,
  condition,
  advice: advice.default(usualAdvice),
  setAside: z.array(setAside).max(500).default([]),
  build: build.default(usualBuild),
  upkeep: upkeep.default(usualUpkeep),
});

export type Shop = z.infer<typeof shopSchema>;
export type Room = z.infer<typeof room>;
export type Machine = z.infer<typeof machine>;
export type Port = z.infer<typeof port>;
export type Need = z.infer<typeof need>;
export type DuctNode = z.infer<typeof node>;
export type Run = z.infer<typeof run>;
export type Bend = z.infer<typeof bend>;
export type BendStyle = z.infer<typeof bendStyle>;
export type { Fitting } from '../fittings/kinds/fitting-kinds';
export type Hose = z.infer<typeof hose>;
export type Gate = z.infer<typeof gate>;
export type Blower = z.infer<typeof blower>;
export type Collector = z.infer<typeof collector>;
export type Candidate = z.infer<typeof candidate>;
export type Separator = Collector['separator'];
export type Exhaust = Collector['exhaust'];
export type Media = z.infer<typeof media>;
export type Estimate = Shop['condition']['estimates'][number];
export type Rules = z.infer<typeof rules>;
export type Assembly = z.infer<typeof assembly>;
export type MeasuredEnd = z.infer<typeof measuredEnd>;
