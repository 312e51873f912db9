'use client';

import { memo } from 'react';
import type { PlanDrawing } from './plan-drawing';
import type { Thing } from './use-standing';

interface NameProps {
  readonly thing: Thing;
  readonly drawing: PlanDrawing;
  /** px below where it usually stands. */
  readonly lower: number;
  readonly isWrong: boolean;
}

/** Its name within, over whatever passes above it. */
export const ThingName = memo(function ThingName(props: NameProps) {
  const { thing, drawing, lower, isWrong } = props;
  const label = labelSpot(thing, drawing);
  return (
    <text
      x={label.x}
      y={label.y + lower}
      textAnchor="middle"
      fontSize="13"
      fill={isWrong ? 'var(--starved-text)' : 'var(--ink)'}
      stroke="var(--paper)"
      strokeWidth={3}
      paintOrder="stroke"
      className="pointer-events-none select-none"
    >
      {isWrong ? '▼ ' : ''}
      {thing.name}
    </text>
  );
});

/** From farther away than this only what is wrong is named, px per m. */
const NAMED_FROM = 18;
/** A line of letters is so high, px. */
const LINE = 15;

/** A thing with its name, so many px lower than it usually stands. */
interface Named {
  readonly thing: Thing;
  readonly lower: number;
}

/**
 * What is named from so far away, what is open or wrong first: a name that would stand on another
 * stands a line lower, or not at all.
 */
export function namedThings(
  things: readonly Thing[],
  drawing: PlanDrawing,
  wrong: ReadonlySet<string>,
  open: string | undefined,
): readonly Named[] {
  const isFirst = ({ id }: Thing) => id === open || wrong.has(id);
  const isFar = drawing.scale < NAMED_FROM;
  const first = things.filter(isFirst);
  const others = isFar ? [] : things.filter((thing) => !isFirst(thing));
  const taken: { x: number; y: number; half: number }[] = [];
  return [...first, ...others].flatMap((thing): Named[] => {
    const { x, y } = labelSpot(thing, drawing);
    const half = (thing.name.length * LETTER) / 2;
    const isClear = (lower: number) =>
      taken.every(
        (other) =>
          Math.abs(other.x - x) > other.half + half || Math.abs(other.y - y - lower) >= LINE,
      );
    const lower = [0, LINE].find(isClear) ?? (isFirst(thing) ? 0 : null);
    if (lower === null) return [];
    taken.push({ x, y: y + lower, half });
    return [{ thing, lower }];
  });
}

/** A letter is about so wide, px. */
const LETTER = 6.6;

/** A name stands within its footprint, or under it where it is too long. */
function labelSpot({ block, corners, name }: Thing, drawing: PlanDrawing) {
  const spots = corners.map(drawing.spot);
  const across = Math.max(...spots.map(({ x }) => x)) - Math.min(...spots.map(({ x }) => x));
  const { x, y } = drawing.spot(block.at);
  if (name.length * LETTER < across) return { x, y: y + 4 };
  return { x, y: Math.max(...spots.map((spot) => spot.y)) + 14 };
}
