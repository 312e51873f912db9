import { type PartKind, SEPARATORS } from '@frank-gauge/core';

const WORDS: Record<PartKind | 'blower' | 'exhaust', string> = {
  entry: 'Hood',
  hose: 'Hose',
  gate: 'Gate',
  pipe: 'Pipe',
  elbow: 'Elbow',
  reducer: 'Reducer',
  branch: 'Wye, branch',
  straight: 'Past a wye',
  other: 'Fitting',
  separator: 'Separator',
  blower: 'Blower',
  exhaust: 'Filter',
};

/** What a part is called on the ladder and in the ledger. */
export function partWord(kind: PartKind | 'blower' | 'exhaust', name: string): string {
  if (kind === 'separator') {
    const separator = Object.entries(SEPARATORS).find(([id]) => id === name)?.[1];
    return separator && name !== 'none'
      ? (separator.name.split(' in ')[0] ?? 'Separator')
      : 'Inlet';
  }
  return kind === 'other' && name !== '' ? name : WORDS[kind];
}
