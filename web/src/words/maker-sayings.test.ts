import { newShop } from '@frank-gauge/core/design';
import {
  MAKERS,
  type MakerId,
  type MakerSaying,
  makerOf,
  makerPlace,
} from '@frank-gauge/core/makers';
import { describe, expect, it } from 'vitest';
import { makerReason, makerWords } from './maker-sayings';

const CURVE = [
  { flow: 0, pressure: 2900 },
  { flow: 0.55, pressure: 0 },
];
const PLACES = {
  us: makerPlace(newShop('a', 'A', 'us', CURVE)),
  metric: makerPlace(newShop('b', 'B', 'metric', CURVE)),
} as const;
const IDS = Object.keys(MAKERS) as MakerId[];

/** Everything that is said of a part of usual sizes. */
function sayings(id: MakerId, system: 'us' | 'metric'): MakerSaying[] {
  const maker = makerOf(id);
  const made = maker.make(maker.usual(PLACES[system]), PLACES[system]);
  if (!made.ok) throw new Error(made.reason.id);
  const { parts, bought, checks, steps } = made.thing;
  return [
    ...steps,
    ...[...bought, ...checks].map(({ what }) => what),
    ...parts.flatMap(({ board }) => board.note ?? []),
  ];
}

describe('what is said of shop-made parts', () => {
  it.each(IDS)('of %s, it is in whole words, in either system', (id) => {
    for (const system of ['us', 'metric'] as const) {
      for (const saying of sayings(id, system)) {
        const words = makerWords(saying, system);
        expect(words).not.toMatch(/undefined|NaN|\bnull\b|object/);
        expect(words).not.toContain('..');
        expect(words.trim()).toBe(words);
        expect(words.length).toBeGreaterThan(3);
      }
    }
  });

  it('a step is a sentence, its lengths as on a ruler', () => {
    for (const id of IDS) {
      const made = makerOf(id).make(makerOf(id).usual(PLACES.us), PLACES.us);
      if (!made.ok) throw new Error(made.reason.id);
      for (const step of made.thing.steps) {
        expect(makerWords(step, 'us')).toMatch(/^[A-Z].*\.$/s);
        expect(makerWords(step, 'us')).not.toMatch(/\d\.\d/);
      }
    }
    const box = { id: 'hang the box', numbers: { underside: 56.69 * 0.0254 } } as const;
    expect(makerWords(box, 'us')).toContain('56 11/16');
    expect(makerWords(box, 'metric')).toContain('1,440');
  });

  it('a reason has the number that would do, to the last place', () => {
    const ring = {
      id: 'lid ring narrower than its gasket',
      numbers: { ring: 0.0127, gasket: 0.015875 },
    } as const;
    expect(makerReason(ring, 'us')).toBe(
      'A ring ½ in. wide is narrower than its gasket of ⅝ in.: it would bend away from it. Make it ⅝ in. or wider.',
    );
    const most = { id: 'bolts meet the inner ring', numbers: { most: 0.4321 } } as const;
    expect(makerReason(most, 'metric')).toMatch(/at most 432\.1\smm\.$/);
  });

  it('of studs it says which are there, and where two would be', () => {
    const numbers = { from: 0.4318, to: 0.9398, wall: 1, stud: 0.8128, start: 0.3683 };
    expect(makerReason({ id: 'fewer than two studs', numbers }, 'us')).toBe(
      'Between 17 in. and 37 in. on wall 1 there is only one stud, 32 in. from the corner; starting at 14½ in. it meets two.',
    );
    const none = { ...numbers, stud: null, start: null };
    expect(makerReason({ id: 'fewer than two studs', numbers: none }, 'us')).toContain(
      'there is no stud; a longer board is needed to meet two.',
    );
  });
});
