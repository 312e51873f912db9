'use client';

import { type Reading, type ShopEvent, timeOf } from '@frank-gauge/core/journal';
import {
  formatShort,
  fromSI,
  STYLES,
  type UnitSystem,
  unitSymbol,
} from '@frank-gauge/core/quantity';
import type { ReadingsByPoint, SideReadings } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import {
  CartesianGrid,
  getNiceTickValues,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  usePlotArea,
  useXAxisScale,
  useYAxisScale,
  XAxis,
  YAxis,
} from 'recharts';
import { useUnits } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { EVENT_NAMES } from '@/words/change-words';
import { Legend, LegendItem } from '../legend';
import { KIND_OF } from '../taking/as-read';
import {
  caughtTrend,
  filterTrend,
  MOST_DRAWN,
  type Series,
  soundTrend,
  type TrendPoint,
  trendOf,
} from './series';

interface Props {
  readonly byPoint: ReadingsByPoint;
  readonly names: ReadonlyMap<string, string>;
  readonly by: SideReadings['by'];
  /** What lies outside of these times, ms, is left out; absent: nothing is. */
  readonly within?: Times;
}

interface Times {
  readonly from: number;
  readonly until: number;
}

/** One thing over time: a test point, the filter at one flow, the separator's catch, a sound level. */
export function Trend({ byPoint, names, by, within = ALWAYS }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);
  const subjects = useSubjects(byPoint, names, by, within);
  const find = (wanted: string | null) =>
    subjects.find(({ value }) => value === wanted) ?? subjects[0];
  // What is drawn follows the choice as the browser has time.
  const subject = find(useDeferredValue(chosen));
  const trend = useMemo(() => subject?.trend() ?? null, [subject]);
  return (
    <>
      <h2 className="text-[18px]">Trend</h2>
      {!subject ? (
        <p className="text-quiet">Readings stand here by their date once there are some.</p>
      ) : (
        <>
          <div className="w-64 print:hidden">
            <Choice
              label="What is drawn over time"
              value={find(chosen)?.value ?? ''}
              options={subjects.map(({ value, label }) => ({ value, label }))}
              onChange={setChosen}
            />
          </div>
          <p className="hidden print:block">{subject.label}</p>
          {trend && trend.series.points.length > 0 ? (
            <TrendChart series={trend.series} name={subject.label} title={trend.title} />
          ) : (
            <p className="text-quiet">These readings make no trend: none of them has a value.</p>
          )}
        </>
      )}
    </>
  );
}

/** Something that can be drawn over time. */
interface Subject {
  readonly value: string;
  readonly label: string;
  /** Its points, and what its axis is called where its quantity does not say. */
  readonly trend: () => { readonly series: Series; readonly title?: string } | null;
}

/** All that can be drawn, the test point with the most to see first. */
function useSubjects(
  everyReading: ReadingsByPoint,
  names: ReadonlyMap<string, string>,
  by: SideReadings['by'],
  within: Times,
): readonly Subject[] {
  const system = useUnits();
  const testPoints = useJournal((journal) => journal.testPoints);
  const weighings = useJournal((journal) => journal.weighings);
  const sounds = useJournal((journal) => journal.sounds);
  return useMemo(() => {
    const isWithin = ({ at }: { readonly at: string }) =>
      Date.parse(at) >= within.from && Date.parse(at) < within.until;
    const byPoint =
      within === ALWAYS
        ? everyReading
        : new Map([...everyReading].map(([point, list]) => [point, list.filter(isWithin)]));
    const counts = new Map(
      [...byPoint].map(([point, list]) => [
        point,
        list.slice(0, MOST_DRAWN).filter(isValue).length,
      ]),
    );
    const points = [...counts.keys()]
      .filter((point) => names.has(point) && (byPoint.get(point)?.length ?? 0) > 0)
      .toSorted((a, b) => (counts.get(b) ?? 0) - (counts.get(a) ?? 0));
    const isFilter = ({ at }: (typeof testPoints)[number]) =>
      at.kind === 'collector' && at.tap === 'filter';
    const filters = new Set(testPoints.filter(isFilter).map(({ id }) => id));
    const ofPoints = points.map((point): Subject => {
      const label = names.get(point) ?? point;
      const own = byPoint.get(point) ?? [];
      return { value: `point ${point}`, label, trend: () => wrapped(trendOf(own, by)) };
    });
    const ofFilter = points.some((point) => filters.has(point))
      ? [
          {
            value: 'filter',
            label: 'Filter, at one flow',
            trend: () => {
              const found = filterTrend(byPoint, filters, by);
              const symbol = unitSymbol('pressure', system);
              return (
                found && {
                  series: found.series,
                  title: `filter at ${formatShort(found.atFlow, 'flow', system)}, ${symbol}`,
                }
              );
            },
          },
        ]
      : [];
    const caught = caughtTrend(weighings, within);
    const ofWeighings = caught
      ? [
          {
            value: 'caught',
            label: 'Separation efficiency',
            trend: () => ({ series: caught }),
          },
        ]
      : [];
    const heard = sounds.filter(isWithin);
    const places = [...new Set(heard.map(({ place }) => place))];
    const ofSounds = places.map((place): Subject => {
      const own = () => heard.filter((sound) => sound.place === place);
      return {
        value: `sound ${place}`,
        label: `Sound, ${place}`,
        trend: () => wrapped(soundTrend(own())),
      };
    });
    return [...ofPoints, ...ofFilter, ...ofWeighings, ...ofSounds];
  }, [everyReading, names, by, within, system, testPoints, weighings, sounds]);
}

