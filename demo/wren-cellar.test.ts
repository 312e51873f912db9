import { compareCandidates, judgeDrops } from '@frank-gauge/core/analysis';
import { assemblyConflicts, standAssembly } from '@frank-gauge/core/assembly';
import { toSI } from '@frank-gauge/core/quantity';
import { circumstancesOf, filterAtOneFlow, indexOf } from '@frank-gauge/core/reading';
import { cleaningsLeft } from '@frank-gauge/core/upkeep';
import { describe, expect, it } from 'vitest';
import { readDemo, worthsOf } from './read-demo';
import { FILTER } from './take-readings';
import { wrenCellarFile } from './wren-cellar';

const { kept, shop, journal, tree } = readDemo('wren-cellar');

describe('the luthier’s cellar', () => {
  it('is what its script makes', () => {
    expect(JSON.parse(wrenCellarFile())).toEqual(JSON.parse(kept));
  });

  it('is metric, one stage, on 100 mm pipe, and every drop has enough', () => {
    expect(shop.shop.units).toBe('metric');
    expect(shop.collector.separator.kind).toBe('none');
    expect(new Set(shop.ducts.runs.map(({ diameter }) => diameter))).toEqual(new Set([0.1]));
    const results = judgeDrops(shop, tree, 'found', 'one');
    expect(results).toHaveLength(3);
    for (const result of results) {
      expect(result.kind === 'judged' && result.standing).toBe('enough');
    }
  });

  it('fits under its low ceiling', () => {
    const stands = standAssembly(shop.collector, shop.room.ceilingHeight);
    expect(stands.height).toBeLessThan(shop.room.ceilingHeight ?? 0);
    expect(assemblyConflicts(shop.collector, stands)).toEqual([]);
  });

  it('is quiet: under what NIOSH lets one hear for eight hours, as it was read', () => {
    expect(journal.sounds.every(({ level }) => level < 85)).toBe(true);
  });

  it('asks where the air should go: out of the window brings a little air, as a larger filter does', () => {
    const [present, outdoors, larger] = compareCandidates(shop, tree, 'found', []);
    const flow = (one: typeof present) => one?.worst?.flow ?? 0;
    expect(flow(outdoors) / flow(present)).toBeGreaterThan(1.02);
    // The larger cartridge brings nearly the same, and keeps the warmth.
    expect(flow(larger) / flow(outdoors)).toBeGreaterThan(0.97);
    // It takes heat along, and wants an opening to come back by, which nobody has made: beside a boiler that matters.
    expect(outdoors?.load?.outdoors?.heatInSeason).toBeGreaterThan(1e8);
    expect(outdoors?.load?.outdoors?.opening).toBeGreaterThan(0.05);
    const [first] = shop.candidates;
    expect(first?.exhaust.kind === 'outdoors' && first.exhaust.makeUp).toBeNull();
  });

  it('tells its year: a short hose gained, each cleaning gained, and gained back less', () => {
    const worths = worthsOf({ shop, journal, tree });
    const of = (kind: string) => worths.filter(({ event }) => event.kind === kind);
    const [hose] = of('hose shortened');
    expect(hose?.overall?.isSignificant && hose.overall.ratio).toBeGreaterThan(1.02);
    const cleaned = of('cleaned').map(({ overall }) => overall);
    expect(cleaned).toHaveLength(3);
    expect(cleaned.every((own) => own?.isSignificant && own.ratio > 1)).toBe(true);

    const by = (reading: (typeof journal.readings)[number]) =>
      circumstancesOf(reading, shop, tree, journal);
    const { byPoint } = indexOf(journal.readings);
    const series = filterAtOneFlow(byPoint, new Set([FILTER]), by, 60);
    const points = (series?.points ?? []).map(({ reading, pressure, uncertainty }) => ({
      ...{ at: Date.parse(reading.at), pressure, uncertainty },
    }));
    const left = cleaningsLeft(journal.events, points, toSI(2, 'inwg'));
    expect(left?.risen).toBeGreaterThan(2);
    // So worn, it is at two inches some time in the years to come, whatever is cleaned.
    expect(left?.worn?.at).toBeGreaterThan(Date.parse('2026-11-01'));
  });

  it('found dust at the filter’s clamp with a lamp, closed it, and looked again', () => {
    const tests = journal.events.filter(({ kind }) => kind === 'light test');
    expect(tests.map(({ found }) => found)).toEqual([true, false]);
  });
});
