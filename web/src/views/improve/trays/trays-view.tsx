'use client';

import dynamic from 'next/dynamic';
import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { newTray } from '@/model/tray-actions';
import { MOST_TRAYS } from '@/storage/trays';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { PartLoading } from '@/ui/part-loading';
import { useTray } from '../../frame/tray-bar';
import { TrayPlans } from './tray-plans';
import { TrayTable } from './tray-table';
import { type ShopWithTrays, useComparedDesigns, useTrays } from './use-trays';

const WayChart = dynamic(() => import('./way-chart').then((module) => module.WayChart), {
  loading: PartLoading,
});

/** Trays of edits side by side, beside the shop, which stays as it is until one is kept. */
export function TraysView() {
  const opened = usePathname().split('/')[2] ?? '';
  const tray = useTray();
  const shopId = tray?.shop ?? opened;
  const stored = useTrays(shopId);
  const router = useRouter();
  const count = stored?.trays.length ?? 0;
  const isFull = count >= MOST_TRAYS;
  const make = () =>
    void newTray(shopId).then((id) => {
      if (id) router.push(`/shop/${id}/floor`);
    });
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto">
      <h1 className="text-[18px]">What if</h1>
      <p className="max-w-prose">
        A tray is a copy of the shop to try things in. While one is open, every edit lands in it,
        and the shop stays as it is. Keep a tray when you are satisfied, leave it here for later, or
        throw it away. Trays stay in this browser; store one as a shop of its own to have it in a
        file.
      </p>
      <div className="flex flex-wrap items-center gap-3 pt-2">
        <Button look={count === 0 ? 'solid' : 'plain'} onClick={make} disabled={!stored || isFull}>
          New tray
        </Button>
        {isFull && (
          <span className="text-quiet">
            {MOST_TRAYS} trays are the most: keep one or throw one away to make room.
          </span>
        )}
      </div>
      {stored === null && (
        <p role="alert" className="pt-3">
          The shop cannot be read as it is stored; nothing can be compared with it.
        </p>
      )}
      {stored && count > 0 && <SideBySide stored={stored} opened={opened} />}
    </div>
  );
}

function SideBySide({
  stored: present,
  opened,
}: {
  readonly stored: ShopWithTrays;
  readonly opened: string;
}) {
  const [asked, setDrop] = useState<string | null>(null);
  const made = useComparedDesigns(present, asked);
  if (!made) {
    return (
      <p role="status" className="pt-3 text-quiet">
        Solving the trays in every combination of gates…
      </p>
    );
  }
  // A tray that was just added or thrown away shows once its numbers do.
  const { stored, compared } = made;
  const drops = compared.designs[0]?.evaluation?.drops ?? [];
  return (
    <>
      <TrayTable stored={stored} compared={compared.designs} opened={opened} />
      {drops.length > 0 && (
        <section aria-label="Where the pressure goes" className="max-w-4xl pt-4">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <h2 className="text-[17px]">Where the pressure goes</h2>
            <span className="w-44">
              <Choice
                label="Drop compared"
                value={asked ?? compared.drop ?? ''}
                options={drops.map((each) => ({ value: each.drop, label: each.name }))}
                onChange={setDrop}
              />
            </span>
            <span className="text-quiet">only its gate open</span>
          </div>
          <WayChart stored={stored} compared={compared.designs} />
        </section>
      )}
      <TrayPlans stored={stored} />
    </>
  );
}
