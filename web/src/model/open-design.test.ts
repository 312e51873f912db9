import { addDrop, type Shop } from '@frank-gauge/core/design';
import { solveShop } from '@frank-gauge/core/network';
import { produce } from 'immer';
import { describe, expect, it, vi } from 'vitest';
import { createStore } from 'zustand/vanilla';
import { sampleShop } from '@/storage/sample-records';
import type { Session } from '@/storage/session-state';
import { OpenDesign } from './open-design';

const openWith = (shop: Shop) => ({ status: 'open', id: shop.id, shop }) as Session;

/** A shop with one drop. */
function shopWithDrop(): Shop {
  const shop = sampleShop();
  let next = 0;
  addDrop(shop, 'inlet', 'tableSaw', () => `id${next++}`);
  return shop;
}

function opened() {
  const session = createStore<Session>(() => openWith(shopWithDrop()));
  const choices = createStore<{ view: 'found' | 'designed' }>(() => ({ view: 'found' }));
  const open = new OpenDesign(session, choices);
  const change = (recipe: (shop: Shop) => void) =>
    session.setState(openWith(produce(open.design, recipe)), true);
  return { session, choices, open, change };
}

describe('the open design', () => {
  it('has the air that solving it anew gives', () => {
    const { open, change } = opened();
    change((shop) => {
      for (const { gate } of shop.ducts.runs) if (gate) gate.open = true;
    });
    const afresh = solveShop(open.design, { view: 'found' });
    const { solution } = open;
    if (afresh.kind !== 'solved' || solution?.kind !== 'solved') throw new Error('unsolved');
    expect(solution.blower.flow).toBeCloseTo(afresh.blower.flow, 9);
    expect(open.air?.tree.drops.map(({ id }) => id)).toEqual(afresh.tree.drops.map(({ id }) => id));
  });

  it('answers the same objects until something its air depends on changes', () => {
    const { open, change } = opened();
    const { air, solution } = open;
    expect(open.air).toBe(air);
    change((shop) => {
      shop.shop.note = 'Main taped.';
    });
    expect(open.design.shop.note).toBe('Main taped.');
    expect(open.air).toBe(air);
    expect(open.solution).toBe(solution);
    change((shop) => {
      for (const run of shop.ducts.runs) run.diameter *= 1.1;
    });
    expect(open.air).not.toBe(air);
    expect(open.solution).not.toBe(solution);
  });

  it('looked at as designed has another air than as found, and says so to whoever listens', () => {
    const { open, choices, change } = opened();
    change((shop) => {
      shop.condition.filterLoading.value = 3;
    });
    const heard = vi.fn();
    const end = open.subscribe(heard);
    const found = open.air;
    choices.setState({ view: 'designed' });
    expect(heard).toHaveBeenCalledTimes(1);
    expect(open.air).not.toBe(found);
    change((shop) => {
      shop.shop.note = 'Anything.';
    });
    expect(heard).toHaveBeenCalledTimes(2);
    end();
    choices.setState({ view: 'found' });
    expect(heard).toHaveBeenCalledTimes(2);
  });

  it('has no air while its ducts lead nowhere, and has it again once they do', () => {
    const { open, change } = opened();
    const before = open.design.ducts;
    change((shop) => {
      for (const run of shop.ducts.runs) run.to = run.from;
    });
    expect([open.air, open.solution]).toEqual([null, null]);
    change((shop) => {
      shop.ducts = before;
    });
    expect(open.air).not.toBeNull();
  });

  it('of a session that has closed is the one that was open last; of none it says so', () => {
    const { open, session } = opened();
    const { design, air } = open;
    session.setState({ status: 'closed' }, true);
    expect(open.design).toBe(design);
    expect(open.air).toBe(air);
    const never = new OpenDesign(
      createStore<Session>(() => ({ status: 'closed' })),
      createStore(() => ({ view: 'found' as const })),
    );
    expect(() => never.design).toThrow('no shop is open');
  });
});
