import { type SheetItem, type SheetLayer, sheetExtent } from '@frank-gauge/core/routing';

interface Props {
  readonly name: string;
  readonly items: readonly SheetItem[];
  /** So many letters, one above the other, are as much as the drawing's width and height together, at most. */
  readonly letters: number;
  /** Layers that would be too small to read here. */
  readonly without?: ReadonlySet<SheetLayer>;
  readonly className?: string;
}

const NONE: ReadonlySet<SheetLayer> = new Set();

/** Paper around the picture, as a share of its width and height together. */
const EDGE = 0.015;

/** Layers that are drawn in ink; the others are quiet. */
const INK: ReadonlySet<SheetLayer> = new Set([
  ...(['cuts', 'ducts', 'hoses', 'gates', 'pieces', 'hangers', 'walls', 'sizes'] as const),
]);

/** On paper a number stands so far below the middle of its circle, by its height; its circle is so wide here. */
const NUMBER_DROP = 1 / 2.6;
const BALLOON = 0.85;

/** A sheet as a picture, to scale. */
export function SheetSvg({ name, items, letters, without = NONE, className = '' }: Props) {
  const { x0, y0, width, height } = sheetExtent(items) ?? { x0: 0, y0: 0, width: 1, height: 1 };
  const edge = EDGE * (width + height);
  return (
    <svg
      role="img"
      aria-label={name}
      viewBox={`${x0 - edge} ${-(y0 + height) - edge} ${width + 2 * edge} ${height + 2 * edge}`}
      className={`w-full max-w-240 ${className}`}
    >
      {items.map(
        (item, i) =>
          !without.has(item.layer) && (
            <Drawn key={`${item.kind} ${i}`} item={item} least={(width + height) / letters} />
          ),
      )}
    </svg>
  );
}

/** @param least height of letters that can be read here, in the drawing's own measure */
function Drawn({ item, least }: { readonly item: SheetItem; readonly least: number }) {
  const isInk = INK.has(item.layer);
  const isNumber = item.layer === 'pieces';
  const look = {
    fill: isNumber ? 'var(--paper)' : 'none',
    stroke: isInk ? 'var(--ink)' : 'var(--quiet)',
    strokeWidth: isInk ? 1.5 : 1,
    vectorEffect: 'non-scaling-stroke',
  } as const;
  switch (item.kind) {
    case 'text':
      return (
        <text
          x={item.at.x}
          // A number stands in the middle of its circle, however large it is.
          y={-item.at.y - (isNumber ? item.size * NUMBER_DROP : 0)}
          fontSize={Math.max(item.size, least)}
          textAnchor="middle"
          dominantBaseline={isNumber ? 'central' : undefined}
          fill={isInk ? 'var(--ink)' : 'var(--quiet)'}
        >
          {item.text}
        </text>
      );
    case 'circle':
      return (
        <circle
          cx={item.at.x}
          cy={-item.at.y}
          r={isNumber ? Math.max(item.radius, BALLOON * least) : item.radius}
          {...look}
        />
      );
    case 'line': {
      const points = item.points.map(({ x, y }) => `${x},${-y}`).join(' ');
      return item.isClosed ? (
        <polygon points={points} {...look} />
      ) : (
        <polyline points={points} {...look} />
      );
    }
  }
}
