'use client';

import { useEffect } from 'react';
import { toast } from 'sonner';
import { saveShop } from '@/model/save-shop';
import { openShopId, shopSession, useSession } from '@/storage/session';
import { type Unopened, useStoragePlace } from '@/storage/storage-place';
import { Button } from '@/ui/button';

/** Says what stands between the open shop and storage: edits not stored, edits not kept, and what `PlaceNotice` says. */
export function StorageNotice() {
  const isFailed = useSession((state) => state.status === 'open' && state.saved === 'failed');
  const isOutdated = useStoragePlace(({ kind }) => kind === 'outdated');
  useEffect(() => {
    shopSession.onRefused = ({ label, reason }) =>
      toast(
        reason === null
          ? `Not saved: ${label}. Another tab removed what it changes.`
          : `Not done: ${label}. ${reason}.`,
        { duration: 10_000 },
      );
  }, []);
  if (isOutdated || !isFailed) return <PlaceNotice />;
  return (
    <Notice label="Not saved">
      <p className={TEXT}>
        <strong className="font-semibold">The last changes are not saved.</strong> The browser
        refuses to store them; its storage may be full. They are kept here and tried again until
        they are stored. Save the shop as a file to be safe.
      </p>
      <Button onClick={shopSession.retry}>Try again</Button>
      <Button onClick={() => void saveShop(openShopId(), 'json')}>Save as a file</Button>
    </Notice>
  );
}

/** Says where this page can store nothing: it is older than what is stored, or storage cannot be opened. */
export function PlaceNotice() {
  const place = useStoragePlace();
  switch (place.kind) {
    case 'opening':
    case 'browser':
      return null;
    case 'outdated':
      return (
        <Notice label="Out of date">
          <p className={TEXT}>
            <strong className="font-semibold">Frank Gauge was updated in another tab.</strong> This
            page can no longer save anything. Reload it to go on; your shops are as they were last
            saved.
          </p>
          <SaveOpenShop />
          <ReloadButton />
        </Notice>
      );
    case 'memory':
      return (
        <Notice label="Kept in memory only">
          <p className={TEXT}>
            <strong className="font-semibold">Nothing you do here is kept</strong> when this page is
            closed or reloaded, unless you save it as a file.{' '}
            {place.isOpenNow ? OPEN_NOW : whyInMemory(place.why)} Shops saved in this browser
            earlier are safe but not shown.
          </p>
          <SaveOpenShop />
          <ReloadButton />
        </Notice>
      );
  }
}

/** On a phone the buttons stand below. */
const TEXT = 'min-w-full flex-1 sm:min-w-60';

const OPEN_NOW =
  'The browser’s storage can be opened again: save your work as a file, then reload the page.';

function whyInMemory(why: Unopened): string {
  switch (why.kind) {
    case 'refused':
      return (
        'The browser does not open its storage: the window may be private, or storage blocked in its ' +
        `settings. It says: “${why.message}”`
      );
    case 'held':
      return (
        'Another tab with an earlier version of Frank Gauge keeps the storage busy. Close that tab, ' +
        'then reload this page.'
      );
    case 'silent':
      return 'The browser’s storage does not answer. Reload the page, or restart the browser.';
  }
}

function SaveOpenShop() {
  const isOpen = useSession((state) => state.status === 'open');
  if (!isOpen) return null;
  return <Button onClick={() => void saveShop(openShopId(), 'json')}>Save as a file</Button>;
}

const ReloadButton = () => <Button onClick={() => window.location.reload()}>Reload</Button>;

function Notice({
  label,
  children,
}: {
  readonly label: string;
  readonly children: React.ReactNode;
}) {
  return (
    <section
      role="alert"
      aria-label={label}
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-starved border-y bg-strip px-3 py-1.5 text-[15px] md:px-4"
    >
      {children}
    </section>
  );
}
