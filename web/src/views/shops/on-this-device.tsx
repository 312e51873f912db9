'use client';

import { useEffect } from 'react';
import { applyUpdate, install, type Program, useProgram } from '@/offline/program';
import { type Persistence, usePersistence, watchPersistence } from '@/storage/persistence';
import { useStoragePlace } from '@/storage/storage-place';
import { Button } from '@/ui/button';

const PROGRAM: Record<Program['kept'], string> = {
  fetching: 'The program is being saved on this device, so that it works without a connection.',
  kept: 'The program is saved on this device and works without a connection.',
  unable:
    'This browser does not save programs: without a connection the page cannot be opened again.',
};

const SHOPS: Record<Persistence, string> = {
  'not asked': 'Your shops are kept in this browser only.',
  granted:
    'Your shops are kept in this browser only. It has agreed to keep them until you delete them.',
  refused:
    'Your shops are kept in this browser only, and it may clear them if the disk runs short. Export them ' +
    'now and then; installing the app often helps too.',
  unknown:
    'Your shops are kept in this browser only, and it does not say for how long. Export them now and then.',
};

/** What is kept on this device, the program and the shops, and how safely. */
export function OnThisDevice() {
  const { kept, update, offer } = useProgram();
  const persistence = usePersistence((state) => state.persistence);
  useEffect(() => watchPersistence(), []);
  const isInMemory = useStoragePlace(({ kind }) => kind === 'memory');
  return (
    <section aria-labelledby="on-this-device" className="mt-8 max-w-prose text-[15px] text-quiet">
      <h2 id="on-this-device" className="text-[17px] text-ink">
        On this device
      </h2>
      <p className="mt-1">
        {isInMemory
          ? 'Your shops are kept on this page only, until it is closed.'
          : SHOPS[persistence]}
      </p>
      <p className="mt-1">{PROGRAM[kept]}</p>
      {(update !== 'none' || offer) && (
        <p className="mt-3 flex flex-wrap gap-2">
          {update !== 'none' && <Button onClick={applyUpdate}>Update to the new version</Button>}
          {offer && <Button onClick={() => void install()}>Install the app</Button>}
        </p>
      )}
    </section>
  );
}
