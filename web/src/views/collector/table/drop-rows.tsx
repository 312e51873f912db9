'use client';

import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { useDuctTree, useUnits } from '@/model/use-design';
import { type CollectorOptions, Part, Row } from './table-parts';

/** What every machine gets with each, and what it gains or loses. */
export function DropRows({ options }: CollectorOptions) {
  const tree = useDuctTree();
  const system = useUnits();
  const style = STYLES[system].flow;
  return (
    <Part name={`Airflow at each machine, ${unitSymbol('flow', system)}`}>
      {tree.drops.map(({ id, name }) => (
        <Row
          key={id}
          options={options}
          label={name}
          cell={(option, present) => {
            const own = option.drops.find(({ drop }) => drop === id)?.flow ?? null;
            const now = present.drops.find(({ drop }) => drop === id)?.flow ?? null;
            if (own === null) return 'no answer';
            const change = option.id !== null && now !== null ? own - now : null;
            return (
              <>
                <strong className="font-semibold">{writeNumber(own, style)}</strong>
                {change !== null && (
                  <span className="inline-block w-11 text-[14px] text-quiet">
                    {change >= 0 ? '+' : ''}
                    {writeNumber(change, style)}
                  </span>
                )}
              </>
            );
          }}
        />
      ))}
    </Part>
  );
}
