import type { DropResult, dropJudge } from '@frank-gauge/core/analysis';
import type { Drop } from '@frank-gauge/core/design';

/** Judges one air: another air, another judge. */
export type Judge = ReturnType<typeof dropJudge>;

interface Judged {
  readonly judge: Judge;
  readonly result: DropResult;
}

/**
 * What each drop was last judged to be. Asked twice of the same drop by the same judge it answers the same
 * object; a new judge's solution starts from the last one. It changes nothing that is shown, only how long
 * it takes, so that it may be asked while a view is drawn.
 */
export class DropJudgements {
  /** In the order they were judged in. */
  private readonly kept = new Map<string, Judged>();

  /** The drop as this judge has it. */
  judged(judge: Judge, drop: Drop): DropResult {
    const before = this.kept.get(drop.id);
    if (before?.judge === judge) return before.result;
    const old = before?.result;
    const isAlike = old?.kind === 'judged' && old.drop.path.length === drop.path.length;
    const result = judge(drop, isAlike ? old.solution.state : undefined);
    this.kept.delete(drop.id);
    this.kept.set(drop.id, { judge, result });
    return result;
  }

  /** What was last said of the drop, by whichever judge; null: nothing yet. */
  last(drop: Drop): DropResult | null {
    return this.kept.get(drop.id)?.result ?? null;
  }

  /** The drops this judge has not judged, those that have waited longest first. */
  waiting(judge: Judge, drops: readonly Drop[]): Drop[] {
    const order = [...this.kept.keys()];
    return drops
      .filter(({ id }) => this.kept.get(id)?.judge !== judge)
      .toSorted((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
  }
}
