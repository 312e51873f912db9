'use client';

import { useEffect } from 'react';
import { toast } from 'sonner';
import { saveShop } from '@/model/save-shop';
import { openShopId, shopSession, useOutdated, useSession } from '@/storage/session';
import { Button } from '@/ui/button';

/** Says what stands between the screen and storage: edits not stored, edits not kept, a program too old. */
export function StorageNotice() {
  const isFailed = useSession((state) => state.status === 'open' && state.saved === 'failed');
  const isOutdated = useOutdated((outdated) => outdated);
  useEffect(() => {
    shopSession.onRefused = ({ label, reason }) =>
      toast(
        reason === null
          ? `Not kept: ${label}. What it changes was taken out in another tab.`
          : `Not kept: ${label}. It would leave a shop that cannot be read: ${reason}.`,
        { duration: 10_000 },
      );
  }, []);
  if (isOutdated) return <OutdatedNotice />;
  if (!isFailed) return null;
  return (
    <Notice label="Not saved">
      <p className="min-w-60 flex-1">
        <strong className="font-semibold">The last changes are not saved.</strong> The browser
        refuses to store them; its storage may be full. They are kept here and tried again until
        they are stored. Save the shop as a file to be safe.
      </p>
      <Button onClick={shopSession.retry}>Try again</Button>
      <Button onClick={() => void saveShop(openShopId(), 'json')}>Save as a file</Button>
    </Notice>
  );
}

/** This page is older than what is stored. */
export function OutdatedNotice() {
  const isOpen = useSession((state) => state.status === 'open');
  return (
    <Notice label="Out of date">
      <p className="min-w-60 flex-1">
        <strong className="font-semibold">Frank Gauge was updated in another tab.</strong> This page
        can no longer save anything. Reload it to go on; your shops are as they were last saved.
      </p>
      {isOpen && (
        <Button onClick={() => void saveShop(openShopId(), 'json')}>Save as a file</Button>
      )}
      <Button look="solid" onClick={() => window.location.reload()}>
        Reload
      </Button>
    </Notice>
  );
}

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
