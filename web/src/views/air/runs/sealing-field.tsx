'use client';

import { LEAKAGE_CLASSES } from '@frank-gauge/core/catalogue';
import { jointCount, type Run } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { editRun } from '../../parts/edit-runs';
import { Line, ShopQuantity } from '../../parts/line';
import { SEALING_OPTIONS, sealingName, sealingOf } from '../collector/sealing-classes';

const USUAL = 'usual';

/** How tight a run's seams and joints are believed to be: part of its condition, not its design. */
export function SealingField({ run }: { readonly run: Run }) {
  const { sealing } = useDesign(({ condition }) => condition);
  const own = sealing.runs.find((entry) => entry.run === run.id);
  const known = sealingOf(own?.leakageClass);
  return (
    <>
      <Line label="Seams, as found">
        <Choice
          label="Seams, as found"
          value={own ? (known ?? USUAL) : USUAL}
          options={[
            {
              value: USUAL,
              label: `same as the shop: ${sealingName(sealing.usual)}`,
            },
            ...SEALING_OPTIONS,
          ]}
          onChange={(value) =>
            edit(`seams of ${run.name}`, ({ condition }) => {
              condition.sealing.runs = condition.sealing.runs.filter(
                (entry) => entry.run !== run.id,
              );
              if (value === USUAL) return;
              condition.sealing.runs.push({
                run: run.id,
                leakageClass: LEAKAGE_CLASSES[value].leakageClass,
                origin: { kind: 'assumed' },
              });
            })
          }
        />
      </Line>
      <JointsField run={run} />
    </>
  );
}

/** How many joints a run has, and the gap believed to be around each. */
function JointsField({ run }: { readonly run: Run }) {
  const tree = useDuctTree();
  const system = useUnits();
  const { joints } = useDesign(({ condition }) => condition);
  const own = joints.runs.find((entry) => entry.run === run.id);
  const setGap = (gap: number | null) =>
    edit(
      `joints of ${run.name}`,
      ({ condition }) => {
        condition.joints.runs = condition.joints.runs.filter((entry) => entry.run !== run.id);
        if (gap === null) return;
        condition.joints.runs.push({ run: run.id, gap, origin: { kind: 'assumed' } });
      },
      { merge: `joints ${run.id}` },
    );
  return (
    <Line label="Joints">
      <span className="grid grid-cols-2 gap-2">
        <ShopQuantity
          label="Joints, number"
          value={run.joints}
          kind="number"
          min={0}
          max={1000}
          isWhole
          placeholder={`about ${jointCount(run, tree)}`}
          onChange={(count) =>
            editRun(run, 'joints', (changed) => {
              changed.joints = count;
            })
          }
          onClear={() =>
            editRun(run, 'joints', (changed) => {
              changed.joints = null;
            })
          }
        />
        <ShopQuantity
          label="Joints, gap at each"
          value={own?.gap ?? null}
          kind="roughness"
          min={0}
          max={0.02}
          placeholder={formatShort(joints.usual, 'roughness', system)}
          onChange={setGap}
          onClear={() => setGap(null)}
        />
      </span>
    </Line>
  );
}
