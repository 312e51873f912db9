'use client';

import { unitSymbol } from '@frank-gauge/core/quantity';
import { useDuctTree, useUnits } from '@/model/use-design';
import { outward } from '../../parts/outward';
import { CollectorLines } from '../collector/collector-lines';
import { RunLine } from './run-line';

export function RunList() {
  const tree = useDuctTree();
  const system = useUnits();
  const runs = outward(tree);
  return (
    <>
      <CollectorLines />
      <h2 className="px-3 pt-4 text-[17px]">Runs, from the blower out</h2>
      {runs.length > 0 && (
        <div
          aria-hidden
          className="mt-1 hidden grid-cols-[1fr_40px_44px_62px_32px_36px_28px] gap-x-1 border-ink border-b px-2 text-[13px] text-quiet md:grid"
        >
          <span>run</span>
          <span>{unitSymbol('length', system)}</span>
          <span>{unitSymbol('diameter', system)}</span>
          <span>pipe</span>
          <span>bends</span>
          <span>hose</span>
          <span>gate</span>
        </div>
      )}
      <ol>
        {runs.map(({ run, depth }, index) => (
          <RunLine key={run.id} run={run} depth={depth} index={index} />
        ))}
      </ol>
      {runs.length === 0 && <p className="px-3 py-1 text-quiet">None yet.</p>}
    </>
  );
}
