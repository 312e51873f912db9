'use client';

import type { TestPoint } from '@frank-gauge/core/journal';
import { GRID, type Spot, snapTo } from '@frank-gauge/core/room';
import {
  placeInRun,
  planSheet,
  runAtSpot,
  type SheetLayer,
  sheetExtent,
} from '@frank-gauge/core/routing';
import { type MouseEvent, useMemo } from 'react';
import { useDesign, useDuctLines, useDuctTree, useUnits } from '@/model/use-design';
import { DrawnItem } from '../../parts/drawn-item';
import { type Place, SOMEWHERE } from '../../parts/taking/use-places';

/** What is drawn of the plan, and how. */
const LOOKS: Readonly<Partial<Record<SheetLayer, string>>> = {
  outline: 'fill-none stroke-rule',
  walls: 'fill-none stroke-ink [stroke-width:2.5]',
  machines: 'fill-paper stroke-quiet',
  collector: 'fill-strip stroke-quiet',
  ducts: 'fill-paper stroke-ink',
  hoses: 'fill-paper stroke-ink [stroke-dasharray:2_2]',
};

/** So near to a duct a click is in it, m; and free space around the drawing, m. */
const REACH = 0.15;
const MARGIN = 0.3;

interface Props {
  readonly places: readonly Place[];
  /** The test point that is open; null: none is. */
  readonly open: Place | null;
  /** What a click does. */
  readonly hint: string;
  /** Somebody pointed at a place: in a run, or in the room. */
  readonly onPick: (at: TestPoint['at'], name: string) => void;
}

/** The plan with every test point on it: a click on it says where one is. */
export function PlanPicker({ places, open, hint, onPick }: Props) {
  const shop = useDesign();
  const system = useUnits();
  const lines = useDuctLines();
  const { upstreamFirst } = useDuctTree();
  const items = useMemo(() => planSheet(shop).filter(({ layer }) => LOOKS[layer]), [shop]);
  const extent = useMemo(() => sheetExtent(items), [items]);
  if (!extent) {
    return <p>There is no plan yet. Enter the size of the room on the Floor, or add a machine.</p>;
  }
  const [width, height] = [extent.width + 2 * MARGIN, extent.height + 2 * MARGIN];
  // Metres to the drawing's own: y goes up in the shop and down on the screen.
  const onSheet = ({ x, y }: Spot) => ({
    x: x - extent.x0 + MARGIN,
    y: extent.height + MARGIN - (y - extent.y0),
  });
  const placeOf = ({ point: { at } }: Place): Spot | null => {
    switch (at.kind) {
      case 'port':
        return lines.places.get(at.node) ?? null;
      case 'run':
        return placeInRun(lines, at.run, at.along);
      case 'place':
        return at.point;
      case 'collector':
        return null;
    }
  };
  const pick = (event: MouseEvent<SVGSVGElement>) => {
    const matrix = event.currentTarget.getScreenCTM();
    if (!matrix) return;
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    const spot = { x: x + extent.x0 - MARGIN, y: extent.height + MARGIN - y + extent.y0 };
    const found = runAtSpot(lines, spot, REACH);
    if (found) {
      const name = upstreamFirst.find(({ id }) => id === found.run)?.name ?? 'a duct';
      onPick({ kind: 'run', ...found }, `In ${name}`);
      return;
    }
    const before = open?.point.at.kind === 'place' ? open.point.at : SOMEWHERE;
    const grid = GRID[system];
    const point = { ...before.point, x: snapTo(grid, spot.x), y: snapTo(grid, spot.y) };
    onPick({ kind: 'place', point }, 'In the room');
  };
  const radius = width / 60;
  return (
    <>
      <p className="pb-1 text-[14px] text-quiet">{hint}</p>
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: by keyboard the same is typed in the test point's fields */}
      <svg
        role="img"
        aria-label="Test points on the plan"
        viewBox={`0 0 ${width} ${height}`}
        onClick={pick}
        className="max-h-80 w-full cursor-crosshair border border-rule [&_*]:[vector-effect:non-scaling-stroke]"
      >
        {items.map((item, i) => (
          <DrawnItem
            key={`${i} ${item.layer}`}
            item={item}
            look={LOOKS[item.layer]}
            onSheet={onSheet}
          />
        ))}
        {places.map((place) => {
          const at = placeOf(place);
          const spot = at && onSheet(at);
          const isOpen = place.id === open?.id;
          return (
            spot && (
              <circle
                key={place.id}
                cx={spot.x}
                cy={spot.y}
                r={isOpen ? 1.5 * radius : radius}
                fill={isOpen ? 'var(--ink)' : 'var(--air)'}
                stroke={isOpen ? 'var(--paper)' : 'var(--ink)'}
              >
                <title>{place.name}</title>
              </circle>
            )
          );
        })}
      </svg>
    </>
  );
}
