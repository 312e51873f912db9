import { describe, expect, it } from 'vitest';
import { gatesOfDrop } from '../analysis/gate-sets';
import { AMOUNTS, asBelieved } from '../inference/faults';
import { gatesKeyOf } from '../inference/observations';
import { Solutions } from '../inference/predictor';
import { idOfChance, LEVELS } from './level';
import { type PracticeShop, practiceShop } from './practice-shop';
import { LEVEL_OF_WRITTEN, WRITTEN_IDS } from './written-ids';

const made = (id: string): PracticeShop => {
  const practice = practiceShop(id);
  if (!practice) throw new Error(`no shop ${id}`);
  return practice;
};
const known = new Map<string, PracticeShop>();
const opened = (id: string): PracticeShop => {
  const practice = known.get(id) ?? made(id);
  known.set(id, practice);
  return practice;
};
const byChance = LEVELS.flatMap((level) => [1, 2, 3].map((seed) => idOfChance(level, seed)));

/** Air at every drop with its own gates open: as the model has it, and as it really is. m³/s. */
function flowsOf({ shop, tree, real }: PracticeShop) {
  const sound = new Solutions(asBelieved(shop, tree));
  return tree.drops.map((drop) => {
    const gates = gatesOfDrop(drop);
    const asked = {
      measurand: { at: { kind: 'port', node: drop.id }, shows: 'flow' },
      ...{ gates, gatesKey: gatesKeyOf(gates) },
    } as const;
    return { believed: Math.exp(sound.lnOf(asked) ?? Number.NaN), real: real(asked) ?? Number.NaN };
  });
}

describe('a practice shop', () => {
  it.each([...WRITTEN_IDS, ...byChance])('%s can be hunted in', (id) => {
    const { shop, tree, faults } = opened(id);
    expect(tree.drops.length).toBe(shop.machines.length);
    // Every drop can be shut off by itself.
    for (const drop of tree.drops) expect(gatesOfDrop(drop).size).toBeGreaterThan(0);
    for (const { fault, amount } of faults) {
      const { from, to } = AMOUNTS[fault.kind];
      const [least, most] = [Math.min(from, to), Math.max(from, to)];
      // A written opening may be larger than what is looked for among small ones.
      expect(amount).toBeGreaterThanOrEqual(least);
      expect(amount).toBeLessThanOrEqual(most);
    }
    for (const { believed, real } of flowsOf(opened(id))) {
      expect(believed).toBeGreaterThan(0.02);
      expect(real).toBeGreaterThan(0.005);
      expect(real).toBeLessThan(1.4 * believed);
    }
  });

  it('is always the same, for the same id', () => {
    for (const id of ['cellar', 'hard-7']) {
      const [one, other] = [opened(id), made(id)];
      expect(other.shop).toEqual(one.shop);
      expect(other.faults).toEqual(one.faults);
      expect(flowsOf(other)).toEqual(flowsOf(one));
    }
    expect(opened('hard-7').shop).not.toEqual(opened('hard-8').shop);
  });

  it('is none, where nobody wrote one and no level has that name', () => {
    for (const id of [
      '',
      'garage ',
      'easy-1',
      'hard-',
      'hard--1',
      'hard-1.5',
      'toString',
      '__proto__',
    ])
      expect(practiceShop(id), id).toBeNull();
  });

  it('grows with its level', () => {
    const drops = (level: (typeof LEVELS)[number]) =>
      WRITTEN_IDS.filter((id) => LEVEL_OF_WRITTEN[id] === level).map(
        (id) => opened(id).tree.drops.length,
      );
    expect(Math.max(...drops('first'))).toBeLessThan(Math.min(...drops('usual')));
    expect(Math.max(...drops('hard'))).toBeGreaterThanOrEqual(12);
  });

  it('has the fault where its story says: one behind certain machines takes air from those most', () => {
    const { tree, faults } = opened('luthier');
    const [{ fault } = { fault: null }] = faults;
    const drop = tree.drops.find(({ machine }) => machine.kind === 'drumSander');
    expect(fault && 'run' in fault && drop?.path[0]?.id).toBe(fault && 'run' in fault && fault.run);
    const losses = flowsOf(opened('luthier')).map(({ believed, real }) => 1 - real / believed);
    const worst = losses.indexOf(Math.max(...losses));
    expect(tree.drops[worst]?.machine.kind).toBe('drumSander');
  });

  it('of a hard level may have two things wrong, and any level nothing', () => {
    const counts = [1, 8, 9].map((seed) => opened(idOfChance('hard', seed)).faults.length);
    expect(counts).toEqual([2, 0, 1]);
    const kinds = Array.from({ length: 14 }, (_, i) => opened(idOfChance('first', 300 + i)).faults);
    expect(kinds.every((faults) => faults.length < 2)).toBe(true);
    expect(new Set(kinds.flat().map(({ fault }) => fault.kind)).size).toBeGreaterThan(3);
  });
});
