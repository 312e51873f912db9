import { z } from 'zod';

/**
 * The shop document, version 2: the program's open format. Everything in SI. Identifiers are
 * stable; places are metres from the room's corner, z up from the floor.
 *
 * Three words are kept apart: what is *designed* (ducts, collector), what condition it is *found* in
 * (`condition`), and what was *measured* (`log`).
 *
 * Each limit refuses what no shop can have, so that a slipped decimal point is named where it was
 * typed rather than met again as a strange answer.
 */

export const FORMAT = 'frank-gauge';
export const VERSION = 2;

const id = z.string().min(1).max(64);
const name = z.string().max(200);
const note = z.string().max(10_000);
const positive = (most: number) => z.number().positive().max(most);
const share = z.number().min(0).max(1);
const diameter = z.number().min(0.01).max(2);
const when = z.iso.datetime({ offset: true });

const point2 = z.strictObject({ x: z.number(), y: z.number() });
const point3 = z.strictObject({ x: z.number(), y: z.number(), z: z.number() });

/** Where a believed value comes from. */
const origin = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('assumed') }),
  z.strictObject({ kind: z.literal('fitted'), on: when }),
]);

const site = z.strictObject({
  elevation: z.number().min(-500).max(5000),
  temperature: z.number().min(233).max(323),
  humidity: share,
});

/** Which schools this shop follows. */
const rules = z.strictObject({
  junctions: z.enum(['momentum', 'handbook']),
  /** How duct, hose and fittings take pressure. */
  friction: z.enum(['darcy', 'powerFit', 'equivalentFeet']),
  /** Which drops may draw at once; the sets name drops by their nodes. */
  gates: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('one') }),
    z.strictObject({ kind: z.literal('atMost'), count: z.int().min(1).max(20) }),
    z.strictObject({
      kind: z.literal('chosen'),
      sets: z.array(z.array(id).min(1).max(500)).max(500),
    }),
  ]),
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

const room = z.strictObject({
  outline: z.array(point2).max(200),
  ceilingHeight: positive(30).nullable(),
  walls: z.array(z.strictObject({ studSpacing: positive(3).nullable() })).max(200),
  doors: z.array(
    z.strictObject({ id, wall: z.int().min(0), along: z.number(), width: positive(20) }),
  ),
  posts: z.array(z.strictObject({ id, at: point2, width: positive(3) })),
});

const need = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('flow'), flow: positive(20) }),
  z.strictObject({ kind: z.literal('velocity'), velocity: positive(100) }),
]);

const port = z.strictObject({
  id,
  name,
  at: point3.nullable(),
  diameter,
  need,
  /** Entry loss on the port's velocity pressure. */
  entryLoss: z.number().min(0).max(50),
  /** Hours a year its gate stands open; null: not known. */
  openTime: z.number().min(0).max(8784).nullable(),
});

const machine = z.strictObject({
  id,
  name: name.min(1),
  kind: z.string().min(1).max(64),
  place: point2.nullable(),
  turn: z.number(),
  chips: z.enum(['fine', 'chips', 'long']),
  ports: z.array(port).min(1).max(8),
});

const curve = z
  .array(
    z.strictObject({ flow: z.number().min(0).max(50), pressure: z.number().min(0).max(50_000) }),
  )
  .min(2, 'a blower curve needs at least two points')
  .max(200)
  .superRefine((points, context) => {
    points.forEach((point, i) => {
      const before = points[i - 1];
      if (before && point.flow <= before.flow) {
        context.addIssue({
          code: 'custom',
          path: [i, 'flow'],
          message: `the curve's flow goes backward: point ${i + 1} has to lie beyond point ${i}`,
        });
      }
    });
  });

const blower = z.strictObject({
  name,
  curve,
  /** What the curve was measured at. */
  measured: z.strictObject({
    density: positive(2),
    speed: positive(500),
    wheelDiameter: positive(3),
  }),
  /** What runs here. */
  speed: positive(500),
  wheelDiameter: positive(3),
  efficiency: z.number().min(0.05).max(0.95),
  motor: z.strictObject({
    power: positive(100_000),
    voltage: z.number().min(50).max(1000),
    plateCurrent: positive(1000).nullable(),
  }),
  /** Rating of its breaker, A. */
  breaker: positive(1000),
  /** An elbow ahead of its inlet, with the straight duct between, m; null: none that is near. */
  inletElbow: z
    .strictObject({ radiusRatio: z.number().min(0.5).max(10), straight: z.number().min(0).max(50) })
    .nullable(),
});

