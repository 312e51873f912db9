'use client';

import type { Packages } from '@frank-gauge/core/advice';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { moneyText } from '@/words/improvement-words';

interface Props {
  readonly packages: Packages;
  readonly budget: number | null;
  readonly currency: string;
}

const AXIS_TITLE = { fill: 'var(--quiet)', fontSize: 13 } as const;

/** Money against air: at each amount the best that it buys. */
export function MoneyLine({ packages: { line, knee }, budget, currency }: Props) {
  const points = line.map(({ cost, air, worst }) => ({
    cost,
    air: Math.round(10 * air) / 10,
    worst: Math.round(100 * worst),
  }));
  const bend = knee === null ? undefined : points[knee];
  const axis = { stroke: 'var(--quiet)', fontSize: 12, tickLine: false } as const;
  return (
    <figure className="mt-2" aria-label="Money against air">
      <ResponsiveContainer width="100%" height={180}>
        <LineChart data={points} margin={{ top: 8, right: 12, bottom: 16, left: 0 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            dataKey="cost"
            type="number"
            domain={[0, 'dataMax']}
            {...axis}
            tickFormatter={(value: number) => Math.round(value).toLocaleString('en-US')}
            label={{
              ...AXIS_TITLE,
              value: `money, ${currency}`,
              position: 'insideBottom',
              offset: -12,
            }}
          />
          <YAxis
            type="number"
            domain={[0, 'auto']}
            width={48}
            {...axis}
            label={{
              ...AXIS_TITLE,
              value: 'air, points',
              angle: -90,
              position: 'insideLeft',
              offset: 14,
              style: { textAnchor: 'middle' },
            }}
          />
          <Tooltip
            isAnimationActive={false}
            contentStyle={{ background: 'var(--paper)', border: '1px solid var(--ink)' }}
            labelFormatter={(cost) => moneyText(Number(cost), currency)}
            formatter={(air, _, { payload }) => [
              `${String(air)} points, worst drop ${String(payload?.worst)} %`,
              '',
            ]}
            separator=""
          />
          <Line
            dataKey="air"
            type="stepAfter"
            stroke="var(--ink)"
            strokeWidth={2}
            dot={{ r: 2.5, fill: 'var(--ink)' }}
            isAnimationActive={false}
          />
          {budget !== null && (
            <ReferenceLine x={budget} stroke="var(--quiet)" strokeDasharray="4 3" />
          )}
          {bend && (
            <ReferenceDot
              x={bend.cost}
              y={bend.air}
              r={5}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={2}
            />
          )}
        </LineChart>
      </ResponsiveContainer>
      <figcaption className="text-[13px] text-quiet">
        The best that each amount buys, solved together. One point is one per cent of what the worst
        drop needs{bend ? '; the ring marks where the line bends' : ''}.
      </figcaption>
    </figure>
  );
}
