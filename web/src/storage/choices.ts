'use client';

import type { GateRule } from '@frank-gauge/core/analysis';
import type { HoleCircle, MiteredElbow, PipeIntoDrum, SeparatorLid } from '@frank-gauge/core/build';
import type { MakerId, SheetStock } from '@frank-gauge/core/makers';
import type { View } from '@frank-gauge/core/network';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** What is typed under Templates; what nobody typed is as usual. */
export interface TemplateChoices {
  readonly kind?: 'drum' | 'elbow' | 'lid' | 'hole';
  readonly drum?: Partial<PipeIntoDrum>;
  readonly elbow?: Partial<MiteredElbow>;
  readonly lid?: Partial<SeparatorLid>;
  readonly hole?: Partial<HoleCircle>;
  readonly paper?: 'a4' | 'letter';
}

/** What is typed for what is made in the shop; what nobody typed follows the assembly. */
export interface MakerChoices {
  readonly maker?: MakerId;
  /** By maker: its sizes by their names, SI. */
  readonly sizes?: Partial<Readonly<Record<MakerId, Readonly<Record<string, number>>>>>;
  readonly stock?: Partial<SheetStock>;
  /** What is to be made, in the order it was listed, and whether its sheets are laid out together. */
  readonly list?: readonly MakerId[];
  readonly isTogether?: boolean;
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
  /** By shop: what is made of sheet goods. */
  readonly makers: Readonly<Record<string, MakerChoices>>;
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
      makers: {},
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

/** Changes what is typed for what is made in the shop, and leaves the rest of it. */
export function chooseMaker(shop: string, change: MakerChoices): void {
  useChoices.setState(({ makers }) => ({
    makers: { ...makers, [shop]: { ...makers[shop], ...change } },
  }));
}