const separator = z.strictObject({
  kind: z.enum(['none', 'cyclone', 'baffle', 'lid']),
  inletDiameter: diameter,
  /** Loss as velocity heads of its inlet, believed while no proportions are given. */
  heads: z.number().min(0).max(100),
  origin,
  /** A cyclone's own lengths, m, from which its loss and cut size follow. */
  proportions: z
    .strictObject({
      bodyDiameter: positive(5),
      inletHeight: positive(3),
      inletWidth: positive(3),
      outletDiameter: positive(3),
      bodyLength: positive(10),
      coneLength: positive(10),
    })
    .nullable(),
  /** Share of the dust by mass its bin gets. */
  caught: share,
});

/** What the machines make while they run: mass by time, kg/s, and its sizes by mass, m. */
const dust = z.strictObject({
  rate: z.number().min(0).max(1),
  median: z.number().min(1e-7).max(0.05),
  /** Geometric standard deviation. */
  spread: z.number().min(1).max(20),
});

const media = z.strictObject({
  name,
  area: positive(1000),
  permeability: positive(10),
  /** Minimum efficiency reporting value; null: not known. */
  grade: z.literal([8, 11, 13, 14, 15, 16]).nullable(),
});

/** What heating the air that leaves costs by: outdoors in K, and hours it runs in a season. */
const heating = z.strictObject({
  outdoors: z.number().min(200).max(320),
  hours: z.number().min(0).max(8784),
});

const pipe = z.enum([
  'galvanised',
  'snapLock',
  'spiralMetric',
  'drain',
  'sewer',
  'schedule40',
  'ventilation',
  'aluminium',
  'average',
]);

/** Where the air goes behind the blower. */
const exhaust = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('filter'), filter: media }),
  z.strictObject({
    kind: z.literal('outdoors'),
    diameter,
    length: z.number().min(0).max(200),
    pipe,
    /** Its elbows and other fittings together, on its velocity pressure. */
    lossCoefficient: z.number().min(0).max(100),
    end: z.enum(['open', 'cap', 'lowCap', 'flap', 'louvre']),
    heating: heating.nullable(),
  }),
  /** Into another room, through a filter or none there, and back through an opening, m². */
  z.strictObject({ kind: z.literal('room'), filter: media.nullable(), opening: positive(100) }),
  /** Blower and filter in a box that the air leaves through a return filter. */
  z.strictObject({
    kind: z.literal('enclosure'),
    filter: media.nullable(),
    /** Face area, m², and the pressure in Pa it takes at a face velocity in m/s, clean. */
    returnFilter: z.strictObject({
      area: positive(100),
      velocity: positive(10),
      pressure: positive(2000),
    }),
  }),
]);

const collector = z.strictObject({
  separator,
  blower,
  exhaust,
  dust,
  place: point3.nullable(),
});

/** Another collector for the same ducts, to be held against the one that stands there. */
const candidate = z.strictObject({
  id,
  name: name.min(1),
  separator,
  blower,
  exhaust,
  /** What changing to it costs, in the shop's money; null: not known. */
  cost: z.number().min(0).max(1e9).nullable(),
});

/**
 * A point of the duct system. What meets here (elbow, wye, reducer) is derived; `style` keeps the
 * choices a person made about it.
 */
const node = z.strictObject({
  id,
  kind: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('inlet') }),
    z.strictObject({ kind: z.literal('joint') }),
    z.strictObject({ kind: z.literal('port'), machine: id, port: id }),
  ]),
  at: point3.nullable(),
  style: z.strictObject({ reducerAngle: positive(Math.PI).optional() }),
});

const ELBOWS = ['smooth', 'fivePiece', 'fourPiece', 'threePiece', 'drain', 'mitred'] as const;

const fitting = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('elbow'),
    id,
    style: z.enum(ELBOWS),
    angle: positive(Math.PI),
    radiusRatio: z.number().min(0.5).max(10),
    count: z.int().min(1).max(50),
    /** Straight duct to the next elbow or the inlet, m; null: enough. */
    after: z.number().min(0).max(100).nullable(),
  }),
  /** Two elbows of half a right angle with a straight spacer between, m. */
  z.strictObject({
    kind: z.literal('pair'),
    id,
    style: z.enum(ELBOWS),
    radiusRatio: z.number().min(0.5).max(10),
    spacer: z.number().min(0).max(20),
    count: z.int().min(1).max(50),
  }),
  z.strictObject({
    kind: z.literal('other'),
    id,
    name: name.min(1),
    lossCoefficient: z.number().min(0).max(100),
    count: z.int().min(1).max(50),
  }),
]);

