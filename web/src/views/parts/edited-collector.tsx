'use client';

import {
  type Collector,
  type CollectorLoad,
  collectorLoad,
  type Separator,
} from '@frank-gauge/core';
import { createContext, type ReactNode, useContext } from 'react';
import { useChoices } from '@/store/choices';
import { edit } from '@/store/shop-session';
import { useSolvedShop } from '../frame/solved-shop';

type Parts = Pick<Collector, 'separator' | 'blower' | 'exhaust'>;

/** The collector that fields edit: the one that stands in the shop, or a candidate for its place. */
interface EditedCollector {
  readonly parts: Parts;
  /** What stands in the shop also has a condition, and dust to catch. */
  readonly isPresent: boolean;
  /** With the gates open now; null without an answer, and for a candidate. */
  readonly load: CollectorLoad | null;
  readonly editParts: (field: string, change: (parts: Parts) => void) => void;
  readonly editBlower: (field: string, change: (own: Collector['blower']) => void) => void;
  readonly editSeparator: (field: string, change: (own: Separator) => void) => void;
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
): Pick<EditedCollector, 'editParts' | 'editBlower' | 'editSeparator'> => {
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
  };
};

export function PresentCollector({ children }: { readonly children: ReactNode }) {
  const { shop, now } = useSolvedShop();
  const view = useChoices((choices) => choices.view);
  const value: EditedCollector = {
    parts: shop.collector,
    isPresent: true,
    load: now.kind === 'solved' ? collectorLoad(shop, now, view) : null,
    ...editing('', ({ collector }) => collector),
  };
  return <Context value={value}>{children}</Context>;
}

interface CandidateProps {
  readonly id: string;
  readonly children: ReactNode;
}

export function CandidateCollector({ id, children }: CandidateProps) {
  const { shop } = useSolvedShop();
  const parts = shop.candidates.find((candidate) => candidate.id === id);
  if (!parts) return null;
  const value: EditedCollector = {
    parts,
    isPresent: false,
    load: null,
    ...editing(`${id} `, ({ candidates }) => candidates.find((each) => each.id === id)),
  };
  return <Context value={value}>{children}</Context>;
}
