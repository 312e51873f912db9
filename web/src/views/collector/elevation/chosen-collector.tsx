'use client';

import type { ReactNode } from 'react';
import { useDesign } from '@/model/use-design';
import { chooseCollector, useChoices } from '@/storage/choices';
import { Choice } from '@/ui/choice';
import { CandidateCollector, PresentCollector } from '../../parts/edited-collector';

const PRESENT = 'present';

/** Whichever collector is looked at: the one in the shop, or a candidate. */
export function ChosenCollector({ children }: { readonly children: ReactNode }) {
  const candidates = useDesign((shop) => shop.candidates);
  const shopId = useDesign((shop) => shop.id);
  const chosen = useChoices((choices) => choices.collectors[shopId]);
  const candidate = candidates.find(({ id }) => id === chosen);
  if (!candidate) return <PresentCollector>{children}</PresentCollector>;
  return (
    <CandidateCollector key={candidate.id} id={candidate.id}>
      {children}
    </CandidateCollector>
  );
}

/** Chooses it, where there are candidates to choose from. */
export function CollectorChoice() {
  const shop = useDesign();
  const chosen = useChoices((choices) => choices.collectors[shop.id]);
  const known = shop.candidates.some(({ id }) => id === chosen);
  return (
    <Choice
      label="Which collector"
      value={known && chosen ? chosen : PRESENT}
      options={[
        { value: PRESENT, label: 'In the shop' },
        ...shop.candidates.map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChange={(id) => chooseCollector(shop.id, id)}
      className="font-medium font-name text-[17px]"
    />
  );
}
