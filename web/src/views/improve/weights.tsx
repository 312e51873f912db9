'use client';

import type { Ranking } from '@frank-gauge/core/advice';
import type { Shop } from '@frank-gauge/core/design';
import { formatShort } from '@frank-gauge/core/quantity';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Segmented } from '@/ui/segmented';
import { FieldLine, Line } from '../parts/line';

type WeightId = keyof Shop['advice']['weights'];

const WEIGHTS: Readonly<Record<WeightId, string>> = {
  worst: 'air, worst drop',
  met: 'air, all drops',
  money: 'money',
  hours: 'hours of work',
  noise: 'noise',
  dust: 'fine dust',
  space: 'floor space',
};

const STEPS = [
  { value: '0', label: 'none' },
  { value: '1', label: 'usual' },
  { value: '3', label: 'much' },
] as const;
type Step = (typeof STEPS)[number]['value'];

const stepOf = (weight: number): Step => (weight < 0.5 ? '0' : weight < 2 ? '1' : '3');

const RULES = {
  noNewCircuit: 'No new circuit',
  noNewBlower: 'No new blower',
  onCasters: 'The collector must stay on casters',
} as const;

/** How much each thing weighs, and what is out of the question. */
export function Weights({ ranking }: { readonly ranking: Ranking | null }) {
  const { weights, rules } = useDesign((shop) => shop.advice);
  const system = useUnits();
  const setHighest = (highest: number | null) =>
    edit('highest collector', (shop) => void Object.assign(shop.advice.rules, { highest }), {
      merge: 'highest',
    });
  const height = ranking?.now.height;
  const isTooLow = rules.highest !== null && height !== undefined && height > rules.highest;
  return (
    <>
      <section aria-label="What counts" className="pt-5">
        <h2 className="text-[18px]">What counts</h2>
        {(Object.keys(WEIGHTS) as WeightId[]).map((id) => (
          <Line key={id} label={WEIGHTS[id]}>
            <Segmented
              label={`How much counts ${WEIGHTS[id]}`}
              value={stepOf(weights[id])}
              options={STEPS}
              onChange={(step) =>
                edit(`weight of ${WEIGHTS[id]}`, (shop) => {
                  shop.advice.weights[id] = Number(step);
                })
              }
            />
          </Line>
        ))}
      </section>
      <section aria-label="House rules" className="pt-5">
        <h2 className="text-[18px]">House rules</h2>
        {(Object.keys(RULES) as (keyof typeof RULES)[]).map((id) => (
          <label key={id} className="flex min-h-11 items-center gap-2 md:min-h-8">
            <input
              type="checkbox"
              checked={rules[id]}
              onChange={(event) => {
                const { checked } = event.target;
                edit(RULES[id].toLowerCase(), (shop) => {
                  shop.advice.rules[id] = checked;
                });
              }}
            />
            {RULES[id]}
          </label>
        ))}
        <FieldLine
          label="Nothing higher than"
          value={rules.highest}
          kind="length"
          min={0.1}
          max={30}
          placeholder="the ceiling"
          onChange={setHighest}
          onClear={() => setHighest(null)}
          warning={
            isTooLow
              ? `Your collector stands ${formatShort(height, 'length', system)} high already: nothing is left out for being as high as that.`
              : null
          }
        />
      </section>
    </>
  );
}
