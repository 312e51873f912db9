'use client';

import { HOSE_IDS, HOSES, hoseMultiplier } from '@frank-gauge/core/catalogue';
import type { Run } from '@frank-gauge/core/design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { editRun } from '../../parts/edit-runs';
import { DiameterLine, FieldLine, Line } from '../../parts/line';

const HOSE_OPTIONS = HOSE_IDS.map((value) => ({ value, label: HOSES[value].name }));

export function HoseFields({ run }: { readonly run: Run }) {
  const { hose } = run;
  if (!hose) return null;
  const change = (field: string, apply: (own: NonNullable<Run['hose']>) => void) =>
    editRun(run, `hose ${field}`, (own) => {
      if (own.hose) apply(own.hose);
    });
  return (
    <>
      <Line label="Flex hose">
        <Choice
          label="Flex hose, kind"
          value={hose.kind}
          options={HOSE_OPTIONS}
          onChange={(kind) =>
            change('kind', (own) => {
              own.kind = kind;
            })
          }
        />
      </Line>
      <DiameterLine
        label="Hose inside diameter"
        value={hose.diameter}
        onChange={(diameter) =>
          change('diameter', (own) => {
            own.diameter = diameter;
          })
        }
      />
      <FieldLine
        label="Hose compression"
        value={hose.compression}
        kind="ratio"
        min={0}
        max={0.5}
        onChange={(compression) =>
          change('compression', (own) => {
            own.compression = compression;
          })
        }
      />
      {hose.compression > 0 && (
        <p className="text-[14px] text-quiet">
          Its friction counts {hoseMultiplier(hose.compression, hose.diameter).toFixed(1)} times
          that of stretched hose: measured on building flex of 6 to 16 in., an estimate for shop
          hose.
        </p>
      )}
    </>
  );
}

export function GateFields({ run }: { readonly run: Run }) {
  const { gate } = run;
  if (!gate) return null;
  const change = (field: string, apply: (own: NonNullable<Run['gate']>) => void) =>
    editRun(run, `gate ${field}`, (own) => {
      if (own.gate) apply(own.gate);
    });
  return (
    <>
      <FieldLine
        label="Gate opening"
        value={gate.opening}
        kind="ratio"
        min={0.01}
        max={1}
        onChange={(opening) =>
          change('opening', (own) => {
            own.opening = opening;
          })
        }
      />
      <Line label="Gate position">
        <span className="grid grid-cols-[1fr_auto] gap-2">
          <Choice
            label="Gate position"
            value={gate.end}
            options={[
              { value: 'upstream', label: 'at the machine' },
              { value: 'downstream', label: 'at the main' },
            ]}
            onChange={(end) =>
              change('place', (own) => {
                own.end = end;
              })
            }
          />
          <Button
            look="quiet"
            onClick={() =>
              editRun(run, 'gate', (own) => {
                own.gate = null;
              })
            }
          >
            No gate
          </Button>
        </span>
      </Line>
    </>
  );
}
