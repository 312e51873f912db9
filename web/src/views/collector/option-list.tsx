'use client';

import { SEPARATORS } from '@frank-gauge/core/collector';
import { type Candidate, MOST_COLLECTORS } from '@frank-gauge/core/design';
import type { ReactNode } from 'react';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { TextField } from '@/ui/text-field';
import { exhaustWord } from '@/words/part-words';
import { BlowerFields } from '../parts/blower-fields';
import { CandidateCollector, PresentCollector } from '../parts/edited-collector';
import { ExhaustFields } from '../parts/exhaust-fields';
import { Line } from '../parts/line';
import { OpeningLine } from '../parts/opening-line';
import { SeparatorFields } from '../parts/separator-fields';
import { BlowerClassField } from './blower-class-field';
import { build, dropCandidate, editCandidate, tryAnother } from './edit-candidates';

const PRESENT = 'present';

/** The present collector and up to three others, each opening to its parts. */
export function OptionList() {
  const shop = useDesign();
  const isFull = shop.candidates.length >= MOST_COLLECTORS - 1;
  return (
    <>
      <h1 className="px-3 pt-3 pb-1 text-[17px]">Compare collectors</h1>
      <CollectorOption id={PRESENT} name="In the shop" parts={shop.collector}>
        <PresentCollector>
          <PartFields />
        </PresentCollector>
      </CollectorOption>
      {shop.candidates.map((candidate) => (
        <CollectorOption
          key={candidate.id}
          id={candidate.id}
          name={candidate.name}
          parts={candidate}
        >
          <Line label="Candidate name">
            <TextField
              label="Candidate name"
              value={candidate.name}
              whenEmpty="A candidate needs a name."
              onChange={(name) =>
                editCandidate(candidate, 'name', (own) => {
                  own.name = name;
                })
              }
            />
          </Line>
          <CandidateCollector id={candidate.id}>
            <PartFields />
          </CandidateCollector>
          <div className="flex flex-wrap gap-1.5 pt-2">
            <Button onClick={() => build(candidate)}>Use in the shop</Button>
            <Button look="quiet" onClick={() => dropCandidate(candidate)}>
              Remove candidate
            </Button>
          </div>
        </CollectorOption>
      ))}
      <div className="p-3">
        {isFull ? (
          <p className="text-[14px] text-quiet">Up to four collectors can be compared.</p>
        ) : (
          <Button onClick={() => tryAnother(shop)}>Add a candidate</Button>
        )}
      </div>
    </>
  );
}

function PartFields() {
  return (
    <>
      <h2 className="pt-2 font-semibold">Blower</h2>
      <BlowerClassField />
      <BlowerFields />
      <h2 className="pt-3 font-semibold">Separator</h2>
      <SeparatorFields />
      <h2 className="pt-3 font-semibold">Exhaust</h2>
      <ExhaustFields />
    </>
  );
}

interface OptionProps {
  readonly id: string;
  readonly name: string;
  readonly parts: Pick<Candidate, 'separator' | 'blower' | 'exhaust'>;
  readonly children: ReactNode;
}

function CollectorOption({ id, name, parts, children }: OptionProps) {
  const about = [
    parts.blower.name,
    SEPARATORS[parts.separator.kind].name,
    exhaustWord(parts.exhaust.kind),
  ].join(', ');
  return (
    <OpeningLine id={id} name={name} about={about} isStrong>
      {children}
    </OpeningLine>
  );
}
