'use client';

import type { DuctTree, Run } from '@frank-gauge/core';
import { unitSymbol } from '@frank-gauge/core';
import { useSolvedShop } from '../frame/solved-shop';
import { CollectorLines } from './collector-lines';
import { RunLine } from './run-line';

/** Runs as the blower sees them: from its inlet outward, each followed by what flows into it. */
export function outward(tree: DuctTree): { readonly run: Run; readonly depth: number }[] {
  const listed: { run: Run; depth: number }[] = [];
  const list = (node: string, depth: number) => {
    // A lone run or the straight one goes on in line; branches step in.
    const meeting = tree.into.get(node) ?? [];
    const branches = meeting.filter((run) => run.joins.kind === 'branch');
    const straight = meeting.filter((run) => run.joins.kind === 'straight');
    for (const run of branches) {
      listed.push({ run, depth: meeting.length > 1 ? depth + 1 : depth });
      list(run.from, meeting.length > 1 ? depth + 1 : depth);
    }
    for (const run of straight) {
      listed.push({ run, depth });
      list(run.from, depth);
    }
  };
  list(tree.inlet.id, 0);
  return listed;
}

export function RunList() {
  const { tree, system } = useSolvedShop();
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
        {runs.map(({ run, depth }) => (
          <RunLine key={run.id} run={run} depth={depth} />
        ))}
      </ol>
      {runs.length === 0 && <p className="px-3 py-1 text-quiet">None yet.</p>}
    </>
  );
}
