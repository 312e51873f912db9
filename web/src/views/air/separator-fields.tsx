'use client';

import { SEPARATOR_KINDS, SEPARATORS } from '@frank-gauge/core';
import { Choice } from '@/ui/choice';
import { useSolvedShop } from '../frame/solved-shop';
import { editCollector } from './edit-collector';
import { DiameterLine, Line, ShopQuantity } from './line';

export function SeparatorFields() {
  const { shop } = useSolvedShop();
  const { separator } = shop.collector;
  const [least, most] = SEPARATORS[separator.kind].range;
  return (
    <>
      <Line label="kind">
        <Choice
          label="Kind of separator"
          value={separator.kind}
          options={SEPARATOR_KINDS.map((value) => ({ value, label: SEPARATORS[value].name }))}
          onChange={(kind) =>
            editCollector('kind of separator', ({ collector }) => {
              collector.separator.kind = kind;
              collector.separator.heads = SEPARATORS[kind].heads;
            })
          }
        />
      </Line>
      <DiameterLine
        line="inlet, true inside"
        label="Inlet diameter of the separator"
        value={separator.inletDiameter}
        onChange={(diameter) =>
          editCollector('inlet diameter', ({ collector }) => {
            collector.separator.inletDiameter = diameter;
          })
        }
      />
      {separator.kind !== 'none' && (
        <Line label="velocity heads">
          <span className="grid grid-cols-[72px_1fr] items-center gap-2">
            <ShopQuantity
              label="Loss of the separator in velocity heads"
              value={separator.heads}
              kind="number"
              min={0}
              max={100}
              onChange={(heads) =>
                editCollector('velocity heads', ({ collector }) => {
                  collector.separator.heads = heads;
                })
              }
            />
            <span className="text-[14px] text-quiet">
              usual {least}–{most}; until measured, an estimate
            </span>
          </span>
        </Line>
      )}
    </>
  );
}
