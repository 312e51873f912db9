'use client';

import { Choice } from '@/ui/choice';
import { TextField } from '@/ui/text-field';
import { CircuitFields } from './circuit-fields';
import { CurveField } from './curve-field';
import { useCollector } from './edited-collector';
import { FieldLine, Line, ShopQuantity } from './line';
import { useElevation } from './use-elevation';

/** The blower: its name, curve, speed, motor and circuit. */
export function BlowerFields() {
  const { parts, editBlower } = useCollector();
  const { blower } = parts;
  return (
    <>
      <Line label="Blower name">
        <TextField
          label="Blower name"
          value={blower.name}
          onChange={(name) =>
            editBlower('name of the blower', (own) => {
              own.name = name;
            })
          }
        />
      </Line>
      <CurveField />
      <FieldLine
        label="Impeller speed"
        value={blower.speed}
        kind="rotation"
        min={1}
        max={500}
        onChange={(speed) =>
          editBlower('speed', (own) => {
            own.speed = speed;
          })
        }
      />
      <FieldLine
        label="Curve measured at"
        of="impeller speed"
        value={blower.measured.speed}
        kind="rotation"
        min={1}
        max={500}
        onChange={(speed) =>
          editBlower('speed of the curve', (own) => {
            own.measured.speed = speed;
          })
        }
      />
      <WheelFields />
      <Line label="Motor">
        <span className="grid grid-cols-2 gap-2">
          <ShopQuantity
            label="Motor, rated power"
            value={blower.motor.power}
            kind="power"
            min={0}
            isMinExcluded
            max={100_000}
            onChange={(power) =>
              editBlower('motor power', (own) => {
                own.motor.power = power;
              })
            }
          />
          <ShopQuantity
            label="Motor, voltage"
            value={blower.motor.voltage}
            kind="voltage"
            min={50}
            max={1000}
            onChange={(voltage) =>
              editBlower('voltage', (own) => {
                own.motor.voltage = voltage;
              })
            }
          />
        </span>
      </Line>
      <FieldLine
        label="Nameplate full-load current"
        value={blower.motor.plateCurrent}
        kind="current"
        min={0}
        isMinExcluded
        max={1000}
        placeholder="from the NEC table"
        onChange={(current) =>
          editBlower('plate current', (own) => {
            own.motor.plateCurrent = current;
          })
        }
        onClear={() =>
          editBlower('plate current', (own) => {
            own.motor.plateCurrent = null;
          })
        }
      />
      <CircuitFields />
    </>
  );
}

/** Wheel, efficiency, and an elbow that feeds the wheel unevenly. */
function WheelFields() {
  const { parts, editBlower } = useCollector();
  const { warn } = useElevation();
  const { blower } = parts;
  return (
    <>
      <FieldLine
        label="Impeller diameter"
        value={blower.wheelDiameter}
        kind="diameter"
        min={0.02}
        max={3}
        warning={warn('wheel in its housing')}
        onChange={(diameter) =>
          editBlower('impeller diameter', (own) => {
            own.wheelDiameter = diameter;
          })
        }
      />
      <FieldLine
        label="Impeller diameter of the curve"
        value={blower.measured.wheelDiameter}
        kind="diameter"
        min={0.02}
        max={3}
        onChange={(diameter) =>
          editBlower('impeller diameter of the curve', (own) => {
            own.measured.wheelDiameter = diameter;
          })
        }
      />
      <FieldLine
        label="Best static efficiency"
        value={blower.efficiency}
        kind="ratio"
        min={0.05}
        max={0.95}
        onChange={(efficiency) =>
          editBlower('efficiency', (own) => {
            own.efficiency = efficiency;
          })
        }
      />
      <Line label="Elbow at the inlet">
        <span className="grid grid-cols-[1fr_84px] items-center gap-2">
          <Choice
            label="Elbow at the inlet"
            value={inletElbowKind(blower.inletElbow)}
            options={INLET_ELBOWS}
            onChange={(kind) =>
              editBlower('inlet elbow', (own) => {
                const straight = own.inletElbow?.straight ?? 0;
                own.inletElbow =
                  kind === 'none' ? null : { radiusRatio: kind === 'mitred' ? 0.5 : 1.5, straight };
              })
            }
          />
          {blower.inletElbow && (
            <ShopQuantity
              label="Elbow at the inlet, straight duct between"
              value={blower.inletElbow.straight}
              kind="diameter"
              min={0}
              max={50}
              onChange={(straight) =>
                editBlower('straight ahead of the inlet', (own) => {
                  if (own.inletElbow) own.inletElbow.straight = straight;
                })
              }
            />
          )}
        </span>
      </Line>
    </>
  );
}

const INLET_ELBOWS = [
  { value: 'none', label: 'none nearby' },
  { value: 'radiused', label: 'radiused, straight duct' },
  { value: 'mitred', label: 'tight or mitered, straight duct' },
] as const;

const inletElbowKind = (elbow: { readonly radiusRatio: number } | null) =>
  elbow === null ? 'none' : elbow.radiusRatio < 0.75 ? 'mitred' : 'radiused';
