/** How hard a practice shop is. */
export const LEVELS = ['first', 'usual', 'hard'] as const;
export type Level = (typeof LEVELS)[number];

/** A shop of chance has an id like `hard-17`. */
const OF_CHANCE = /^(first|usual|hard)-(\d{1,9})$/;

export const idOfChance = (level: Level, seed: number): string => `${level}-${seed}`;

/** The level and the seed of a shop of chance; null: the id is none of one. */
export function ofChance(id: string): { readonly level: Level; readonly seed: number } | null {
  const [, name, digits] = OF_CHANCE.exec(id) ?? [];
  const level = LEVELS.find((each) => each === name);
  return level && digits !== undefined ? { level, seed: Number(digits) } : null;
}
