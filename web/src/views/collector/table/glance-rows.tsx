'use client';

import type { CollectorOption, DropWith } from '@frank-gauge/core/analysis';
import {
  formatShort,
  fromSI,
  type QuantityKind,
  STYLES,
  unitSymbol,
  writeNumber,
} from '@frank-gauge/core/quantity';
import { useDesign, useUnits } from '@/model/use-design';
import { conflictMessage, shortBy } from '@/words/conflict-words';
import { dueIn } from '@/words/due-words';
import { noiseDistance } from '@/words/noise-distance';
import { type CollectorOptions, Part, Row } from './table-parts';

/** What decides between them: air, whether it fits, circuit, filter, noise, and what the gain costs. */
export function GlanceRows({ options }: CollectorOptions) {
  const money = useDesign(({ shop }) => shop.money);
  const system = useUnits();
  const { currency } = money;
  const { unit } = STYLES[system].flow;
  const write = (value: number, kind: QuantityKind) => formatShort(value, kind, system);
  const named = (drop: DropWith | null) =>
    drop && (
      <>
        <Held drop={drop} />
        <span className="block font-normal text-[14px] text-quiet">{drop.name}</span>
      </>
    );
  return (
    <Part name={`Summary; airflow above or below required, ${unitSymbol('flow', system)}`}>
      <Row
        options={options}
        label="worst drop"
        isBig
        cell={({ worst }) => named(worst) ?? 'no answer'}
      />
      <Row options={options} label="best drop" cell={({ best }) => named(best)} />
      <Row options={options} label="fits" cell={(option) => <Fits of={option} />} />
      <Row
        options={options}
        label="current, of its breaker"
        cell={({ load }) =>
          load && (
            <span className={load.circuit.isSmall ? 'text-starved-text' : ''}>
              {load.circuit.isSmall && <span className="block">▼ small circuit</span>}
              {write(load.current, 'current')} of {write(load.circuit.breaker, 'current')}
            </span>
          )
        }
      />
      <Row
        options={options}
        label="filter due in"
        cell={({ load }) => {
          if (!load?.filter) return null;
          const { timeToDue } = load.filter;
          return timeToDue === 0 ? 'due now' : dueIn(timeToDue, system);
        }}
      />
      <Row
        options={options}
        label="penetration at 0.3–1 µm, at most"
        cell={({ load }) =>
          load?.outdoors
            ? 'all, outdoors'
            : load?.filter?.letBy && `${Math.round(100 * load.filter.letBy[0])} %`
        }
      />
      <Row
        options={options}
        label={`noise at ${noiseDistance(system)}, estimate`}
        cell={({ noise }) => noise !== null && `about ${Math.round(noise)} dB(A)`}
      />
      <Row
        options={options}
        label={`cost per ${unitSymbol('flow', system)} gained at the worst drop`}
        cell={({ id, gain, costOfGain }) => {
          if (id === null) return null;
          if (gain !== null && gain <= 0) return 'no gain';
          if (costOfGain === null) return null;
          return `${currency} ${(costOfGain / fromSI(1, unit)).toFixed(2)}`;
        }}
      />
    </Part>
  );
}

/** Flow with its sign against the need: enough, or short by how much. */
function Held({ drop }: { readonly drop: DropWith }) {
  const system = useUnits();
  if (drop.flow === null) return 'no answer';
  const over = drop.flow - drop.need;
  const isShort = over < 0;
  return (
    <span className={isShort ? 'text-starved-text' : 'text-enough-text'}>
      <span aria-hidden>{isShort ? '▼' : '●'}</span> {isShort ? '' : '+'}
      {writeNumber(over, STYLES[system].flow)}
    </span>
  );
}

/** The first thing that keeps it from standing, with what is short. */
function Fits({ of: { conflicts } }: { readonly of: CollectorOption }) {
  const system = useUnits();
  const serious = conflicts.filter(({ severity }) => severity === 'serious');
  const [first] = serious;
  if (!first) {
    const careful = conflicts.filter(({ severity }) => severity === 'caution').length;
    return careful > 0 ? `yes, ${careful} cautions` : 'yes';
  }
  const by = shortBy(first, system);
  return (
    <span className="text-starved-text" title={conflictMessage(first, system).title}>
      ▼ {by === '' ? 'no' : `${by} short`}
      {serious.length > 1 && ` +${serious.length - 1}`}
    </span>
  );
}
