import { z } from 'zod';
import { DUCT_END_IDS, GRADE_IDS, PLUG_IDS, SEPARATOR_KINDS, TRIP_IDS } from '../catalogue/ids';
import { diameter, name, origin, pipe, positive, share } from '../document/atoms';
import { fanLaws } from '../quantity/fan-laws';
import { curveFault, LEAST_POINTS, MOST_OF_BLOWER, MOST_POINTS } from '../quantity/rising-points';

const curve = z
  .array(
    z.strictObject({
      flow: z.number().min(0).max(MOST_OF_BLOWER.flow),
      pressure: z.number().min(0).max(MOST_OF_BLOWER.pressure),
    }),
  )
  .min(LEAST_POINTS, 'a blower curve needs at least two points')
  .max(MOST_POINTS)
  .superRefine((points, context) => {
    const fault = curveFault(points.map(({ flow }) => flow));
    if (fault?.kind !== 'goes backward') return;
    context.addIssue({
      code: 'custom',
      path: [fault.at, 'flow'],
      message: `the curve's flow goes backward: point ${fault.at + 1} has to lie beyond point ${fault.at}`,
    });
  });

/** Of a wheel, rev/s: none turns slower than once a second, nor faster than five hundred times. */
const speed = z.number().min(1).max(500);
/** Of a wheel, m. */
const wheelDiameter = z.number().min(0.02).max(3);

const blowerParts = z.strictObject({
  name,
  curve,
  /** What the curve was measured at. */
  measured: z.strictObject({
    density: z.number().min(0.2).max(2),
    speed,
    wheelDiameter,
  }),
  /** What runs here. */
  speed,
  wheelDiameter,
  efficiency: z.number().min(0.05).max(0.95),
  motor: z.strictObject({
    power: positive(100_000),
    voltage: z.number().min(50).max(1000),
    plateCurrent: positive(1000).nullable(),
    /** Current while it starts, over full-load current; null: as usual. */
    startRatio: z.number().min(1).max(20).nullable(),
  }),
  /** Rating of its breaker, A, and how soon a surge trips it. */
  breaker: positive(1000),
  trip: z.enum(TRIP_IDS),
  /** How it is connected; null: not known. */
  plug: z.enum(PLUG_IDS).nullable(),
  /** An elbow ahead of its inlet, with the straight duct between, m; null: none that is near. */
  inletElbow: z
    .strictObject({ radiusRatio: z.number().min(0.5).max(10), straight: z.number().min(0).max(50) })
    .nullable(),
});

/** A blower, whose curve by the fan laws stays within what blowers do at the speed it runs here. */
export const blower = blowerParts.superRefine(({ curve, measured, ...runs }, context) => {
  // In the air it was measured in: what is beyond any blower there is so in the shop's.
  const times = fanLaws({
    speed: runs.speed / measured.speed,
    wheel: runs.wheelDiameter / measured.wheelDiameter,
    density: 1,
  });
  const isBeyond = (kind: 'flow' | 'pressure') =>
    !(times[kind] * Math.max(...curve.map((point) => point[kind])) <= MOST_OF_BLOWER[kind]);
  if (!isBeyond('flow') && !isBeyond('pressure')) return;
  context.addIssue({
    code: 'custom',
    path: ['speed'],
    message:
      'at the speed and with the wheel it runs with, this curve is beyond any blower; look at both speeds and both wheels',
  });
});

export const separator = z.strictObject({
  kind: z.enum(SEPARATOR_KINDS),
  inletDiameter: diameter,
  /** Loss as velocity heads of its inlet, believed while no proportions are given. */
  lossCoefficient: z.number().min(0).max(100),
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
  /** Separation efficiency: share of the dust by mass its bin catches. */
  caught: share,
});

/** What the machines make while they run: mass by time, kg/s, and its sizes by mass, m. */
export const dust = z.strictObject({
  rate: z.number().min(0).max(1),
  median: z.number().min(1e-7).max(0.05),
  /** Geometric standard deviation. */
  spread: z.number().min(1).max(20),
});

export const media = z.strictObject({
  name,
  area: positive(1000),
  permeability: positive(10),
  /** Loading it has as soon as it has run, and keeps through cleaning: 3 for cloth, else 1. */
  seasoned: z.number().min(1).max(20),
  /** Minimum efficiency reporting value; null: not known. */
  grade: z.literal(GRADE_IDS).nullable(),
});

/** What heating the air that leaves costs by: outdoors in K, and hours it runs in a season. */
const heating = z.strictObject({
  outdoors: z.number().min(200).max(320),
  hours: z.number().min(0).max(8784),
});

/** Where the air goes behind the blower. */
export const exhaust = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('filter'), filter: media }),
  z.strictObject({
    kind: z.literal('outdoors'),
    diameter,
    length: z.number().min(0).max(200),
    pipe,
    /** Its elbows and other fittings together, on its velocity pressure. */
    lossCoefficient: z.number().min(0).max(100),
    end: z.enum(DUCT_END_IDS),
    heating: heating.nullable(),
    /** Opening that lets air back in from outdoors, m²; null: not known. */
    makeUp: positive(100).nullable().default(null),
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
    /** Its inside, m, what its walls weigh, kg/m², and the share of sound its lining takes; null: not built. */
    box: z
      .strictObject({
        length: positive(20),
        width: positive(20),
        height: positive(20),
        surfaceMass: positive(200),
        absorption: z.number().min(0.01).max(1),
      })
      .nullable(),
  }),
]);
