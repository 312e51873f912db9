import { type Board, blankOf, type PlacedBoard } from './board';
import type { Blank } from './nest-boards';

/** Parts that are alike, by one letter on the drawings and in the lists. */
export interface PartKind {
  readonly letter: string;
  readonly board: Board;
  readonly count: number;
}

/** Sheet goods of one kind, with what is sawn out of them. */
export interface SheetJob {
  readonly material: 'sheet' | 'lining';
  readonly thickness: number;
  readonly blanks: readonly Blank[];
}

/** What is cut to length: lumber, rod, tube. */
export interface LengthJob {
  readonly letter: string;
  readonly board: Board;
  readonly count: number;
  /** m */
  readonly length: number;
  /** Across, m: a rod's diameter; a wedge's height and thickness. */
  readonly section: { readonly width: number; readonly height: number | null };
}

const keyOf = (board: Board) => JSON.stringify(board);

/** The same parts under one letter each, in the order they were placed: A, B … Z, AA. */
export function partKinds(parts: readonly PlacedBoard[]): PartKind[] {
  const kinds = new Map<string, { board: Board; count: number }>();
  for (const { board } of parts) {
    const known = kinds.get(keyOf(board));
    kinds.set(keyOf(board), { board, count: (known?.count ?? 0) + 1 });
  }
  return [...kinds.values()].map((kind, i) => ({ letter: letterOf(i), ...kind }));
}

const letterOf = (index: number): string => {
  const last = String.fromCharCode('A'.charCodeAt(0) + (index % 26));
  return index < 26 ? last : letterOf(Math.floor(index / 26) - 1) + last;
};

/** The letter of each placed part, in their order. */
export function lettersOf(parts: readonly PlacedBoard[], kinds: readonly PartKind[]): string[] {
  const byKey = new Map(kinds.map(({ board, letter }) => [keyOf(board), letter]));
  return parts.map(({ board }) => byKey.get(keyOf(board)) ?? '');
}

/** What is sawn out of sheets, by material and thickness: every part as the rectangle around it. */
export function sheetJobs(kinds: readonly PartKind[]): SheetJob[] {
  const jobs = new Map<string, { job: Omit<SheetJob, 'blanks'>; blanks: Blank[] }>();
  for (const { letter, board, count } of kinds) {
    const { material, thickness } = board;
    if (material !== 'sheet' && material !== 'lining') continue;
    const key = `${material} ${thickness.toFixed(5)}`;
    const known = jobs.get(key) ?? { job: { material, thickness }, blanks: [] };
    const { width, height } = blankOf(board);
    known.blanks.push({ letter, width, height, count });
    jobs.set(key, known);
  }
  return [...jobs.values()].map(({ job, blanks }) => ({ ...job, blanks }));
}

/** What is cut to length. A round part is as long as it is thick. */
export function lengthJobs(kinds: readonly PartKind[]): LengthJob[] {
  return kinds.flatMap(({ letter, board, count }): LengthJob[] => {
    const { material, outline, thickness } = board;
    if (material !== 'rod' && material !== 'pipe' && material !== 'lumber') return [];
    if (outline.kind === 'circle') {
      const section = { width: 2 * outline.radius, height: null };
      return [{ letter, board, count, length: thickness, section }];
    }
    const { width, height } = blankOf(board);
    const section = { width: thickness, height: Math.min(width, height) };
    return [{ letter, board, count, length: Math.max(width, height), section }];
  });
}
