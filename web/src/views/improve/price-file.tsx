'use client';

import { readPrices, writePrices } from '@frank-gauge/core/advice';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { useDesign, useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { undoAction } from '../frame/undo-aloud';

/** The price book as a table for a spreadsheet, and back. */
export function PriceFile() {
  const prices = useDesign((shop) => shop.advice.prices);
  const system = useUnits();
  const input = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const read = async (file: File) => {
    const found = readPrices(await file.text(), prices);
    setRefusal(found.ok ? null : `${file.name} was not read. ${found.reason}`);
    if (!found.ok) return;
    edit('prices from a file', (shop) => {
      shop.advice.prices = found.prices;
    });
    toast(`Prices read from ${file.name}`, {
      action: undoAction(),
    });
  };
  return (
    <>
      <div className="flex flex-wrap gap-2 py-1">
        <Button
          look="quiet"
          onClick={() => saveFile('prices.csv', writePrices(prices, system), 'text/csv')}
        >
          Save as CSV
        </Button>
        <Button look="quiet" onClick={() => input.current?.click()}>
          Read from CSV
        </Button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv"
          aria-label="Price file"
          className="hidden"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void read(file);
            event.target.value = '';
          }}
        />
      </div>
      {refusal && (
        <p role="alert" className="text-[14px] text-starved-text">
          ▼ {refusal}
        </p>
      )}
    </>
  );
}
