import { AMOUNTS, type Fault } from './faults';

/** What is left of a fault when its amount has been integrated out. */
export interface Integrated {
  /** ln of the likelihood, the mean over all amounts. */
  readonly marginal: number;
  /** The likeliest amount, its median and the ends of its 90 % interval. */
  readonly best: number;
  readonly median: number;
  readonly low: number;
  readonly high: number;
}

/** Amounts of a fault, evenly spread in ln. */
export function amountsOf({ kind }: Fault, count: number): number[] {
  const { from, to } = AMOUNTS[kind];
  return Array.from({ length: count }, (_, i) => from * (to / from) ** (i / (count - 1)));
}

/** Integrates a fault's amount out of a likelihood, in ln. */
export function integrate(fault: Fault, count: number, of: (amount: number) => number): Integrated {
  const amounts = amountsOf(fault, count);
  const logs = amounts.map(of);
  const whole = logSum(logs);
  const shares = logs.map((each) => Math.exp(each - whole));
  let sum = 0;
  const quantile = [0.05, 0.5, 0.95].map(() => amounts.at(-1) ?? 0);
  shares.forEach((share, i) => {
    const before = sum;
    sum += share;
    [0.05, 0.5, 0.95].forEach((wanted, q) => {
      if (before < wanted && sum >= wanted) quantile[q] = amounts[i] ?? 0;
    });
  });
  const [low = 0, median = 0, high = 0] = quantile;
  const top = logs.indexOf(Math.max(...logs));
  return {
    marginal: whole - Math.log(count),
    best: amounts[top] ?? 0,
    median,
    low: Math.min(low, high),
    high: Math.max(low, high),
  };
}

/** ln of a sum of numbers given as their ln. */
export function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most === Number.NEGATIVE_INFINITY
    ? most
    : most + Math.log(logs.reduce((sum, each) => sum + Math.exp(each - most), 0));
}
