'use client';

import { type GateAir, type GateRule, worstDrop } from '@frank-gauge/core/analysis';
import { type ReactNode, useState } from 'react';
import { OpenDesign } from '@/model/open-design';
import {
  DropResultsContext,
  OpenDesignContext,
  SelectedDropContext,
  useAir,
  useDesign,
} from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { shopSession, tryEdit } from '@/storage/session';
import { AdoptContext } from '@/ui/refusal';
import { useJudgedDrops } from './use-judged-drops';

/** What every view of the open shop may ask; while its ducts lead nowhere it says so in their place. */
export function OpenShop({ children }: { readonly children: ReactNode }) {
  const [open] = useState(() => new OpenDesign(shopSession.state, useChoices));
  return (
    <OpenDesignContext value={open}>
      <AdoptContext value={tryEdit}>
        <Solved>{children}</Solved>
      </AdoptContext>
    </OpenDesignContext>
  );
}

function Solved({ children }: { readonly children: ReactNode }) {
  const air = useAir();
  const id = useDesign((shop) => shop.id);
  const rule = useChoices((choices) => choices.rule);
  const chosen = useChoices((choices) => choices.drops[id]);
  if (!air) return <BrokenDucts />;
  return (
    <Judged air={air.gates} rule={rule} chosen={chosen}>
      {children}
    </Judged>
  );
}

interface JudgedProps {
  readonly air: GateAir;
  readonly rule: GateRule;
  readonly chosen: string | undefined;
  readonly children: ReactNode;
}

function Judged({ air, rule, chosen, children }: JudgedProps) {
  const results = useJudgedDrops(air, rule, chosen);
  const selected =
    results.find(({ drop }) => drop.id === chosen) ?? worstDrop(results) ?? results[0] ?? null;
  return (
    <DropResultsContext value={results}>
      <SelectedDropContext value={selected}>{children}</SelectedDropContext>
    </DropResultsContext>
  );
}

function BrokenDucts() {
  return (
    <p role="alert" className="m-8 max-w-prose">
      The ducts of this shop no longer connect to the blower. Press Ctrl+Z to undo the last change.
    </p>
  );
}
