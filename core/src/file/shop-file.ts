import { FORMAT, type Shop, shopSchema } from '../design/schema';
import { arrangeRuns } from '../design/topology';
import { dotted, type Fault, faultsOf, MOST_FAULTS } from '../document/fault';
import { faultOfChange } from '../document/fault-of-change';
import { twinsIn } from '../document/twins';
import { checkJournal } from '../journal/check-journal';
import { type Journal, RECORD_KINDS } from '../journal/journal';
import { migrate } from './migrations';
import type { Renewal } from './renewal';

export type ReadShop =
  | {
      readonly ok: true;
      readonly shop: Shop;
      readonly journal: Journal;
      /** Estimates of an older document that now follow the program's new ones. */
      readonly renewed: readonly Renewal[];
    }
  | { readonly ok: false; readonly faults: readonly [Fault, ...Fault[]] };

/** A shop file larger than this is refused unread, in bytes. A journal of 50,000 readings is 17 MB. */
export const LARGEST_FILE = 100_000_000;

const fault = (path: string, message: string): ReadShop => ({
  ok: false,
  faults: [{ path, message }],
});

const ONE_BLOWER =
  'a shop has one blower; give each blower a shop of its own, with the ducts that lead to it';

/** No list of a design is longer; one that is need not be looked at. */
const LONGEST_LIST = 10_000;
/** Nor does one go deeper. */
const DEEPEST = 20;

/** Where a design is longer or deeper than any may be; null: nowhere. Looked at first, since to check such a one takes long. */
function beyondAny(value: unknown, path: readonly string[] = []): Fault | null {
  if (Array.isArray(value) && value.length > LONGEST_LIST) {
    return {
      path: dotted(path),
      message: `there are ${value.length} of them, more than any shop has`,
    };
  }
  if (typeof value !== 'object' || value === null) return null;
  if (path.length > DEEPEST) return { path: dotted(path), message: 'nothing is so deep in a shop' };
  for (const [key, inner] of Object.entries(value)) {
    const found = beyondAny(inner, [...path, key]);
    if (found) return found;
  }
  return null;
}

/**
 * Checks a parsed document: format, version (migrating older ones), every value, that no two records
 * share an id, and that the ducts form a tree. Returns the design and the journal, or what is wrong, of which
 * no more than twenty faults are listed.
 */
export function readShop(document: unknown): ReadShop {
  if (typeof document !== 'object' || document === null || Array.isArray(document)) {
    return fault('', 'it is not a shop document');
  }
  if (!('format' in document) || document.format !== FORMAT) {
    return fault('format', 'it is JSON, but not a Frank Gauge shop');
  }
  if ('collectors' in document || ('collector' in document && Array.isArray(document.collector))) {
    return fault('collector', ONE_BLOWER);
  }
  const migrated = migrate(document as Record<string, unknown>);
  if (!migrated.ok) return fault('version', migrated.reason);
  const { journal: records = {}, ...design } = migrated.document;
  const beyond = beyondAny(design);
  if (beyond) return fault(beyond.path, beyond.message);
  const checked = shopSchema.safeParse(design);
  const journal = checkJournal(records);
  if (!checked.success || !journal.ok) {
    const [first, ...rest] = [
      ...(checked.success ? [] : faultsOf(checked.error)),
      ...(journal.ok ? [] : journal.faults),
    ].slice(0, MOST_FAULTS);
    return { ok: false, faults: [first ?? { path: '', message: 'it is not a shop' }, ...rest] };
  }
  const shop = checked.data;
  const twins = twinsIn(shop);
  if (twins) return fault(twins.path, twins.message);
  const arranged = arrangeRuns(shop);
  if (!arranged.ok) {
    const [first, ...rest] = arranged.problems
      .slice(0, MOST_FAULTS)
      .map(({ path, message }) => ({ path: dotted(path), message }));
    return { ok: false, faults: [first ?? { path: 'ducts', message: 'no tree' }, ...rest] };
  }
  return { ok: true, shop, journal: journal.journal, renewed: migrated.renewed };
}

/** Reads a shop from the text of a file; says where JSON stops making sense if it does. */
export function readShopFile(text: string): ReadShop {
  if (text.length > LARGEST_FILE) {
    return fault('', `it is larger than ${LARGEST_FILE / 1e6} MB, more than any shop needs`);
  }
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    const message = error instanceof Error ? error.message : '';
    return fault('', `it is not JSON (${message})`);
  }
  return readShop(document);
}

/**
 * The text of a shop's file: the design spread out, the journal one record a line. Reading it again gives
 * the same design and journal.
 */
export function writeShopFile(shop: Shop, journal: Journal): string {
  const design = JSON.stringify(shop, null, 2).replace(/\n\}$/, '');
  const lists = RECORD_KINDS.filter((kind) => journal[kind].length > 0).map(
    (kind) =>
      `    "${kind}": [\n${journal[kind].map((record) => `      ${JSON.stringify(record)}`).join(',\n')}\n    ]`,
  );
  const inside = lists.length === 0 ? '{}' : `{\n${lists.join(',\n')}\n  }`;
  return `${design},\n  "journal": ${inside}\n}\n`;
}

/**
 * What the parts of a design that an edit changed are checked by, in the frame it is made: the schema of each.
 * Null: nothing is wrong with them. Twins, and ducts that lead nowhere, only `faultOfDesign` finds.
 */
export const faultOfEdit = (before: Shop, after: Shop): Fault | null =>
  faultOfChange(shopSchema, before, after);

/** What a whole design is checked by before it is stored; null: nothing is wrong with it. */
export function faultOfDesign(shop: Shop): Fault | null {
  const checked = shopSchema.safeParse(shop);
  if (!checked.success) {
    const [first] = faultsOf(checked.error);
    return first ?? { path: '', message: 'it is not a shop' };
  }
  const twins = twinsIn(shop);
  if (twins) return twins;
  const arranged = arrangeRuns(shop);
  if (arranged.ok) return null;
  const [problem] = arranged.problems;
  return { path: dotted(problem?.path ?? []), message: problem?.message ?? 'no tree' };
}
