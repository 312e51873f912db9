import { type Fault, shownMore, withFault } from './faults';
import { amountsOf, INTEGRATED_AT, logSum, quantilesOf } from './integrate-amount';
import { type Nuisances, Solutions } from './predictor';
import { evidenceIn, type Row, SOLVED_AT, type SolvedAt } from './solve-fault';

/** A pair solved over both amounts, those between interpolated in ln, and both integrated out. */
export function solvePair(
  first: SolvedAt & { readonly fault: Fault },
  second: Fault,
  near: number,
  rows: readonly Row[],
  nuisances: Nuisances,
  base: Solutions,
) {
  const known = new Map<string, readonly number[]>();
  const nodes = [amountsOf(first.fault, SOLVED_AT), amountsOf(second, SOLVED_AT)] as const;
  const believedWith = (a: number, b: number) =>
    withFault(withFault(base.believed, first.fault, a), second, b);
  const solvedAt = (i: number, j: number): readonly number[] => {
    const key = `${first.fault.kind === 'meter' ? 0 : i} ${second.kind === 'meter' ? 0 : j}`;
    const before = known.get(key);
    if (before) return before;
    const solutions = new Solutions(
      believedWith(nodes[0][i] ?? 0, nodes[1][j] ?? 0),
      first.solutions,
    );
    const lns = rows.map(({ observation, isBefore, ln }) =>
      isBefore ? ln : (solutions.lnOf(observation) ?? 0),
    );
    known.set(key, lns);
    return lns;
  };
  const best = new Solutions(believedWith(first.amount, near), first.solutions);
  const evidence = evidenceIn(best, rows, nuisances);
  const [as, bs] = [amountsOf(first.fault, INTEGRATED_AT), amountsOf(second, INTEGRATED_AT)];
  const place = (index: number) => {
    const at = (index / (INTEGRATED_AT - 1)) * (SOLVED_AT - 1);
    const node = Math.min(SOLVED_AT - 2, Math.floor(at));
    return { node, share: at - node };
  };
  const logs = as.map((a, p) => {
    const { node: i, share: u } = place(p);
    return bs.map((b, q) => {
      const { node: j, share: v } = place(q);
      const corners = [
        solvedAt(i, j),
        solvedAt(i + 1, j),
        solvedAt(i, j + 1),
        solvedAt(i + 1, j + 1),
      ];
      const weights = [(1 - u) * (1 - v), u * (1 - v), (1 - u) * v, u * v];
      return evidence.of(
        rows.map(({ observation, isBefore }, row) => {
          const predicted = corners.reduce(
            (sum, lns, k) => sum + (weights[k] ?? 0) * (lns[row] ?? 0),
            0,
          );
          const meter = observation.reading.instrument;
          const more = isBefore
            ? 0
            : shownMore(first.fault, a, meter) + shownMore(second, b, meter);
          return observation.ln - predicted - more;
        }),
      );
    });
  });
  const whole = logSum(logs.flat());
  const sharesOf = (lines: readonly (readonly number[])[]) =>
    lines.map((line) => Math.exp(logSum(line) - whole));
  const transposed = bs.map((_, q) => logs.map((line) => line[q] ?? Number.NEGATIVE_INFINITY));
  return {
    marginal: whole - 2 * Math.log(INTEGRATED_AT),
    both: { amount: near, solutions: best },
    faults: [
      { fault: first.fault, ...amountOf(as, sharesOf(logs)) },
      { fault: second, ...amountOf(bs, sharesOf(transposed)) },
    ] as const,
  };
}

const amountOf = (amounts: readonly number[], shares: readonly number[]) => {
  const { median, low, high } = quantilesOf(amounts, shares);
  return { amount: median, low, high };
};
