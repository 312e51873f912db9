import { type SheetItem, type SheetLayer, sheetExtent } from '@frank-gauge/core/routing';
import type { Spot } from '@/ui/place-labels';
import { DrawnItem } from './drawn-item';

/** What is drawn of a sheet that other things are shown on, and how. */
const LOOKS: Readonly<Partial<Record<SheetLayer, string>>> = {
  outline: 'fill-none stroke-rule',
  walls: 'fill-none stroke-quiet [stroke-width:2]',
  machines: 'fill-paper stroke-rule',
  collector: 'fill-strip stroke-quiet',
  ducts: 'fill-paper stroke-quiet',
  hoses: 'fill-none stroke-quiet [stroke-dasharray:2_2]',
  centrelines: 'fill-none stroke-quiet',
};

/** Free space around the drawing, m; its own units to a metre, about px: labels are placed by them. */
const MARGIN = 0.4;
const SCALE = 60;

export interface QuietDrawing {
  readonly items: readonly SheetItem[];
  readonly width: number;
  readonly height: number;
  /** From the sheet's own plane, m and y up, to the drawing's. */
  readonly onSheet: (spot: Spot) => Spot;
  /** Its own units to a metre. */
  readonly scale: number;
}

/** A sheet as a quiet ground for what is shown on it; null: there is nothing on it. */
export function quietDrawing(sheet: readonly SheetItem[]): QuietDrawing | null {
  const items = sheet.filter(({ layer }) => LOOKS[layer]);
  const extent = sheetExtent(items);
  if (!extent) return null;
  return {
    items,
    width: SCALE * (extent.width + 2 * MARGIN),
    height: SCALE * (extent.height + 2 * MARGIN),
    scale: SCALE,
    // y goes up in the shop and down on the screen.
    onSheet: ({ x, y }) => ({
      x: SCALE * (x - extent.x0 + MARGIN),
      y: SCALE * (extent.height + MARGIN - (y - extent.y0)),
    }),
  };
}

export const QuietItems = ({ drawing: { items, onSheet } }: { readonly drawing: QuietDrawing }) =>
  items.map((item, i) => (
    <DrawnItem
      key={`${i} ${item.layer}`}
      item={item}
      look={LOOKS[item.layer]}
      onSheet={onSheet}
      scale={SCALE}
    />
  ));
