import type { UnitSystem } from '@frank-gauge/core/quantity';
import { tapeLength } from '@/words/tape-length';
import type { Drawing } from './drawing';

interface Props {
  /** Heights that matter, m, from the floor up. */
  readonly levels: readonly number[];
  /** Where the chain of dimensions stands, px, and on which side its numbers are. */
  readonly x: number;
  readonly side: 'left' | 'right';
  readonly drawing: Drawing;
  readonly system: UnitSystem;
}

/** A dimension under this many pixels has no room for its number. */
const LEAST = 16;

/** A chain of dimensions: ticks at each height, what lies between written beside it. */
export function Dimensions({ levels, x, side, drawing, system }: Props) {
  const sorted = [...new Set(levels.map((z) => Math.round(z * 1e4) / 1e4))].sort((a, b) => a - b);
  const [first] = sorted;
  const last = sorted.at(-1);
  if (first === undefined || last === undefined || sorted.length < 2) return null;
  const sign = side === 'left' ? -1 : 1;
  return (
    <g stroke="var(--quiet)" fill="var(--quiet)" fontSize="12.5">
      <line x1={x} x2={x} y1={drawing.z(first)} y2={drawing.z(last)} />
      {sorted.map((z, i) => {
        const y = drawing.z(z);
        const before = sorted[i - 1];
        const isWritten = before !== undefined && drawing.z(before) - y >= LEAST;
        return (
          <g key={z}>
            <line x1={x - 4} x2={x + 4} y1={y} y2={y} />
            {isWritten && (
              <text
                stroke="none"
                x={x + sign * 7}
                y={(y + drawing.z(before)) / 2 + 4}
                textAnchor={side === 'left' ? 'end' : 'start'}
              >
                {tapeLength(z - before, system)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
