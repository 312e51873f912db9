import type { KeyboardEvent } from 'react';

/** What is being typed in a field, and the value it belongs to. */
export interface Draft<T> {
  readonly text: string;
  readonly base: T;
  /** Why it was not taken; absent: it was, or nothing was tried. */
  readonly refusal?: string | null;
}

/**
 * What a field shows of what was typed in it: its own text for as long as it is typed in, whatever another tab
 * makes of the value meanwhile; afterwards only while it says the value. Null: the value as it is.
 */
export const ownText = <T>(draft: Draft<T> | null, value: T, isFocused: boolean): string | null =>
  draft && (isFocused || draft.base === value) ? draft.text : null;

/** Keys that let go of what is being typed: Escape, and an undo, which changes the value under it. */
export const letsGo = ({ key, ctrlKey, metaKey }: KeyboardEvent): boolean =>
  key === 'Escape' || ((ctrlKey || metaKey) && /^[zy]$/i.test(key));
