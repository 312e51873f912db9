'use client';

import { useEffect, useState } from 'react';

/** How long a value has to rest, ms. */
const REST = 90;

/** A value as it was when it last rested a moment; the present one where `isAtOnce`. */
export function useRested<T>(value: T, isAtOnce: boolean): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    if (isAtOnce || value === rested) return;
    const timer = setTimeout(() => setRested(value), REST);
    return () => clearTimeout(timer);
  }, [value, rested, isAtOnce]);
  return isAtOnce ? value : rested;
}
