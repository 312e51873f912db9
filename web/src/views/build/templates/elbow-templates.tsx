'use client';

import { elbowGores, goreSheets, type MiteredElbow } from '@frank-gauge/core/build';
import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { checkRuler } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { templateFaultWords } from '@/words/template-words';
import { FieldLine } from '../../parts/line';
import { useLastGood } from '../use-last-good';
import { NoTemplate } from './no-template';
import { Template } from './template';
import { useTemplate } from './use-template';

/** A five-piece right angle; its radius is one and a half times its pipe as long as nobody has typed another. */
const usual = (system: UnitSystem): Omit<MiteredElbow, 'radius'> => ({
  pipe: system === 'us' ? toSI(6, 'in') : 0.15,
  angle: Math.PI / 2,
  pieces: 5,
});
const USUAL_RATIO = 1.5;

/** Templates for the pieces of a mitered elbow. */
export function ElbowTemplates() {
  const system = useUnits();
  const { choices, choose } = useTemplate();
  const typed = choices.elbow ?? {};
  const own = { ...usual(system), ...typed };
  const radius = typed.radius ?? USUAL_RATIO * own.pipe;
  const made = elbowGores({ ...own, radius });
  const change = (changed: Partial<MiteredElbow>) => choose({ elbow: { ...typed, ...changed } });
  const warningOf = (field: keyof MiteredElbow) =>
    !made.ok && made.field === field ? templateFaultWords(made.fault, system) : null;
  const sheets = made.ok && {
    miter: made.gores.miter,
    ...goreSheets(made.gores, {
      end: 'end piece, cut two; seam at the throat',
      middle: `middle piece, cut ${made.gores.middles}; seam at the throat`,
      ruler: checkRuler(system),
    }),
  };
  const shown = useLastGood(sheets || null, JSON.stringify([own, radius, system]));
  return (
    <>
      <div className="max-w-120">
        <FieldLine
          label="Pipe, outside diameter"
          value={own.pipe}
          kind="diameter"
          min={0}
          isMinExcluded
          max={2}
          warning={warningOf('pipe')}
          onChange={(pipe) => change({ pipe })}
        />
        <FieldLine
          label="Turn"
          value={own.angle}
          kind="angle"
          min={0}
          isMinExcluded
          max={Math.PI}
          warning={warningOf('angle')}
          onChange={(angle) => change({ angle })}
        />
        <FieldLine
          label="Radius of the centerline"
          value={typed.radius ?? null}
          kind="diameter"
          min={0}
          isMinExcluded
          max={5}
          placeholder={`1.5 × the pipe, ${formatShort(radius, 'diameter', system)}`}
          warning={warningOf('radius')}
          onChange={(chosen) => change({ radius: chosen })}
          onClear={() => {
            const { radius: _, ...rest } = typed;
            choose({ elbow: rest });
          }}
        />
        <FieldLine
          label="Pieces"
          value={own.pieces}
          kind="number"
          min={2}
          max={12}
          warning={warningOf('pieces')}
          onChange={(pieces) => change({ pieces })}
        />
      </div>
      {!sheets && <NoTemplate hasDrawing={shown !== null} />}
      {shown && (
        <>
          <p className="max-w-prose pt-2 text-[15px]">
            Every cut stands {((shown.miter * 180) / Math.PI).toFixed(1)}° from square. Add what
            your seams lap; the templates have none.
          </p>
          <Template name="End piece" file="elbow-end" items={shown.end} isStale={!sheets} />
          {shown.middle && (
            <Template
              name="Middle piece"
              file="elbow-middle"
              items={shown.middle}
              isStale={!sheets}
            />
          )}
        </>
      )}
    </>
  );
}
