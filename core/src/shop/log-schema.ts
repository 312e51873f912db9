import { z } from 'zod';
import { diameter, id, name, note, positive, when } from './atoms';

export const instrument = z.strictObject({
  id,
  name: name.min(1),
  kind: z.enum(['vane', 'pitot', 'manometer', 'other']),
  /** Share of the reading it may be off by, 95 % of the time. */
  accuracy: z.number().min(0).max(1),
});

/** One value as it was read: a number, or that the meter stopped at its range's end. */
export const taken = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('value'), value: z.number().min(0).max(1000) }),
  z.strictObject({ kind: z.literal('over'), limit: positive(1000) }),
]);

export const reading = z.strictObject({
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

/** A sound meter's reading at a place, and how long a day somebody is there. */
export const soundReading = z.strictObject({
  id,
  at: when,
  place: name.min(1),
  /** dB(A), slow. */
  level: z.number().min(20).max(150),
  /** From the collector, m; null: not measured. */
  distance: positive(100).nullable(),
  /** Level this program reckoned for the collector that stood there then; null: not known. */
  reckoned: z.number().nullable(),
  /** Hours a day at this level; null: not a place where anyone stays. */
  hours: z.number().min(0).max(24).nullable(),
  note,
});

/** A field test of the blower: one gate drawn step by step, the air read at each. SI. */
export const curveTest = z.strictObject({
  id,
  at: when,
  density: positive(2),
  speed: positive(500),
  wheelDiameter: positive(3),
  /** Duct where the suction is read, m. */
  tapDiameter: diameter,
  /** Shares the two meters may be off by, 95 % of the time. */
  flowDoubt: z.number().min(0).max(1),
  pressureDoubt: z.number().min(0).max(1),
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
});

export const log = z.strictObject({
  instruments: z.array(instrument),
  readings: z.array(reading).max(200_000),
  events: z.array(event),
  sounds: z.array(soundReading).max(10_000),
  curveTests: z.array(curveTest).max(200),
});
