import type { Imported } from '@/storage/transfer';
import { engine } from './engine';

/**
 * Reads a file into a new shop, in the engine: however large it is, the page goes on. Null: another import
 * was begun meanwhile.
 * @param takesPart of a file that ends early, store what is whole
 */
export async function importShop(file: File, takesPart: boolean): Promise<Imported | null> {
  const asked = engine.ask(
    'import',
    async (remote): Promise<Imported> => remote.importShop(file, takesPart),
  );
  const imported = await asked.outcome;
  switch (imported.kind) {
    case 'answered':
      return imported.answer;
    case 'superseded':
      return null;
    case 'broken':
      return { kind: 'refused', reason: `${file.name}: the browser broke off reading it.` };
  }
}
