'use client';

import { useEffect } from 'react';

/** So long after a view has opened it loads what it may show next, ms. */
const AFTER = 700;

/** Loads parts of a view before they are asked for, once the view itself is there. */
export function usePreload(...loads: readonly (() => Promise<unknown>)[]): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same for as long as the view is there
  useEffect(() => {
    const timer = setTimeout(() => {
      // What cannot be loaded is asked for again when it is wanted, and fails there.
      for (const load of loads) load().catch(() => undefined);
    }, AFTER);
    return () => clearTimeout(timer);
  }, []);
}
