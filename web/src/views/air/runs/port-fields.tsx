'use client';

import { circleArea, type Drop, ENTRIES, formatQuantity, neededFlow } from '@frank-gauge/core';
import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/text-field';
import { useSolvedShop } from '../../frame/solved-shop';
import { DiameterLine, Line, ShopQuantity } from '../../parts/line';
import { editPort } from './edit-runs';

const OWN = 'own';

/** The machine a drop serves: its name, its port, what it needs, and how air gets in. */
export function PortFields({ drop }: { readonly drop: Drop }) {
  const { system } = useSolvedShop();
  const { port, machine, id } = drop;
  const { need } = port;
  const known = Object.entries(ENTRIES).find(([, entry]) => entry.loss === port.entryLoss)?.[0];
  return (
    <>
      <Line label="machine">
        <TextField
          label="Name of the machine"
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
        line="port, true inside"
        label="True inside diameter of the port"
        value={port.diameter}
        onChange={(diameter) =>
          editPort(id, 'port', (own) => {
            own.diameter = diameter;
          })
        }
      />
      <Line label="needs">
        <span className="grid grid-cols-2 gap-2">
          <Choice
            label="What it needs is"
            value={need.kind}
            options={[
              { value: 'flow', label: 'a flow' },
              { value: 'velocity', label: 'a velocity' },
            ]}
            onChange={(kind) =>
              editPort(id, 'kind of need', (own) => {
                const flow = neededFlow(own);
                own.need =
                  kind === 'flow'
                    ? { kind, flow }
                    : { kind, velocity: flow / circleArea(own.diameter) };
              })
            }
          />
          {need.kind === 'flow' ? (
            <ShopQuantity
              label="Flow it needs"
              value={need.flow}
              kind="flow"
              min={0}
              isMinExcluded
              max={20}
              placeholder={formatQuantity(need.flow, 'flow', system)}
              onChange={(flow) =>
                editPort(id, 'need', (own) => {
                  own.need = { kind: 'flow', flow };
                })
              }
            />
          ) : (
            <ShopQuantity
              label="Velocity it needs at the port"
              value={need.velocity}
              kind="velocity"
              min={0}
              isMinExcluded
              max={100}
              onChange={(velocity) =>
                editPort(id, 'need', (own) => {
                  own.need = { kind: 'velocity', velocity };
                })
              }
            />
          )}
        </span>
      </Line>
      <Line label="air gets in by">
        <span className="grid grid-cols-2 gap-2">
          <Choice
            label="How air gets in"
            value={known ?? OWN}
            options={[
              ...Object.entries(ENTRIES).map(([value, { name }]) => ({ value, label: name })),
              { value: OWN, label: 'own figure' },
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
            label="Entry loss in velocity pressures"
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
