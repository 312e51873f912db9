import { memo } from 'react';

interface Props {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  /** Of the type, px. */
  readonly size: number;
  readonly fill: string;
  /** Degrees; 0: level. */
  readonly turn?: number;
}

/** A label of a drawing about its middle, with a rim of paper that keeps it readable over lines. */
export const WrittenLabel = memo(function WrittenLabel({
  text,
  x,
  y,
  size,
  fill,
  turn = 0,
}: Props) {
  return (
    <text
      x={x}
      y={y}
      transform={turn === 0 ? undefined : `rotate(${turn} ${x} ${y})`}
      textAnchor="middle"
      dominantBaseline="central"
      fontSize={size}
      fill={fill}
      stroke="var(--paper)"
      strokeWidth={3}
      paintOrder="stroke"
      className="pointer-events-none select-none"
    >
      {text}
    </text>
  );
});
