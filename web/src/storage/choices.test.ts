import { beforeEach, describe, expect, it } from 'vitest';
import { choose, chooseCollector, chooseDrop, choosePart, useChoices } from './choices';

const chosen = () => useChoices.getState();

beforeEach(() => useChoices.setState(useChoices.getInitialState(), true));

describe('how the bench is looked at', () => {
  it('begins with the shop as found, each drop with its own gate, static pressures', () => {
    expect(chosen()).toEqual({
      view: 'found',
      rule: 'one',
      pressure: 'static',
      drops: {},
      collectors: {},
      parts: {},
      tight: {},
    });
  });

  it('changes what is chosen and nothing else', () => {
    choose({ view: 'designed' });
    choose({ rule: 'now' });
    expect(chosen()).toMatchObject({ view: 'designed', rule: 'now', pressure: 'static' });
  });

  it('remembers a drop, a collector and a part for each shop by itself', () => {
    for (const [choosing, what] of [
      [chooseDrop, 'drops'],
      [chooseCollector, 'collectors'],
      [choosePart, 'parts'],
    ] as const) {
      choosing('one', 'a');
      choosing('two', 'b');
      choosing('one', 'c');
      expect(chosen()[what]).toEqual({ one: 'c', two: 'b' });
    }
  });
});
