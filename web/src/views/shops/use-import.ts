'use client';

import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Importing, importShop } from '@/model/import-shop';
import { askToPersist } from '@/storage/persistence';
import type { Imported } from '@/storage/transfer';

/** A file that ends early, to be decided on. */
export interface CutOff {
  readonly file: File;
  readonly of: Extract<Imported, { kind: 'cut off' }>;
}

export interface Import {
  readonly isBusy: boolean;
  /** Why the last file was refused; null: it wasn't. */
  readonly refusal: string | null;
  readonly cutOff: CutOff | null;
  readonly begin: (file: File) => Promise<void>;
  /** Ends the reading that is under way; nothing of it is stored. */
  readonly stop: () => void;
  /** Takes what is whole of the file that ends early. */
  readonly takePart: () => Promise<void>;
  readonly takeNothing: () => void;
}

/** Importing a file, step by step. */
export function useImport(): Import {
  const [isBusy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [cutOff, setCutOff] = useState<CutOff | null>(null);
  const running = useRef<Importing | null>(null);
  const read = async (file: File, takesPart: boolean) => {
    setBusy(true);
    const own = importShop(file, takesPart);
    running.current = own;
    const imported = await own.imported;
    if (running.current !== own) return;
    running.current = null;
    setBusy(false);
    if (!imported) return;
    setRefusal(imported.kind === 'refused' ? imported.reason : null);
    setCutOff(imported.kind === 'cut off' ? { file, of: imported } : null);
    if (imported.kind === 'imported') {
      const renamed = imported.isRenamed
        ? ' Its id could not stand in an address; it has a new one.'
        : '';
      void askToPersist();
      toast(`Imported ${imported.name}.${renamed}`);
    }
  };
  return {
    isBusy,
    refusal,
    cutOff,
    begin: (file) => {
      setRefusal(null);
      return read(file, false);
    },
    stop: () => running.current?.stop(),
    takePart: async () => {
      if (cutOff) await read(cutOff.file, true);
    },
    takeNothing: () => {
      setCutOff(null);
      setRefusal(null);
    },
  };
}
