'use client';

import type { FieldTest } from '@frank-gauge/core/journal';
import { formatShort, unitSymbol } from '@frank-gauge/core/quantity';
import { fanStatic } from '@frank-gauge/core/reading';
import { useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { RemoveButton } from '@/ui/remove-button';
import { ShopQuantity } from '../../parts/line';
import { addStep, editTest, removeStep } from './edit-tests';

type Step = FieldTest['steps'][number];

/** Each opening of the gate with what the meters showed. */
export function StepTable({ test }: { readonly test: FieldTest }) {
  const system = useUnits();
  const flow = unitSymbol('flow', system);
  const pressure = unitSymbol('pressure', system);
  const optional = (step: Step, index: number, key: 'outlet' | 'ahead', what: string) => (
    <td data-label={`${what.toLowerCase()}, ${pressure}`}>
      <ShopQuantity
        label={`${what}, opening ${index + 1}`}
        value={step[key]}
        kind="pressure"
        min={0}
        max={50_000}
        hasUnit={false}
        placeholder="–"
        onChange={(value) =>
          editTest(test, `${what} ${step.id}`, (own) => {
            const same = own.steps.find(({ id }) => id === step.id);
            if (same) same[key] = value;
          })
        }
        onClear={() =>
          editTest(test, `${what} ${step.id}`, (own) => {
            const same = own.steps.find(({ id }) => id === step.id);
            if (same) same[key] = null;
          })
        }
      />
    </td>
  );
  const needed = (step: Step, index: number, key: 'flow' | 'inlet', what: string) => (
    <td data-label={`${what.toLowerCase()}, ${key === 'flow' ? flow : pressure}`}>
      <ShopQuantity
        label={`${what}, opening ${index + 1}`}
        value={step[key]}
        kind={key === 'flow' ? 'flow' : 'pressure'}
        min={0}
        max={key === 'flow' ? 50 : 50_000}
        hasUnit={false}
        onChange={(value) =>
          editTest(test, `${what} ${step.id}`, (own) => {
            const same = own.steps.find(({ id }) => id === step.id);
            if (same) same[key] = value;
          })
        }
      />
    </td>
  );
  return (
    <>
      <table className="stacked-table w-full border-collapse">
        <thead className="text-left text-[13px] text-quiet shadow-[inset_0_-1px_0_var(--ink)]">
          <tr className="[&>th]:px-1.5 [&>th]:py-1.5 [&>th]:font-normal">
            <th className="w-8">no.</th>
            <th>flow, {flow}</th>
            <th>suction at the blower, {pressure}</th>
            <th>pressure after it, {pressure}</th>
            <th>suction before the separator, {pressure}</th>
            <th className="text-right">across the blower</th>
            <th className="relative w-9">
              <span className="sr-only">remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {test.steps.map((step, index) => (
            <tr
              key={step.id}
              className="border-rule border-b align-baseline [&>td]:px-1.5 [&>td]:py-0.5"
            >
              <td data-label="no." className="text-quiet">
                {index + 1}
              </td>
              {needed(step, index, 'flow', 'Flow')}
              {needed(step, index, 'inlet', 'Suction at the blower')}
              {optional(step, index, 'outlet', 'Pressure after the blower')}
              {optional(step, index, 'ahead', 'Suction before the separator')}
              <td data-label="across the blower" className="whitespace-nowrap text-right">
                {formatShort(fanStatic(step, test), 'pressure', system)}
              </td>
              <td>
                <RemoveButton
                  label={`Remove opening ${index + 1}`}
                  onClick={() => removeStep(test, step.id)}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Button className="mt-2" disabled={test.steps.length >= 100} onClick={() => addStep(test)}>
        Add an opening
      </Button>
    </>
  );
}
