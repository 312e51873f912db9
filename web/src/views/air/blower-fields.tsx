'use client';

import { fromSI, parseQuantity, STYLES, unitSymbol, writeForField } from '@frank-gauge/core';
import { useState } from 'react';
import { QuantityField } from '@/fields/quantity-field';
import { edit } from '@/store/shop-session';
import { TextField } from '@/ui/text-field';
import { useSolvedShop } from '../frame/solved-shop';
import { Line } from './line';

type Point = { flow: number; pressure: number };

const editBlower = (
  field: string,
  change: (blower: ReturnType<typeof useSolvedShop>['shop']['collector']['blower']) => void,
) => edit(field, ({ collector }) => change(collector.blower), { merge: field });

/** The blower: its name, curve, speed, motor and circuit. */
export function BlowerFields() {
  const { shop, system } = useSolvedShop();
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
      <Line label="wheel turns at">
        <QuantityField
          label="Speed of the wheel"
          value={blower.speed}
          kind="rotation"
          system={system}
          min={1}
          max={500}
          onChange={(speed) =>
            editBlower('speed', (own) => {
              own.speed = speed;
            })
          }
        />
      </Line>
      <Line label="curve measured at">
        <QuantityField
          label="Speed the curve was measured at"
          value={blower.measured.speed}
          kind="rotation"
          system={system}
          min={1}
          max={500}
          onChange={(speed) =>
            editBlower('speed of the curve', (own) => {
              own.measured.speed = speed;
            })
          }
        />
      </Line>
      <Line label="motor">
        <span className="grid grid-cols-2 gap-2">
          <QuantityField
            label="Rated power of the motor"
            value={blower.motor.power}
            kind="power"
            system={system}
            min={0}
            isMinExcluded
            max={100_000}
            onChange={(power) =>
              editBlower('motor power', (own) => {
                own.motor.power = power;
              })
            }
          />
          <QuantityField
            label="Voltage of the motor"
            value={blower.motor.voltage}
            kind="voltage"
            system={system}
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
      <Line label="plate says, full load">
        <QuantityField
          label="Full-load current on the plate"
          value={blower.motor.plateCurrent}
          kind="current"
          system={system}
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
      </Line>
      <Line label="breaker">
        <QuantityField
          label="Rating of the breaker"
          value={blower.breaker}
          kind="current"
          system={system}
          min={1}
          max={1000}
          onChange={(breaker) =>
            editBlower('breaker', (own) => {
              own.breaker = breaker;
            })
          }
        />
      </Line>
    </>
  );
}

type ReadCurve =
  | { readonly ok: true; readonly points: Point[] }
  | { readonly ok: false; readonly reason: string };

/** Reads a curve written a point a line, flow then pressure, in any units. */
export function readCurve(text: string, system: 'us' | 'metric'): ReadCurve {
  const points: Point[] = [];
  const lines = text.split('\n');
  for (const [index, line] of lines.entries()) {
    if (line.trim() === '') continue;
    const refuse = (why: string): ReadCurve => ({ ok: false, reason: `Line ${index + 1}: ${why}` });
    const [first, second, ...rest] = line
      .split(/[;\t]|,\s|\s{2,}|\sat\s/)
      .map((part) => part.trim());
    const parts = second === undefined ? line.trim().split(/\s+/) : [first ?? '', second, ...rest];
    if (parts.length !== 2) return refuse('write a flow, then a pressure, such as “400  8.5”.');
    const flow = parseQuantity(parts[0] ?? '', STYLES[system].flow.unit);
    const pressure = parseQuantity(parts[1] ?? '', STYLES[system].pressure.unit);
    if (!flow.ok) return refuse(flow.reason);
    if (!pressure.ok) return refuse(pressure.reason);
    if (flow.value < 0 || pressure.value < 0) return refuse('a curve has no values below zero.');
    const before = points.at(-1);
    if (before && flow.value <= before.flow) {
      return refuse('the flow goes backward: each point has to lie beyond the one before.');
    }
    points.push({ flow: flow.value, pressure: pressure.value });
  }
  if (points.length < 2) return { ok: false, reason: 'A curve needs at least two points.' };
  if (points.length > 200) return { ok: false, reason: 'A curve takes at most 200 points.' };
  return { ok: true, points };
}

/** The curve as text, a point a line: quick to type, and a column can be pasted in. */
function CurveField() {
  const { shop, system } = useSolvedShop();
  const { curve } = shop.collector.blower;
  const [draft, setDraft] = useState<{ text: string; base: readonly Point[] } | null>(null);
  const written = curve
    .map(
      ({ flow, pressure }) =>
        `${Math.round(fromSI(flow, STYLES[system].flow.unit))}  ${writeForField(pressure, 'pressure', system)}`,
    )
    .join('\n');
  const text = draft && draft.base === curve ? draft.text : written;
  const read = draft && draft.base === curve ? readCurve(text, system) : null;
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
            const result = readCurve(next, system);
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
