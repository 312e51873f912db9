'use client';

import dynamic from 'next/dynamic';
import { type ReactNode, useEffect, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { watchPersistence } from '@/storage/persistence';
import { shopSession, useSession } from '@/storage/session';
import type { Session } from '@/storage/session-state';
import { useStoragePlace } from '@/storage/storage-place';
import { useAddressId } from '@/ui/use-address-id';
import { FloorConflictsProvider } from './floor-conflicts';
import { Header } from './header';
import { LiveStrip } from './live-strip';
import { BrokenShop, MissingShop } from './no-shop';
import { OpenShop } from './open-shop';
import { useFrameSheet } from './palette-state';
import { RenewedNotice } from './renewed-notice';
import { Steps } from './steps';
import { PlaceNotice, StorageNotice } from './storage-notice';
import { NoReadingsInTray, TrayBar } from './tray-bar';
import { useFrameKeys } from './use-frame-keys';

const openOrNot = (session: Session) =>
  session.status === 'open' ? ({ status: 'open', id: session.id } as const) : session;

function NotOpen({ session }: { readonly session: ReturnType<typeof openOrNot> }) {
  switch (session.status) {
    case 'missing':
      return <MissingShop />;
    case 'broken':
      return <BrokenShop id={session.id} faults={session.faults} document={session.document} />;
    default:
      return (
        <p role="status" className="p-8 text-quiet">
          Opening the shop…
        </p>
      );
  }
}

const FrameSheets = dynamic(() => import('./frame-sheets').then((module) => module.FrameSheets), {
  ssr: false,
});

/** So long after a view has opened the sheets are loaded, whether or not one was asked for, ms. */
const SOON = 1000;

/** Loaded a moment after the view, so that what is typed right after Ctrl+K finds the palette there. */
function Sheets() {
  const isOpen = useFrameSheet(({ open }) => open !== null);
  const [isWanted, setWanted] = useState(false);
  useFrameKeys();
  useEffect(() => {
    const soon = setTimeout(() => setWanted(true), SOON);
    return () => clearTimeout(soon);
  }, []);
  if (isOpen && !isWanted) setWanted(true);
  return isWanted ? <FrameSheets /> : null;
}

/** What every shop view stands in: header, the order of work, the live strip. */
export function ShopFrame({ children }: { readonly children: ReactNode }) {
  const id = useAddressId();
  // Not how far it is stored: that changes with every edit once more, and only the header says it.
  const session = useSession(useShallow(openOrNot));
  const place = useStoragePlace(({ kind }) => kind);
  useEffect(() => watchPersistence(), []);
  // Stored elsewhere from now on, the shop is looked for there.
  const isInMemory = place === 'memory';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the session asks for itself where things are stored
  useEffect(() => {
    if (id === null) return;
    shopSession.open(id);
    return () => shopSession.close();
  }, [id, isInMemory]);

  if (id === null || session.status !== 'open' || session.id !== id) {
    return (
      <>
        <PlaceNotice />
        {place !== 'outdated' && <NotOpen session={session} />}
      </>
    );
  }
  return (
    <OpenShop>
      <FloorConflictsProvider>
        <div className="flex min-h-dvh flex-col md:h-dvh print:h-auto print:min-h-0">
          <Header />
          <StorageNotice />
          <RenewedNotice />
          <TrayBar id={id} />
          <div className="flex min-h-0 flex-1 flex-col md:flex-row">
            <Steps id={id} />
            <main className="min-h-0 min-w-0 flex-1">
              <NoReadingsInTray id={id}>{children}</NoReadingsInTray>
            </main>
          </div>
          <LiveStrip />
        </div>
      </FloorConflictsProvider>
      <Sheets />
    </OpenShop>
  );
}
