'use client';

import { PLUG_IDS, TRIP_IDS } from '@frank-gauge/core/catalogue';
import { PLUGS, TRIPS } from '@frank-gauge/core/collector';
import { formatShort } from '@frank-gauge/core/quantity';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { useCollector } from './edited-collector';
import { FieldLine, Line } from './line';

const UNKNOWN = 'unknown';

/** What feeds the motor, breaker and plug, and whether they suit it. */
export function CircuitFields() {
  const { parts, editBlower } = useCollector();
  const { blower } = parts;
  return (
    <>
      <FieldLine
        label="Breaker rating"
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
      <Line label="Breaker curve">
        <Choice
          label="Breaker curve"
          value={blower.trip}
          options={TRIP_IDS.map((value) => ({ value, label: TRIPS[value].name }))}
          onChange={(trip) =>
            editBlower('breaker’s trip', (own) => {
              own.trip = trip;
            })
          }
        />
      </Line>
      <Line label="Plug">
        <Choice
          label="Plug, or wired in"
          value={blower.plug ?? UNKNOWN}
          options={[
            { value: UNKNOWN, label: 'not known' },
            ...PLUG_IDS.map((value) => ({ value, label: PLUGS[value].name })),
          ]}
          onChange={(value) =>
            editBlower('plug', (own) => {
              own.plug = PLUG_IDS.find((id) => id === value) ?? null;
            })
          }
        />
      </Line>
      <FieldLine
        label="Starting current, × full load"
        value={blower.motor.startRatio}
        kind="number"
        min={1}
        max={20}
        placeholder="about 6 (estimate)"
        onChange={(ratio) =>
          editBlower('starting current', (own) => {
            own.motor.startRatio = ratio;
          })
        }
        onClear={() =>
          editBlower('starting current', (own) => {
            own.motor.startRatio = null;
          })
        }
      />
      <CircuitLine />
    </>
  );
}

/** Full-load, present and starting current against the circuit, in a sentence or two. */
function CircuitLine() {
  const system = useUnits();
  const { load } = useCollector();
  if (!load) return null;
  const amps = (value: number) =>
    formatShort(value < 20 ? Number(value.toPrecision(2)) : Math.round(value), 'current', system);
  const { circuit } = load;
  const isNec = circuit.code === 'nec';
  const wrong = [
    circuit.isSmall &&
      `its conductors should carry ${amps(circuit.conductors)}${isNec ? ' (125 % of full load)' : ''}, and an ordinary ${amps(circuit.breaker)} circuit’s do not`,
    circuit.isBreakerLarge &&
      circuit.largestBreaker !== null &&
      `the breaker is rated above the ${amps(circuit.largestBreaker)} it may be`,
    load.isPlugWrong && 'the plug is for another voltage',
    !load.isPlugWrong &&
      load.plugCarries !== null &&
      load.fullLoadCurrent > load.plugCarries * 1.001 &&
      `the plug carries ${amps(load.plugCarries)} for hours`,
    load.isOverloaded &&
      `the shaft needs ${formatShort(load.shaftPower, 'power', system)} with these gates open`,
    load.startCurrent > load.startLimit && 'the breaker may trip at the start',
  ].filter(Boolean);
  return (
    <p className="pt-1 text-[14px] text-quiet">
      {amps(load.fullLoadCurrent)} at full load, about {amps(load.current)} with the gates open now,
      about {amps(load.startCurrent)} for a moment at the start.{' '}
      {wrong.length > 0 ? (
        <strong className="font-semibold text-starved-text">▼ {capital(wrong.join('; '))}.</strong>
      ) : (
        'The circuit does.'
      )}{' '}
      {circuit.largestBreaker !== null &&
        `Conductors carry 125 % of full load (NEC 430.22); the breaker may be rated up to ${amps(circuit.largestBreaker)} (NEC 430.52). `}
      Wiring is an electrician’s, by your local code.
    </p>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
