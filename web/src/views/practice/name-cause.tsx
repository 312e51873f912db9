'use client';

import type { DuctTree } from '@frank-gauge/core/design';
import type { Fault, FaultKind } from '@frank-gauge/core/inference';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { faultName } from '@/words/fault-words';
import { sentenceCase } from '@/words/practice-words';
import type { OpenHunt } from './use-hunt';

/** What may be named: a kind of fault, of a meter the way it is off; `nothing`: all is well. */
const CAUSES = [
  'nothing',
  'opening',
  'clog',
  'gate not open',
  'gate not shut',
  'filter',
  'separator',
  'blower',
  'leakage',
  'meter more',
  'meter less',
] as const;
type Cause = (typeof CAUSES)[number];

interface Draft {
  readonly cause: Cause;
  readonly run: string;
}

const ofRun = (
  cause: Cause,
): cause is Extract<FaultKind, Cause> & ('opening' | 'clog' | 'gate not open' | 'gate not shut') =>
  cause === 'opening' || cause === 'clog' || cause === 'gate not open' || cause === 'gate not shut';

function faultOf({ cause, run }: Draft): Fault | null {
  if (cause === 'nothing') return null;
  if (ofRun(cause)) return { kind: cause, run };
  if (cause === 'meter more') return { kind: 'meter', meter: 'vane', way: 'more' };
  if (cause === 'meter less') return { kind: 'meter', meter: 'vane', way: 'less' };
  return { kind: cause };
}

/** Runs where such a fault can be: of a gate's those that have one. */
const runsFor = (cause: Cause, { upstreamFirst }: DuctTree) =>
  upstreamFirst.filter(({ gate }) => gate !== null || !cause.startsWith('gate'));

interface Props {
  readonly open: OpenHunt;
  readonly onName: (causes: readonly Fault[]) => void;
}

/** What the learner says is wrong, one cause or two. It is said once. */
export function NameCause({ open: { tree }, onName }: Props) {
  const first = tree.upstreamFirst[0]?.id ?? '';
  const [drafts, setDrafts] = useState<readonly Draft[]>([{ cause: 'opening', run: first }]);
  const set = (i: number, change: Partial<Draft>) =>
    setDrafts(
      drafts.map((draft, at) => {
        if (at !== i) return draft;
        const next = { ...draft, ...change };
        const runs = runsFor(next.cause, tree);
        const stays = runs.some(({ id }) => id === next.run);
        return stays ? next : { ...next, run: runs[0]?.id ?? '' };
      }),
    );
  const isSound = drafts[0]?.cause === 'nothing';
  return (
    <form
      aria-label="Name the cause"
      className="mt-5 border-ink border-t pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        onName((isSound ? [] : drafts).flatMap((draft) => faultOf(draft) ?? []));
      }}
    >
      <h2 className="text-[18px]">What is wrong?</h2>
      {drafts.map((draft, i) => (
        <div key={i} className="flex flex-wrap items-center gap-1 py-1">
          <Choice
            label={i === 0 ? 'Cause' : 'Second cause'}
            value={draft.cause}
            options={CAUSES.filter((cause) => i === 0 || cause !== 'nothing').map((cause) => ({
              value: cause,
              label: nameOfCause(cause, draft.run),
            }))}
            onChange={(cause) => set(i, { cause })}
          />
          {ofRun(draft.cause) && (
            <Choice
              label={i === 0 ? 'Where' : 'Where the second one is'}
              value={draft.run}
              options={runsFor(draft.cause, tree).map(({ id, name }) => ({
                value: id,
                label: name,
              }))}
              onChange={(run) => set(i, { run })}
            />
          )}
        </div>
      ))}
      <div className="flex flex-wrap gap-2 pt-1">
        <Button type="submit" look="solid">
          That is what is wrong
        </Button>
        {!isSound && (
          <Button
            look="quiet"
            onClick={() =>
              setDrafts(
                drafts.length > 1
                  ? drafts.slice(0, 1)
                  : [...drafts, { cause: 'filter', run: first }],
              )
            }
          >
            {drafts.length > 1 ? 'Only one thing' : 'And a second thing'}
          </Button>
        )}
      </div>
      <p className="pt-1 text-[14px] text-quiet">You can say it once; then you are told.</p>
    </form>
  );
}

function nameOfCause(cause: Cause, run: string): string {
  const fault = faultOf({ cause, run });
  return sentenceCase(fault ? faultName(fault) : 'nothing is wrong');
}
