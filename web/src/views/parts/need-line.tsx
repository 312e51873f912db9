'use client';

import { neededFlow } from '@frank-gauge/core/analysis';
import type { Port } from '@frank-gauge/core/design';
import { circleArea, formatQuantity } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { Line, ShopQuantity } from './line';

interface Props {
  readonly port: Port;
  /** Told apart from other ports on the same screen: ' of the port of Planer'. */
  readonly of?: string;
  /** Edits one field of the port; `field` names it for undo. */
  readonly onEdit: (field: string, change: (own: Port) => void) => void;
}

/** What a port needs, as a flow or as a velocity at its true diameter; the one becomes the other. */
export function NeedLine({ port, of = '', onEdit }: Props) {
  const system = useUnits();
  const { need } = port;
  return (
    <Line label="Required airflow" isWide>
      <span className="grid grid-cols-2 gap-2">
        <Choice
          label={`Required airflow, stated as${of}`}
          value={need.kind}
          options={[
            { value: 'flow', label: 'as a flow' },
            { value: 'velocity', label: 'as a velocity' },
          ]}
          onChange={(kind) =>
            onEdit('kind of need', (own) => {
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
            label={`Required airflow, flow${of}`}
            value={need.flow}
            kind="flow"
            min={0}
            isMinExcluded
            max={20}
            placeholder={formatQuantity(need.flow, 'flow', system)}
            onChange={(flow) =>
              onEdit('need', (own) => {
                own.need = { kind: 'flow', flow };
              })
            }
          />
        ) : (
          <ShopQuantity
            label={`Required airflow, velocity at the port${of}`}
            value={need.velocity}
            kind="velocity"
            min={0}
            isMinExcluded
            max={100}
            onChange={(velocity) =>
              onEdit('need', (own) => {
                own.need = { kind: 'velocity', velocity };
              })
            }
          />
        )}
      </span>
    </Line>
  );
}
