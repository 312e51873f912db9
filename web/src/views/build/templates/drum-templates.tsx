'use client';

import {
  type PipeIntoDrum,
  tangentialOffset,
  templateSheets,
  wrapTemplates,
} from '@frank-gauge/core/build';
import { formatShort, toSI, type UnitSystem } from '@frank-gauge/core/quantity';
import { checkRuler } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { templateFaultWords } from '@/words/template-words';
import { FieldLine, Line } from '../../parts/line';
import { useLastGood } from '../use-last-good';
import { NoTemplate } from './no-template';
import { Template } from './template';
import { useTemplate } from './use-template';

/** What it is as long as nobody has typed anything: a 6-in. pipe into a 55-gal drum, or a metric one. */
const usual = (system: UnitSystem): Omit<PipeIntoDrum, 'offset'> => ({
  pipe: system === 'us' ? toSI(6, 'in') : 0.15,
  drum: system === 'us' ? toSI(22.5, 'in') : 0.57,
  wall: 0.001,
  angle: Math.PI / 2,
  ends: 'outside',
});

/** Wrap-around templates of a pipe that goes into a round drum or another pipe. */
export function DrumTemplates() {
  const system = useUnits();
  const { choices, choose } = useTemplate();
  const typed = choices.drum ?? {};
  const own = { ...usual(system), ...typed };
  const tangential = tangentialOffset(own);
  const made = wrapTemplates({ ...own, offset: typed.offset ?? tangential });
  const change = (changed: Partial<PipeIntoDrum>) => choose({ drum: { ...typed, ...changed } });
  const warningOf = (field: keyof PipeIntoDrum) =>
    !made.ok && made.field === field ? templateFaultWords(made.fault, system) : null;
  const sheets =
    made.ok &&
    templateSheets(made.templates, {
      pipe: 'wrap around the pipe, straight edge away from the drum',
      hole: 'hole, on the outside of the drum',
      ruler: checkRuler(system),
    });
  const shown = useLastGood(sheets || null, JSON.stringify([own, typed.offset, system]));
  const size = (field: 'pipe' | 'drum' | 'wall') => ({
    value: own[field],
    kind: 'diameter' as const,
    onChange: (value: number) => change({ [field]: value }),
    warning: warningOf(field),
  });
  return (
    <>
      <div className="max-w-120">
        <FieldLine label="Pipe, outside diameter" {...size('pipe')} min={0} isMinExcluded max={2} />
        <FieldLine label="Drum, outside diameter" {...size('drum')} min={0} isMinExcluded max={5} />
        <FieldLine label="Drum, wall" {...size('wall')} min={0} max={0.1} />
        <FieldLine
          label="Offset"
          value={typed.offset ?? null}
          kind="diameter"
          min={-3}
          max={3}
          placeholder={`tangential, ${formatShort(tangential, 'diameter', system)}`}
          warning={warningOf('offset')}
          onChange={(offset) => change({ offset })}
          onClear={() => {
            const { offset: _, ...rest } = typed;
            choose({ drum: rest });
          }}
        />
        <FieldLine
          label="Angle between them"
          value={own.angle}
          kind="angle"
          min={0}
          isMinExcluded
          max={Math.PI / 2}
          warning={warningOf('angle')}
          onChange={(angle) => change({ angle })}
        />
        <Line label="Pipe ends">
          <Choice
            label="Pipe ends"
            value={own.ends}
            options={[
              { value: 'outside', label: 'on the outside of the drum' },
              { value: 'inside', label: 'flush with its inside' },
            ]}
            onChange={(ends) => change({ ends })}
          />
        </Line>
      </div>
      {!sheets && <NoTemplate hasDrawing={shown !== null} />}
      {shown && (
        <>
          <Template name="Pipe" file="pipe-template" items={shown.pipe} isStale={!sheets} />
          <Template name="Hole" file="hole-template" items={shown.hole} isStale={!sheets} />
        </>
      )}
    </>
  );
}
