'use client';

import { type CollectorLoad, collectorLoad } from '@frank-gauge/core/analysis';
import {
  type Assembly,
  type Collector,
  type CollectorParts,
  type Separator,
  withCandidate,
} from '@frank-gauge/core/design';
import { type ShopSolution, solveTree } from '@frank-gauge/core/network';
import { createContext, type ReactNode, useContext, useMemo } from 'react';
import { airPart } from '@/model/shop-parts';
import { useDesign, useDuctTree, useSolution } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { edit } from '@/storage/session';

type Parts = CollectorParts;

/** The collector that fields edit: the one that stands in the shop, or a candidate for its place. */
interface EditedCollector {
  readonly parts: Parts;
  /** What stands in the shop also has a condition, and dust to catch. */
  readonly isPresent: boolean;
  /** With the gates open now; null without an answer. */
  readonly load: CollectorLoad | null;
  readonly solution: ShopSolution | null;
  readonly editParts: (field: string, change: (parts: Parts) => void) => void;
  readonly editBlower: (field: string, change: (own: Collector['blower']) => void) => void;
  readonly editSeparator: (field: string, change: (own: Separator) => void) => void;
  readonly editAssembly: (field: string, change: (own: Assembly) => void) => void;
}

const Context = createContext<EditedCollector | null>(null);

export function useCollector(): EditedCollector {
  const edited = useContext(Context);
  if (!edited) throw new Error('outside a collector');
  return edited;
}

/** Quick edits of one field of one collector are one step to undo. */
const editing = (
  merge: string,
  find: (shop: Parameters<Parameters<typeof edit>[1]>[0]) => Parts | undefined,
): Pick<EditedCollector, 'editParts' | 'editBlower' | 'editSeparator' | 'editAssembly'> => {
  const editParts: EditedCollector['editParts'] = (field, change) =>
    edit(
      field,
      (shop) => {
        const own = find(shop);
        if (own) change(own);
      },
      { merge: `${merge}${field}` },
    );
  return {
    editParts,
    editBlower: (field, change) => editParts(field, ({ blower }) => change(blower)),
    editSeparator: (field, change) => editParts(field, ({ separator }) => change(separator)),
    editAssembly: (field, change) => editParts(field, ({ assembly }) => change(assembly)),
  };
};

export function PresentCollector({ children }: { readonly children: ReactNode }) {
  const part = useDesign(airPart);
  const now = useSolution();
  const view = useChoices((choices) => choices.view);
  const value: EditedCollector = {
    parts: part.collector,
    isPresent: true,
    load: now.kind === 'solved' ? collectorLoad(part, now, view) : null,
    solution: now.kind === 'solved' ? now : null,
    ...editing('', ({ collector }) => collector),
  };
  return <Context value={value}>{children}</Context>;
}

interface CandidateProps {
  readonly id: string;
  readonly children: ReactNode;
}

export function CandidateCollector({ id, children }: CandidateProps) {
  const part = useDesign(airPart);
  const tree = useDuctTree();
  const view = useChoices((choices) => choices.view);
  const parts = useDesign(({ candidates }) => candidates.find((candidate) => candidate.id === id));
  const tried = useMemo(() => {
    if (!parts) return null;
    const changed = withCandidate(part, parts);
    const solved = solveTree(changed, tree, { view });
    if (solved.kind !== 'solved') return null;
    return { solution: solved, load: collectorLoad(changed, solved, view) };
  }, [parts, part, tree, view]);
  if (!parts) return null;
  const value: EditedCollector = {
    parts,
    isPresent: false,
    load: tried?.load ?? null,
    solution: tried?.solution ?? null,
    ...editing(`${id} `, ({ candidates }) => candidates.find((each) => each.id === id)),
  };
  return <Context value={value}>{children}</Context>;
}
