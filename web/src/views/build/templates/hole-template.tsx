'use client';

import { type HoleCircle, holeCircle, holeCircleSheet } from '@frank-gauge/core/build';
import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { checkRuler } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { templateFaultWords } from '@/words/template-words';
import { FieldLine } from '../../parts/line';
import { useLastGood } from '../use-last-good';
import { NoTemplate } from './no-template';
import { Template } from './template';
import { useTemplate } from './use-template';

/** A hole for 6-in. pipe, with six screws around it; or a metric one. */
const usual = (system: UnitSystem): HoleCircle =>
  system === 'us'
    ? { hole: toSI(6.25, 'in'), circle: toSI(7.5, 'in'), count: 6, small: toSI(0.1875, 'in') }
    : { hole: 0.152, circle: 0.18, count: 6, small: 0.005 };

const FIELDS = [
  ['hole', 'Hole, diameter'],
  ['circle', 'Small holes, on a circle of'],
  ['small', 'Small holes, diameter'],
] as const;

/** A round hole with small ones around it: for a pipe through a board, a port, a flange. */
export function HoleTemplate() {
  const system = useUnits();
  const { choices, choose } = useTemplate();
  const own = { ...usual(system), ...choices.hole };
  const made = holeCircle(own);
  const name = `${formatShort(own.hole, 'diameter', system)} across`;
  const sheet = made.ok
    ? holeCircleSheet(own, made.centers, { name, ruler: checkRuler(system) })
    : null;
  const shown = useLastGood(sheet, JSON.stringify([own, system]));
  const change = (changed: Partial<HoleCircle>) =>
    choose({ hole: { ...choices.hole, ...changed } });
  const warningOf = (field: keyof HoleCircle) =>
    !made.ok && made.field === field ? templateFaultWords(made.fault, system) : null;
  return (
    <>
      <div className="max-w-120">
        {FIELDS.map(([field, label]) => (
          <FieldLine
            key={field}
            label={label}
            value={own[field]}
            kind="diameter"
            min={0}
            max={2}
            warning={warningOf(field)}
            onChange={(value) => change({ [field]: value })}
          />
        ))}
        <FieldLine
          label="Small holes, 0 for none"
          value={own.count}
          kind="number"
          min={0}
          max={60}
          warning={warningOf('count')}
          onChange={(count) => change({ count })}
        />
      </div>
      {!made.ok && <NoTemplate hasDrawing={shown !== null} />}
      {shown && <Template name="Hole" file="hole-circle" items={shown} isStale={!made.ok} />}
    </>
  );
}
