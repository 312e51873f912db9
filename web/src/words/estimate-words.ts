import type { Estimate } from '@frank-gauge/core/design';

/** What an estimate is of; hoods by their drop's name. */
export function estimateName(of: Estimate['of'], dropName: (node: string) => string): string {
  switch (of.kind) {
    case 'separator':
      return 'Separator’s loss';
    case 'filter':
      return 'Filter’s pressure loss';
    case 'leaks':
      return 'Leakage of all joints';
    case 'blower':
      return 'Blower’s pressure';
    case 'hood':
      return `Entry loss of ${dropName(of.node)}’s hood`;
  }
}

/** By how much it is out: “12 % more than estimated”. */
export function estimateOff(factor: number): string {
  const percent = Math.round(100 * (factor - 1));
  if (percent === 0) return 'as estimated';
  return `${Math.abs(percent)}\u00a0% ${percent > 0 ? 'more' : 'less'} than estimated`;
}
