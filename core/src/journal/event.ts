import { z } from 'zod';
import { PRICE_IDS } from '../catalogue/price-ids';
import { diameter, id, name, note, when } from '../document/atoms';
import { recordType } from './record-type';

/**
 * `cleaned`: the filter; `emptied`: the separator's bin; `sealed`: joints; `checked`: belts and gaskets; tests with a lamp beside the
 * running filter, with smoke and with a hand at joints; `changed`: anything no other kind says.
 */
export const EVENT_KINDS = [
  'cleaned',
  'filter replaced',
  'emptied',
  'filter bin emptied',
  'sealed',
  'checked',
  'light test',
  'smoke test',
  'hand test',
  'separator added',
  'hose shortened',
  'gate added',
  'impeller changed',
  'blower changed',
  'duct changed',
  'changed',
] as const;

/** A change made to the shop: something was cleaned, emptied, sealed or changed. */
export const eventType = recordType(
  50_000,
  z.strictObject({
    id,
    at: when,
    kind: z.enum(EVENT_KINDS),
    note,
    /** In the shop's own money; null: not known. */
    cost: z.number().min(0).nullable(),
    /** Work it took, h; null: not noted. */
    hours: z.number().min(0).max(10_000).nullable().default(null),
    /** The edit of the design it was, by its label; null: none. */
    edit: name.nullable().default(null),
    /** What the cost bought; null: several things, or nobody said. */
    bought: z
      .strictObject({
        item: z.enum(PRICE_IDS),
        /** Pieces, m, W or h. */
        quantity: z.number().positive().max(1e6),
        /** Of what is priced by size; null: it is not. */
        diameter: diameter.nullable(),
      })
      .nullable()
      .default(null),
    /** Whether it ended a hunt for a leak, as Leaks logs it: such changes are its cases. */
    isHunt: z.boolean().default(false),
    /** Of a test: where it was made, and whether dust or a leak was seen there; null: no test, or not said. */
    place: z.string().max(200).default(''),
    found: z.boolean().nullable().default(null),
    /** What the model promised of each drop that it changes: flow before and after, m³/s. */
    promised: z
      .array(
        z.strictObject({
          testPoint: id,
          before: z.number().min(0).max(50),
          after: z.number().min(0).max(50),
        }),
      )
      .max(5000)
      .default([]),
  }),
);

/** Whether a change of that kind makes another shop of it for the air: readings before it say nothing of what leaks now. */
export const changesAir = (kind: EventKind): boolean =>
  kind !== 'checked' && !isEmptying(kind) && !isTest(kind);

/** Bins that are emptied, which changes nothing of the shop. */
const EMPTYINGS = ['emptied', 'filter bin emptied'] as const;

export const isEmptying = (kind: EventKind): kind is (typeof EMPTYINGS)[number] =>
  EMPTYINGS.some((emptying) => emptying === kind);

/** Tests that look for dust and leaks, and change nothing. */
export const TEST_KINDS = ['light test', 'smoke test', 'hand test'] as const;
export type TestKind = (typeof TEST_KINDS)[number];

export const isTest = (kind: EventKind): kind is TestKind =>
  TEST_KINDS.some((test) => test === kind);

export type EventKind = (typeof EVENT_KINDS)[number];
export type ShopEvent = z.infer<typeof eventType.schema>;
