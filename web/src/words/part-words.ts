import {
  FITTING_KINDS,
  type FittingKindId,
  isFittingKind,
  isJoinKind,
  JOIN_KINDS,
} from '@frank-gauge/core/catalogue';
import { SEPARATORS } from '@frank-gauge/core/collector';
import type { Collector } from '@frank-gauge/core/design';
import type { PartKind } from '@frank-gauge/core/network';

/** What parts are called; of a fitting, and of how a duct joins, its kind says it. */
const WORDS: Record<
  Exclude<PartKind, FittingKindId | 'branch' | 'straight'> | 'blower' | 'exhaust',
  string
> = {
  entry: 'Hood',
  hose: 'Hose',
  gate: 'Gate',
  pipe: 'Pipe',
  reducer: 'Reducer',
  separator: 'Separator',
  inlet: 'Elbow at the inlet',
  blower: 'Blower',
  exhaust: 'Filter',
};

const WAYS: Record<Collector['exhaust']['kind'], string> = {
  filter: 'Filter',
  outdoors: 'Outdoors',
  room: 'Other room',
  enclosure: 'Enclosure',
};

/** What the way behind the blower is called. */
export const exhaustWord = (kind: Collector['exhaust']['kind']): string => WAYS[kind];

/** What a part is called on the ladder and in the ledger. */
export function partWord(kind: PartKind | 'blower' | 'exhaust', name: string): string {
  if (kind === 'separator') {
    const separator = Object.entries(SEPARATORS).find(([id]) => id === name)?.[1];
    if (name === 'none') return 'Inlet';
    return separator?.name.split(' in ')[0] ?? 'Separator';
  }
  if (kind === 'exhaust') {
    return Object.entries(WAYS).find(([way]) => way === name)?.[1] ?? WORDS.exhaust;
  }
  if (isFittingKind(kind)) return name !== '' ? name : FITTING_KINDS[kind].name;
  if (kind === 'branch' || kind === 'straight') {
    return JOIN_KINDS[isJoinKind(name) ? name : kind].name;
  }
  return WORDS[kind];
}
