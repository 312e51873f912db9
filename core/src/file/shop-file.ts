import type { z } from 'zod';
import { FORMAT, type Shop, shopSchema } from '../design/schema';
import { arrangeRuns } from '../design/topology';
import { type Journal, RECORD_KINDS } from '../journal/journal';
import { fileSchema } from './file-schema';
import { migrate } from './migrations';
import type { Renewal } from './renewal';

/** What is wrong with a document, and where: `path` in dots, '' for the whole. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

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

const dotted = (path: readonly PropertyKey[]) => path.map(String).join('.');

const describe = (issue: z.core.$ZodIssue): Fault => ({
  path: dotted(issue.path),
  message: issue.message.charAt(0).toLowerCase() + issue.message.slice(1),
});

/** The first record whose id another of its kind has already; null: there is none. */
function twinsIn(journal: Journal): Fault | null {
  for (const kind of RECORD_KINDS) {
    const ids = new Set<string>();
    for (const [i, { id }] of journal[kind].entries()) {
      if (ids.has(id)) {
        return { path: `journal.${kind}.${i}.id`, message: `two records have the id '${id}'` };
      }
      ids.add(id);
    }
  }
  return null;
}

/**
 * Checks a parsed document: format, version (migrating older ones), every value, that no two records
 * share an id, and that the ducts form a tree. Returns the design and the journal, or all faults found,
 * at least one.
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
  const checked = fileSchema.safeParse(migrated.document);
  if (!checked.success) {
    const [first, ...rest] = checked.error.issues.map(describe);
    return { ok: false, faults: [first ?? { path: '', message: 'it is not a shop' }, ...rest] };
  }
  const { journal, ...shop } = checked.data;
  const twins = twinsIn(journal);
  if (twins) return fault(twins.path, twins.message);
  const arranged = arrangeRuns(shop);
  if (!arranged.ok) {
    const [first, ...rest] = arranged.problems.map(({ path, message }) => ({
      path: dotted(path),
      message,
    }));
    return { ok: false, faults: [first ?? { path: 'ducts', message: 'no tree' }, ...rest] };
  }
  return { ok: true, shop, journal, renewed: migrated.renewed };
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
    const said = error instanceof Error ? error.message : '';
    return fault('', `it is not JSON (${said})`);
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

/** What a whole design is checked by before it is stored; null: nothing is wrong with it. */
export function faultOfDesign(shop: Shop): Fault | null {
  const checked = shopSchema.safeParse(shop);
  if (!checked.success) {
    const [first] = checked.error.issues.map(describe);
    return first ?? { path: '', message: 'it is not a shop' };
  }
  const arranged = arrangeRuns(shop);
  if (arranged.ok) return null;
  const [problem] = arranged.problems;
  return { path: dotted(problem?.path ?? []), message: problem?.message ?? 'no tree' };
}
