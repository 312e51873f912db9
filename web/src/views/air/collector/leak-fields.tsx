'use client';

import { LEAKAGE_CLASSES, SLIP_JOINT_GAP } from '@frank-gauge/core/catalogue';
import { formatShort } from '@frank-gauge/core/quantity';
import { useDesign, useSolution, useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { editCollector } from '../../parts/edit-collector';
import { FieldLine, Line } from '../../parts/line';
import { SEALING_OPTIONS, sealingOf } from './sealing-classes';

const OWN = 'own';

/** Ways joints are closed, with the gap all around each that they leave, m. */
const JOINTS = [
  { value: 'closed', label: 'taped, sealed or gasketed', gap: 0 },
  { value: 'slip', label: 'slip joints, not taped (estimate)', gap: SLIP_JOINT_GAP },
] as const;

const jointStyle = (gap: number) => JOINTS.find((style) => style.gap === gap)?.value ?? OWN;

/** What is believed of the whole shop's leaks: runs may differ, each in its own details. */
export function LeakFields() {
  const now = useSolution();
  const system = useUnits();
  const { sealing, joints, pressureSide } = useDesign(({ condition }) => condition);
  const known = sealingOf(sealing.usual);
  const blownOut = now.kind === 'solved' ? now.blower.outletLeak : 0;
  return (
    <>
      <Line label="Seams">
        <Choice
          label="Seams"
          value={known ?? OWN}
          options={[...SEALING_OPTIONS, { value: OWN, label: `another class: ${sealing.usual}` }]}
          onChange={(value) => {
            if (value === OWN) return;
            editCollector('seams of the shop', ({ condition }) => {
              condition.sealing.usual = LEAKAGE_CLASSES[value].leakageClass;
              delete condition.sealing.origin;
            });
          }}
        />
      </Line>
      <FieldLine
        label="Leakage exponent"
        value={sealing.exponent}
        kind="number"
        min={0.4}
        max={1}
        onChange={(exponent) =>
          editCollector('exponent of leakage', ({ condition }) => {
            condition.sealing.exponent = exponent;
          })
        }
      />
      <Line label="Joints">
        <Choice
          label="Joints"
          value={jointStyle(joints.usual)}
          options={[
            ...JOINTS.map(({ value, label }) => ({ value, label })),
            { value: OWN, label: 'another gap' },
          ]}
          onChange={(value) => {
            const gap = JOINTS.find((style) => style.value === value)?.gap;
            if (gap === undefined) return;
            editCollector('joints of the shop', ({ condition }) => {
              condition.joints.usual = gap;
            });
          }}
        />
      </Line>
      <FieldLine
        label="Gap at each joint"
        value={joints.usual}
        kind="roughness"
        min={0}
        max={0.02}
        onChange={(gap) =>
          editCollector('gap at joints', ({ condition }) => {
            condition.joints.usual = gap;
          })
        }
      />
      <FieldLine
        label="Openings behind the blower"
        value={pressureSide.area}
        kind="smallArea"
        min={0}
        max={1}
        onChange={(area) =>
          editCollector('openings behind the blower', ({ condition }) => {
            condition.pressureSide = { area, origin: { kind: 'assumed' } };
          })
        }
      />
      {blownOut > 0 && (
        <p className="pt-1 text-[14px]">
          With the gates open now, {formatShort(blownOut, 'flow', system)} of dusty air blows out
          there. That is unhealthy at any size: seal it first.
        </p>
      )}
    </>
  );
}
