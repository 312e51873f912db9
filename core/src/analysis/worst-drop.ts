import type { DropAir, DropVerdict } from './judge-drops';

/** How far a drop's flow lies over its need, as a share of it; negative is short. */
export const marginShare = ({ margin, need }: Pick<DropAir, 'margin' | 'need'>): number =>
  margin / need;

/** The drops that draw and have an answer, the one furthest short of its need first. */
export const byMargin = (verdicts: readonly DropVerdict[]): DropAir[] =>
  verdicts
    .flatMap((verdict) =>
      verdict.kind === 'judged' && verdict.standing !== 'shut' ? [verdict] : [],
    )
    .sort((a, b) => marginShare(a) - marginShare(b));

/** The drop furthest short of its need, as a share of it; null where none draws. */
export const worstDrop = (verdicts: readonly DropVerdict[]): DropAir | null =>
  byMargin(verdicts)[0] ?? null;
