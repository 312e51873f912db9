import {
  type RowOutcome,
  readingsOfTable,
  type Table,
  type TableReading,
} from '@frank-gauge/core/spreadsheet';
import { nanoid } from 'nanoid';
import { database } from '@/storage/database';
import { readRecords } from '@/storage/journal-tables';
import type { FileForm } from '@/storage/shop-file';
import { storeStanding } from '@/storage/standing';
import {
  exportShop,
  type ImportChoices,
  type Imported,
  importShop,
  type ShopFile,
} from '@/storage/transfer';

/**
 * What the engine does with what is stored: in its worker, which opens the browser's storage by itself; on the
 * page, where everything is in the page's memory.
 */
export const storageWork = {
  importShop(file: File, choices: ImportChoices): Promise<Imported> {
    return importShop(file, choices);
  },
  exportShop(id: string, form: FileForm): Promise<ShopFile | null> {
    return exportShop(id, form);
  },
  /** What each row of a table comes to beside the readings of a shop. */
  async readTableRows(
    shop: string,
    table: Table,
    options: Omit<TableReading, 'readings' | 'now' | 'newId'>,
  ): Promise<readonly RowOutcome[]> {
    const readings = await readRecords(database(), shop, 'readings');
    const now = Date.now();
    return readingsOfTable(table, { ...options, readings, now, newId: () => nanoid(10) });
  },
  /** Works out how a stored shop stands and keeps it with its summary. */
  storeStanding(id: string): Promise<void> {
    return storeStanding(database(), id);
  },
};

export type StorageWork = typeof storageWork;
