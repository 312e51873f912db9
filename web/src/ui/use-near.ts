'use client';

import { type RefObject, useEffect, useState } from 'react';

/** How far beyond what is in sight counts as near, px: a quick turn of the wheel. */
const MARGIN = '400px';
/** So many rows of a list are taken to be near until the browser has reported. */
const FIRST = 24;

const listeners = new WeakMap<Element, (isNear: boolean) => void>();
let observer: IntersectionObserver | null = null;

/** One observer for all: it reports many elements at once. */
function nearness(): IntersectionObserver {
  observer ??= new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) listeners.get(target)?.(isIntersecting);
    },
    // Boxes that scroll by themselves clip what is in them; the second margin is theirs, where known.
    { rootMargin: MARGIN, scrollMargin: MARGIN } as IntersectionObserverInit,
  );
  return observer;
}

/**
 * Whether a row of a list is in sight or nearly so, or has the focus.
 * @param index of the row, from 0
 */
export function useNear(element: RefObject<Element | null>, index: number): boolean {
  const [isNear, setNear] = useState(index < FIRST);
  useEffect(() => {
    const { current } = element;
    if (!current) return;
    listeners.set(current, (now) => setNear(now || current.contains(document.activeElement)));
    nearness().observe(current);
    return () => {
      nearness().unobserve(current);
      listeners.delete(current);
    };
  }, [element]);
  return isNear;
}
