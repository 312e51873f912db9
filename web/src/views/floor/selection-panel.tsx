'use client';

import { PIPE_IDS, PIPES } from '@frank-gauge/core/catalogue';
import type { Run } from '@frank-gauge/core/design';
import type { SelectedTogether } from '@frank-gauge/core/routing';
import { useState } from 'react';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { DiameterLine, FieldLine, Line } from '../parts/line';
import { useDrawing } from './ducts/drawing-state';
import { copyThings, editRuns, moveThings, removeThings, turnThings } from './edit-together';
import { allOf, letGo, selectedOf, selectTogether, useSelected } from './selection';

const QUARTER = Math.PI / 2;
const FAR = 100;

/** What is selected together: moved by figures, turned, copied, removed; its ducts sized at once. */
export function SelectionPanel() {
  const shop = useDesign();
  const tool = useDrawing((drawing) => drawing.tool);
  const ids = useSelected();
  const selected = selectedOf(shop, ids);
  const count = selected.machines.size + selected.runs.size + (selected.isCollector ? 1 : 0);
  if (count === 0 && tool !== 'select') return null;
  const all = [...ids];
  return (
    <section aria-label="Selected together" className="mb-4 border-rule border-b pb-3">
      <h2 className="text-[18px]">Selected together</h2>
      <p className="pt-1" role="status">
        {count === 0 ? 'Nothing yet.' : `${summaryOf(selected)}.`}
      </p>
      <p className="text-[14px] text-quiet">
        Shift and click adds one more; Shift and drag on the floor selects everything inside. Ducts
        move along; hold Alt to leave them.
      </p>
      <div className="flex flex-wrap gap-1.5 pt-2">
        <Button onClick={() => selectTogether(allOf(shop))}>Select all</Button>
        {count > 0 && (
          <Button look="quiet" onClick={letGo}>
            Deselect
          </Button>
        )}
      </div>
      {count > 0 && (
        <>
          <MoveFields ids={all} />
          {selected.runs.size > 0 && <RunFields selected={selected} />}
          <div className="flex flex-wrap gap-1.5 pt-2">
            {selected.machines.size + Number(selected.isCollector) > 0 && (
              <Button onClick={() => turnThings(all, QUARTER)}>Quarter turn</Button>
            )}
            {selected.machines.size > 0 && (
              <Button onClick={() => copyThings(all)}>Copy with their ducts</Button>
            )}
            {selected.machines.size + selected.runs.size > 0 && (
              <Button look="quiet" onClick={() => removeThings(all)}>
                Remove
              </Button>
            )}
          </div>
        </>
      )}
    </section>
  );
}

/** '2 machines, 1 duct and the collector' */
function summaryOf({ machines, runs, isCollector }: SelectedTogether): string {
  const counted = (count: number, one: string) =>
    count === 0 ? [] : [`${count} ${one}${count > 1 ? 's' : ''}`];
  const parts = [
    ...counted(machines.size, 'machine'),
    ...counted(runs.size, 'duct'),
    ...(isCollector ? ['the collector'] : []),
  ];
  return parts.length > 1
    ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`
    : (parts[0] ?? '');
}

/** How far to move them, as an alternative to the drag. */
function MoveFields({ ids }: { readonly ids: readonly string[] }) {
  const [right, setRight] = useState(0);
  const [back, setBack] = useState(0);
  const way = { kind: 'length', min: -FAR, max: FAR, saves: false } as const;
  return (
    <div className="pt-2">
      <FieldLine label="Move right by" value={right} onChange={setRight} {...way} />
      <FieldLine label="Move back by" value={back} onChange={setBack} {...way} />
      <Button
        className="mt-1"
        disabled={right === 0 && back === 0}
        onClick={() => moveThings(ids, { x: right, y: back })}
      >
        Move
      </Button>
    </div>
  );
}

const PIPE_OPTIONS = PIPE_IDS.map((value) => ({ value, label: PIPES[value].short }));

/** Diameter and pipe of all ducts that are selected: empty where they differ. */
function RunFields({ selected }: { readonly selected: SelectedTogether }) {
  const all = useDesign(({ ducts }) => ducts.runs);
  const runs = all.filter(({ id }) => selected.runs.has(id));
  const diameter = common(runs, (run) => run.diameter);
  const pipe = common(runs, (run) => run.pipe);
  return (
    <div className="pt-2">
      <DiameterLine
        label="Inside diameter, all"
        value={diameter}
        placeholder="mixed"
        onChange={(next) =>
          editRuns(selected.runs, 'diameter', (own) => {
            own.diameter = next;
          })
        }
      />
      <Line label="Pipe, all">
        <Choice
          label="Pipe, all"
          value={pipe ?? ''}
          options={pipe === null ? [{ value: '', label: 'mixed' }, ...PIPE_OPTIONS] : PIPE_OPTIONS}
          onChange={(next) => {
            if (next !== '') {
              editRuns(selected.runs, 'pipe', (own) => {
                own.pipe = next;
              });
            }
          }}
        />
      </Line>
    </div>
  );
}

/** What all of them have; null where they differ. */
function common<T>(runs: readonly Run[], of: (run: Run) => T): T | null {
  const [first] = runs;
  if (!first) return null;
  const value = of(first);
  return runs.every((run) => of(run) === value) ? value : null;
}
