import type { SheetItem } from '@frank-gauge/core/routing';

interface Props {
  readonly item: SheetItem;
  /** Classes of its layer. */
  readonly look: string | undefined;
  /** From the sheet's own plane, y up, to the drawing's. */
  readonly onSheet: (spot: { readonly x: number; readonly y: number }) => {
    readonly x: number;
    readonly y: number;
  };
  /** The drawing's own units to a metre. */
  readonly scale?: number;
}

/** A line or a circle of a sheet; its texts are left out. */
export function DrawnItem({ item, look, onSheet, scale = 1 }: Props) {
  if (item.kind === 'circle') {
    const { x, y } = onSheet(item.at);
    return <circle cx={x} cy={y} r={scale * item.radius} className={look} />;
  }
  if (item.kind !== 'line') return null;
  const points = item.points.map(onSheet).map(({ x, y }) => `${x},${y}`);
  return item.isClosed ? (
    <polygon points={points.join(' ')} className={look} />
  ) : (
    <polyline points={points.join(' ')} className={look} />
  );
}
