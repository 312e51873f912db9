import type { Closing, Conflict, ConflictKind, Fit, JointEnd } from '@frank-gauge/core/assembly';
import { toSI } from '@frank-gauge/core/quantity';
import type { FloorConflict } from '@frank-gauge/core/room';
import { describe, expect, it } from 'vitest';
import { conflictMessage, shortBy } from './conflict-words';
import { closingWords, endWord, gapWords, INSIDE } from './fit-words';
import { floorMessage } from './floor-words';
import { noiseDistance } from './noise-distance';
import { tapeLength } from './tape-length';

describe('a length as a tape measure shows it', () => {
  it.each([
    [33.5, '33½ in.'],
    [97.375, '97⅜ in.'],
    [0.75, '¾ in.'],
    [12, '12 in.'],
    [0, '0 in.'],
    [11.99, '12 in.'],
    [-1.5, '−1½ in.'],
  ])('%f inches: %s', (inches, written) => {
    expect(tapeLength(toSI(inches, 'in'), 'us')).toBe(written);
  });

  it('in whole millimetres elsewhere', () => {
    expect(tapeLength(0.8509, 'metric')).toBe('851 mm');
  });

  it('noise is stated at a round figure', () => {
    expect(noiseDistance('us')).toBe('10′');
    expect(noiseDistance('metric')).toBe('3 m');
  });
});

describe('what does not fit, in sentences', () => {
  const of = {
    length: { of: 'length', short: 0.04, wanted: 2.94, has: 2.9 },
    mass: { of: 'mass', short: 12, wanted: 35, has: 23 },
    force: { of: 'force', short: 300, wanted: 900, has: 600 },
    none: { of: null, short: null, wanted: 0, has: 0 },
  } as const;

  /** One of every kind, so that none can be forgotten. */
  const all: Record<ConflictKind, keyof typeof of> = {
    'over the ceiling': 'length',
    'larger than the room': 'length',
    'filter over the ceiling': 'length',
    'pipe over the ceiling': 'length',
    'bin too tall': 'length',
    'bin short of the lid': 'length',
    'bin stays caught': 'length',
    'no room to lift': 'length',
    'coupling holds': 'none',
    'nothing holds the separator': 'none',
    'hangs, cannot be lifted': 'none',
    'nothing to stand on': 'none',
    'coupling too short': 'length',
    'filter bin too tall': 'length',
    'wheel in its housing': 'length',
    'heavy lift off the bin': 'mass',
    'heavy blower': 'mass',
    'cleat too short': 'length',
    'screws draw out': 'force',
    'screws shear': 'force',
    'box too small': 'length',
    'chips pass the wheel': 'none',
    'flat sides': 'none',
    'liner sucked up': 'none',
  };

  const conflictOf = (kind: ConflictKind): Conflict => ({
    kind,
    severity: 'serious',
    part: 'blower',
    ...of[all[kind]],
  });

  for (const system of ['us', 'metric'] as const) {
    it.each(Object.keys(all) as ConflictKind[])(`%s, ${system}`, (kind) => {
      const conflict = conflictOf(kind);
      const { title, text } = conflictMessage(conflict, system);
      for (const sentence of [title, text]) {
        expect(sentence).toMatch(/^[A-Z\d].*\.$/s);
        expect(sentence).not.toMatch(/NaN|undefined|null|\.\.|!/);
      }
      const by = shortBy(conflict, system);
      expect(by === '').toBe(conflict.short === null);
      if (conflict.of === 'length') expect(title + text).toContain(by.replace(/\.$/, ''));
    });
  }

  it('forces are said as what would weigh as much', () => {
    expect(shortBy(conflictOf('screws draw out'), 'metric')).toBe('31 kg');
    expect(shortBy(conflictOf('heavy blower'), 'us')).toBe('26 lb');
  });
});

describe('joints in words', () => {
  const closings: Record<Closing['kind'], Closing> = {
    nothing: { kind: 'nothing' },
    clamp: { kind: 'clamp' },
    tape: { kind: 'tape', turns: 3 },
    gasket: { kind: 'gasket', thickness: 0.004 },
    coupler: { kind: 'coupler' },
    reducer: { kind: 'reducer' },
    adapter: { kind: 'adapter' },
  };

  it('each closing has words of its own', () => {
    const words = Object.values(closings).map((closing) => closingWords(closing, 'us'));
    expect(new Set(words).size).toBe(words.length);
    expect(closingWords(closings.tape, 'us')).toBe('3 turns of tape');
    expect(closingWords({ kind: 'tape', turns: 1 }, 'us')).toBe('one turn of tape');
    expect(closingWords(closings.gasket, 'metric')).toBe('foam tape, 4 mm');
  });

  it('says which goes inside which, and a gap or that it is tight', () => {
    expect(new Set(Object.values(INSIDE) satisfies string[]).size).toBe(3);
    const inside: Fit['inside'] = 'upstream';
    expect(INSIDE[inside]).toBe('first inside second');
    expect(gapWords(0.00089, 'us')).toBe('0.89 mm');
    expect(gapWords(-0.001, 'us')).toBe('tight');
  });

  it('names an end by what it is part of', () => {
    const end: JointEnd = {
      what: 'port',
      of: 'Planer',
      inside: 0.1,
      outside: 0.102,
      isFlexible: false,
      origin: 'estimate',
    };
    expect(endWord(end)).toBe('Planer, port');
    expect(endWord({ ...end, what: 'blowerInlet', of: '' })).toBe('blower, inlet');
  });
});

describe('what stands in the way, in sentences', () => {
  const saw = { kind: 'machine', id: 'saw' } as const;
  const all: readonly FloorConflict[] = [
    { kind: 'overlap', who: saw, other: { kind: 'collector' }, short: 0.12 },
    { kind: 'overlap', who: { kind: 'collector' }, other: { kind: 'post' }, short: 0.12 },
    { kind: 'outside', who: saw, short: 0.05 },
    { kind: 'door blocked', who: saw, door: 'd', short: 0.3 },
    { kind: 'feed blocked', who: saw, room: 'infeed', by: { kind: 'wall' }, short: 1, wanted: 2 },
    { kind: 'feed blocked', who: saw, room: 'outfeed', by: saw, short: 1, wanted: 2 },
    {
      kind: 'feed blocked',
      who: saw,
      room: 'stand',
      by: { kind: 'post' },
      short: 0.4,
      wanted: 0.75,
    },
  ];

  for (const system of ['us', 'metric'] as const) {
    it.each(all.map((conflict, i) => [i, conflict.kind, conflict] as const))(
      `%i: %s, ${system}`,
      (_, __, conflict) => {
        const { title, text } = floorMessage(conflict, system, () => 'Table saw');
        for (const sentence of [title, text]) {
          expect(sentence).toMatch(/^[A-Z\d].*\.$/s);
          expect(sentence).not.toMatch(/NaN|undefined|null|\.\.|!/);
        }
        const by = tapeLength(conflict.short, system).replace(/\.$/, '');
        expect(title + text).toContain(by);
      },
    );
  }

  it('names who stands in whom', () => {
    const titles = all.map((conflict) => floorMessage(conflict, 'metric', () => 'Table saw').title);
    expect(titles[0]).toBe('Table saw overlaps the collector.');
    expect(titles[1]).toBe('The collector overlaps a post.');
    expect(titles[6]).toBe('There is no room to stand at Table saw.');
  });
});
