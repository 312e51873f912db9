'use client';

import type { Spot } from '@frank-gauge/core/room';
import {
  ELEVATIONS,
  elevationSheet,
  isometricSheet,
  type Point3,
  type SheetItem,
  type SheetLayer,
  type Side,
  sheetExtent,
} from '@frank-gauge/core/routing';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { Button } from '@/ui/button';
import {
  boxOfText,
  type PlacedLabel,
  placeLabels,
  placesAround,
  type Stroke,
} from '@/ui/place-labels';
import { useSize } from '@/ui/use-size';
import { useZoom } from '@/ui/use-zoom';
import { WrittenLabel } from '@/ui/written-label';
import { printDrawing } from '../parts/print-drawing';
import { saveDrawing } from '../parts/save-drawing';
import { saveDxf } from '../parts/save-dxf';
import { chooseThing } from './choose-thing';
import { type AirTone, STILL_AIR } from './ducts/air-tone';
import { DuctHandles } from './ducts/duct-handles';
import { useDucts } from './ducts/use-ducts';
import { ZoomButtons } from './zoom-buttons';

/** How the shop is looked at besides the plan. */
export type SheetView = Side | 'isometric';

const NAMES: Readonly<Record<SheetView, string>> = {
  front: 'Elevation from the front',
  back: 'Elevation from the back',
  left: 'Elevation from the left',
  right: 'Elevation from the right',
  isometric: 'Isometric of the ducts',
};

/** What stays free around the drawing, px. */
const MARGIN = { side: 20, top: 20, bottom: 52 } as const;

/** An elevation, or the isometric of the ducts, to scale. */
export function SheetPicture({ view }: { readonly view: SheetView }) {
  const shop = useDesign();
  const units = useUnits();
  const ducts = useDucts();
  const [box, { width, height }] = useSize<HTMLDivElement>();
  const zoom = useZoom();
  const items = view === 'isometric' ? isometricSheet(shop) : elevationSheet(shop, view);
  const extent = sheetExtent(items);
  if (!extent) {
    return <p className="p-4 text-quiet">Enter the width and depth of the room to draw it.</p>;
  }
  const whole = Math.max(
    1,
    Math.min(
      (width - 2 * MARGIN.side) / Math.max(extent.width, 0.1),
      (height - MARGIN.top - MARGIN.bottom) / Math.max(extent.height, 0.1),
    ),
  );
  const { k, x: right, y: down } = zoom.transform;
  const scale = whole * k;
  const left = (width - whole * extent.width) / 2;
  const bottom = (height + MARGIN.top - MARGIN.bottom + whole * extent.height) / 2;
  const onSheet = ({ x, y }: Spot) => ({
    x: (left + whole * (x - extent.x0)) * k + right,
    y: (bottom - whole * (y - extent.y0)) * k + down,
  });
  const strokes = strokesOf(items, onSheet, view);
  const written = writtenOn(items, onSheet, view, strokes);
  return (
    <div ref={box} className="relative h-[420px] min-h-0 md:h-auto md:flex-1">
      {width > 0 && height > 0 && (
        <>
          {/* biome-ignore lint/a11y/useSemanticElements: a drawing of things to be pressed is no fieldset */}
          <svg
            ref={zoom.ref}
            width={width}
            height={height}
            role="group"
            aria-label={NAMES[view]}
            className="touch-none"
          >
            <title>{NAMES[view]}</title>
            {items.map((item, i) => (
              <Shape
                key={`${i} ${item.layer}`}
                item={item}
                onSheet={onSheet}
                scale={scale}
                isIsometric={view === 'isometric'}
                tone={item.kind !== 'text' && item.run ? ducts.tone(item.run) : STILL_AIR}
              />
            ))}
            {written.map(({ of, text, at }) => (
              <WrittenLabel
                key={`${text} ${of.at.x} ${of.at.y}`}
                text={text}
                x={at.x}
                y={at.y}
                size={TYPE}
                fill={LOOKS[of.layer].fill}
              />
            ))}
            {view !== 'isometric' && (
              <DuctHandles
                drawing={{
                  scale,
                  spot: (at: Point3) => onSheet(ELEVATIONS[view](at)),
                  moved: MOVED[view],
                }}
                ducts={ducts}
                strokes={strokes}
                occupied={written.map(({ text, at }) => boxOfText(text, at, TYPE))}
              />
            )}
          </svg>
          <ZoomButtons zoom={zoom} />
          <div className="absolute right-0 bottom-0 flex text-[14px]">
            <Button
              look="quiet"
              onClick={() => {
                const drawing = box.current?.querySelector('svg');
                if (drawing) printDrawing(drawing, 1 / scale, NAMES[view], units);
              }}
            >
              Print
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                const drawing = box.current?.querySelector('svg');
                if (drawing) saveDrawing(drawing, 1 / scale, view, 50);
              }}
            >
              Save as SVG
            </Button>
            <Button look="quiet" onClick={() => void saveDxf(view, items)}>
              Save as DXF
            </Button>
          </div>
        </>
      )}
    </div>
  );
}

