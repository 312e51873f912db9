import { z } from 'zod';
import { diameter, id, name, note, positive, when } from '../document/atoms';
import { recordType } from './record-type';

/** What a meter shows is somewhat off by itself, in a way that was found out. */
const calibration = z.strictObject({
  id,
  /** From when on it holds. */
  from: when,
  /** True value over the one shown; multiplies what the table says. */
  factor: z.number().min(0.2).max(5).default(1),
  /** What it shows and what is true, in SI, from the least shown up; empty: the factor alone. */
  table: z
    .array(z.strictObject({ shown: z.number().min(0), truth: z.number().min(0) }))
    .max(50)
    .default([])
    .refine((rows) => rows.every(({ shown }, i) => i === 0 || shown > (rows[i - 1]?.shown ?? 0)), {
      message: 'each row shows more than the one before',
    }),
  note: note.default(''),
});

/** How a meter makes one number of what it sees: the present value, the average or the highest. */
export const HOLD_MODES = ['live', 'average', 'maximum'] as const;

export const INSTRUMENT_KINDS = [
  'vane',
  'hot wire',
  'pitot',
  'manometer',
  'sound meter',
  'ammeter',
  'scale',
  'tachometer',
  'other',
] as const;

/** A meter that readings were taken with. Quantities in SI, of what the meter shows. */
export const instrumentType = recordType(
  200,
  z.strictObject({
    id,
    name: name.min(1),
    kind: z.enum(INSTRUMENT_KINDS),
    /** Share of the reading it may be off by, 95 % of the time. */
    accuracy: z.number().min(0).max(1),
    /** Digits it may be off by besides, each as large as its resolution. */
    digits: z.number().int().min(0).max(100).default(0),
    /** Symbol of the unit it shows; empty: the shop's own. */
    unit: z.string().max(16).default(''),
    /** Ends of its range; null: not known. Beyond them a reading is a bound. */
    range: z
      .strictObject({ from: z.number().min(0).nullable(), to: positive(1e6).nullable() })
      .default({ from: null, to: null }),
    /** The last digit it shows; null: not known. */
    resolution: positive(1e5).nullable().default(null),
    /** Across the head that stands in the air, m; null: too small to matter, or not known. */
    headDiameter: diameter.nullable().default(null),
    /** Of a meter that shows flow: the pipe it was told it is in, m; null: it was not told. */
    presetDiameter: diameter.nullable().default(null),
    hold: z.enum(HOLD_MODES).default('live'),
    calibrations: z.array(calibration).max(50).default([]),
    /** A stand-in of the program, not a meter. */
    isSimulated: z.boolean().default(false),
    note: note.default(''),
  }),
);

export type HoldMode = (typeof HOLD_MODES)[number];
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];
export type Instrument = z.infer<typeof instrumentType.schema>;
export type Calibration = z.infer<typeof calibration>;
