'use client';

import { usePathname } from 'next/navigation';
import { useSyncExternalStore } from 'react';

const subscribeToNothing = () => () => undefined;

/** What the address names: `/shop/abc/air` abc. Null in the page as the server has it, which is the same for all of them. */
export function useAddressId(): string | null {
  const pathname = usePathname();
  const isInBrowser = useSyncExternalStore(
    subscribeToNothing,
    () => true,
    () => false,
  );
  return isInBrowser ? (pathname.split('/')[2] ?? null) : null;
}
