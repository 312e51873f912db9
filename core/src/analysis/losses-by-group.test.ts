import { expect, it } from 'vitest';
import { strongOnFourInch } from '../../reference/advice-shops';
import { treeOf } from '../../reference/plain-readings';
import { judgeDrops } from './judge-drops';
import { lossesByGroup, PART_GROUPS } from './losses-by-group';
import { pressureProfile } from './pressure-profile';

it('what each group takes is together what the blower gives, and a hose counts as hose', () => {
  const shop = strongOnFourInch();
  const judged = judgeDrops(shop, treeOf(shop), 'found', 'one').flatMap((each) =>
    each.kind === 'judged' ? [each] : [],
  );
  expect(judged.length).toBeGreaterThan(1);
  for (const { solution, drop } of judged) {
    const steps = pressureProfile(solution, drop);
    const losses = lossesByGroup(steps);
    const sum = PART_GROUPS.reduce((all, group) => all + losses[group], 0);
    expect(sum).toBeCloseTo(solution.blower.rise, 3);
    const hose = steps.flatMap(({ kind, loss }) => (kind === 'hose' ? [loss] : []));
    expect(losses.hose).toBeCloseTo(
      hose.reduce((a, b) => a + b, 0),
      9,
    );
    expect(losses.exhaust).toBeGreaterThan(0);
  }
});
