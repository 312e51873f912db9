'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { discard, keep } from '@/model/tray-actions';
import { useSession } from '@/storage/session';
import { Button } from '@/ui/button';

/** The tray that is open; null: it is the shop itself. */
export const useTray = () =>
  useSession((session) => (session.status === 'open' ? session.tray : null));

const LINK =
  'inline-flex min-h-11 items-center border border-transparent px-2 font-semibold hover:border-rule hover:bg-selection md:min-h-8';

/** Says that a tray is open, where edits land; and the ways out of it. */
export function TrayBar({ id }: { readonly id: string }) {
  const tray = useTray();
  const pathname = usePathname();
  const router = useRouter();
  if (!tray) return null;
  const inShop = pathname.replace(`/shop/${id}`, `/shop/${tray.shop}`);
  const compared = `/shop/${tray.shop}/improve/trays`;
  return (
    <section
      aria-label="Tray"
      className="flex flex-wrap items-center gap-x-2 border-ink border-b bg-selection px-3 py-1 md:px-4 print:hidden"
    >
      <p className="min-w-60 flex-1 text-[15px]">
        <strong className="font-semibold">Tray {tray.name} is open.</strong> Every edit lands in it;
        the shop stays as it is.
      </p>
      <Link href={`/shop/${id}/improve/trays`} className={LINK}>
        Compare
      </Link>
      <Button
        onClick={() =>
          void keep(id, tray.name).then((shop) => {
            if (shop) router.push(inShop);
          })
        }
      >
        Keep in the shop
      </Button>
      <Button
        look="quiet"
        onClick={() => {
          router.push(compared);
          void discard(id, tray.name);
        }}
      >
        Throw away
      </Button>
      <Link href={inShop} className={LINK}>
        Back to the shop
      </Link>
    </section>
  );
}

const MEASURING = /^\/shop\/[^/]+\/(log|leaks)(\/|$)/;

/** In a tray, where a view is about what was measured, the way to the shop it was measured in. */
export function NoReadingsInTray({
  id,
  children,
}: {
  readonly id: string;
  readonly children: ReactNode;
}) {
  const tray = useTray();
  const pathname = usePathname();
  if (!tray || !MEASURING.test(pathname)) return children;
  return (
    <p className="max-w-prose px-4 pt-3 text-[17px]">
      Readings belong to the shop itself, not to tray {tray.name}: what is only tried out cannot be
      measured.{' '}
      <Link href={pathname.replace(`/shop/${id}`, `/shop/${tray.shop}`)} className="underline">
        Go to the shop
      </Link>
    </p>
  );
}
