'use client';

import type { Differing, Entry } from '@frank-gauge/core/journal';
import { type ReactNode, useState } from 'react';
import type { KeptDesign, MergeReport } from '@/storage/merge-shop';
import { Button } from '@/ui/button';
import { Segmented } from '@/ui/segmented';
import { Sheet } from '@/ui/sheet';
import { differenceWords } from '@/words/design-words';
import { countsWords, recordTitle } from '@/words/record-words';
import type { Import, Undecided } from './use-import';

/** The most lines one list of the sheet shows. */
const MOST_LINES = 12;

/** Of a file that is a copy of a shop that is here: what merging it would do, and whether to. */
export function MergeSheet({ undecided, decide, importNothing }: Import) {
  if (undecided?.of.kind !== 'known') return null;
  const { name, report } = undecided.of;
  return (
    <Sheet
      title={`${name} is here already`}
      about={`${undecided.file.name} is another copy of it.`}
      open
      isRead
      onOpenChange={(isOpen) => {
        if (!isOpen) importNothing();
      }}
    >
      <Choosing
        key={undecided.file.name}
        name={name}
        report={report}
        isCutOff={undecided.choices.takesPart}
        onDecide={(known) => void decide({ known })}
        onNothing={importNothing}
      />
    </Sheet>
  );
}

interface ChoosingProps {
  readonly name: string;
  readonly report: MergeReport;
  readonly isCutOff: boolean;
  readonly onDecide: (known: Undecided['choices']['known']) => void;
  readonly onNothing: () => void;
}

function Choosing({ name, report, isCutOff, onDecide, onNothing }: ChoosingProps) {
  const [design, setDesign] = useState<KeptDesign>('here');
  const { added, adopted, kept, removed, leftOut, differences, placeNames } = report;
  const title = ({ kind, record }: Entry) => recordTitle(kind, record, placeNames);
  const differing = ({ kind, here }: Differing) => recordTitle(kind, here, placeNames);
  return (
    <>
      <p>
        {added.length === 0
          ? 'Its journal has nothing that is not here.'
          : `New in its journal: ${countsWords(added)}.`}
        {isCutOff && ' The file is cut off: only what is whole of it counts.'}
      </p>
      <Lines title="Edited later in the file; merging takes these" lines={adopted.map(differing)} />
      <Lines
        title="Different in the file but not edited later there; these stay as they are here"
        lines={kept.map(differing)}
      />
      <Lines title="Removed in the file; merging removes these here" lines={removed.map(title)} />
      <Lines title="Removed here; these stay out" lines={leftOut.map(title)} />
      {differences.length === 0 ? (
        <p className="mt-3">The design is the same.</p>
      ) : (
        <>
          <Lines
            title="The designs differ in"
            lines={differences.map((each) => differenceWords(each))}
          />
          <div className="mt-2">
            <Segmented
              label="Design after merging"
              value={design}
              options={[
                { value: 'here', label: 'Keep the design here' },
                { value: 'there', label: 'Use the file’s design' },
              ]}
              onChange={setDesign}
            />
          </div>
        </>
      )}
      <div className="mt-5 flex flex-wrap gap-2">
        <Button look="solid" onClick={() => onDecide(design)}>
          Merge into {name}
        </Button>
        <Button onClick={() => onDecide('apart')}>Import as a second shop</Button>
        <Button look="quiet" onClick={onNothing}>
          Import nothing
        </Button>
      </div>
      <p className="mt-2 text-[14px] text-quiet">
        Merging is one edit of the shop; Undo takes it back.
      </p>
    </>
  );
}

function Lines({ title, lines }: { readonly title: ReactNode; readonly lines: readonly string[] }) {
  if (lines.length === 0) return null;
  const more = lines.length - MOST_LINES;
  return (
    <section className="mt-3">
      <h3 className="font-semibold">{title}:</h3>
      <ul className="mt-1 space-y-0.5 pl-4">
        {lines.slice(0, MOST_LINES).map((line, i) => (
          // Two lines may read the same.
          <li key={i} className="list-disc">
            {line}
          </li>
        ))}
      </ul>
      {more > 0 && <p className="pl-4 text-quiet">and {more} more</p>}
    </section>
  );
}
