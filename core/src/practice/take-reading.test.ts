import { describe, expect, it } from 'vitest';
import { gatesOfDrop } from '../analysis/gate-sets';
import { gatesKeyOf } from '../inference/observations';
import { numberOf } from '../measuring/repeats';
import { toSI } from '../quantity/units';
import { heldAgainst } from './held-against';
import {
  type AskedOfMeter,
  beginHunt,
  crossOut,
  type Hunt,
  isNotedRightly,
  minutesSoFar,
} from './hunt';
import { nextHold, nextUnit, notedUnit, shownUnit, USUAL_FACE } from './meter-face';
import { placesToMeasure } from './places-to-measure';
import { practiceShop } from './practice-shop';
import { takeReading } from './take-reading';

const garage = practiceShop('garage');
const cellar = practiceShop('cellar');
if (!garage || !cellar) throw new Error('no shop');
const [drop, other] = garage.tree.drops;
if (!drop || !other) throw new Error('no drops');

const at = (node: string): AskedOfMeter => ({ at: { kind: 'port', node }, shows: 'flow' });
const open = (of: Parameters<typeof gatesOfDrop>[0]): Hunt => ({
  ...beginHunt(garage),
  openGates: [...gatesOfDrop(of)],
});
const read = (hunt: Hunt, asked: AskedOfMeter, of = garage): Hunt => {
  const next = takeReading(of, hunt, asked);
  if (!next) throw new Error('nothing to read');
  return next;
};
const truthOf = (asked: AskedOfMeter, gates: ReadonlySet<string>, of = garage) =>
  of.real({ measurand: asked, gates, gatesKey: gatesKeyOf(gates) }) ?? Number.NaN;

describe('a reading in a practice shop', () => {
  it('is what really flows there, as near as such a meter shows it', () => {
    const hunt = read(open(drop), at(drop.id));
    const [reading] = hunt.readings;
    const own = heldAgainst(garage, hunt).get(reading?.reading.id ?? '');
    const truth = truthOf(at(drop.id), gatesOfDrop(drop));
    expect(own?.measured).toBeGreaterThan(0.92 * truth);
    expect(own?.measured).toBeLessThan(1.08 * truth);
    expect(own?.expected).toBeGreaterThan(truth);
    expect(reading?.reading.taken).toHaveLength(3);
  });

  it('scatters, and is the same for the same hunt', () => {
    const first = read(open(drop), at(drop.id));
    const again = read(open(drop), at(drop.id));
    expect(again).toEqual(first);
    const second = read(first, at(drop.id));
    const numbers = second.readings.map(({ reading }) => reading.taken.map(numberOf));
    expect(numbers[1]).not.toEqual(numbers[0]);
  });

  it('leaves the hunt it was asked of as it was', () => {
    const hunt = open(drop);
    read(hunt, at(drop.id));
    expect(hunt.readings).toHaveLength(0);
  });

  it('on another unit is written down as if it were of the usual one', () => {
    const ms = { ...open(drop), face: { ...USUAL_FACE, unit: 'ms' as const } };
    const [wrong] = read(ms, at(drop.id)).readings;
    const [right] = read(open(drop), at(drop.id)).readings;
    if (!wrong || !right) throw new Error('not read');
    const ratio =
      numberOf(right.reading.taken[0] ?? { kind: 'value', value: 0 }) /
      numberOf(wrong.reading.taken[0] ?? { kind: 'value', value: 1 });
    // 1 m/s is 196.85 fpm, so a number of meters a second taken for feet a minute is that much too small.
    expect(ratio).toBeCloseTo(196.85, 0);
    expect([isNotedRightly(right), isNotedRightly(wrong)]).toEqual([true, false]);
  });

  it('with the highest value held shows more than the average', () => {
    const held = { ...open(drop), face: { ...USUAL_FACE, hold: 'maximum' as const } };
    const mean = (hunt: Hunt) =>
      hunt.readings
        .flatMap(({ reading }) => reading.taken.map(numberOf))
        .reduce((a, b) => a + b, 0);
    const reads = (hunt: Hunt) => {
      let next = hunt;
      for (let i = 0; i < 6; i++) next = read(next, at(drop.id));
      return mean(next);
    };
    expect(reads(held) / reads(open(drop))).toBeGreaterThan(1.02);
  });

  it('by a meter that is off is off by as much', () => {
    const [first] = cellar.tree.drops;
    if (!first) throw new Error('no drop');
    const [{ amount } = { amount: 1 }] = cellar.faults;
    let hunt: Hunt = { ...beginHunt(cellar), face: USUAL_FACE, openGates: [...gatesOfDrop(first)] };
    for (let i = 0; i < 5; i++) hunt = read(hunt, at(first.id), cellar);
    const measured = [...heldAgainst(cellar, hunt).values()].map((each) => each.measured);
    const mean = measured.reduce((a, b) => a + b, 0) / measured.length;
    const truth = truthOf(at(first.id), gatesOfDrop(first), cellar);
    expect(truth / mean).toBeGreaterThan(0.94 * amount);
    expect(truth / mean).toBeLessThan(1.06 * amount);
  });

  it('of a pressure is one, at either tap', () => {
    const taps = placesToMeasure(garage.tree).filter(({ shows }) => shows === 'pressure');
    expect(taps).toHaveLength(2);
    for (const tap of taps) {
      const hunt = read(open(drop), tap);
      const own = heldAgainst(garage, hunt).get('n1');
      expect(own?.shows).toBe('pressure');
      const truth = truthOf(tap, gatesOfDrop(drop));
      expect(own?.measured).toBeGreaterThan(0.9 * truth);
      expect(own?.measured).toBeLessThan(1.1 * truth);
    }
  });

  it('can be taken everywhere that is offered, with any gates open', () => {
    for (const openGates of [
      [],
      [...gatesOfDrop(drop)],
      [...gatesOfDrop(drop), ...gatesOfDrop(other)],
    ]) {
      for (const asked of placesToMeasure(garage.tree)) {
        const next = takeReading(garage, { ...beginHunt(garage), openGates }, asked);
        expect(next?.readings, JSON.stringify(asked)).toHaveLength(1);
      }
    }
  });
});

