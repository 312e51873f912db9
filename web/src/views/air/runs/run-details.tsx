'use client';

import { type Run, runsBehind } from '@frank-gauge/core/design';
import { followDrawing } from '@frank-gauge/core/routing';
import { useDesign, useDuctTree } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/text-field';
import { addRunAt, editJoins, editRun, removeRunAloud } from '../../parts/edit-runs';
import { joinName, joinsOffered } from '../../parts/joins/join-forms';
import { Line } from '../../parts/line';
import { AddDropMenu } from './add-drop-menu';
import { BendFields } from './bend-fields';
import { FittingFields } from './fitting-fields';
import { GateFields, HoseFields } from './hose-and-gate-fields';
import { PipeFields } from './pipe-fields';
import { PortFields } from './port-fields';
import { SealingField } from './sealing-field';

/** The finer points of a run, and what can be hung on it. */
export function RunDetails({ run }: { readonly run: Run }) {
  const shop = useDesign();
  const tree = useDuctTree();
  const drop = tree.drops.find(({ path }) => path[0] === run);
  const behind = runsBehind(shop, run.id);
  return (
    <div className="space-y-1 px-3 pt-1 pb-3">
      <Line label="Run name">
        <TextField
          label="Run name"
          value={run.name}
          whenEmpty="A run needs a name."
          onChange={(name) =>
            editRun(run, 'name', (own) => {
              own.name = name;
            })
          }
        />
      </Line>
      <DrawnLine run={run} />
      <PipeFields run={run} />
      <JoinsField run={run} />
      {drop && <PortFields drop={drop} />}
      <BendFields run={run} />
      <FittingFields run={run} />
      <HoseFields run={run} />
      <GateFields run={run} />
      <SealingField run={run} />
      <div className="flex flex-wrap gap-1.5 pt-2">
        {drop ? (
          <AddDropMenu node={run.from} splitting={run.id} label="Branch a machine off here" />
        ) : (
          <>
            <AddDropMenu node={run.from} label="Machine at its end" />
            <Button onClick={() => addRunAt(run.from)}>Run at its end</Button>
            <AddDropMenu node={run.from} splitting={run.id} label="Machine halfway" />
          </>
        )}
        <Button look="quiet" onClick={() => removeRunAloud(run, behind.length)}>
          {behind.length > 1 ? `Remove it and ${behind.length - 1} upstream` : 'Remove'}
        </Button>
      </div>
    </div>
  );
}

/** Whether a drawn run's figures follow its drawing, or those typed here hold. */
function DrawnLine({ run }: { readonly run: Run }) {
  if (!run.route) return null;
  return run.route.isFollowed ? (
    <p className="text-[14px] text-quiet">
      Length, bends and angle come from the drawing on the Floor until you type other values.
    </p>
  ) : (
    <p className="text-[14px] text-quiet">
      The typed values are used instead of the drawing.{' '}
      <Button
        look="quiet"
        onClick={() =>
          edit(`use the drawing of ${run.name}`, (shop) => followDrawing(shop, run.id))
        }
      >
        Use the drawing
      </Button>
    </p>
  );
}

/** How the run meets what it flows into, where others do too. */
function JoinsField({ run }: { readonly run: Run }) {
  const tree = useDuctTree();
  const legs = (tree.into.get(run.to) ?? []).length;
  if (legs < 2) return null;
  const offered = joinsOffered(legs);
  const own = joinName(run.joins);
  const all = offered.some((joins) => joinName(joins) === own) ? offered : [...offered, run.joins];
  return (
    <Line label="Joins by">
      <Choice
        label="Joins by"
        value={own}
        options={all.map((joins) => ({ value: joinName(joins), label: joinName(joins) }))}
        onChange={(chosen) => {
          const joins = all.find((each) => joinName(each) === chosen);
          if (joins) editJoins(run, joins);
        }}
      />
    </Line>
  );
}
