'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { importShop } from '@/model/import-shop';
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
  /** Takes what is whole of the file that ends early. */
  readonly takePart: () => Promise<void>;
  readonly takeNothing: () => void;
}

/** Importing a file, step by step. */
export function useImport(): Import {
  const [isBusy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [cutOff, setCutOff] = useState<CutOff | null>(null);
  const read = async (file: File, takesPart: boolean) => {
    setBusy(true);
    const imported = await importShop(file, takesPart);
    if (!imported) return;
    setBusy(false);
    setRefusal(imported.kind === 'refused' ? imported.reason : null);
    setCutOff(imported.kind === 'cut off' ? { file, of: imported } : null);
    if (imported.kind === 'imported') toast(`Imported ${imported.name}`);
  };
  return {
    isBusy,
    refusal,
    cutOff,
    begin: (file) => read(file, false),
    takePart: async () => {
      if (cutOff) await read(cutOff.file, true);
    },
    takeNothing: () => {
      setCutOff(null);
      setRefusal(null);
    },
  };
}