const hose = z.strictObject({
  kind: z.enum(['ribbed', 'smooth']),
  length: positive(100),
  diameter,
  /** Share of its stretched length it is short by. */
  compression: z.number().min(0).max(0.5),
});

const gate = z.strictObject({
  /** How far it is drawn when open. */
  opening: z.number().gt(0).max(1),
  open: z.boolean(),
  /** Share of its area that stays open when shut. */
  closedGap: z.number().min(0).max(0.2),
  /** Which end of its run it sits at; upstream is towards the machine. */
  end: z.enum(['upstream', 'downstream']),
});

/** A duct from its upstream node (towards a machine) to its downstream node (towards the blower). */
const run = z.strictObject({
  id,
  name: name.min(1),
  from: id,
  to: id,
  /** How its downstream end meets what it runs into. */
  joins: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('straight') }),
    z.strictObject({ kind: z.literal('branch'), angle: positive(Math.PI) }),
  ]),
  pipe,
  /** Centreline length of pipe, m; typed, or null to take it from the nodes' places. */
  length: z.number().min(0).max(500).nullable(),
  diameter,
  fittings: z.array(fitting).max(50),
  /** Joints of its pipe; null: as many as its length and fittings usually have. */
  joints: z.int().min(0).max(1000).nullable(),
  hose: hose.nullable(),
  gate: gate.nullable(),
});

const ducts = z.strictObject({
  nodes: z.array(node).max(2000),
  runs: z.array(run).max(2000),
});

/** What wear and leaks are believed, apart from the design. */
const condition = z.strictObject({
  /** Filter loading: 1 clean, 2–3 seasoned, 5–10 due. */
  filterLoading: z.strictObject({ value: z.number().min(1).max(100), origin }),
  /** Leakage class of runs: CFM per 100 ft² at 1 in. w.g. Runs not named are as `usual`. */
  sealing: z.strictObject({
    /** Of leakage by pressure: 0.65 for seams, 0.5 for openings, 1 for pores. */
    exponent: z.number().min(0.4).max(1),
    usual: z.number().min(0).max(1000),
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
});

const instrument = z.strictObject({
  id,
  name: name.min(1),
  kind: z.enum(['vane', 'pitot', 'manometer', 'other']),
  /** Share of the reading it may be off by, 95 % of the time. */
  accuracy: z.number().min(0).max(1),
});

/** One value as it was read: a number, or that the meter stopped at its range's end. */
const taken = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('value'), value: z.number().min(0).max(1000) }),
  z.strictObject({ kind: z.literal('over'), limit: positive(1000) }),
]);

const reading = z.strictObject({
  id,
  at: when,
  /** Node of the port it was taken at, and its name then: the drop may be gone since. */
  node: id,
  place: name,
  instrument: id,
  quantity: z.enum(['velocity', 'flow']),
  /** Where in the pipe: at the centre, or an average across it. */
  spot: z.enum(['centre', 'average']),
  /** True inside diameter at the meter, m. */
  diameter,
  /** Repeats, m/s or m³/s. */
  taken: z.array(taken).min(1).max(100),
  /** The unit it was read in, to show it as it was. */
  unit: z.string().max(16),
  /** Runs whose gates stood open. */
  openGates: z.array(id),
  note,
});

const event = z.strictObject({
  id,
  at: when,
  kind: z.enum(['cleaned', 'emptied', 'sealed', 'changed']),
  note,
  cost: z.number().min(0).nullable(),
});

const log = z.strictObject({
  instruments: z.array(instrument),
  readings: z.array(reading).max(200_000),
  events: z.array(event),
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
  log,
});

export type Shop = z.infer<typeof shopSchema>;
export type Machine = z.infer<typeof machine>;
export type Port = z.infer<typeof port>;
export type Need = z.infer<typeof need>;
export type DuctNode = z.infer<typeof node>;
export type Run = z.infer<typeof run>;
export type Fitting = z.infer<typeof fitting>;
export type Hose = z.infer<typeof hose>;
export type Gate = z.infer<typeof gate>;
export type Collector = z.infer<typeof collector>;
export type Candidate = z.infer<typeof candidate>;
export type Separator = Collector['separator'];
export type Exhaust = Collector['exhaust'];
export type Media = z.infer<typeof media>;
export type Rules = z.infer<typeof rules>;
export type Reading = z.infer<typeof reading>;
export type Taken = z.infer<typeof taken>;
export type Instrument = z.infer<typeof instrument>;
