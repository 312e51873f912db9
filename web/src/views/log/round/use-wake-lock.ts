'use client';

import { useEffect } from 'react';

/** Keeps the screen awake while it is shown, where the browser can; it sleeps again with the page. */
export function useWakeLock(): void {
  useEffect(() => {
    const { wakeLock } = navigator;
    if (!wakeLock) return;
    let sentinel: WakeLockSentinel | null = null;
    let isOver = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      wakeLock.request('screen').then(
        (granted) => {
          if (isOver) void granted.release();
          else sentinel = granted;
        },
        // Refused, as with an empty battery: the screen sleeps as it always does.
        () => undefined,
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', ask);
      void sentinel?.release();
    };
  }, []);
}
