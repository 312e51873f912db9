// How well the fault of a hidden shop is named, by readings of each drop with its own gate open and by three more that
// the program chose, with and without air speeds inside the ducts. Shops, faults and readings are drawn by seed; in
// every shop all that the model is unsure of is drawn too.
import {
  HIDDEN_KINDS,
  type HiddenShop,
  hiddenShop,
  ownGateRound,
} from '../../core/reference/hidden-shops';
import type { DuctTree } from '../../core/src/design/topology';
import { type FaultKind, keyOfFault } from '../../core/src/inference/faults';
import { candidatesOf, nextReadings } from '../../core/src/inference/next-reading';
import type { Observation } from '../../core/src/inference/observations';
import { type Verdict, type Weighed, weighFaults } from '../../core/src/inference/posterior';

const NEXT = 3;
const DECILES = 10;

/** Of ten shops: four with an opening, one of each other kind of fault, and one where nothing is wrong. */
const OF_TEN = [
  ...Array.from({ length: 4 }, () => 'opening' as const),
  ...HIDDEN_KINDS.filter((kind) => kind !== 'opening'),
  null,
];

/** A clog and a gate that does not open fully do the same to all air: no airflow tells them apart. */
const asRestriction = (kind: FaultKind | 'nothing') =>
  kind === 'clog' || kind === 'gate not open' ? 'restricted' : kind;

const isNear = ({ upstreamFirst }: DuctTree, one: string, other: string): boolean => {
  const [a, b] = [one, other].map((run) => upstreamFirst.find(({ id }) => id === run));
  return !!a && !!b && [a.from, a.to].some((node) => node === b.from || node === b.to);
};

/** What is counted of one way to measure. */
class Score {
  openings = 0;
  first = 0;
  next = 0;
  among = 0;
  size = 0;
  named = 0;
  areaError = 0;
  sound = 0;
  alarms = 0;
  wrong = 0;
  kindRight = 0;
  readonly said = Array.from({ length: DECILES }, () => ({ said: 0, true: 0, n: 0 }));

  add({ fault, amount, tree }: HiddenShop, { isWrong, kinds, suspects, among }: Verdict): void {
    const said = isWrong ? (kinds[0]?.kind ?? 'nothing') : 'nothing';
    const truth = fault && keyOfFault(fault);
    for (const suspect of suspects) {
      const decile = this.said[Math.min(DECILES - 1, Math.floor(DECILES * suspect.probability))];
      if (!decile) continue;
      decile.said += suspect.probability;
      decile.true += keyOfFault(suspect.fault) === truth ? 1 : 0;
      decile.n++;
    }
    if (!fault) {
      this.sound++;
      this.alarms += isWrong ? 1 : 0;
      return;
    }
    this.wrong++;
    this.kindRight += asRestriction(said) === asRestriction(fault.kind) ? 1 : 0;
    if (fault.kind !== 'opening') return;
    this.openings++;
    const [first] = suspects;
    const run = first && 'run' in first.fault ? first.fault.run : null;
    if (run !== null && (run === fault.run || isNear(tree, run, fault.run))) this.next++;
    if (run === fault.run) {
      this.first++;
      if (first?.fault.kind === 'opening') {
        this.named++;
        this.areaError += Math.abs(Math.log(first.amount / amount));
      }
    }
    this.among += among.some((suspect) => keyOfFault(suspect.fault) === truth) ? 1 : 0;
    this.size += among.length;
  }

  get figures() {
    const of = this.openings;
    return {
      first: this.first / of,
      next: this.next / of,
      among: this.among / of,
      size: this.size / of,
      areaError: Math.exp(this.areaError / this.named) - 1,
      falseAlarms: this.alarms / this.sound,
    };
  }
}

/** Time spent on choosing next readings, ms, and how often. */
const spent = { next: 0, nexts: 0 };

function chosen(
  hidden: HiddenShop,
  own: readonly Observation[],
  first: Weighed,
  mayOpenDucts: boolean,
) {
  const candidates = candidatesOf(hidden.tree, { air: 'vane', pressure: 'gauge', mayOpenDucts });
  const observations = [...own];
  let weighed = first;
  for (let taken = 0; taken < NEXT; taken++) {
    const start = performance.now();
    const [best] = nextReadings(weighed, observations, candidates, 1);
    spent.next += performance.now() - start;
    spent.nexts++;
    const read = best && hidden.read(best.candidate);
    if (!read) break;
    observations.push(read);
    weighed = weighFaults(hidden.shop, hidden.tree, observations);
  }
  return weighed.verdict;
}

/** Forty readings of a shop of fourteen drops, weighed a few times: the middle one, ms. */
function posteriorTime(): number {
  let seed = 1;
  let large = hiddenShop(seed, 'opening');
  while (large.tree.drops.length < 14) large = hiddenShop(++seed, 'opening');
  const means = { air: 'vane', pressure: 'gauge', mayOpenDucts: true };
  const asked = [...ownGateRound(large), ...candidatesOf(large.tree, means)].slice(0, 40);
  const observations = asked.flatMap((each) => large.read(each) ?? []);
  const times = Array.from({ length: 5 }, () => {
    const start = performance.now();
    weighFaults(large.shop, large.tree, observations);
    return performance.now() - start;
  });
  return times.toSorted((a, b) => a - b)[2] ?? Number.NaN;
}

/** What is printed, shares between 0 and 1. */
export function benchLeaks(shops: number) {
  const scores = { own: new Score(), chosen3: new Score(), chosen3NoDuct: new Score() };
  for (let i = 0; i < shops; i++) {
    const hidden = hiddenShop(7919 * (i + 1), OF_TEN[i % OF_TEN.length] ?? null);
    const own = ownGateRound(hidden).flatMap((asked) => hidden.read(asked) ?? []);
    const weighed = weighFaults(hidden.shop, hidden.tree, own);
    scores.own.add(hidden, weighed.verdict);
    scores.chosen3.add(hidden, chosen(hidden, own, weighed, true));
    scores.chosen3NoDuct.add(hidden, chosen(hidden, own, weighed, false));
  }
  return {
    own: scores.own.figures,
    chosen3: scores.chosen3.figures,
    chosen3NoDuct: scores.chosen3NoDuct.figures,
    kindRight: scores.chosen3.kindRight / scores.chosen3.wrong,
    calibration: scores.chosen3.said.map(({ said, true: right, n }) => ({
      said: said / n,
      true: right / n,
      n,
    })),
    posteriorMs: posteriorTime(),
    nextReadingMs: spent.next / spent.nexts,
  };
}
