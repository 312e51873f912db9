'use client';

import { ENTRIES } from '@frank-gauge/core/catalogue';
import type { Drop } from '@frank-gauge/core/design';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/text-field';
import { editPort } from '../../parts/edit-runs';
import { DiameterLine, Line, ShopQuantity } from '../../parts/line';
import { NeedLine } from '../../parts/need-line';

const OWN = 'own';

/** The machine a drop serves: its name, its port, its required airflow and its hood entry. */
export function PortFields({ drop }: { readonly drop: Drop }) {
  const { port, machine, id } = drop;
  const known = Object.entries(ENTRIES).find(([, entry]) => entry.loss === port.entryLoss)?.[0];
  return (
    <>
      <Line label="Machine name">
        <TextField
          label="Machine name"
          value={machine.name}
          whenEmpty="A machine needs a name."
          onChange={(name) =>
            editPort(id, 'name of the machine', (_, own) => {
              own.name = name;
            })
          }
        />
      </Line>
      <DiameterLine
        label="Port inside diameter"
        value={port.diameter}
        onChange={(diameter) =>
          editPort(id, 'port', (own) => {
            own.diameter = diameter;
          })
        }
      />
      <NeedLine port={port} onEdit={(field, change) => editPort(id, field, change)} />
      <Line label="Hood entry">
        <span className="grid grid-cols-2 gap-2">
          <Choice
            label="Hood entry, kind"
            value={known ?? OWN}
            options={[
              ...Object.entries(ENTRIES).map(([value, { name }]) => ({ value, label: name })),
              { value: OWN, label: 'other' },
            ]}
            onChange={(value) => {
              const entry = Object.entries(ENTRIES).find(([kind]) => kind === value)?.[1];
              if (entry)
                editPort(id, 'entry', (own) => {
                  own.entryLoss = entry.loss;
                });
            }}
          />
          <ShopQuantity
            label="Hood entry, loss coefficient"
            value={port.entryLoss}
            kind="number"
            min={0}
            max={50}
            onChange={(loss) =>
              editPort(id, 'entry loss', (own) => {
                own.entryLoss = loss;
              })
            }
          />
        </span>
      </Line>
    </>
  );
}
