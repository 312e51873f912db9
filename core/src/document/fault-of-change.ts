import { z } from 'zod';
import { type Fault, faultsOf } from './fault';
import { isJson } from './json-walk';

/** Checks of a list that hold of as many entries as there were before, whatever they are. */
const OF_LENGTH = new Set(['max_length', 'min_length']);

const checksOf = (schema: z.ZodType) =>
  (schema.def.checks ?? []).map((check) => check._zod.def.check);

/**
 * What is wrong with a value that was changed from one that is right, by its schema; null: nothing. Only what
 * is another object than before is looked at, so that a drag across a hall costs no check of the whole hall.
 */
export function faultOfChange(
  schema: z.core.$ZodType,
  before: unknown,
  after: unknown,
  path: readonly PropertyKey[] = [],
): Fault | null {
  if (before === after) return null;
  const inner = innerOf(schema, before, after);
  if (!inner) {
    const checked = z.safeParse(schema, after);
    return checked.success ? null : (faultsOf(checked.error, path)[0] ?? null);
  }
  for (const [key, part, was, is] of inner) {
    const fault = faultOfChange(part, was, is, [...path, key]);
    if (fault) return fault;
  }
  return null;
}

type Inner = readonly [PropertyKey, z.core.$ZodType, unknown, unknown];

/** The parts a value is as good as; null: it has to be checked as a whole. */
function innerOf(schema: z.core.$ZodType, before: unknown, after: unknown): Inner[] | null {
  if (schema instanceof z.ZodObject && isJson(before) && isJson(after)) {
    const { shape } = schema;
    const isPlain = checksOf(schema).length === 0;
    if (!isPlain || Object.keys(after).some((key) => !Object.hasOwn(shape, key))) return null;
    return Object.entries(shape).map(([key, part]) => [key, part, before[key], after[key]]);
  }
  if (schema instanceof z.ZodArray && Array.isArray(before) && Array.isArray(after)) {
    const isOfLength = checksOf(schema).every((check) => OF_LENGTH.has(check));
    if (!isOfLength || before.length !== after.length) return null;
    return after.map((value, i) => [i, schema.element, before[i], value]);
  }
  return null;
}
