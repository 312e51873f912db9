'use client';

import { useEffect, useEffectEvent } from 'react';
import { toast } from 'sonner';
import { readShopLink } from '@/storage/shop-link';

/** Imports the shop that the page's address holds, as a scanned code has it, once there is a place to store it. */
export function useScannedShop(begin: (file: File) => Promise<void>, isReady: boolean): void {
  const read = useEffectEvent(() => {
    const text = readShopLink(window.location.hash);
    if (text === null) return;
    // The address is read once: loaded again, the page is only the list.
    window.history.replaceState(window.history.state, '', window.location.pathname);
    if (text === 'damaged') {
      toast('The code was not read completely. Scan it again, or send the shop as a file.');
    } else void begin(new File([text], 'The scanned code'));
  });
  useEffect(() => {
    if (!isReady) return;
    read();
    window.addEventListener('hashchange', read);
    return () => window.removeEventListener('hashchange', read);
  }, [isReady]);
}