/** Size of what is written on a sheet, px. */
const TYPE = 12;
/** Lines of ducts, whatever their kind: no label stands on one. */
const OF_DUCTS: ReadonlySet<SheetLayer> = new Set(['centrelines', 'hoses', 'ducts', 'gates']);
/** What else nothing stands on that is written; walls only in elevations, where names stand below the floor. */
const UPRIGHT: ReadonlySet<SheetLayer> = new Set(['posts', 'machines', 'collector']);
/** Below the floor, the first name of an elevation stands so far down, the next ones so much lower, px. */
const FIRST_ROW = 13;
const ROW = 14;

type TextItem = Extract<SheetItem, { kind: 'text' }>;
type OnSheet = (at: Spot) => { readonly x: number; readonly y: number };

/** What nothing is written over. */
function strokesOf(items: readonly SheetItem[], onSheet: OnSheet, view: SheetView): Stroke[] {
  const isElevation = view !== 'isometric';
  return items.flatMap((item): Stroke[] => {
    const isInTheWay =
      OF_DUCTS.has(item.layer) ||
      UPRIGHT.has(item.layer) ||
      (isElevation && item.layer === 'walls');
    if (item.kind !== 'line' || !isInTheWay) return [];
    const points = (item.isClosed ? [...item.points, ...item.points.slice(0, 1)] : item.points).map(
      onSheet,
    );
    return points.slice(1).flatMap((to, i) => {
      const from = points[i];
      return from ? [{ from, to, half: LOOKS[item.layer].width / 2 }] : [];
    });
  });
}

/** Everything written on the sheet, where it covers no duct and nothing else that is written. */
function writtenOn(
  items: readonly SheetItem[],
  onSheet: OnSheet,
  view: SheetView,
  strokes: readonly Stroke[],
): readonly PlacedLabel<TextItem>[] {
  const labels = items.flatMap((item) => {
    if (item.kind !== 'text') return [];
    return [{ of: item, text: item.text, places: placesOf(item, onSheet, view !== 'isometric') }];
  });
  return placeLabels(labels, TYPE, strokes);
}

function placesOf(item: TextItem, onSheet: OnSheet, isElevation: boolean) {
  const at = onSheet(item.at);
  if (isElevation) {
    const floor = onSheet({ x: item.at.x, y: 0 }).y;
    return [0, 1, 2, 3].map((row) => ({ x: at.x, y: floor + FIRST_ROW + row * ROW }));
  }
  if (item.layer === 'names') return [at, ...placesAround(item.text, at, TYPE, 2, 4)];
  // A length far from its leg would seem to be another's.
  const spots = [at, ...(item.elsewhere ?? []).map(onSheet)];
  return [1, 2].flatMap((rings) =>
    spots.flatMap((spot) => [spot, ...placesAround(item.text, spot, TYPE, 2, rings)]),
  );
}

/** What a drag to the right and up by so much does to a point, seen from each side, m. */
const MOVED: Readonly<Record<Side, (from: Point3, right: number, up: number) => Point3>> = {
  front: ({ x, y, z }, right, up) => ({ x: x + right, y, z: z + up }),
  back: ({ x, y, z }, right, up) => ({ x: x - right, y, z: z + up }),
  left: ({ x, y, z }, right, up) => ({ x, y: y - right, z: z + up }),
  right: ({ x, y, z }, right, up) => ({ x, y: y + right, z: z + up }),
};

