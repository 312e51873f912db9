'use client';

import type { FieldTest } from '@frank-gauge/core/journal';
import { fitFieldTest } from '@frank-gauge/core/reading';
import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import { useDesign } from '@/model/use-design';
import { useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { CurvePicture } from './curve-picture';
import { startTest } from './edit-tests';
import { StepTable } from './step-table';
import { TestFields } from './test-fields';
import { TestLedger } from './test-ledger';

/** The blower's own curve, from one gate drawn step by step. */
export function FieldTestView() {
  const fieldTests = useJournal((journal) => journal.fieldTests);
  const [chosen, setChosen] = useState<string | null>(null);
  const test = fieldTests.find(({ id }) => id === chosen) ?? fieldTests.at(-1) ?? null;
  if (!test) return <NoTest />;
  return (
    <div className="grid grid-cols-1 md:h-full md:grid-cols-[260px_minmax(0,1fr)] md:overflow-y-auto xl:grid-cols-[260px_minmax(0,1fr)_272px] xl:overflow-hidden">
      <section
        aria-label="The test"
        className="order-2 border-rule p-3 md:order-1 md:border-r xl:overflow-y-auto"
      >
        {fieldTests.length > 1 && (
          <Choice
            label="Which test"
            value={test.id}
            options={fieldTests.map(({ id, at }) => ({
              value: id,
              label: format(new Date(at), 'MMM d, yyyy, h:mm a'),
            }))}
            onChange={setChosen}
          />
        )}
        <TestFields key={test.id} test={test} />
      </section>
      <Tested key={`${test.id} tested`} test={test} />
    </div>
  );
}

function Tested({ test }: { readonly test: FieldTest }) {
  const fit = useMemo(() => fitFieldTest(test), [test]);
  return (
    <>
      <section
        aria-label="Openings"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="@container order-1 min-w-0 p-3 md:order-2 xl:overflow-y-auto"
      >
        <CurvePicture test={test} fit={fit} />
        <StepTable test={test} />
      </section>
      <section
        aria-label="Test results"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="order-3 border-rule p-3 max-xl:border-t md:max-xl:col-span-2 xl:overflow-y-auto xl:border-l"
      >
        <TestLedger test={test} fit={fit} />
      </section>
    </>
  );
}

/** How the test goes, and the button that starts one. */
function NoTest() {
  const shop = useDesign();
  return (
    <div className="max-w-prose p-4 pt-12 text-[17px]">
      <h1 className="pb-2 text-xl">Field test</h1>
      <p className="pb-4">
        A published fan curve belongs to another blower. With one gate, a manometer and a flow meter
        you can measure your own: open the gate in steps and read flow and suction at each.
      </p>
      <Button look="solid" onClick={() => startTest(shop)}>
        Start a field test
      </Button>
    </div>
  );
}
