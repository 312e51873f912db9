import type { ImportChoices, Imported } from '@/storage/transfer';
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
 * Reads a file into a new shop, or into the one it is a copy of, in the engine: however large it is, the page goes
 * on.
 */
export function importShop(file: File, choices: ImportChoices): Importing {
  const asked = engine.ask(
    'import',
    async (remote): Promise<Imported> => remote.importShop(file, choices),
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
