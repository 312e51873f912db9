'use client';

import type { Fault } from '@frank-gauge/core/journal';
import Link from 'next/link';
import { useState } from 'react';
import { toast } from 'sonner';
import { saveShop } from '@/model/save-shop';
import { shopSession } from '@/storage/session';
import { Button } from '@/ui/button';

export function MissingShop() {
  return (
    <div className="m-8 max-w-prose">
      <h1 className="text-2xl">No such shop here</h1>
      <p className="mt-2">
        Shops live in the browser they were made in. It may have been deleted, or be on another
        device: export it there and import the file here.
      </p>
      <Link href="/" className="mt-4 inline-block border border-ink px-3 py-1 font-semibold">
        All shops
      </Link>
    </div>
  );
}

interface Props {
  readonly id: string;
  readonly faults: readonly Fault[];
  /** Null: the storage itself failed. */
  readonly document: unknown;
}

/** A shop that is stored but cannot be read: what is wrong, the way back, and all of it as a file. */
export function BrokenShop({ id, faults, document }: Props) {
  const [isBusy, setBusy] = useState(false);
  const [hasNoRoute, setNoRoute] = useState(false);
  const repair = async () => {
    setBusy(true);
    const repaired = await shopSession.repair().catch(() => ({ kind: 'no way back' }) as const);
    setBusy(false);
    setNoRoute(repaired.kind === 'no way back');
    if (repaired.kind === 'repaired') {
      toast(`Undone: ${repaired.undone.join(', ')}. Your log was not changed.`);
    }
  };
  if (document === null) {
    return (
      <div className="m-8 max-w-prose">
        <h1 className="text-2xl">The browser’s storage cannot be read</h1>
        <p className="mt-2">
          It says: {faults[0]?.message}. Nothing was changed. Reload the page; if that does not
          help, close other tabs of Frank Gauge, or restart the browser.
        </p>
      </div>
    );
  }
  return (
    <div className="m-8 max-w-prose">
      <h1 className="text-2xl">This shop cannot be read</h1>
      <p className="mt-2">
        Part of what is stored for it is damaged. Nothing was changed and nothing is lost.
      </p>
      <ul className="mt-3 border-rule border-y py-2">
        {faults.map(({ path, message }) => (
          <li key={`${path} ${message}`} className="break-words">
            <span className="font-semibold">{path || 'the whole file'}</span>: {message}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button look="solid" disabled={isBusy || hasNoRoute} onClick={() => void repair()}>
          Restore the last good version
        </Button>
        <Button onClick={() => void saveShop(id, 'json')}>Save it as a file</Button>
        <Button onClick={() => void saveShop(id, 'zip')}>Save it with photos (zip)</Button>
        <Link href="/" className="inline-flex items-center px-3 font-semibold hover:underline">
          All shops
        </Link>
      </div>
      {hasNoRoute && (
        <p role="alert" className="mt-3 border border-starved px-3 py-2 text-starved-text">
          Undoing the stored changes does not lead back to a design that can be read. Save the shop
          as a file: it holds everything as stored, in plain text, so that it can be corrected by
          hand and imported again.
        </p>
      )}
    </div>
  );
}
