'use client';

import { blowerOfClass } from '@frank-gauge/core/collector';
import { newShop } from '@frank-gauge/core/design';
import { useLiveQuery } from 'dexie-react-hooks';
import { nanoid } from 'nanoid';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { addShop, emptyBin, listShops } from '@/storage/shop-list';
import { useStoragePlace } from '@/storage/storage-place';
import { Button } from '@/ui/button';
import { Sheet } from '@/ui/sheet';
import { PlaceNotice } from '../frame/storage-notice';
import { ThemeButton } from '../frame/theme-button';
import { CutOffSheet } from './cut-off-sheet';
import { DemoShops } from './demo-shops';
import { MergeSheet } from './merge-sheet';
import { NewShopForm } from './new-shop-form';
import { OnThisDevice } from './on-this-device';
import { ShopLine } from './shop-line';
import { useImport } from './use-import';
import { useScannedShop } from './use-scanned-shop';

const unreadable = (error: unknown) => ({
  unreadable: error instanceof Error ? error.message : String(error),
});

/** All shops in this browser, each with its worst drop. */
export function ShopsView() {
  const place = useStoragePlace(({ kind }) => kind);
  const isInMemory = place === 'memory';
  const listed = useLiveQuery(
    () => listShops().catch((error: unknown) => unreadable(error)),
    [isInMemory],
  );
  const summaries = Array.isArray(listed) ? listed : [];
  const router = useRouter();
  const [isNaming, setNaming] = useState(false);
  const importing = useImport();
  const { refusal } = importing;
  useEffect(() => {
    // What cannot be emptied now is emptied another time.
    emptyBin(new Date()).catch(() => undefined);
  }, []);

  useScannedShop(importing.begin, place === 'browser' || isInMemory);

  const create = async (name: string, units: 'us' | 'metric') => {
    const shop = newShop(nanoid(12), name, units, []);
    shop.collector.blower = blowerOfClass('two', units);
    try {
      router.push(`/shop/${await addShop(shop)}/floor`);
    } catch {
      toast(`${name} was not started: the browser could not store it.`);
    }
  };
  const readFiles = async (files: FileList | null) => {
    const file = files?.[0];
    if (file) await importing.begin(file);
  };

  return (
    <main className="mx-auto max-w-220 px-4 pb-16">
      <PlaceNotice />
      <header className="flex items-center border-ink border-b py-4">
        <h1 className="text-[26px]">Frank Gauge</h1>
        <span className="ml-4 hidden text-quiet sm:inline">
          the airflow at every drop, and where the pressure goes
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
        <Button onClick={() => router.push('/practice')}>Practice</Button>
      </div>
      {importing.isBusy && (
        <p className="mb-4 flex items-center gap-3">
          <span role="status" className="text-quiet">
            Reading the file…
          </span>
          <Button onClick={importing.stop}>Stop</Button>
        </p>
      )}
      {refusal && (
        <p role="alert" className="mb-4 border border-starved px-3 py-2 text-starved-text">
          {refusal} Nothing was imported; your shops are as they were.
        </p>
      )}
      {listed && !Array.isArray(listed) && place !== 'outdated' && (
        <p role="alert" className="mb-4 border border-starved px-3 py-2 text-starved-text">
          The list of your shops cannot be read: {listed.unreadable}. Nothing was changed. Reload
          the page; if that does not help, close other tabs of Frank Gauge, or restart the browser.
        </p>
      )}
      {Array.isArray(listed) && listed.length === 0 && (
        <p className="py-6 text-[17px]">
          {isInMemory ? 'No shops on this page yet.' : 'No shops yet.'} Start your own, or open the
          demo to see what a finished one looks like.
        </p>
      )}
      <ul className="border-ink border-t">
        {summaries.map((summary) => (
          <ShopLine key={summary.id} summary={summary} />
        ))}
      </ul>
      <DemoShops />
      <OnThisDevice />
      <p className="mt-4 text-[14px] text-quiet">
        <Link href="/sources" className="underline">
          Where the numbers come from
        </Link>
      </p>
      <CutOffSheet {...importing} />
      <MergeSheet {...importing} />
      <Sheet
        title="New shop"
        about="It starts with a small two-stage collector, which you can change to match yours."
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
        accept=".json,.txt,.zip,application/json,text/plain,application/zip"
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
