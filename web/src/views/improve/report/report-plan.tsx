'use client';

import { toSI } from '@frank-gauge/core/quantity';
import { planSheet } from '@frank-gauge/core/routing';
import { useMemo } from 'react';
import { useDesign, useUnits } from '@/model/use-design';
import { QuietItems, quietDrawing } from '../../parts/quiet-drawing';

/** The ruler below the plan. */
const RULERS = {
  us: { length: toSI(10, 'ft'), text: '10 ft' },
  metric: { length: 3, text: '3 m' },
} as const;

/** The plan with a ruler of its own, so that it is to scale however large it is printed. */
export function ReportPlan() {
  const shop = useDesign();
  const system = useUnits();
  const sheet = useMemo(() => planSheet(shop), [shop]);
  const drawing = useMemo(() => quietDrawing(sheet), [sheet]);
  if (!drawing) return null;
  const { width, height, onSheet } = drawing;
  const { length, text } = RULERS[system];
  const [from, to] = [onSheet({ x: 0, y: 0 }), onSheet({ x: length, y: 0 })];
  const long = to.x - from.x;
  const letters = width / 38;
  return (
    <section aria-label="Plan" className="break-inside-avoid pt-3">
      <h2 className="text-[16px]">Plan</h2>
      <svg
        role="img"
        aria-label={`The plan, with a ruler of ${text}`}
        viewBox={`0 0 ${width} ${height + 2.2 * letters}`}
        className="max-h-[36vh] w-full print:max-h-[62mm] [&_*]:[vector-effect:non-scaling-stroke]"
      >
        <QuietItems drawing={drawing} />
        {sheet.map((item, i) => {
          if (item.kind !== 'text' || item.layer !== 'names') return null;
          const { x, y } = onSheet(item.at);
          return (
            <text
              key={`${i} ${item.text}`}
              x={x}
              y={y}
              fontSize={0.75 * letters}
              textAnchor="middle"
              dominantBaseline="central"
              className="fill-ink"
            >
              {item.text}
            </text>
          );
        })}
        <g className="fill-none stroke-ink">
          <line x1={width - long - 8} x2={width - 8} y1={height + letters} y2={height + letters} />
          <line
            x1={width - long - 8}
            x2={width - long - 8}
            y1={height + 0.6 * letters}
            y2={height + 1.4 * letters}
          />
          <line
            x1={width - 8}
            x2={width - 8}
            y1={height + 0.6 * letters}
            y2={height + 1.4 * letters}
          />
        </g>
        <text
          x={width - long - 8 - letters / 2}
          y={height + 1.35 * letters}
          fontSize={letters}
          textAnchor="end"
          className="fill-ink"
        >
          {text}
        </text>
      </svg>
    </section>
  );
}
