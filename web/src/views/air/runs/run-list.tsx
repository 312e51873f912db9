'use client';

import { unitSymbol } from '@frank-gauge/core/quantity';
import { useDuctTree, useUnits } from '@/model/use-design';
import { usePreload } from '@/ui/use-preload';
import { outward } from '../../parts/outward';
import { CollectorLines } from '../collector/collector-lines';
import { loadRunDetails, RunLine } from './run-line';

export function RunList() {
  usePreload(loadRunDetails);
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
          className="mt-1 hidden grid-cols-[1fr_60px_46px_54px_30px_52px_24px] gap-x-1 border-ink border-b px-2 text-[13px] text-quiet md:grid"
        >
          <span>run</span>
          <span>length{system === 'metric' ? ', m' : ''}</span>
          <span>Ø, {unitSymbol('diameter', system)}</span>
          <span>pipe</span>
          <span>bends</span>
          <span>hose{system === 'metric' ? ', m' : ''}</span>
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
