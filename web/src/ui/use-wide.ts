'use client';

import { useSyncExternalStore } from 'react';

/** From this width on parts of a page scroll by themselves; below it the whole page does. */
const WIDE = '(min-width: 48rem)';

function follow(onChange: () => void): () => void {
  const query = window.matchMedia(WIDE);
  query.addEventListener('change', onChange);
  return () => query.removeEventListener('change', onChange);
}

/** Whether the page is wide: no phone held upright. */
export const useWide = (): boolean =>
  useSyncExternalStore(
    follow,
    () => window.matchMedia(WIDE).matches,
    () => true,
  );
