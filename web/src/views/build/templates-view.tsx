'use client';

import {
  type PipeIntoDrum,
  tangentialOffset,
  templateSheets,
  wrapTemplates,
} from '@frank-gauge/core/build';
import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { type SheetItem, sheetExtent, sheetSvg } from '@frank-gauge/core/routing';
import { useState } from 'react';
import { useUnits } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { FieldLine, Line } from '../parts/line';
import { saveDxf } from '../parts/save-dxf';

/** What it is as long as nobody has typed anything: a 6-in. pipe into a 55-gal drum, or a metric one. */
const usual = (system: UnitSystem): Omit<PipeIntoDrum, 'offset'> => ({
  pipe: system === 'us' ? toSI(6, 'in') : 0.15,
  drum: system === 'us' ? toSI(22.5, 'in') : 0.57,
  wall: 0.001,
  angle: Math.PI / 2,
  ends: 'outside',
});

/** Wrap-around templates of a pipe that goes into a round drum or another pipe. */
export function TemplatesView() {
  const system = useUnits();
  const [typed, setTyped] = useState<Partial<PipeIntoDrum>>({});
  const own = { ...usual(system), ...typed };
  const tangential = tangentialOffset(own);
  const of: PipeIntoDrum = { ...own, offset: typed.offset ?? tangential };
  const made = wrapTemplates(of);
  const change = (change: Partial<PipeIntoDrum>) => setTyped({ ...typed, ...change });
  const warningOf = (field: keyof PipeIntoDrum) =>
    !made.ok && made.field === field ? made.reason : null;
  const sheets =
    made.ok &&
    templateSheets(made.templates, {
      pipe: 'wrap around the pipe, straight edge away from the drum',
      hole: 'hole, on the outside of the drum',
      ruler: '100 mm',
    });
  const size = (field: 'pipe' | 'drum' | 'wall') => ({
    value: own[field],
    kind: 'diameter' as const,
    onChange: (value: number) => change({ [field]: value }),
    warning: warningOf(field),
  });
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto">
      <h1 className="text-[18px]">Templates</h1>
      <p className="max-w-prose text-[15px]">
        A pipe into a round drum, or into another pipe. Measure outside diameters: the way around by
        tape, divided by 3.1416, is surer than a caliper across.
      </p>
      <div className="max-w-100">
        <FieldLine label="Pipe, outside diameter" {...size('pipe')} min={0} isMinExcluded max={2} />
        <FieldLine label="Drum, outside diameter" {...size('drum')} min={0} isMinExcluded max={5} />
        <FieldLine label="Drum, wall" {...size('wall')} min={0} max={0.1} />
        <FieldLine
          label="Offset"
          value={typed.offset ?? null}
          kind="diameter"
          min={-3}
          max={3}
          placeholder={`tangential, ${formatShort(tangential, 'diameter', system)}`}
          warning={warningOf('offset')}
          onChange={(offset) => change({ offset })}
          onClear={() => {
            const { offset: _, ...rest } = typed;
            setTyped(rest);
          }}
        />
        <FieldLine
          label="Angle between them"
          value={own.angle}
          kind="angle"
          min={0}
          isMinExcluded
          max={Math.PI / 2}
          warning={warningOf('angle')}
          onChange={(angle) => change({ angle })}
        />
        <Line label="Pipe ends">
          <Choice
            label="Pipe ends"
            value={own.ends}
            options={[
              { value: 'outside', label: 'on the outside of the drum' },
              { value: 'inside', label: 'flush with its inside' },
            ]}
            onChange={(ends) => change({ ends })}
          />
        </Line>
      </div>
      {sheets ? (
        <>
          <Template name="Pipe" file="pipe-template" items={sheets.pipe} />
          <Template name="Hole" file="hole-template" items={sheets.hole} />
          <p className="max-w-prose pt-2 text-[14px] text-quiet">
            Print at 100 %, not fitted to the page, and lay a rule against the 100 mm before you
            cut. Wear gloves: cut sheet metal is sharp. Open a drum that held anything that burns
            only after it was cleaned for it; never with a torch or a grinder.
          </p>
        </>
      ) : (
        <p role="status" className="pt-2 text-[15px] text-quiet">
          There is no template for these sizes.
        </p>
      )}
    </div>
  );
}

interface TemplateProps {
  readonly name: string;
  readonly file: string;
  readonly items: readonly SheetItem[];
}

/** A template as a picture, and as files at true size. */
function Template({ name, file, items }: TemplateProps) {
  const { x0, y0, width, height } = sheetExtent(items) ?? { x0: 0, y0: 0, width: 1, height: 1 };
  const edge = 0.01;
  return (
    <figure aria-label={`Template: ${name}`} className="pt-3">
      <figcaption className="flex flex-wrap items-baseline gap-2">
        <span className="text-[17px]">{name}</span>
        <span className="text-[14px] text-quiet">
          {Math.round(width * 1000)} by {Math.round(height * 1000)} mm
        </span>
        <Button
          look="quiet"
          aria-label={`Save as SVG: ${name}`}
          onClick={() => saveFile(`${file}.svg`, sheetSvg(items), 'image/svg+xml')}
        >
          Save as SVG
        </Button>
        <Button
          look="quiet"
          aria-label={`Save as DXF: ${name}`}
          onClick={() => void saveDxf(file, items)}
        >
          Save as DXF
        </Button>
      </figcaption>
      <svg
        role="img"
        aria-label={`${name}, to scale`}
        viewBox={`${x0 - edge} ${-(y0 + height) - edge} ${width + 2 * edge} ${height + 2 * edge}`}
        className="max-h-70 w-full max-w-200"
      >
        {items.map((item, i) => {
          const key = `${item.kind} ${i}`;
          if (item.kind === 'text')
            return (
              <text
                key={key}
                x={item.at.x}
                y={-item.at.y}
                fontSize={item.size * 1.6}
                textAnchor="middle"
                fill="var(--quiet)"
              >
                {item.text}
              </text>
            );
          if (item.kind === 'circle') return null;
          const points = item.points.map(({ x, y }) => `${x},${-y}`).join(' ');
          const look = {
            fill: 'none',
            stroke: item.layer === 'cuts' ? 'var(--ink)' : 'var(--quiet)',
            strokeWidth: item.layer === 'cuts' ? 1.5 : 1,
            vectorEffect: 'non-scaling-stroke',
          } as const;
          return item.isClosed ? (
            <polygon key={key} points={points} {...look} />
          ) : (
            <polyline key={key} points={points} {...look} />
          );
        })}
      </svg>
    </figure>
  );
}
