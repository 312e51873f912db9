'use client';

import type { ComparedDesign, Stretch } from '@frank-gauge/core/advice';
import { fromSI, STYLES, toSI, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { useUnits } from '@/model/use-design';
import type { ShopWithTrays } from './use-trays';

const NAMES: Readonly<Record<Exclude<Stretch['kind'], 'run'>, string>> = {
  separator: 'Separator',
  blower: 'Blower',
  exhaust: 'Filter or outlet',
};

/** Lines are told apart by their dashes, too. */
const DASHES = ['', '7 3', '2 3', '9 3 2 3', '5 5'] as const;
const WIDTHS = [3, 2, 2, 2, 2] as const;

interface Props {
  readonly stored: ShopWithTrays;
  readonly compared: readonly ComparedDesign[];
}

/** Static pressure along one drop's way, from its port to the room again, of the shop and of every tray. */
export function WayChart({ stored: { trays }, compared }: Props) {
  const system = useUnits();
  const style = STYLES[system].pressure;
  const shown = (pressure: number | undefined) =>
    pressure === undefined ? null : fromSI(pressure, style.unit);
  const names = ['The shop', ...trays.map(({ name }) => `Tray ${name}`)];
  const stretches = joined(compared.map(({ way }) => way));
  const rows = stretches.map(({ id, kind, name }) => ({
    name: kind === 'run' ? (name ?? id) : NAMES[kind],
    ...Object.fromEntries(
      compared.map(({ way }, i) => [
        names[i],
        shown(way.find((each) => each.id === id)?.staticAfter),
      ]),
    ),
  }));
  const write = (value: number) => writeNumber(value, style);
  const axis = { stroke: 'var(--quiet)', fontSize: 12, tickLine: false } as const;
  return (
    <figure aria-label="Static pressure along the way" className="relative mt-2">
      <ResponsiveContainer width="100%" height={310}>
        <LineChart data={rows} margin={{ top: 8, right: 44, bottom: 4, left: 0 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis dataKey="name" {...axis} interval={0} angle={-35} textAnchor="end" height={84} />
          <YAxis width={52} {...axis} />
          <Tooltip
            isAnimationActive={false}
            contentStyle={{ background: 'var(--paper)', border: '1px solid var(--ink)' }}
            formatter={(value) =>
              `${write(toSI(Number(value), style.unit))} ${unitSymbol('pressure', system)}`
            }
          />
          <Legend verticalAlign="top" height={26} />
          {names.map((name, i) => (
            <Line
              key={name}
              dataKey={name}
              stroke="var(--ink)"
              strokeWidth={WIDTHS[i] ?? 2}
              strokeOpacity={i === 0 ? 0.4 : 1}
              strokeDasharray={DASHES[i] ?? ''}
              dot={{ r: 2.5, fill: 'var(--ink)' }}
              connectNulls
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
      <figcaption className="text-[13px] text-quiet">
        Static pressure where each run and each part of the collector ends,{' '}
        {unitSymbol('pressure', system)}: the steeper a line falls, the more that part takes.
      </figcaption>
      <table className="sr-only">
        <caption>Pressure each part takes, {unitSymbol('pressure', system)}</caption>
        <thead>
          <tr>
            <th scope="col">part</th>
            {names.map((name) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stretches.map(({ id, kind, name }) => (
            <tr key={id}>
              <th scope="row">{kind === 'run' ? (name ?? id) : NAMES[kind]}</th>
              {compared.map(({ way }, i) => {
                const own = way.find((each) => each.id === id);
                return <td key={names[i]}>{own ? write(own.loss) : 'not there'}</td>;
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}

/** Every stretch that any way has, each behind the one it follows. */
function joined(ways: readonly (readonly Stretch[])[]): Stretch[] {
  const all: Stretch[] = [];
  for (const way of ways) {
    let at = 0;
    for (const stretch of way) {
      const known = all.findIndex(({ id }) => id === stretch.id);
      if (known < 0) all.splice(at++, 0, stretch);
      else at = known + 1;
    }
  }
  return all;
}
