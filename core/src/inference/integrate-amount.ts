import { AMOUNTS, type Fault } from './faults';

/** Amounts a fault is integrated over. */
export const INTEGRATED_AT = 25;

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
  const top = logs.indexOf(Math.max(...logs));
  return {
    marginal: whole - Math.log(count),
    best: amounts[top] ?? 0,
    ...quantilesOf(amounts, shares),
  };
}

/** The median of an amount and the ends of its 90 % interval, by the shares of its values. */
export function quantilesOf(
  amounts: readonly number[],
  shares: readonly number[],
): Pick<Integrated, 'median' | 'low' | 'high'> {
  const at = (wanted: number) => {
    let sum = 0;
    for (const [i, share] of shares.entries()) {
      sum += share;
      if (sum >= wanted) return amounts[i] ?? 0;
    }
    return amounts.at(-1) ?? 0;
  };
  const [one, median, other] = [at(0.05), at(0.5), at(0.95)];
  return { median, low: Math.min(one, other), high: Math.max(one, other) };
}

/** ln of a sum of numbers given as their ln. */
export function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most === Number.NEGATIVE_INFINITY
    ? most
    : most + Math.log(logs.reduce((sum, each) => sum + Math.exp(each - most), 0));
}
