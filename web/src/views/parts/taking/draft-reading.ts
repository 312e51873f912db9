'use client';

import type { HoldMode, Reading } from '@frank-gauge/core/journal';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** One repeat as it is typed: its text, and whether the meter stopped at an end of its range. */
export interface Repeat {
  readonly text: string;
  readonly bound: 'over' | 'under' | null;
}

/** A reading while it is taken. */
export interface DraftReading {
  /** Id of the drop or the test point; null: the first one. */
  readonly place: string | null;
  /** Null: the one last used there, else the first. */
  readonly instrument: string | null;
  readonly method: Reading['method'];
  /** Null: what the meter usually shows. */
  readonly quantity: Reading['quantity'] | null;
  readonly spot: Reading['spot'];
  readonly traverse: NonNullable<Reading['traverse']>;
  readonly gates: 'own' | 'now';
  /** True inside diameter, m; null: that of the place. */
  readonly diameter: number | null;
  /** Null: as the meter's record says. */
  readonly hold: HoldMode | null;
  readonly repeats: readonly Repeat[];
  readonly note: string;
}

const BLANK: Repeat = { text: '', bound: null };
const THREE = [BLANK, BLANK, BLANK];

export const NEW_DRAFT: DraftReading = {
  place: null,
  instrument: null,
  method: 'absolute',
  quantity: null,
  spot: 'average',
  traverse: { points: 6, diameters: 1 },
  gates: 'own',
  diameter: null,
  hold: null,
  repeats: THREE,
  note: '',
};

/** Repeats there are fields for: three, or the points of one traverse. */
export const repeatsOf = ({ spot, traverse, repeats }: DraftReading): readonly Repeat[] => {
  const count = spot === 'traverse' ? traverse.points * traverse.diameters : 3;
  return Array.from({ length: count }, (_, i) => repeats[i] ?? BLANK);
};

/**
 * What is being typed, by shop, kept on this device: a phone that falls asleep or a tab that is killed beside the
 * machine loses no repeat.
 */
const useDrafts = create<{ readonly drafts: Readonly<Record<string, DraftReading>> }>()(
  persist(() => ({ drafts: {} }), { name: 'frank-gauge-drafts', version: 1 }),
);

export const useDraft = (shop: string): DraftReading =>
  useDrafts(({ drafts }) => drafts[shop] ?? NEW_DRAFT);

export function changeDraft(shop: string, change: Partial<DraftReading>): void {
  useDrafts.setState(({ drafts }) => ({
    drafts: { ...drafts, [shop]: { ...(drafts[shop] ?? NEW_DRAFT), ...change } },
  }));
}

/** For the next reading: how it is taken stays, what was read goes. */
export function nextDraft(shop: string, place: string): void {
  changeDraft(shop, { place, instrument: null, diameter: null, repeats: THREE, note: '' });
}
