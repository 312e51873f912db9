'use client';

import type { RowOutcome, Table, TableReading } from '@frank-gauge/core/spreadsheet';
import { useEffect, useState } from 'react';
import { engine } from '@/model/engine';

/** What a table is read by, but for what the engine knows itself. */
export type TableOptions = Omit<TableReading, 'readings' | 'now' | 'newId'>;

/** What each row comes to: of the latest options, or of those before while the engine works. */
export interface Outcomes {
  readonly rows: readonly RowOutcome[];
  readonly isCurrent: boolean;
}

/** Reads the table in the engine whenever the options change; null before it has. */
export function useOutcomes(shop: string, table: Table, options: TableOptions): Outcomes | null {
  const [read, setRead] = useState<{ options: TableOptions; rows: readonly RowOutcome[] } | null>(
    null,
  );
  useEffect(() => {
    const asked = engine.ask('read table', (remote) => remote.readTableRows(shop, table, options));
    void asked.outcome.then((outcome) => {
      if (outcome.kind === 'answered') setRead({ options, rows: outcome.answer });
    });
    return () => asked.cancel();
  }, [shop, table, options]);
  return read && { rows: read.rows, isCurrent: read.options === options };
}
