'use client';

import { unitSymbol } from '@frank-gauge/core';
import { useState } from 'react';
import { edit } from '@/store/shop-session';
import { TextField } from '@/ui/text-field';
import { useSolvedShop } from '../frame/solved-shop';
import { FieldLine, Line, ShopQuantity } from './line';
import { type CurvePoint, readCurve, writePoint } from './read-curve';

const editBlower = (
  field: string,
  change: (blower: ReturnType<typeof useSolvedShop>['shop']['collector']['blower']) => void,
) => edit(field, ({ collector }) => change(collector.blower), { merge: field });

/** The blower: its name, curve, speed, motor and circuit. */
export function BlowerFields() {
  const { shop } = useSolvedShop();
  const { blower } = shop.collector;
  return (
    <>
      <Line label="name">
        <TextField
          label="Name of the blower"
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
        line="wheel turns at"
        label="Speed of the wheel"
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
        line="curve measured at"
        label="Speed the curve was measured at"
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
      <Line label="motor">
        <span className="grid grid-cols-2 gap-2">
          <ShopQuantity
            label="Rated power of the motor"
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
            label="Voltage of the motor"
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
        line="plate says, full load"
        label="Full-load current on the plate"
        value={blower.motor.plateCurrent}
        kind="current"
        min={0}
        isMinExcluded
        max={1000}
        placeholder="by the code’s table"
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
      <FieldLine
        line="breaker"
        label="Rating of the breaker"
        value={blower.breaker}
        kind="current"
        min={1}
        max={1000}
        onChange={(breaker) =>
          editBlower('breaker', (own) => {
            own.breaker = breaker;
          })
        }
      />
    </>
  );
}

/** The curve as text, a point a line: quick to type, and a column can be pasted in. */
function CurveField() {
  const { shop, system } = useSolvedShop();
  const { curve } = shop.collector.blower;
  const [draft, setDraft] = useState<{ text: string; base: readonly CurvePoint[] } | null>(null);
  const written = curve.map((point) => writePoint(point, system)).join('\n');
  const text = draft && draft.base === curve ? draft.text : written;
  const read = draft && draft.base === curve ? readCurve(text, system, curve) : null;
  const refusal = read?.ok === false ? read.reason : null;
  return (
    <Line label={`curve: ${unitSymbol('flow', system)}, then ${unitSymbol('pressure', system)}`}>
      <span>
        <textarea
          aria-label="Points of the blower curve"
          aria-invalid={refusal !== null}
          rows={Math.min(9, Math.max(3, text.split('\n').length))}
          value={text}
          spellCheck={false}
          onChange={(event) => {
            const next = event.target.value;
            const result = readCurve(next, system, curve);
            if (result.ok) {
              const { points } = result;
              editBlower('blower curve', (own) => {
                own.curve = points;
              });
            }
            setDraft({ text: next, base: curve });
          }}
          onBlur={() => {
            if (refusal === null) setDraft(null);
          }}
          className="block w-full border border-rule bg-paper px-2 py-1 aria-invalid:border-starved"
        />
        {refusal && (
          <span role="alert" className="block text-[14px] text-starved-text">
            {refusal}
          </span>
        )}
      </span>
    </Line>
  );
}
