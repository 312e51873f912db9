'use client';

import { useEffect, useEffectEvent } from 'react';
import { changeDraft } from './draft-reading';
import type { Place } from './use-places';

/** What names a test point in the address of the readings. */
const MARK = '#at=';

/** The address that opens a new reading at a place, as the label there has it. */
export const readingAddress = (origin: string, shop: string, place: string): string =>
  `${origin}/shop/${encodeURIComponent(shop)}/log${MARK}${encodeURIComponent(place)}`;

/** The id of the place an address names behind its #; null: none. */
export function placeInAddress(hash: string): string | null {
  if (!hash.startsWith(MARK)) return null;
  try {
    return decodeURIComponent(hash.slice(MARK.length));
  } catch {
    return null;
  }
}

/** Begins a reading at the place the page's address names; one that is not there is passed over. */
export function useScannedPlace(shopId: string, places: readonly Place[]): void {
  const read = useEffectEvent(() => {
    const id = placeInAddress(window.location.hash);
    if (id === null) return;
    // Read once: whoever chooses another place and loads the page again stays there.
    window.history.replaceState(window.history.state, '', window.location.pathname);
    if (places.some((place) => place.id === id)) {
      changeDraft(shopId, { place: id, instrument: null, diameter: null });
    }
  });
  useEffect(() => {
    read();
    window.addEventListener('hashchange', read);
    return () => window.removeEventListener('hashchange', read);
  }, []);
}