/** All times there are. */
const ALWAYS: Times = { from: Number.NEGATIVE_INFINITY, until: Number.POSITIVE_INFINITY };

const isValue = ({ taken }: Reading) => taken.every(({ kind }) => kind === 'value');

const wrapped = (series: Series | null) => series && { series };

const AXIS_TITLE = { fill: 'var(--quiet)', fontSize: 13 } as const;

interface Drawn extends TrendPoint {
  readonly y: number;
  readonly error: number;
}

interface ChartProps {
  readonly series: Series;
  readonly name: string;
  /** What its axis is called; absent: by its quantity. */
  readonly title?: string | undefined;
}

const TrendChart = memo(function TrendChart({ series, name, title }: ChartProps) {
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
  const ends = drawn.flatMap(({ y, error }) => [y - error, y + error]);
  const ticks = getNiceTickValues([Math.min(...ends), Math.max(...ends)], 5);
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
            domain={[ticks[0] ?? 0, ticks.at(-1) ?? 1]}
            ticks={ticks}
            width={66}
            tickFormatter={(tick: number) => tick.toLocaleString('en-US')}
            {...axis}
            label={{
              ...AXIS_TITLE,
              value: title ?? toAxis.title,
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
          <TrendMarks drawn={drawn} changes={marks} />
          <Scatter data={drawn} name={name} isAnimationActive={false} shape={Touched} />
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
});

/** Where the pointer finds a reading. */
const Touched = ({
  cx,
  cy,
}: {
  readonly cx?: number | undefined;
  readonly cy?: number | undefined;
}) => <circle cx={cx} cy={cy} r={7} fillOpacity={0} />;

interface MarksProps {
  readonly drawn: readonly Drawn[];
  readonly changes: readonly ShopEvent[];
}

/**
 * Every reading with its interval, bounds as a triangle or a square, changes of the shop as dashed lines: a few paths
 * for all of them, since a component for each takes a third of a second.
 */
function TrendMarks({ drawn, changes }: MarksProps) {
  const [xOf, yOf, area] = [useXAxisScale(), useYAxisScale(), usePlotArea()];
  if (!xOf || !yOf || !area) return null;
  const placed = drawn.map((each) => ({
    ...each,
    x: Number(xOf(each.time)),
    top: Number(yOf(each.y + each.error)),
    middle: Number(yOf(each.y)),
    bottom: Number(yOf(each.y - each.error)),
  }));
  type Placed = (typeof placed)[number];
  const path = (bound: TrendPoint['bound'], of: (each: Placed) => string) =>
    placed.flatMap((each) => (each.bound === bound ? [of(each)] : [])).join('');
  const outlined = { fill: 'var(--paper)', stroke: 'var(--ink)' } as const;
  return (
    <g>
      <path
        d={changes
          .map((event) => `M${Number(xOf(timeOf(event)))} ${area.y}v${area.height}`)
          .join('')}
        stroke="var(--quiet)"
        strokeDasharray="4 3"
      />
      <path
        d={path(
          null,
          ({ x, top, bottom }) => `M${x - 6} ${top}h12M${x} ${top}V${bottom}M${x - 6} ${bottom}h12`,
        )}
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <path
        d={path(
          null,
          ({ x, middle }) => `M${x - 4.5} ${middle}a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0 -9 0`,
        )}
        fill="var(--ink)"
      />
      <path
        d={path('at least', ({ x, middle }) => `M${x} ${middle - 5}l5 10h-10z`)}
        {...outlined}
      />
      <path
        d={path('at most', ({ x, middle }) => `M${x - 4} ${middle - 4}h8v8h-8z`)}
        {...outlined}
      />
    </g>
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
  if (quantity === 'caught') {
    return {
      title: 'separation efficiency, %',
      value: (share: number) => 100 * share,
      write: (percent: number) => `${percent.toFixed(1)} %`,
    };
  }
  if (quantity === 'sound') {
    return {
      title: 'sound level, dB(A)',
      value: (level: number) => level,
      write: (level: number) => `${level.toFixed(0)} dB(A)`,
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
