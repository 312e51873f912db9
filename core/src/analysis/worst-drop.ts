import type { DropAir, DropResult } from './judge-drops';

/** How far a drop's flow lies over its need, as a share of it; negative is short. */
export const marginShare = ({ margin, need }: Pick<DropAir, 'margin' | 'need'>): number =>
  margin / need;

/** The drops that draw and have an answer, the one furthest short of its need first. */
export const byMargin = (results: readonly DropResult[]): DropAir[] =>
  results
    .flatMap((result) => (result.kind === 'judged' && result.standing !== 'shut' ? [result] : []))
    .sort((a, b) => marginShare(a) - marginShare(b));

/** The drop furthest short of its need, as a share of it; null where none draws. */
export const worstDrop = (results: readonly DropResult[]): DropAir | null =>
  byMargin(results)[0] ?? null;
