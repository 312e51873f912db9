'use client';

import { type ChainOrder, chainOf, chainOrder } from '@frank-gauge/core/design';
import { useDesign } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Choice } from '@/ui/choice';
import { useCollector } from '../../parts/edited-collector';
import { FieldLine, Line } from '../../parts/line';
import { useElevation } from '../../parts/use-elevation';

const ORDERS: readonly ChainOrder[] = ['pulled', 'pushed', 'cleanSide'];

/** In what order the chain goes, under which ceiling, and who is there to lift. */
export function OrderAndRoom() {
  const ceilingHeight = useDesign(({ room }) => room.ceilingHeight);
  const { parts, editAssembly } = useCollector();
  const { warn } = useElevation();
  const possible = ORDERS.filter(
    (order) => chainOrder({ ...parts, assembly: { ...parts.assembly, order } }) === order,
  ).map((value) => ({
    value,
    label: chainOf({ ...parts, assembly: { ...parts.assembly, order: value } }).join(', '),
  }));
  return (
    <div className="space-y-1 px-3 pt-1 pb-2">
      {possible.length > 1 && (
        <Line label="Order of parts">
          <Choice
            label="Order of parts"
            value={chainOrder(parts)}
            options={possible}
            onChange={(order) =>
              editAssembly('order of parts', (own) => {
                own.order = order;
              })
            }
          />
        </Line>
      )}
      <FieldLine
        label="Ceiling height"
        value={ceilingHeight}
        kind="diameter"
        min={0}
        isMinExcluded
        max={30}
        placeholder="not known"
        warning={warn('larger than the room')}
        onChange={(height) =>
          edit(
            'ceiling',
            ({ room }) => {
              room.ceilingHeight = height;
            },
            { merge: 'ceiling' },
          )
        }
        onClear={() =>
          edit(
            'ceiling',
            ({ room }) => {
              room.ceilingHeight = null;
            },
            { merge: 'ceiling' },
          )
        }
      />
      <FieldLine
        label="People to lift"
        value={parts.assembly.people}
        kind="number"
        isWhole
        min={1}
        max={6}
        onChange={(people) =>
          editAssembly('people to lift', (own) => {
            own.people = people;
          })
        }
      />
    </div>
  );
}
