import type { z } from 'zod';
import { migrate } from './migrations';
import type { Renewal } from './renewal';
import { FORMAT, type Shop, shopSchema } from './schema';
import { arrangeRuns } from './topology';

/** What is wrong with a document, and where: `path` in dots, '' for the whole. */
export interface Fault {
  readonly path: string;
  readonly message: string;
}

export type ReadShop =
  | {
      readonly ok: true;
      readonly shop: Shop;
      /** Estimates of an older document that now follow the program's new ones. */
      readonly renewed: readonly Renewal[];
    }
  | { readonly ok: false; readonly faults: readonly [Fault, ...Fault[]] };

/** A shop file larger than this is refused unread, in bytes. A log of 50,000 readings is 20 MB. */
export const LARGEST_FILE = 40_000_000;

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

/**
 * Checks a parsed document: format, version (migrating older ones), every value, and that the ducts
 * form a tree. Returns the shop, or all faults found, at least one.
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
  const checked = shopSchema.safeParse(migrated.document);
  if (!checked.success) {
    const [first, ...rest] = checked.error.issues.map(describe);
    return { ok: false, faults: [first ?? { path: '', message: 'it is not a shop' }, ...rest] };
  }
  const arranged = arrangeRuns(checked.data);
  if (!arranged.ok) {
    const [first, ...rest] = arranged.problems.map(({ path, message }) => ({
      path: dotted(path),
      message,
    }));
    return { ok: false, faults: [first ?? { path: 'ducts', message: 'no tree' }, ...rest] };
  }
  return { ok: true, shop: checked.data, renewed: migrated.renewed };
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

/** The text of a shop's file. Reading it again gives the same document. */
export const writeShopFile = (shop: Shop): string => `${JSON.stringify(shop, null, 2)}\n`;
