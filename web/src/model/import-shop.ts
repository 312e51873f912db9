import type { Imported } from '@/storage/transfer';
import { engine } from './engine';

/** The longest a file may be read, ms: the largest shops take a tenth of it. */
const BUDGET = 60_000;

/** A file being read. */
export interface Importing {
  /** Null: it was stopped, or another import was begun. */
  readonly imported: Promise<Imported | null>;
  /** Ends it; nothing of it is stored. */
  readonly stop: () => void;
}

/**
 * Reads a file into a new shop, in the engine: however large it is, the page goes on.
 * @param takesPart of a file that ends early, store what is whole
 */
export function importShop(file: File, takesPart: boolean): Importing {
  const asked = engine.ask(
    'import',
    async (remote): Promise<Imported> => remote.importShop(file, takesPart),
    { budget: BUDGET },
  );
  const refused = (why: string): Imported => ({ kind: 'refused', reason: `${file.name}: ${why}.` });
  const imported = asked.outcome.then((outcome) => {
    switch (outcome.kind) {
      case 'answered':
        return outcome.answer;
      case 'superseded':
        return null;
      case 'broken':
        return refused(
          outcome.isOvertime
            ? `reading it took longer than ${BUDGET / 1000} s and was stopped`
            : 'the browser broke off reading it',
        );
    }
  });
  return { imported, stop: asked.cancel };
}
