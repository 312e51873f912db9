import type { PartLine } from './parts-list';
import type { Stage } from './stages';

/** A stage with its own parts. */
export interface StageParts {
  readonly stage: Stage;
  readonly lines: readonly PartLine[];
}

const tickFor = (stage: Pick<Stage, 'id'>, key: string) => `${stage.id}: ${key}`;

/** Whether all of a line is there: ticked for its stage, or for the whole. */
export const isAtHand = (
  owned: readonly string[],
  key: string,
  stage: Pick<Stage, 'id'> | null,
): boolean => owned.includes(key) || (stage !== null && owned.includes(tickFor(stage, key)));

/** How much of a line of the whole is there, by what is ticked for it and for its stages. */
export function amountAtHand(
  owned: readonly string[],
  { key, quantity }: PartLine,
  stages: readonly StageParts[],
): number {
  if (owned.includes(key)) return quantity;
  const sum = stages.reduce((there, { stage, lines }) => {
    const own = lines.find((line) => line.key === key);
    return there + (own && owned.includes(tickFor(stage, key)) ? own.quantity : 0);
  }, 0);
  // Pipe bought stage by stage is more than pipe bought at once.
  return Math.min(quantity, sum);
}

/**
 * Ticks with a line there, or not, for the whole or for one stage. Taken from one stage, what was ticked for the whole
 * stays ticked for the others.
 */
export function withTick(
  owned: readonly string[],
  key: string,
  stage: Pick<Stage, 'id'> | null,
  isThere: boolean,
  stages: readonly StageParts[],
): string[] {
  const all = stages
    .filter(({ lines }) => lines.some((line) => line.key === key))
    .map((each) => tickFor(each.stage, key));
  const own = stage && tickFor(stage, key);
  if (own === null) {
    const others = owned.filter((tick) => tick !== key && !all.includes(tick));
    return isThere ? [...others, key] : others;
  }
  const wasWhole = owned.includes(key);
  const kept = owned.filter((tick) => tick !== key && tick !== own);
  const others = wasWhole ? all.filter((tick) => tick !== own && !kept.includes(tick)) : [];
  return [...kept, ...others, ...(isThere ? [own] : [])];
}
