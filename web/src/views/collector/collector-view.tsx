'use client';

import { useDesign } from '@/model/use-design';
import { useCommandsOfView } from '../frame/view-commands';
import { build, tryAnother } from './edit-candidates';
import { OptionList } from './option-list';
import { OptionTable } from './option-table';

/** What to buy or build: other collectors held against the present one, on this very shop. */
export function CollectorView() {
  const shop = useDesign();
  useCommandsOfView([
    { name: 'Add a candidate', run: () => tryAnother(shop) },
    ...shop.candidates.map((candidate) => ({
      name: `Use in the shop: ${candidate.name}`,
      run: () => build(candidate),
    })),
  ]);
  return (
    <div className="grid grid-cols-1 md:h-full md:grid-cols-[320px_minmax(0,1fr)] md:overflow-y-auto xl:grid-cols-[396px_minmax(0,1fr)] xl:overflow-hidden">
      <section
        aria-label="Candidates"
        className="order-2 border-rule md:order-1 md:border-r xl:overflow-y-auto"
      >
        <OptionList />
      </section>
      <section
        aria-label="Compare"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="order-1 min-w-0 overflow-x-auto px-4 pb-6 md:order-2 xl:overflow-y-auto"
      >
        <OptionTable />
      </section>
    </div>
  );
}
