'use client';

import type { GateRule } from '@frank-gauge/core/analysis';
import type { MiteredElbow, PipeIntoDrum, SeparatorLid } from '@frank-gauge/core/build';
import type { View } from '@frank-gauge/core/network';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What is typed under Templates; what nobody typed is as usual. */
export interface TemplateChoices {
  readonly kind?: 'drum' | 'elbow' | 'lid';
  readonly drum?: Partial<PipeIntoDrum>;
  readonly elbow?: Partial<MiteredElbow>;
  readonly lid?: Partial<SeparatorLid>;
  readonly paper?: 'a4' | 'letter';
}

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
  /** By shop: what templates are made of. */
  readonly templates: Readonly<Record<string, TemplateChoices>>;
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
      templates: {},
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

/** Changes what is typed under Templates, and leaves the rest of it. */
export function chooseTemplate(shop: string, change: TemplateChoices): void {
  useChoices.setState(({ templates }) => ({
    templates: { ...templates, [shop]: { ...templates[shop], ...change } },
  }));
}
