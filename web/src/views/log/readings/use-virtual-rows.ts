'use client';

import {
  elementScroll,
  type Rect,
  useVirtualizer,
  useWindowVirtualizer,
  type Virtualizer,
} from '@tanstack/react-virtual';
import { type RefObject, useLayoutEffect, useMemo, useState } from 'react';
import { useWide } from '@/ui/use-wide';
import type { LogRow } from './rows-by-day';

/**
 * Heights of rows, px, at least: a row is drawn as high, and higher only where its text breaks, so that
 * what is not drawn yet takes the room it will take.
 */
export const ROW_HEIGHTS = { day: 46, reading: 36, note: 26 } as const;
/** Columns there are at every width: a row across all of them spans no more, or it would add some. */
export const LEAST_COLUMNS = 4;
/** Rows drawn beyond those in sight, at either end: a quick scroll meets no blank ones. */
const OVERSCAN = 30;

/** Only the rows in sight of a long table, and how much room those above and below take. */
export interface VirtualRows {
  readonly rows: readonly { readonly index: number; readonly row: LogRow }[];
  readonly above: number;
  readonly below: number;
  readonly measure: (element: HTMLElement | null) => void;
}

/**
 * The height the browser reports of a row once it is laid out. Until then the one it had before, or the
 * usual one: asking the row itself would have the page laid out in the middle of drawing it.
 */
function heightOf<S extends Element | Window>(
  element: HTMLElement,
  entry: ResizeObserverEntry | undefined,
  { itemSizeCache, options }: Virtualizer<S, HTMLElement>,
): number {
  const [box] = entry?.borderBoxSize ?? [];
  if (box) return Math.round(box.blockSize);
  const index = Number(element.dataset.index);
  return itemSizeCache.get(options.getItemKey(index)) ?? options.estimateSize(index);
}

/** Follows the size of the box by what the browser reports of it, never by asking in the middle of drawing. */
function followSize(
  { scrollElement }: Virtualizer<HTMLElement, HTMLElement>,
  follow: (size: Rect) => void,
): (() => void) | undefined {
  if (!scrollElement) return undefined;
  const observer = new ResizeObserver(([entry]) => {
    const [size] = entry?.borderBoxSize ?? [];
    if (size) follow({ width: Math.round(size.inlineSize), height: Math.round(size.blockSize) });
  });
  observer.observe(scrollElement);
  return () => observer.disconnect();
}

/** Scrolls, but not to where it stands: that too would have the page laid out. */
const scrollIfAway: typeof elementScroll<HTMLElement> = (offset, options, instance) => {
  const isThere = offset + (options.adjustments ?? 0) === (instance.scrollOffset ?? 0);
  if (!isThere) elementScroll(offset, options, instance);
};

export function useVirtualRows(
  rows: readonly LogRow[],
  box: RefObject<HTMLElement | null>,
): VirtualRows {
  const isWide = useWide();
  const [scrollMargin, setScrollMargin] = useState(0);
  useLayoutEffect(() => {
    const { current } = box;
    const top = isWide || !current ? 0 : current.getBoundingClientRect().top + window.scrollY;
    setScrollMargin(Math.round(top));
  }, [isWide, box]);

  // The same as long as the rows are: with other ones the places of all rows would be worked out anew.
  const byIndex = useMemo(
    () => ({
      estimateSize: (index: number) => ROW_HEIGHTS[rows[index]?.kind ?? 'reading'],
      getItemKey: (index: number) => rows[index]?.key ?? index,
    }),
    [rows],
  );
  const options = {
    ...byIndex,
    measureElement: heightOf,
    count: rows.length,
    overscan: OVERSCAN,
    // A screen's worth before anything is measured, so that the first picture has its rows.
    initialRect: { width: 800, height: 800 },
  };
  const inBox = useVirtualizer<HTMLElement, HTMLElement>({
    ...options,
    enabled: isWide,
    getScrollElement: () => box.current,
    observeElementRect: followSize,
    scrollToFn: scrollIfAway,
  });
  const inWindow = useWindowVirtualizer<HTMLElement>({
    ...options,
    enabled: !isWide,
    scrollMargin,
  });
  const virtualizer = isWide ? inBox : inWindow;
  const items = virtualizer.getVirtualItems();
  const margin = isWide ? 0 : scrollMargin;
  // One list by identity as long as the same rows are in sight.
  const inSight = useMemo(
    () =>
      items.flatMap(({ index }) => {
        const row = rows[index];
        return row ? [{ index, row }] : [];
      }),
    [items, rows],
  );
  return {
    rows: inSight,
    above: (items[0]?.start ?? margin) - margin,
    below: virtualizer.getTotalSize() - ((items.at(-1)?.end ?? margin) - margin),
    measure: virtualizer.measureElement,
  };
}
