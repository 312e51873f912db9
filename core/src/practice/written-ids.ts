import type { Level } from './level';

/** Practice shops written by hand, by how hard they are; the easiest first. */
export const LEVEL_OF_WRITTEN = {
  garage: 'first',
  'lean-to': 'first',
  'boat-shed': 'first',
  luthier: 'first',
  'chair-shop': 'usual',
  cellar: 'usual',
  carport: 'usual',
  cabinetmaker: 'usual',
  turnery: 'hard',
  joinery: 'hard',
  'co-op': 'hard',
  school: 'hard',
} as const satisfies Readonly<Record<string, Level>>;

export type WrittenId = keyof typeof LEVEL_OF_WRITTEN;
export const WRITTEN_IDS = Object.keys(LEVEL_OF_WRITTEN) as WrittenId[];

export const isWritten = (id: string): id is WrittenId => Object.hasOwn(LEVEL_OF_WRITTEN, id);
