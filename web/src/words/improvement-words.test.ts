import { improvementsOf } from '@frank-gauge/core/advice';
import { describe, expect, it } from 'vitest';
import {
  bagMachineOnHose,
  strongOnFourInch,
  untapedShop,
} from '../../../core/reference/advice-shops';
import { treeOf } from '../../../core/reference/plain-readings';
import { cautionOf, eventKindOf, safetyText, workName } from './improvement-words';

const names = {
  run: (id: string) => `run ${id}`,
  drop: (id: string) => `drop ${id}`,
  machine: (id: string) => `machine ${id}`,
  candidate: (id: string) => `candidate ${id}`,
  blower: (id: string) => `class ${id}`,
};

/** The same ducts with the air going other ways. */
const shops = [bagMachineOnHose(), untapedShop(), strongOnFourInch()].flatMap((shop) => {
  const outdoors = structuredClone(shop);
  outdoors.collector.exhaust = {
    ...{ kind: 'outdoors', diameter: 0.2, length: 3, pipe: 'galvanised' },
    ...{ lossCoefficient: 0.5, end: 'cap', heating: null, makeUp: null },
  };
  const elsewhere = structuredClone(shop);
  elsewhere.collector.exhaust = { kind: 'room', filter: null, opening: 0.02 };
  Object.assign(elsewhere.collector.blower, { breaker: 60, plug: 'us15' });
  elsewhere.collector.blower.motor.power /= 4;
  return [shop, outdoors, elsewhere];
});

describe('what is to be done', () => {
  it('is named in a sentence of its own, in either system', () => {
    for (const shop of shops) {
      const works = improvementsOf(shop, treeOf(shop)).map(({ work }) => work);
      for (const system of ['us', 'metric'] as const) {
        const said = works.map((work) => workName(work, names, system));
        expect(new Set(said).size).toBe(said.length);
        for (const each of said) expect(each).not.toMatch(/undefined|null|NaN|Infinity/);
      }
      for (const work of works) expect(eventKindOf(work)).toBeTruthy();
    }
  });

  it('says what becomes safe by it, and what would not stay so', () => {
    const safe = { isDrawnDown: false, isOverCircuit: false, isOverloaded: false };
    expect(safetyText(safe, safe)).toBe('');
    expect(safetyText({ ...safe, isOverCircuit: true }, safe)).toBe(
      'Circuit and plug then carry the motor. ',
    );
    expect(safetyText(safe, { ...safe, isDrawnDown: true })).toMatch(/^But then the shop/);
  });

  it('says what to mind wherever air leaves the room, or current flows', () => {
    const works = shops.flatMap((shop) =>
      improvementsOf(shop, treeOf(shop)).map(({ work }) => work),
    );
    const kinds = ['outdoors', 'makeup air', 'way back', 'plug', 'smaller impeller'] as const;
    for (const kind of kinds) {
      const work = works.find((each) => each.kind === kind);
      expect(work && cautionOf(work), kind).toMatch(/flue gas|electrician|Unplug/);
    }
  });
});
