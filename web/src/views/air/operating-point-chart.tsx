'use client';

import { fanCurveLine, gatesWith, systemCurve } from '@frank-gauge/core/analysis';
import { fromSI, STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { ticks } from 'd3-array';
import { useDeferredValue, useMemo } from 'react';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { useDesign, useDuctTree, useSelectedDrop, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { Legend, LegendItem, LegendLine } from '../parts/legend';
import { useOwnGates } from '../parts/own-gate';

/** The demand line takes a dozen solves, so it follows a moment behind an edit; the point does not. */
function useDemand() {
  const shop = useDesign();
  const tree = useDuctTree();
  const selected = useSelectedDrop();
  const view = useChoices((choices) => choices.view);
  const rule = useChoices((choices) => choices.rule);
  const laterShop = useDeferredValue(shop);
  const laterTree = useDeferredValue(tree);
  const id = selected?.drop.id;
  return useMemo(() => {
    const drop = laterTree.drops.find((candidate) => candidate.id === id);
    if (!drop) return [];
    const openGates =
      rule === 'one' ? gatesWith([drop], laterTree, laterShop.shop.rules) : undefined;
    return systemCurve(laterShop, laterTree, view, openGates);
  }, [laterShop, laterTree, id, view, rule]);
}

const AXIS_TITLE = { fill: 'var(--quiet)', fontSize: 13 } as const;

/** The blower's curve, what the selected drop's way demands, and the point where they meet. */
export function OperatingPointChart() {
  const system = useUnits();
  const selected = useSelectedDrop();
  const demand = useDemand();
  const { opened } = useOwnGates();
  if (selected?.kind !== 'judged') return null;
  const { flow: flowStyle, pressure: pressureStyle } = STYLES[system];
  const inUnits = ({ flow, pressure }: { flow: number; pressure: number }) => ({
    flow: fromSI(flow, flowStyle.unit),
    pressure: fromSI(pressure, pressureStyle.unit),
  });
  const { blower } = selected.solution;
  const made = fanCurveLine(selected.solution).map(inUnits);
  const asked = demand.map(inUnits);
  const widest = Math.max(...[...made, ...asked].map(({ flow }) => flow));
  const here = inUnits({ flow: blower.flow, pressure: blower.rise });
  const axis = {
    stroke: 'var(--quiet)',
    fontSize: 12,
    tickLine: false,
    tickFormatter: (tick: number) => Math.round(tick).toLocaleString('en-US'),
  } as const;
  return (
    <figure className="mt-1">
      <ResponsiveContainer width="100%" height={200}>
        <LineChart margin={{ top: 8, right: 12, bottom: 16, left: 0 }}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            dataKey="flow"
            type="number"
            domain={[0, 'dataMax']}
            ticks={ticks(0, widest, 6)}
            {...axis}
            label={{
              ...AXIS_TITLE,
              value: `airflow, ${unitSymbol('flow', system)}`,
              position: 'insideBottom',
              offset: -12,
            }}
          />
          <YAxis
            type="number"
            domain={[0, 'auto']}
            width={66}
            {...axis}
            label={{
              ...AXIS_TITLE,
              value: `blower pressure, ${unitSymbol('pressure', system)}`,
              angle: -90,
              position: 'insideLeft',
              offset: 6,
              style: { textAnchor: 'middle' },
            }}
          />
          <Tooltip
            isAnimationActive={false}
            contentStyle={{ background: 'var(--paper)', border: '1px solid var(--ink)' }}
            labelFormatter={(value) => `${Math.round(Number(value))} ${unitSymbol('flow', system)}`}
            formatter={(value) =>
              `${Number(value).toFixed(pressureStyle.places)} ${unitSymbol('pressure', system)}`
            }
          />
          <Line
            data={made}
            dataKey="pressure"
            name="fan curve"
            stroke="var(--ink)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            data={asked}
            dataKey="pressure"
            name="system curve"
            stroke="var(--enough)"
            strokeWidth={2}
            strokeDasharray="6 4"
            dot={false}
            isAnimationActive={false}
          />
          <ReferenceDot
            x={here.flow}
            y={here.pressure}
            r={5}
            fill="var(--ink)"
            stroke="var(--paper)"
            strokeWidth={2}
          />
        </LineChart>
      </ResponsiveContainer>
      <figcaption className="text-[14px] text-quiet">
        <Legend>
          <LegendLine name="fan curve" stroke="var(--ink)" />
          <LegendLine name="system curve" stroke="var(--enough)" dash="6 4" />
          <LegendItem name="operating point">
            <circle cx="12" cy="6" r="4.5" fill="var(--ink)" />
          </LegendItem>
        </Legend>
        Operating point with {opened(selected.drop)} open:{' '}
        <strong className="text-ink">
          {writeNumber(blower.flow, flowStyle)} {unitSymbol('flow', system)},{' '}
          {writeNumber(blower.rise, pressureStyle)} {unitSymbol('pressure', system)}
        </strong>
      </figcaption>
    </figure>
  );
}
