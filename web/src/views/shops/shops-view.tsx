'use client';

import { blowerOfClass, newShop } from '@frank-gauge/core';
import { useLiveQuery } from 'dexie-react-hooks';
import { nanoid } from 'nanoid';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { addShop, emptyBin, importShop, listShops } from '@/store/shop-list';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import { ThemeButton } from '../frame/theme-button';
import { NewShopForm } from './new-shop-form';
import { ShopLine } from './shop-line';

/** All shops in this browser, each with its worst drop. */
export function ShopsView() {
  const rows = useLiveQuery(listShops, []);
  const router = useRouter();
  const [isNaming, setNaming] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  useEffect(() => void emptyBin(new Date()), []);

  const create = async (name: string, units: 'us' | 'metric') => {
    const shop = newShop(nanoid(12), name, units, []);
    shop.collector.blower = blowerOfClass('two', units);
    const id = await addShop(shop);
    router.push(`/shop/${id}/floor`);
  };
  const readFiles = async (files: FileList | null) => {
    const file = files?.[0];
    if (!file) return;
    const imported = await importShop(file);
    setRefusal(imported.ok ? null : imported.reason);
    if (imported.ok) toast(`Imported ${imported.name}`);
  };

  return (
    <main className="mx-auto max-w-220 px-4 pb-16">
      <header className="flex items-center border-ink border-b py-4">
        <h1 className="text-[26px]">Frank Gauge</h1>
        <span className="ml-4 hidden text-quiet sm:inline">
          what air every drop gets, and where the pressure goes
        </span>
        <span className="ml-auto">
          <ThemeButton />
        </span>
      </header>
      <div className="flex flex-wrap gap-2 py-4">
        <Button look="solid" onClick={() => setNaming(true)}>
          New shop
        </Button>
        <ImportButton onFiles={readFiles} />
        <Button onClick={() => router.push('/demo')}>Open the demo</Button>
      </div>
      {refusal && (
        <p role="alert" className="mb-4 border border-starved px-3 py-2 text-starved-text">
          {refusal} Nothing was imported; your shops are as they were.
        </p>
      )}
      {rows?.length === 0 && (
        <p className="py-6 text-[17px]">
          No shops yet. Start your own, or open the demo to see what a finished one looks like.
        </p>
      )}
      <ul className="border-ink border-t">
        {rows?.map((row) => (
          <ShopLine key={row.id} row={row} />
        ))}
      </ul>
      <p className="mt-6 text-[14px] text-quiet">
        Shops are kept in this browser only. Export one to keep it safe or take it elsewhere.{' '}
        <Link href="/sources" className="underline">
          Where the numbers come from
        </Link>
      </p>
      <Sheet
        title="New shop"
        about="It starts with a small two-stage collector, to be changed to yours."
        open={isNaming}
        onOpenChange={setNaming}
      >
        <NewShopForm onCreate={(name, units) => void create(name, units)} />
      </Sheet>
    </main>
  );
}

function ImportButton({
  onFiles,
}: {
  readonly onFiles: (files: FileList | null) => Promise<void>;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => input.current?.click()}>Import a file</Button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Shop file"
        className="sr-only"
        tabIndex={-1}
        onChange={async (event) => {
          const field = event.currentTarget;
          await onFiles(field.files);
          // The same file may be chosen again once it is mended.
          field.value = '';
        }}
      />
    </>
  );
}
