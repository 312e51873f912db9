'use client';

import type { Paper } from '@frank-gauge/core/pdf';
import { useUnits } from '@/model/use-design';
import { Choice } from '@/ui/choice';
import { Line } from '../parts/line';
import { useTemplate } from './templates/use-template';

const PAPERS: readonly { readonly value: Paper; readonly label: string }[] = [
  { value: 'letter', label: 'Letter' },
  { value: 'a4', label: 'A4' },
];

/** The paper chosen for the open shop; until then the one usual where its units are. */
export function usePaper(): Paper {
  const system = useUnits();
  const { choices } = useTemplate();
  return choices.paper ?? (system === 'us' ? 'letter' : 'a4');
}

/** What PDFs of Build are laid out for. */
export function PaperChoice() {
  const { choose } = useTemplate();
  return (
    <Line label="Paper">
      <Choice
        label="Paper"
        value={usePaper()}
        options={PAPERS}
        onChange={(paper) => choose({ paper })}
      />
    </Line>
  );
}
