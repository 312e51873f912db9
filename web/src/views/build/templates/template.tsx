'use client';

import { type SheetItem, sheetExtent, sheetSvg } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { saveDxf } from '../../parts/save-dxf';
import { savePdf } from './save-pdf';
import { useTemplate } from './use-template';

interface Props {
  readonly name: string;
  readonly file: string;
  readonly items: readonly SheetItem[];
}

/** Paper around the picture, m. */
const EDGE = 0.01;
/** Letters in the picture are so many times smaller than it is wide and high. */
const LETTERS = 50;

/** A template as a picture, and as files at true size. */
export function Template({ name, file, items }: Props) {
  const system = useUnits();
  const { choices } = useTemplate();
  const paper = choices.paper ?? (system === 'us' ? 'letter' : 'a4');
  const { x0, y0, width, height } = sheetExtent(items) ?? { x0: 0, y0: 0, width: 1, height: 1 };
  const ways = [
    { format: 'PDF', save: () => void savePdf(file, items, { paper, title: name }) },
    {
      format: 'SVG',
      save: () => saveFile(`${file}.svg`, sheetSvg(items), 'image/svg+xml'),
    },
    { format: 'DXF', save: () => void saveDxf(file, items) },
  ];
  return (
    <figure aria-label={`Template: ${name}`} className="pt-3">
      <figcaption className="flex flex-wrap items-baseline gap-2">
        <span className="text-[17px]">{name}</span>
        <span className="text-[14px] text-quiet">
          {Math.round(width * 1000)} by {Math.round(height * 1000)} mm
        </span>
        {ways.map(({ format, save }) => (
          <Button
            key={format}
            look="quiet"
            aria-label={`Save as ${format}: ${name}`}
            onClick={save}
          >
            Save as {format}
          </Button>
        ))}
      </figcaption>
      <svg
        role="img"
        aria-label={`${name}, to scale`}
        viewBox={`${x0 - EDGE} ${-(y0 + height) - EDGE} ${width + 2 * EDGE} ${height + 2 * EDGE}`}
        className="max-h-90 w-full max-w-200"
      >
        {items.map((item, i) => (
          <Drawn key={`${item.kind} ${i}`} item={item} letters={(width + height) / LETTERS} />
        ))}
      </svg>
    </figure>
  );
}

function Drawn({ item, letters }: { readonly item: SheetItem; readonly letters: number }) {
  const isCut = item.layer === 'cuts';
  const look = {
    fill: 'none',
    stroke: isCut ? 'var(--ink)' : 'var(--quiet)',
    strokeWidth: isCut ? 1.5 : 1,
    vectorEffect: 'non-scaling-stroke',
  } as const;
  switch (item.kind) {
    case 'text':
      return (
        <text
          x={item.at.x}
          y={-item.at.y}
          fontSize={Math.max(item.size, letters)}
          textAnchor="middle"
          fill="var(--quiet)"
        >
          {item.text}
        </text>
      );
    case 'circle':
      return <circle cx={item.at.x} cy={-item.at.y} r={item.radius} {...look} />;
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
