'use client';

import { type Reading, type ShopEvent, timeOf } from '@frank-gauge/core/journal';
import { fromSI, STYLES, type UnitSystem, unitSymbol } from '@frank-gauge/core/quantity';
import type { SideReadings } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import {
  CartesianGrid,
  ErrorBar,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { EVENT_NAMES } from '@/words/change-words';
import { Legend, LegendItem } from '../../parts/legend';
import { KIND_OF } from '../as-read';
import { MOST_DRAWN, type Series, type TrendPoint, trendOf } from './series';

interface Props {
  readonly readings: readonly Reading[];
  readonly names: ReadonlyMap<string, string>;
  readonly by: SideReadings['by'];
}

/** One test point over time, with the changes of the shop as marks. */
export function Trend({ readings, names, by }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const counts = useMemo(() => {
    const found = new Map<string, number>();
    for (const { testPoint, taken } of readings) {
      const isValue = taken.every(({ kind }) => kind === 'value');
      found.set(testPoint, (found.get(testPoint) ?? 0) + (isValue ? 1 : 0));
    }
    return found;
  }, [readings]);
  const points = [...counts.keys()].filter((point) => names.has(point));
  // The one with the most to see stands there first.
  const most = points.toSorted((a, b) => (counts.get(b) ?? 0) - (counts.get(a) ?? 0))[0];
  const point = points.find((id) => id === chosen) ?? most;
  const series = useMemo(
    () =>
      point === undefined
        ? null
        : trendOf(
            readings.filter(({ testPoint }) => testPoint === point),
            by,
          ),
    [readings, point, by],
  );
  return (
    <>
      <h2 className="text-[18px]">One test point over time</h2>
      {point === undefined || !series ? (
        <p className="text-quiet">Readings stand here by their date once there are some.</p>
      ) : (
        <>
          <div className="w-56 print:hidden">
            <Choice
              label="Test point"
              value={point}
              options={points.map((id) => ({ value: id, label: names.get(id) ?? id }))}
              onChange={setChosen}
            />
          </div>
          <TrendChart series={series} name={names.get(point) ?? ''} />
        </>
      )}
    </>
  );
}

const AXIS_TITLE = { fill: 'var(--quiet)', fontSize: 13 } as const;

interface Drawn extends TrendPoint {
  readonly y: number;
  readonly error: number;
}

function TrendChart({ series, name }: { readonly series: Series; readonly name: string }) {
  const system = useUnits();
  const events = useJournal((journal) => journal.events);
  const { quantity, points, leftOut, earlier } = series;
  const toAxis = axisOf(quantity, system);
  const drawn = points.map(
    (each): Drawn => ({
      ...each,
      y: toAxis.value(each.value),
      error: toAxis.value(each.uncertainty ?? 0) - toAxis.value(0),
    }),
  );
  const [first, last] = [points[0]?.time ?? 0, points.at(-1)?.time ?? 0];
  const margin = Math.max(86_400_000, 0.05 * (last - first));
  const marks = events.filter(
    (event) => timeOf(event) >= first - margin && timeOf(event) <= last + margin,
  );
  const axis = { stroke: 'var(--quiet)', fontSize: 12, tickLine: false } as const;
  return (
    <figure>
      <ResponsiveContainer width="100%" height={260}>
        <ScatterChart margin={{ top: 12, right: 16, bottom: 18, left: 0 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            dataKey="time"
            type="number"
            domain={[first - margin, last + margin]}
            tickFormatter={(time: number) => format(time, 'MMM d, yy')}
            {...axis}
            label={{ ...AXIS_TITLE, value: 'date', position: 'insideBottom', offset: -12 }}
          />
          <YAxis
            dataKey="y"
            type="number"
            domain={['auto', 'auto']}
            width={66}
            tickFormatter={(tick: number) => tick.toLocaleString('en-US')}
            {...axis}
            label={{
              ...AXIS_TITLE,
              value: toAxis.title,
              angle: -90,
              position: 'insideLeft',
              offset: 6,
              style: { textAnchor: 'middle' },
            }}
          />
          <Tooltip
            isAnimationActive={false}
            cursor={false}
            contentStyle={{ background: 'var(--paper)', border: '1px solid var(--ink)' }}
            formatter={(value, key) =>
              key === 'time' ? format(Number(value), 'MMM d, yyyy') : toAxis.write(Number(value))
            }
          />
          {marks.map((event) => (
            <ReferenceLine
              key={event.id}
              x={timeOf(event)}
              stroke="var(--quiet)"
              strokeDasharray="4 3"
            />
          ))}
          <Scatter
            data={drawn.filter(({ bound }) => bound === null)}
            name={name}
            fill="var(--ink)"
            isAnimationActive={false}
          >
            <ErrorBar
              dataKey="error"
              direction="y"
              width={6}
              stroke="var(--ink)"
              strokeWidth={1.5}
            />
          </Scatter>
          <Scatter
            data={drawn.filter(({ bound }) => bound === 'at least')}
            name={`${name}, at least`}
            shape="triangle"
            fill="var(--paper)"
            stroke="var(--ink)"
            isAnimationActive={false}
          />
          <Scatter
            data={drawn.filter(({ bound }) => bound === 'at most')}
            name={`${name}, at most`}
            shape="square"
            fill="var(--paper)"
            stroke="var(--ink)"
            isAnimationActive={false}
          />
        </ScatterChart>
      </ResponsiveContainer>
      <figcaption className="text-[14px] text-quiet">
        <Legend>
          <LegendItem name="reading, 95 % interval">
            <line x1="12" x2="12" y1="0" y2="12" stroke="var(--ink)" strokeWidth="1.5" />
            <circle cx="12" cy="6" r="3.5" fill="var(--ink)" />
          </LegendItem>
          <LegendItem name="at least this much">
            <path d="M12 1 L17 11 L7 11 Z" fill="var(--paper)" stroke="var(--ink)" />
          </LegendItem>
          <LegendItem name="change of the shop">
            <line x1="12" x2="12" y1="0" y2="12" stroke="var(--quiet)" strokeDasharray="4 3" />
          </LegendItem>
        </Legend>
        {earlier > 0 &&
          `The latest ${MOST_DRAWN} readings; ${earlier.toLocaleString('en-US')} earlier ones are under Readings. `}
        {leftOut > 0 &&
          `${leftOut} ${leftOut === 1 ? 'reading is' : 'readings are'} of another kind or method and not drawn. `}
        <Marks marks={marks} />
      </figcaption>
    </figure>
  );
}

/** What the dashed lines are, in words. */
function Marks({ marks }: { readonly marks: readonly ShopEvent[] }) {
  if (marks.length === 0) return null;
  return marks
    .toSorted((a, b) => timeOf(a) - timeOf(b))
    .map((event) => `${format(timeOf(event), 'MMM d')}: ${EVENT_NAMES[event.kind]}`)
    .join(' · ');
}

/** How a series stands on its axis: in the shop's unit, or in percent of its first reading. */
function axisOf(quantity: Series['quantity'], system: UnitSystem) {
  if (quantity === 'share') {
    return {
      title: 'percent of the first reading',
      value: (share: number) => 100 * share,
      write: (percent: number) => `${percent.toFixed(1)} %`,
    };
  }
  const kind = KIND_OF[quantity];
  const style = STYLES[system][kind];
  const symbol = unitSymbol(kind, system);
  return {
    title: `${quantity === 'flow' ? 'airflow' : quantity}${symbol === '' ? '' : `, ${symbol}`}`,
    value: (value: number) => fromSI(value, style.unit),
    write: (value: number) => `${value.toFixed(style.places)} ${symbol}`,
  };
}