describe('minutes', () => {
  it('are those of walking, of turning gates, of drilling once, and of reading', () => {
    // A walk, one gate and the reading.
    const first = read(open(drop), at(drop.id));
    expect(minutesSoFar(first)).toBe(1 + 0.5 + 1);
    // Nothing but the reading.
    const second = read(first, at(drop.id));
    expect(minutesSoFar(second)).toBe(3.5);
    // A walk, a hole and the reading; the second time at the same hole the reading alone.
    const [hole] = placesToMeasure(garage.tree).filter(({ at: place }) => place.kind === 'run');
    if (!hole) throw new Error('no hole');
    const third = read(second, hole);
    expect(minutesSoFar(third)).toBe(3.5 + 1 + 5 + 1);
    expect(minutesSoFar(read(third, hole))).toBe(11.5);
    // One gate shut, another opened, and a walk back.
    const fourth = read({ ...third, openGates: [...gatesOfDrop(other)] }, at(other.id));
    expect(minutesSoFar(fourth)).toBe(10.5 + 1 + 1 + 1);
  });

  it('stay spent where a reading is crossed out', () => {
    const hunt = read(open(drop), at(drop.id));
    const without = crossOut(hunt, 'n1', '2026-01-10T09:30:00Z');
    expect(without.readings[0]?.reading.struckOut).not.toBeNull();
    expect(minutesSoFar(without)).toBe(minutesSoFar(hunt));
    expect(crossOut(without, 'n1', '2026-01-10T09:31:00Z')).toEqual(hunt);
  });
});

describe('the meter’s buttons', () => {
  it('go through all units and holds, and come back to the usual ones', () => {
    let face = USUAL_FACE;
    const units = new Set<string>();
    for (let i = 0; i < 5; i++) {
      units.add(shownUnit(face, 'us'));
      face = nextUnit(face, 'us');
    }
    expect(units).toEqual(new Set(['fpm', 'ms', 'mph', 'kmh', 'kn']));
    expect(face).toEqual(USUAL_FACE);
    expect(nextHold(nextHold(nextHold(face)))).toEqual(USUAL_FACE);
    expect([notedUnit('us'), notedUnit('metric')]).toEqual(['fpm', 'ms']);
    expect(toSI(1, 'fpm')).toBeCloseTo(0.00508, 6);
  });
});
