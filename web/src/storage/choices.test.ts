import { beforeEach, describe, expect, it } from 'vitest';
import {
  choose,
  chooseCollector,
  chooseDrop,
  choosePart,
  chooseTemplate,
  useChoices,
} from './choices';

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
      templates: {},
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

  it('keeps what is typed for a template, whatever is typed for another', () => {
    chooseTemplate('one', { drum: { pipe: 0.1 } });
    chooseTemplate('two', { kind: 'lid' });
    chooseTemplate('one', { paper: 'a4' });
    expect(chosen().templates).toEqual({
      one: { drum: { pipe: 0.1 }, paper: 'a4' },
      two: { kind: 'lid' },
    });
  });
});