/** How each layer is drawn. */
const LOOKS: Readonly<
  Record<SheetLayer, { stroke: string; width: number; fill: string; dash?: string }>
> = {
  walls: { stroke: 'var(--ink)', width: 4, fill: 'none' },
  outline: { stroke: 'var(--rule)', width: 1.5, fill: 'none' },
  studs: { stroke: 'var(--rule)', width: 1, fill: 'none', dash: '6 4' },
  doors: { stroke: 'var(--ink)', width: 1.5, fill: 'none', dash: '3 4' },
  windows: { stroke: 'var(--ink)', width: 1.5, fill: 'none' },
  posts: { stroke: 'var(--quiet)', width: 1, fill: 'var(--strip)' },
  machines: { stroke: 'var(--ink)', width: 1.25, fill: 'var(--paper)' },
  rooms: { stroke: 'var(--rule)', width: 1, fill: 'none', dash: '4 4' },
  collector: { stroke: 'var(--ink)', width: 1.25, fill: 'var(--strip)' },
  ducts: { stroke: 'var(--ink)', width: 1.25, fill: 'var(--paper)' },
  centrelines: { stroke: 'var(--quiet)', width: 1, fill: 'none', dash: '9 3 2 3' },
  hoses: { stroke: 'var(--ink)', width: 1.25, fill: 'var(--paper)', dash: '2 2' },
  gates: { stroke: 'var(--ink)', width: 4, fill: 'none' },
  sizes: { stroke: 'none', width: 0, fill: 'var(--ink)' },
  names: { stroke: 'none', width: 0, fill: 'var(--quiet)' },
  cuts: { stroke: 'var(--ink)', width: 1.25, fill: 'none' },
  marks: { stroke: 'var(--quiet)', width: 1, fill: 'none', dash: '6 4' },
  pieces: { stroke: 'var(--ink)', width: 1, fill: 'var(--paper)' },
  hangers: { stroke: 'var(--ink)', width: 1.5, fill: 'none' },
};

interface ShapeProps {
  readonly item: SheetItem;
  readonly onSheet: (at: Spot) => { readonly x: number; readonly y: number };
  readonly scale: number;
  readonly tone: AirTone;
  readonly isIsometric: boolean;
}

function Shape({ item, onSheet, scale, tone, isIsometric }: ShapeProps) {
  const shopId = useDesign((shop) => shop.id);
  const tree = useDuctTree();
  const open = useChoices((choices) => choices.parts[shopId]);
  const look = LOOKS[item.layer];
  if (item.kind === 'text') return null;
  const { run } = item;
  const isOpen = run !== undefined && run === open;
  // In the isometric the centrelines are the ducts.
  const isDuctLine = item.layer === 'centrelines' && isIsometric;
  const style = {
    stroke: isDuctLine ? 'var(--ink)' : look.stroke,
    strokeWidth: look.width + (isDuctLine ? 1.25 : 0) + (isOpen ? 1.75 : 0),
    fill: look.fill,
    strokeDasharray: isDuctLine ? undefined : look.dash,
  };
  const press = run && {
    onClick: () => chooseThing(shopId, tree, run),
    className: 'cursor-pointer',
  };
  const hasTone = item.layer === 'ducts' && tone.opacity > 0;
  const shape = (of: object) => {
    if (item.kind === 'circle') {
      const { x, y } = onSheet(item.at);
      return <circle cx={x} cy={y} r={Math.max(2.5, item.radius * scale)} {...of} />;
    }
    const points = item.points.map(onSheet).map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`);
    return item.isClosed ? (
      <polygon points={points.join(' ')} {...of} />
    ) : (
      <polyline points={points.join(' ')} {...of} />
    );
  };
  return (
    <g {...press} data-duct={run}>
      {shape(style)}
      {hasTone && shape({ fill: 'var(--air)', fillOpacity: tone.opacity, stroke: 'none' })}
    </g>
  );
}
