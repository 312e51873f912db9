'use client';

import { placesToMeasure } from '@frank-gauge/core/practice';
import { planSheet } from '@frank-gauge/core/routing';
import { useMemo } from 'react';
import { placeLabels, placesAround, type Spot } from '@/ui/place-labels';
import { type QuietDrawing, QuietItems, quietDrawing } from '../parts/quiet-drawing';
import { wayOf } from '../parts/way-on-sheet';
import { askedName, namesIn } from './practice-names';
import type { OpenHunt } from './use-hunt';

/** Of a place that is tapped, and of the one chosen, in the drawing's units. */
const DOT = { port: 8, hole: 5.5, chosen: 11 };

interface Props {
  readonly open: OpenHunt;
  /** Which of the places to measure at. */
  readonly place: number;
  readonly onPlace: (place: number) => void;
}

/** The shop from above; a tap on a dot holds the meter there. */
export function HuntPlan({ open: { shop, tree, hunt }, place, onPlace }: Props) {
  const places = useMemo(() => placesToMeasure(tree), [tree]);
  const drawing = useMemo(() => quietDrawing(planSheet(shop)), [shop]);
  if (!drawing) return null;
  const names = namesIn(tree);
  const { items, width, height, onSheet } = drawing;
  const dots = places.flatMap((asked, i) => {
    const { at } = asked;
    if (at.kind === 'run') {
      const way = wayOf(items, at.run);
      const spot = at.along === 0 ? alongWay(way, 0.25) : alongWay(way, 0.75);
      return spot ? [{ i, asked, spot: onSheet(spot) }] : [];
    }
    if (at.kind !== 'port') return [];
    const machine = tree.drops.find(({ id }) => id === at.node)?.machine;
    return machine?.place ? [{ i, asked, spot: onSheet(machine.place) }] : [];
  });
  const letters = Math.max(width, height * 1.4) / 46;
  const labels = placeLabels(
    tree.drops.flatMap(({ id, machine }) =>
      machine.place
        ? [
            {
              ...{ of: id, text: machine.name, isNeeded: true },
              places: placesAround(machine.name, onSheet(machine.place), letters, 1.1 * letters),
            },
          ]
        : [],
    ),
    letters,
    [...tree.upstreamFirst.map(({ id }) => wayOf(items, id)), ...wallsOf(items)].flatMap((line) => {
      const way = line.map(onSheet);
      return way.slice(1).map((to, i) => ({ from: way[i] ?? to, to, half: 0.4 * letters }));
    }),
  );
  const open = new Set(hunt.openGates);
  return (
    <svg
      role="img"
      aria-label="Plan of the shop, a dot wherever something can be measured"
      viewBox={`0 0 ${width} ${height}`}
      className="mt-2 max-h-[52vh] w-full touch-manipulation [&_*]:[vector-effect:non-scaling-stroke]"
    >
      <QuietItems drawing={drawing} />
      {tree.drops.map(({ id, path: [run] }) => {
        const way = run && open.has(run.id) ? wayOf(items, run.id).map(onSheet) : [];
        return way.length > 1 ? (
          <polyline
            key={id}
            points={way.map(({ x, y }) => `${x},${y}`).join(' ')}
            className="fill-none stroke-ink"
            strokeWidth={3}
          />
        ) : null;
      })}
      {labels.map(({ of, text, at }) => (
        <text
          key={of}
          x={at.x}
          y={at.y}
          fontSize={letters}
          textAnchor="middle"
          dominantBaseline="central"
          className="fill-ink stroke-paper font-figure [paint-order:stroke]"
          strokeWidth={4}
        >
          {text}
        </text>
      ))}
      {dots.map(({ i, asked, spot }) => (
        // The list beside the meter has the same places for the keyboard.
        // biome-ignore lint/a11y/noStaticElementInteractions: a second way to what a list offers
        <circle
          key={i}
          cx={spot.x}
          cy={spot.y}
          r={i === place ? DOT.chosen : asked.at.kind === 'port' ? DOT.port : DOT.hole}
          strokeWidth={i === place ? 3 : 1.5}
          className={`cursor-pointer stroke-ink ${i === place ? 'fill-selection' : asked.at.kind === 'port' ? 'fill-ink' : 'fill-paper'}`}
          onClick={() => onPlace(i)}
        >
          <title>{askedName(asked, names)}</title>
        </circle>
      ))}
    </svg>
  );
}

/** The room's walls, each a closed line. */
const wallsOf = (items: QuietDrawing['items']): (readonly Spot[])[] =>
  items.flatMap((item) =>
    item.kind === 'line' && (item.layer === 'walls' || item.layer === 'outline')
      ? [[...item.points, ...item.points.slice(0, 1)]]
      : [],
  );

/** A point so far along a line, as a share of its length; null: there is no line. */
function alongWay(points: readonly Spot[], share: number): Spot | null {
  const lengths = points
    .slice(1)
    .map((point, i) => Math.hypot(point.x - (points[i]?.x ?? 0), point.y - (points[i]?.y ?? 0)));
  let left = share * lengths.reduce((sum, each) => sum + each, 0);
  for (const [i, length] of lengths.entries()) {
    const [from, to] = [points[i], points[i + 1]];
    if (!from || !to) break;
    if (left <= length && length > 0) {
      const part = left / length;
      return { x: from.x + part * (to.x - from.x), y: from.y + part * (to.y - from.y) };
    }
    left -= length;
  }
  return points.at(-1) ?? null;
}
