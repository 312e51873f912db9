'use client';

import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Importing, importShop } from '@/model/import-shop';
import { askToPersist } from '@/storage/persistence';
import type { ImportChoices, Imported } from '@/storage/transfer';
import { countsWords } from '@/words/record-words';

/** A file that cannot be imported before something is decided, and what was decided of it so far. */
export interface Undecided {
  readonly file: File;
  readonly choices: ImportChoices;
  readonly of: Extract<Imported, { kind: 'cut off' | 'known' }>;
}

export interface Import {
  readonly isBusy: boolean;
  /** Why the last file was refused; null: it wasn't. */
  readonly refusal: string | null;
  readonly undecided: Undecided | null;
  readonly begin: (file: File) => Promise<void>;
  /** Ends the reading that is under way; nothing of it is stored. */
  readonly stop: () => void;
  /** Goes on with the file that something had to be decided of. */
  readonly decide: (choices: Partial<ImportChoices>) => Promise<void>;
  readonly importNothing: () => void;
}

const UNASKED: ImportChoices = { takesPart: false, known: 'ask' };

/** Importing a file, step by step. */
export function useImport(): Import {
  const [isBusy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [undecided, setUndecided] = useState<Undecided | null>(null);
  const running = useRef<Importing | null>(null);
  const read = async (file: File, choices: ImportChoices) => {
    setBusy(true);
    const own = importShop(file, choices);
    running.current = own;
    const imported = await own.imported;
    if (running.current !== own) return;
    running.current = null;
    setBusy(false);
    if (!imported) return;
    setRefusal(imported.kind === 'refused' ? imported.reason : null);
    const isOpen = imported.kind === 'cut off' || imported.kind === 'known';
    setUndecided(isOpen ? { file, choices, of: imported } : null);
    const done = doneWords(imported);
    if (done === null) return;
    void askToPersist();
    toast(done);
  };
  return {
    isBusy,
    refusal,
    undecided,
    begin: (file) => {
      setRefusal(null);
      return read(file, UNASKED);
    },
    stop: () => running.current?.stop(),
    decide: async (choices) => {
      if (undecided) await read(undecided.file, { ...undecided.choices, ...choices });
    },
    importNothing: () => {
      setUndecided(null);
      setRefusal(null);
    },
  };
}

function doneWords(imported: Imported): string | null {
  if (imported.kind === 'imported') {
    const renamed = imported.isRenamed
      ? ' Its id could not stand in an address; it has a new one.'
      : '';
    return `Imported ${imported.name}.${renamed}`;
  }
  if (imported.kind !== 'merged') return null;
  const { added, adopted, removed } = imported.report;
  const parts = [
    added.length > 0 && `${countsWords(added)} added`,
    adopted.length > 0 && `${countsWords(adopted)} updated`,
    removed.length > 0 && `${countsWords(removed)} removed`,
  ].filter((part) => part !== false);
  return `Merged into ${imported.name}: ${parts.join('; ') || 'its journal had everything already'}.`;
}
