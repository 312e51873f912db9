'use client';

import type { InstrumentKind } from '@frank-gauge/core/journal';
import { chanceOf, type Imperfection, shownBy } from '@frank-gauge/core/simulate';
import { useRef } from 'react';
import { useJournal } from '@/storage/session';

/** A simulated meter of the shop that is read in a form of its own. */
export interface StandIn {
  readonly name: string;
  /** What it shows of a true value, both in SI; an end of its range where it stops there. */
  readonly shownOf: (truth: number) => number;
}

/** The shop’s simulated meter of a kind; null: it has none. */
export function useStandIn(kind: InstrumentKind, imperfection: Imperfection): StandIn | null {
  const instrument = useJournal(({ instruments }) => instruments).find(
    (each) => each.kind === kind && each.isSimulated,
  );
  const chance = useRef(chanceOf(Date.now()));
  if (!instrument) return null;
  return {
    name: instrument.name,
    shownOf: (truth) => {
      const shown = shownBy(truth, instrument, imperfection, chance.current);
      return shown.kind === 'value' ? shown.value : shown.limit;
    },
  };
}
