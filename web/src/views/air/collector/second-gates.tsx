'use client';

import { gatesOfDrop } from '@frank-gauge/core/analysis';
import { useState } from 'react';
import { useDesign, useDuctTree } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { editCollector } from '../../parts/edit-collector';
import { Line } from '../../parts/line';

/** Gates that are left open with a drop so that its main keeps moving: those there are, and one more. */
export function SecondGates() {
  const bleeds = useDesign(({ shop }) => shop.rules.bleeds);
  const { drops } = useDuctTree();
  const [drop, setDrop] = useState('');
  const [open, setOpen] = useState('');
  const nameOf = (id: string) =>
    drops.find((each) => each.id === id)?.name ?? 'a drop that is gone';
  const gated = drops.filter((each) => gatesOfDrop(each).size > 0);
  if (gated.length < 2 && bleeds.length === 0) return null;
  const options = gated.map(({ id, name }) => ({ value: id, label: name }));
  const chosen = gated.find(({ id }) => id === drop) ?? gated[0];
  const others = options.filter(({ value }) => value !== chosen?.id);
  const other = others.find(({ value }) => value === open) ?? others[0];
  const isThere = bleeds.some((each) => each.drop === chosen?.id && each.open === other?.value);
  const add = () => {
    if (!chosen || !other || isThere) return;
    editCollector('second gate', ({ shop: { rules } }) => {
      rules.bleeds.push({ drop: chosen.id, open: other.value });
    });
  };
  return (
    <section aria-label="Second gates" className="my-1 border-rule border-y py-1 text-[14px]">
      <p className="text-quiet">
        {bleeds.length === 0
          ? 'A drop that draws too little to keep its main moving can have a second gate left open with it.'
          : 'Left open too, so that the main keeps moving:'}
      </p>
      <ul>
        {bleeds.map((bleed) => (
          <li
            key={`${bleed.drop} ${bleed.open}`}
            className="flex items-center justify-between gap-2"
          >
            <span>
              {nameOf(bleed.open)} while {nameOf(bleed.drop)} runs
            </span>
            <Button
              look="quiet"
              aria-label={`Shut it: ${nameOf(bleed.open)} while ${nameOf(bleed.drop)} runs`}
              onClick={() =>
                editCollector('second gate', ({ shop: { rules } }) => {
                  rules.bleeds = rules.bleeds.filter(
                    (each) => each.drop !== bleed.drop || each.open !== bleed.open,
                  );
                })
              }
            >
              Shut it
            </Button>
          </li>
        ))}
      </ul>
      {chosen && other && (
        <>
          <Line label="While this runs">
            <Choice
              label="While this runs"
              value={chosen.id}
              options={options}
              onChange={setDrop}
            />
          </Line>
          <Line label="leave open too">
            <span className="grid grid-cols-[1fr_auto] gap-1">
              <Choice
                label="leave open too"
                value={other.value}
                options={others}
                onChange={setOpen}
              />
              <Button onClick={add} disabled={isThere}>
                Add
              </Button>
            </span>
          </Line>
        </>
      )}
    </section>
  );
}
