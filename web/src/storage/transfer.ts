import { LARGEST_FILE, readShop } from '@frank-gauge/core/journal';
import { type CutOff, LARGEST_ZIP, readBundle, writeZip } from './bundle';
import { type Database, database } from './database';
import { readJournal } from './journal-tables';
import { type KeptDesign, type MergeReport, mergeShop, reportMerge } from './merge-shop';
import { type FileForm, fileName, jsonFile } from './shop-file';
import { addShop, readPhotoFiles } from './shop-list';

export type Imported =
  /** `isRenamed`: its id could not stand in an address, and it has another now. */
  | {
      readonly kind: 'imported';
      readonly id: string;
      readonly name: string;
      readonly isRenamed: boolean;
    }
  | { readonly kind: 'refused'; readonly reason: string }
  /** It is a copy of a shop that is here. Nothing is stored yet: whoever imports it chooses. */
  | { readonly kind: 'known'; readonly name: string; readonly report: MergeReport }
  | {
      readonly kind: 'merged';
      readonly id: string;
      readonly name: string;
      readonly report: MergeReport;
    }
  /** Nothing is stored yet: whoever imports it chooses between what is whole of it and nothing. */
  | ({ readonly kind: 'cut off'; readonly name: string } & CutOff);

export interface ImportChoices {
  /** Of a file that ends early, take what is whole. */
  readonly takesPart: boolean;
  /** Of one that is a copy of a shop that is here: ask, make a shop apart, or merge it and keep that design. */
  readonly known: 'ask' | 'apart' | KeptDesign;
}

const ASKING: ImportChoices = { takesPart: false, known: 'ask' };

/**
 * Reads a file into a new shop, or merges it into the one it is a copy of. Anything wrong with it: a sentence,
 * and nothing is stored.
 */
export async function importShop(
  file: File,
  { takesPart, known }: ImportChoices = ASKING,
  db: Database = database(),
): Promise<Imported> {
  const refuse = (reason: string): Imported => ({
    kind: 'refused',
    reason: `${file.name}: ${reason}.`,
  });
  const most = file.name.endsWith('.zip') ? LARGEST_ZIP : LARGEST_FILE;
  if (file.size > most) {
    const size = Math.round(file.size / 1e6);
    return refuse(`at ${size} MB it is larger than any shop; the most is ${most / 1e6} MB`);
  }
  const read = readBundle(new Uint8Array(await file.arrayBuffer()));
  if (read.kind === 'refused') return refuse(read.reason);
  const { shop, journal, photos, renewed } = read;
  const { name } = shop.shop;
  if (read.kind === 'cut off' && !takesPart) {
    const { whole, promised, missingPictures } = read;
    return { kind: 'cut off', name, whole, promised, missingPictures };
  }
  try {
    if (known === 'ask') {
      const report = await reportMerge(db, read);
      if (report) return { kind: 'known', name, report };
    } else if (known !== 'apart') {
      const report = await mergeShop(db, read, known, new Date());
      if (report) return { kind: 'merged', id: shop.id, name, report };
    }
    const id = await addShop(shop, { keepId: true, journal, photos, renewed, db });
    const isTaken = id !== shop.id && (await db.summaries.get(shop.id)) !== undefined;
    return { kind: 'imported', id, name, isRenamed: id !== shop.id && !isTaken };
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return refuse(`the browser could not store it (${reason})`);
  }
}

/** A file to be saved. */
export interface ShopFile {
  readonly name: string;
  readonly content: Blob;
}

/** A shop as a file: JSON without photos, or a zip with them. Null where there is no such shop. */
export async function exportShop(
  id: string,
  form: FileForm,
  db: Database = database(),
): Promise<ShopFile | null> {
  const row = await db.designs.get(id);
  if (!row) return null;
  // Checked and completed as when it is opened; what is damaged goes out as it lies.
  const read = readShop(row.document);
  const shop = read.ok ? read.shop : row.document;
  const journal = await readJournal(db, id);
  const name = fileName(shop);
  if (form === 'json') return { name: `${name}.json`, content: jsonFile(shop, journal) };
  const photos = await readPhotoFiles(db, id);
  const bytes = writeZip({ shop, journal, photos });
  return {
    name: `${name}.zip`,
    content: new Blob([new Uint8Array(bytes)], { type: 'application/zip' }),
  };
}
