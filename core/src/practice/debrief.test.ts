import { describe, expect, it } from 'vitest';
import { gatesOfDrop } from '../analysis/gate-sets';
import type { Fault } from '../inference/faults';
import { debriefOf, gradeOf, gradesOf, scoreOf } from './debrief';
import { beginHunt, type Hunt } from './hunt';
import { USUAL_FACE } from './meter-face';
import { type PracticeShop, practiceShop } from './practice-shop';
import { takeReading } from './take-reading';
import { WRITTEN_IDS, type WrittenId } from './written-ids';

const opened = (id: string): PracticeShop => {
  const practice = practiceShop(id);
  if (!practice) throw new Error(`no shop ${id}`);
  return practice;
};

/** Every drop read once with its own gate open. */
function roundIn(practice: PracticeShop, face = USUAL_FACE): Hunt {
  let hunt: Hunt = { ...beginHunt(practice), face };
  for (const drop of practice.tree.drops) {
    const gates = { ...hunt, openGates: [...gatesOfDrop(drop)] };
    const next = takeReading(practice, gates, {
      at: { kind: 'port', node: drop.id },
      shows: 'flow',
    });
    if (!next) throw new Error('nothing to read');
    hunt = next;
  }
  return hunt;
}

describe('a named cause', () => {
  const carport = opened('carport');
  const { tree } = carport;
  const [run, ...others] = tree.upstreamFirst;
  const next = others.find(({ from, to }) => run && (from === run.to || to === run.from));
  const apart = others.find(
    ({ from, to }) => run && ![run.from, run.to].some((node) => node === from || node === to),
  );
  if (!run || !next || !apart) throw new Error('too few runs');
  const opening = (id: string): Fault => ({ kind: 'opening', run: id });
  const grade = (named: Fault, truth: Fault) => gradeOf(named, truth, carport);

  it('is right, near, or wrong', () => {
    expect(grade(opening(run.id), opening(run.id))).toBe('right');
    expect(grade({ kind: 'clog', run: run.id }, opening(run.id))).toBe('other kind');
    expect(grade(opening(next.id), opening(run.id))).toBe('next to it');
    expect(grade({ kind: 'clog', run: next.id }, opening(run.id))).toBe('wrong');
    expect(grade(opening(apart.id), opening(run.id))).toBe('wrong');
    expect(grade({ kind: 'filter' }, { kind: 'separator' })).toBe('wrong');
    const meter = (way: 'more' | 'less'): Fault => ({ kind: 'meter', meter: 'vane', way });
    expect(grade(meter('more'), meter('less'))).toBe('other kind');
  });

  it('that no airflow tells from another is as right: a clog, and a gate that does not open', () => {
    expect(grade({ kind: 'clog', run: run.id }, { kind: 'gate not open', run: run.id })).toBe(
      'right',
    );
  });

  it('counts once, and one that was overlooked counts against it', () => {
    const two = [opening(run.id), opening(apart.id)];
    expect(gradesOf([opening(run.id)], two, carport)).toEqual(['right', 'wrong']);
    expect(gradesOf([opening(run.id), opening(run.id)], [opening(run.id)], carport)).toEqual([
      'right',
      'wrong',
    ]);
    expect(gradesOf([opening(apart.id), opening(run.id)], two, carport)).toEqual([
      'right',
      'right',
    ]);
    expect(gradesOf([], [], carport)).toEqual(['right']);
    expect(gradesOf([], [opening(run.id)], carport)).toEqual(['wrong']);
    expect(gradesOf([opening(run.id)], [], carport)).toEqual(['wrong']);
  });

  it('scores a hundred when it is right and quick, and half of it at least for being right', () => {
    expect(scoreOf(['right'], 10, 20)).toBe(100);
    expect(scoreOf(['right'], 40, 20)).toBe(75);
    expect(scoreOf(['right'], 2000, 20)).toBe(51);
    expect(scoreOf(['right'], 2000, null)).toBe(100);
    expect(scoreOf(['right', 'wrong'], 10, 20)).toBe(50);
    expect(scoreOf(['wrong'], 1, 20)).toBe(0);
  });
});

describe('a debrief', () => {
  it('says what every reading told, and that one on another unit told nothing', () => {
    const luthier = opened('luthier');
    const hunt = roundIn(luthier);
    const inFeet = takeReading(
      luthier,
      { ...hunt, face: { ...USUAL_FACE, unit: 'fpm' } },
      { at: { kind: 'port', node: luthier.tree.drops[0]?.id ?? '' }, shows: 'flow' },
    );
    if (!inFeet) throw new Error('nothing to read');
    const { told, score, grades } = debriefOf(
      luthier,
      inFeet,
      luthier.faults.map(({ fault }) => fault),
    );
    expect(grades).toEqual(['right']);
    expect(score).toBeGreaterThan(50);
    expect(told).toHaveLength(5);
    expect(told.at(-1)).toMatchObject({ slip: 'unit', bits: 0 });
    // One drop that is weak might be anything; that the others are not leaves the clog.
    const [first, ...rest] = told.map(({ after }) => after);
    expect(first).toBeLessThan(0.5);
    expect(rest.at(-1)).toBeGreaterThan(0.9);
  });

  it('needs no reading at all, and gives no score without one', () => {
    const garage = opened('garage');
    const steps: number[] = [];
    const { told, score, grades, way } = debriefOf(garage, beginHunt(garage), [], (done) =>
      steps.push(done),
    );
    expect([told, grades, score]).toEqual([[], ['wrong'], 0]);
    expect(steps).toHaveLength(way.length);
    // A right guess is a guess.
    const guessed = debriefOf(
      garage,
      beginHunt(garage),
      garage.faults.map(({ fault }) => fault),
    );
    expect([guessed.grades, guessed.score]).toEqual([['right'], 0]);
  });

  // In the cellar the meter is off: that does to all drops what other faults would do too. Of the co-op see below.
  const HARDER: readonly WrittenId[] = ['cellar'];
  it.each(WRITTEN_IDS.filter((id) => id !== 'co-op'))(
    'knows a way to what is wrong in %s',
    (id) => {
      const { way, wayMinutes, isWayFound } = debriefOf(opened(id), beginHunt(opened(id)), []);
      expect(way.length).toBeGreaterThan(0);
      expect(wayMinutes).toBeCloseTo(
        way.reduce((sum, { minutes }) => sum + minutes, 0),
        9,
      );
      if (!HARDER.includes(id)) {
        expect(isWayFound).toBe(true);
        expect(wayMinutes).toBeLessThan(30);
      }
    },
  );

  it('of a sound shop blames nothing, and of two faults names both', () => {
    const chairs = debriefOf(opened('chair-shop'), roundIn(opened('chair-shop')), []);
    expect(chairs.grades).toEqual(['right']);
    expect(chairs.nothing).toBeGreaterThan(0.5);
    const coop = opened('co-op');
    const both = debriefOf(
      coop,
      roundIn(coop),
      coop.faults.map(({ fault }) => fault),
    );
    expect(both.two?.probability).toBeGreaterThan(0.9);
    expect(both.told.at(-1)?.after).toBeGreaterThan(0.8);
  }, 30_000);
});
