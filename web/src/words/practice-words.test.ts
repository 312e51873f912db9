import { type Debrief, LEVELS, WRITTEN_IDS } from '@frank-gauge/core/practice';
import { describe, expect, it } from 'vitest';
import {
  LEVEL_WORDS,
  minutesWords,
  nameOfPractice,
  scoreSentence,
  toldWords,
  WRITTEN_WORDS,
} from './practice-words';

const told = { reading: 'n1', before: 0.2, after: 0.2, bits: 0, slip: null } as const;
const debrief: Debrief = {
  ...{ truth: [], grades: ['right'], score: 87, minutes: 17.5, told: [told] },
  ...{ way: [], wayMinutes: 13, isWayFound: true, two: null, nothing: 1 },
};

describe('a practice shop', () => {
  it('has a name of its own and a complaint, by level and number where it came by chance', () => {
    expect(new Set(WRITTEN_IDS.map(nameOfPractice)).size).toBe(WRITTEN_IDS.length);
    for (const id of WRITTEN_IDS) expect(WRITTEN_WORDS[id].complaint).toMatch(/^[A-Z].*\.$/);
    for (const level of LEVELS) expect(LEVEL_WORDS[level].about).toMatch(/\.$/);
    expect(nameOfPractice('hard-17')).toBe('Hard shop 17');
    expect(nameOfPractice('nowhere')).toBe('Practice');
  });
});

describe('a debrief in a sentence', () => {
  it('says how near, how long, and what would have been enough', () => {
    const spaces = (text: string) => text.replaceAll('\u00a0', ' ');
    const said = (change: Partial<Debrief>) => spaces(scoreSentence({ ...debrief, ...change }));
    expect(said({})).toBe(
      '87 of 100. You found it. You took 17.5 min. 13 min would have been enough.',
    );
    expect(said({ minutes: 9 })).toContain('The program’s own way takes 13 min.');
    expect(said({ isWayFound: false })).toContain(
      'The program’s own way had not found it after 13 min.',
    );
    expect(said({ grades: ['right', 'wrong'] })).toContain('You came close.');
    expect(said({ grades: ['wrong'], score: 0 })).toContain('0 of 100. You did not find it.');
    expect(said({ told: [], score: 0 })).toContain('it was a guess');
    expect(spaces(minutesWords(3))).toBe('3 min');
  });

  it('says of each reading what it told, or why it was not weighed', () => {
    expect(toldWords({ ...told, after: 0.9 })).toBe('It told most of it.');
    expect(toldWords({ ...told, after: 0.3 })).toBe('It pointed the right way.');
    expect(toldWords({ ...told, after: 0.05 })).toContain('elsewhere');
    expect(toldWords({ ...told, bits: 1 })).toBe('It ruled out other places.');
    expect(toldWords(told)).toBe('It told little.');
    expect(toldWords({ ...told, slip: 'unit' })).toContain('another unit');
    expect(toldWords({ ...told, slip: 'hold' })).toContain('highest value');
  });
});
