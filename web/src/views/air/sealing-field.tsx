'use client';

import { LEAKAGE_CLASSES, type Run } from '@frank-gauge/core';
import { edit } from '@/store/shop-session';
import { Choice } from '@/ui/choice';
import { useSolvedShop } from '../frame/solved-shop';
import { Line } from './line';

const USUAL = 'usual';
const NAMES: Record<keyof typeof LEAKAGE_CLASSES, string> = {
  sealed: 'sealed as well as can be',
  taped: 'taped and screwed',
  unsealed: 'unsealed joints',
};
const CLASSES = Object.keys(LEAKAGE_CLASSES) as (keyof typeof LEAKAGE_CLASSES)[];

/** How tight a run's joints are believed to be: part of its condition, not of its design. */
export function SealingField({ run }: { readonly run: Run }) {
  const { shop } = useSolvedShop();
  const { sealing } = shop.condition;
  const own = sealing.runs.find((entry) => entry.run === run.id);
  const known = CLASSES.find((name) => LEAKAGE_CLASSES[name] === own?.leakageClass);
  const usual = CLASSES.find((name) => LEAKAGE_CLASSES[name] === sealing.usual);
  return (
    <Line label="joints, as found">
      <Choice
        label="How tight its joints are"
        value={own ? (known ?? USUAL) : USUAL}
        options={[
          {
            value: USUAL,
            label: `as the shop’s: ${usual ? NAMES[usual] : `class ${sealing.usual}`}`,
          },
          ...CLASSES.map((value) => ({
            value,
            label: `${NAMES[value]}, class ${LEAKAGE_CLASSES[value]}`,
          })),
        ]}
        onChange={(value) =>
          edit(`joints of ${run.name}`, ({ condition }) => {
            condition.sealing.runs = condition.sealing.runs.filter((entry) => entry.run !== run.id);
            if (value === USUAL) return;
            condition.sealing.runs.push({
              run: run.id,
              leakageClass: LEAKAGE_CLASSES[value],
              origin: { kind: 'assumed' },
            });
          })
        }
      />
    </Line>
  );
}
