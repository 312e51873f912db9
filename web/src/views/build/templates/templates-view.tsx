'use client';

import { checkRuler } from '@frank-gauge/core/routing';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { Line } from '../../parts/line';
import { PaperChoice } from '../paper-choice';
import { DrumTemplates } from './drum-templates';
import { ElbowTemplates } from './elbow-templates';
import { HoleTemplate } from './hole-template';
import { LidTemplate } from './lid-template';
import { useTemplate } from './use-template';

const KINDS = {
  drum: { label: 'pipe into a drum or another pipe', Form: DrumTemplates },
  elbow: { label: 'mitered elbow', Form: ElbowTemplates },
  lid: { label: 'lid, two elbows', Form: LidTemplate },
  hole: { label: 'hole and small holes around it', Form: HoleTemplate },
} as const;
type Kind = keyof typeof KINDS;
const OPTIONS = (Object.keys(KINDS) as Kind[]).map((value) => ({
  value,
  label: KINDS[value].label,
}));

/** Templates at true size, to print, wrap or lay on, and cut along. */
export function TemplatesView() {
  const { choices, choose } = useTemplate();
  const { text } = checkRuler(useUnits());
  const kind = choices.kind ?? 'drum';
  const { Form } = KINDS[kind];
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto">
      <h1 className="text-[18px]">Templates</h1>
      <p className="max-w-prose text-[15px]">
        Measure outside diameters: the way around by tape, divided by 3.1416, is surer than a
        caliper across.
      </p>
      <div className="max-w-120 pt-2">
        <Line label="Template for">
          <Choice
            label="Template for"
            value={kind}
            options={OPTIONS}
            onChange={(chosen) => choose({ kind: chosen })}
          />
        </Line>
        <PaperChoice />
      </div>
      <Form />
      <p className="max-w-prose pt-2 text-[14px] text-quiet">
        Print at 100 %, not fitted to the page, and lay a ruler against the {text} before you cut.
        Sheets of a PDF overlap: lay their crosses on each other. Wear gloves: cut sheet metal is
        sharp. Open a drum that held anything that burns only after it was cleaned for it; never
        with a torch or a grinder.
      </p>
    </div>
  );
}
