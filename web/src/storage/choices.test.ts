import { beforeEach, describe, expect, it } from 'vitest';
import {
  choose,
  chooseCollector,
  chooseDrop,
  chooseMaker,
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
      makers: {},
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

  it('keeps the sizes of what is made, and of the sheets it is made from', () => {
    chooseMaker('one', { sizes: { drumLid: { drum: 0.57 } } });
    chooseMaker('one', { stock: { kerf: 0.002 } });
    chooseMaker('two', { maker: 'blastGate' });
    expect(chosen().makers).toEqual({
      one: { sizes: { drumLid: { drum: 0.57 } }, stock: { kerf: 0.002 } },
      two: { maker: 'blastGate' },
    });
  });
});
