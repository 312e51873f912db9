import { describe, expect, it } from 'vitest';
import { threeBranchShop } from '../../reference/sample-shops';
import { boxAround } from '../assembly/box-around';
import { boxQuieting } from '../collector/enclosure';
import type { Shop } from '../design/schema';
import type { SoundReading } from '../journal/sound';
import { estimatedLevel, foundLouder, latestAtDistance } from './collector-noise';

const WORK = { flow: 0.3, pressure: 2000, bestFlow: 0.3 };

function level(change: (collector: Shop['collector']) => void = () => {}): number {
  const { collector } = threeBranchShop();
  change(collector);
  return estimatedLevel(collector, WORK);
}

describe('the level estimated of a collector', () => {
  it('is lower by a partition where it stands behind one', () => {
    for (const kind of ['attic', 'nextRoom'] as const) {
      const behind = level(({ assembly }) => Object.assign(assembly.mount, { kind }));
      expect(level() - behind).toBeCloseTo(20, 9);
    }
    expect(level(({ assembly }) => Object.assign(assembly.mount, { kind: 'wall' }))).toBe(level());
  });

  it('is lower by its box, whose return filter is an opening in it; both together add', () => {
    const returnFilter = { area: 0.3, velocity: 1.5, pressure: 60 };
    const enclosed = (collector: Shop['collector'], isBoxed: boolean) => {
      const box = isBoxed ? boxAround(collector) : null;
      collector.exhaust = { kind: 'enclosure', filter: null, returnFilter, box };
    };
    expect(level((collector) => enclosed(collector, false))).toBe(level());
    const { collector } = threeBranchShop();
    const quieting = boxQuieting(boxAround(collector), 0.3);
    expect(quieting).toBeGreaterThan(3);
    expect(level() - level((own) => enclosed(own, true))).toBeCloseTo(quieting, 9);
    const both = level((own) => {
      enclosed(own, true);
      Object.assign(own.assembly.mount, { kind: 'attic' });
    });
    expect(level() - both).toBeCloseTo(quieting + 20, 9);
  });
});

describe('sound readings', () => {
  const reading = (change: Partial<SoundReading>): SoundReading => ({
    id: 's',
    at: '2026-01-01T10:00:00Z',
    place: 'By the saw',
    level: 85,
    distance: 3,
    expected: 80,
    hours: null,
    isSimulated: false,
    note: '',
    ...change,
  });

  it('count by the latest one taken at a known distance', () => {
    const old = reading({ id: 'old' });
    const late = reading({ id: 'late', at: '2026-02-01T10:00:00Z' });
    const blind = reading({ id: 'blind', at: '2026-03-01T10:00:00Z', distance: null });
    expect(latestAtDistance([late, old, blind])).toBe(late);
    expect(latestAtDistance([old, late, blind])).toBe(late);
    expect(latestAtDistance([blind])).toBeNull();
    expect(latestAtDistance([])).toBeNull();
    // Of two taken at one moment the first counts.
    const twin = reading({ id: 'twin' });
    expect(latestAtDistance([old, twin])).toBe(old);
  });

  it('say how much louder the collector is, at three metres, than was computed at the time', () => {
    expect(foundLouder([reading({})])).toBeCloseTo(5, 9);
    // Read at 6 m: at 3 m it is 6.02 dB louder.
    expect(foundLouder([reading({ distance: 6, level: 79 })])).toBeCloseTo(5.02, 2);
    const later = { at: '2026-02-01T10:00:00Z' };
    expect(foundLouder([reading({}), reading({ ...later, level: 90, expected: 81 })])).toBe(9);
    expect(foundLouder([reading({}), reading({ ...later, level: 90, expected: null })])).toBe(5);
    expect(foundLouder([reading({}), reading({ ...later, level: 90, distance: null })])).toBe(5);
    expect(foundLouder([])).toBe(0);
  });
});
