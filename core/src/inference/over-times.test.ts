import { describe, expect, it } from 'vitest';
import { chanceShop, ownGateRound } from '../../reference/hidden-shops';
import { plainReadings, treeOf } from '../../reference/plain-readings';
import { chanceOf } from '../simulate/chance';
import type { Fault } from './faults';
import type { Observation } from './observations';
import { visitsOf, weighOverTimes } from './over-times';
import { weighFaults } from './posterior';

const shop = chanceShop(5, chanceOf(11));
const tree = treeOf(shop);
const round = ownGateRound({ tree });
const run = tree.upstreamFirst.at(-1)?.id ?? '';
const opening: Fault = { kind: 'opening', run };
const AREA = 3e-3;
const at = (month: number) => `2026-0${month}-10T10:00:00Z`;
const without = (month: number) => plainReadings(shop, tree, round, null, 0, at(month));
const withIt = (month: number) => plainReadings(shop, tree, round, opening, AREA, at(month));

/** The same readings in a shop whose hoods all let in less than the model has: by that share of all of them. */
const lower = (all: readonly Observation[], share: number): Observation[] =>
  all.map((each) => ({ ...each, ln: each.ln + Math.log(1 - share) }));

describe('visits', () => {
  it('begin where no reading was taken for some hours, whatever zone their times are written in', () => {
    const times = ['2026-01-01T23:30:00Z', '2026-01-02T01:00:00+01:00', '2026-01-05T08:00:00Z'];
    expect(visitsOf(times.map((each) => ({ at: each })))).toEqual([times[0], times[2]]);
    expect(visitsOf([])).toEqual([]);
  });
});

describe('what is wrong', () => {
  it('began between the visit that does not show it and the one that does', () => {
    const weighed = weighOverTimes(shop, tree, [...without(1), ...without(2), ...withIt(3)]);
    expect(weighed.began).toBe(at(3));
    expect(weighed.verdict.isWrong).toBe(true);
    expect(weighed.verdict.kinds[0]?.kind).toBe('opening');
  });

  it('was there in all of them, where all show it', () => {
    const weighed = weighOverTimes(shop, tree, [...withIt(1), ...withIt(2)]);
    expect(weighed.began).toBeNull();
    expect(weighed.verdict.isWrong).toBe(true);
  });

  it.each([0, 0.02])(
    'is told the more surely for a round from before it, all drops lower than the model has them by %s',
    (share) => {
      const [before, after] = [lower(without(1), share), lower(withIt(3), share)];
      const ofOpenings = ({ kinds }: ReturnType<typeof weighFaults>['verdict']) =>
        kinds.find(({ kind }) => kind === 'opening')?.probability ?? 0;
      const alone = weighFaults(shop, tree, after).verdict;
      const both = weighOverTimes(shop, tree, [...before, ...after]).verdict;
      expect(both.nothing).toBeLessThan(alone.nothing);
      expect(ofOpenings(both)).toBeGreaterThan(ofOpenings(alone));
      const area = both.suspects.find(({ fault }) => fault.kind === 'opening');
      expect(area?.low).toBeLessThan(AREA);
      expect(area?.high).toBeGreaterThan(AREA);
    },
  );

  it('is nothing in two rounds of a sound shop', () => {
    const { verdict } = weighOverTimes(shop, tree, [...without(1), ...without(2)]);
    expect(verdict.isWrong).toBe(false);
  });
});
