'use client';

import { useEffect, useState } from 'react';

const EVERY = 10 * 60_000;

/** The present time, ms: anew every ten minutes, and when the page is looked at again. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const look = () => setNow(Date.now());
    const timer = setInterval(look, EVERY);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return now;
}
