'use client';

import type { GateRule } from '@frank-gauge/core/analysis';
import type { View } from '@frank-gauge/core/network';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** How the bench is looked at: no part of any document, kept on this device. */
export interface Choices {
  readonly view: View;
  readonly rule: GateRule;
  readonly pressure: 'static' | 'total';
  /** By shop: the node of the drop that is explained. */
  readonly drops: Readonly<Record<string, string>>;
  /** By shop: the candidate whose stack is looked at; absent: the collector in the shop. */
  readonly collectors: Readonly<Record<string, string>>;
  /** By shop: the part whose details are open. */
  readonly parts: Readonly<Record<string, string>>;
  /** By shop: the joints found tight in the leak hunt that is on, by their ids. */
  readonly tight: Readonly<Record<string, readonly string[]>>;
}

export const useChoices = create<Choices>()(
  persist(
    (): Choices => ({
      view: 'found',
      rule: 'one',
      pressure: 'static',
      drops: {},
      collectors: {},
      parts: {},
      tight: {},
    }),
    { name: 'frank-gauge-choices' },
  ),
);

export function choose(choice: Partial<Choices>): void {
  useChoices.setState(choice);
}

export function chooseDrop(shop: string, drop: string): void {
  useChoices.setState(({ drops }) => ({ drops: { ...drops, [shop]: drop } }));
}

export function choosePart(shop: string, part: string): void {
  useChoices.setState(({ parts }) => ({ parts: { ...parts, [shop]: part } }));
}

export function chooseCollector(shop: string, collector: string): void {
  useChoices.setState(({ collectors }) => ({ collectors: { ...collectors, [shop]: collector } }));
}

export function chooseTight(shop: string, joints: readonly string[]): void {
  useChoices.setState(({ tight }) => ({ tight: { ...tight, [shop]: joints } }));
}
