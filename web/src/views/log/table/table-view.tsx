'use client';

import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { useDesign, useDuctTree } from '@/model/use-design';
import { database } from '@/storage/database';
import { readRecords } from '@/storage/journal-tables';
import { saveFile } from '@/storage/save-file';
import { shopSession, useJournal } from '@/storage/session';
import { fileName } from '@/storage/shop-file';
import { Button } from '@/ui/button';
import { usePointNames } from '../../parts/taking/use-point-names';
import { ImportTable } from './import-table';
import { type ChosenTable, readTableFile } from './read-file';

/** Readings out as a table for a spreadsheet, and in from one that was kept elsewhere. */
export function TableView() {
  const [chosen, setChosen] = useState<ChosenTable | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const read = async (file: File) => {
    const made = await readTableFile(file);
    setRefusal(typeof made === 'string' ? made : null);
    setChosen(typeof made === 'string' ? null : made);
  };
  return (
    <section
      aria-label="Import and export"
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
      tabIndex={0}
      className="h-full px-4 pt-3 pb-8 md:overflow-y-auto"
    >
      <h1 className="text-[18px]">Readings as a table</h1>
      <p className="max-w-prose pt-1 pb-3 text-quiet">
        Import readings you kept in a spreadsheet, saved as CSV: one row for each reading, with a
        date, a test point and its values. Nothing is stored before you have seen what was read.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look={chosen ? 'plain' : 'solid'} onClick={() => input.current?.click()}>
          Choose a CSV file
        </Button>
        <ExportButton />
      </div>
      <input
        ref={input}
        type="file"
        accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain"
        aria-label="CSV file"
        className="sr-only"
        tabIndex={-1}
        onChange={async (event) => {
          const field = event.currentTarget;
          const [file] = field.files ?? [];
          if (file) await read(file);
          // The same file may be chosen again once it is mended.
          field.value = '';
        }}
      />
      {refusal && (
        <p
          role="alert"
          className="mt-3 max-w-prose border border-starved px-3 py-2 text-starved-text"
        >
          {refusal} Nothing was imported.
        </p>
      )}
      {chosen && (
        <ImportTable
          key={`${chosen.fileName} ${chosen.table.rows.length}`}
          chosen={chosen}
          onDone={() => setChosen(null)}
        />
      )}
    </section>
  );
}

/** Saves all readings as CSV. */
function ExportButton() {
  const shop = useDesign();
  const { upstreamFirst } = useDuctTree();
  const instruments = useJournal((journal) => journal.instruments);
  const places = usePointNames();
  const save = async () => {
    const [{ writeReadings }] = await Promise.all([
      import('@frank-gauge/core/spreadsheet'),
      shopSession.settled(),
    ]);
    const readings = await readRecords(database(), shop.id, 'readings').catch(() => null);
    if (!readings) {
      toast('The readings could not be read from the browser’s storage. Try again.');
      return;
    }
    const text = writeReadings(readings, {
      places,
      meters: new Map(instruments.map(({ id, name }) => [id, name])),
      runs: new Map(upstreamFirst.map(({ id, name }) => [id, name])),
    });
    // The mark in front tells spreadsheets that it is UTF-8.
    saveFile(`${fileName(shop)}.readings.csv`, `\ufeff${text}`, 'text/csv');
  };
  return <Button onClick={() => void save()}>Save all readings as CSV</Button>;
}
