import type { SheetItem, SheetLayer } from '@frank-gauge/core/routing';
import type { Spot } from '@/ui/place-labels';

/** The line of a run on a sheet: its hose's and its pipe's one after the other. */
export function wayOf(items: readonly SheetItem[], run: string): Spot[] {
  const ofRun = (layer: SheetLayer) =>
    items.flatMap((item) =>
      item.kind === 'line' && item.layer === layer && item.run === run ? item.points : [],
    );
  const pipe = ofRun('centrelines');
  return pipe.length > 0 ? pipe : ofRun('hoses');
}

/** Half way along a line. */
export function middleOf(points: readonly Spot[]): Spot {
  const lengths = points
    .slice(1)
    .map((point, i) => Math.hypot(point.x - (points[i]?.x ?? 0), point.y - (points[i]?.y ?? 0)));
  let left = lengths.reduce((sum, each) => sum + each, 0) / 2;
  for (const [i, length] of lengths.entries()) {
    const [from, to] = [points[i], points[i + 1]];
    if (!from || !to) break;
    if (left <= length) {
      const share = length > 0 ? left / length : 0;
      return { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
    }
    left -= length;
  }
  return points[0] ?? { x: 0, y: 0 };
}
