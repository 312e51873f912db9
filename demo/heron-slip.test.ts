import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { compareCandidates, judgeDrops } from '@frank-gauge/core/analysis';
import { reportLeaks } from '@frank-gauge/core/inference';
import { type Reading, readShopFile } from '@frank-gauge/core/journal';
import { toSI } from '@frank-gauge/core/quantity';
import { circumstancesOf, compareSides, indexOf, worthOfEvents } from '@frank-gauge/core/reading';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { describe, expect, it } from 'vitest';
import { heronSlipFile } from './heron-slip';

const kept = readFileSync(fileURLToPath(new URL('./heron-slip.json', import.meta.url)), 'utf8');

function demo() {
  const read = readShopFile(kept);
  if (!read.ok) throw new Error(read.faults[0].message);
  const arranged = arrangeDucts(read.shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  return { shop: read.shop, journal: read.journal, tree: arranged.tree };
}

describe('the demo shop', () => {
  it('is what its script makes', () => {
    expect(JSON.parse(heronSlipFile())).toEqual(JSON.parse(kept));
  });

  it('has three collectors thought of, and each is told from the present one', () => {
    const { shop, tree } = demo();
    const [present, ...others] = compareCandidates(shop, tree, 'found', []);
    expect(others).toHaveLength(3);
    for (const { worst, load } of others) {
      expect(worst?.flow).not.toBe(present?.worst?.flow);
      expect(load?.shaftPower).toBeGreaterThan(0);
    }
  });

  it('has five drops and two stages, and one drop a little short', () => {
    const { shop, tree } = demo();
    expect(tree.drops).toHaveLength(5);
    expect(shop.collector.separator.kind).toBe('cyclone');
    const results = judgeDrops(shop, tree, 'found', 'one');
    const short = results.flatMap((result) =>
      result.kind === 'judged' && result.standing !== 'enough' ? [result.drop.name] : [],
    );
    expect(short).toEqual(['Planer']);
  });

  it('tells its story: no difference in September, a leak in the far end in November', () => {
    const { shop, journal, tree } = demo();
    const report = (from: string, to: string) =>
      reportLeaks(
        shop,
        tree,
        journal.readings.filter(({ at }) => at >= from && at < to),
        journal,
      ).report;
    expect(report('2026-08-30', '2026-10').verdict.isWrong).toBe(false);
    const { verdict, began, suspects } = report('2026-08-30', '2026-12');
    expect(verdict.isWrong).toBe(true);
    expect(began?.slice(0, 10)).toBe('2026-11-07');
    expect(verdict.kinds[0]?.kind).toBe('opening');
    const far = shop.ducts.runs.find(({ name }) => name === 'Far end');
    expect(verdict.among[0]?.place).toEqual({ kind: 'run', run: far?.id });
    // The script hid five square inches there.
    const [first] = suspects;
    expect(first?.low).toBeLessThan(toSI(5, 'in2'));
    expect(first?.high).toBeGreaterThan(toSI(5, 'in2'));
  });

  it('tells its year: sealing gained, the filter loaded and was cleaned, then a leak opened', () => {
    const { shop, journal, tree } = demo();
    const by = (reading: Reading) => circumstancesOf(reading, shop, tree, journal);
    const [sealed, cleaned] = worthOfEvents(journal.events, indexOf(journal.readings).byPoint, by);
    expect(sealed?.event.kind).toBe('sealed');
    expect(sealed?.overall?.isSignificant).toBe(true);
    expect(sealed?.overall?.low).toBeGreaterThan(1.03);
    expect(sealed?.costPerFlow).toBeGreaterThan(0);
    expect(cleaned?.event.kind).toBe('cleaned');
    expect(cleaned?.overall?.isSignificant).toBe(true);
    expect(cleaned?.overall?.ratio).toBeGreaterThan(1);
    const planer = tree.drops.find(({ name }) => name === 'Planer');
    const ofPlaner = journal.readings.filter(({ testPoint }) => testPoint === planer?.id);
    const [september, november] = ofPlaner.slice(-2);
    if (!september || !november) throw new Error('no readings');
    const leak = compareSides({ readings: [september], by }, { readings: [november], by });
    expect(leak.kind === 'change' && leak.high).toBeLessThan(0.9);
  });

  it('has readings over the meter’s range among the others', () => {
    const { journal } = demo();
    const taken = journal.readings.flatMap((reading) => reading.taken);
    expect(taken.some(({ kind }) => kind === 'over')).toBe(true);
    expect(taken.some(({ kind }) => kind === 'value')).toBe(true);
  });
});
