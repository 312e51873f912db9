'use client';

import type { ReactNode } from 'react';
import { useEffect } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { shopSession, useOutdated, useSession } from '@/storage/session';
import type { Session } from '@/storage/session-state';
import { FloorConflictsProvider } from './floor-conflicts';
import { Header } from './header';
import { LiveStrip } from './live-strip';
import { BrokenShop, MissingShop } from './no-shop';
import { OpenShop } from './open-shop';
import { Palette } from './palette';
import { RenewedNotice } from './renewed-notice';
import { Shortcuts } from './shortcuts';
import { Steps } from './steps';
import { OutdatedNotice, StorageNotice } from './storage-notice';

const openOrNot = (session: Session) =>
  session.status === 'open' ? ({ status: 'open', id: session.id } as const) : session;

/** What every shop view stands in: header, the order of work, the live strip. */
export function ShopFrame({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  // Not how far it is stored: that changes with every edit once more, and only the header says it.
  const session = useSession(useShallow(openOrNot));
  useEffect(() => {
    shopSession.open(id);
    return () => shopSession.close();
  }, [id]);

  const isOutdated = useOutdated((outdated) => outdated);
  if (isOutdated && session.status !== 'open') return <OutdatedNotice />;
  if (session.status === 'missing') return <MissingShop />;
  if (session.status === 'broken')
    return <BrokenShop id={session.id} faults={session.faults} document={session.document} />;
  if (session.status !== 'open' || session.id !== id) {
    return (
      <p role="status" className="p-8 text-quiet">
        Opening the shop…
      </p>
    );
  }
  return (
    <OpenShop>
      <FloorConflictsProvider>
        <div className="flex min-h-dvh flex-col md:h-dvh">
          <Header />
          <StorageNotice />
          <RenewedNotice />
          <div className="flex min-h-0 flex-1 flex-col md:flex-row">
            <Steps id={id} />
            <main className="min-h-0 min-w-0 flex-1">{children}</main>
          </div>
          <LiveStrip />
        </div>
      </FloorConflictsProvider>
      <Palette />
      <Shortcuts />
    </OpenShop>
  );
}
