import 'fake-indexeddb/auto';
import { jointsOfShop } from '@frank-gauge/core/assembly';
import { addDrop, newShop, type Shop } from '@frank-gauge/core/design';
import { solveShop } from '@frank-gauge/core/network';
import { toSI } from '@frank-gauge/core/quantity';
import { fitFieldTest } from '@frank-gauge/core/reading';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { beforeEach, describe, expect, it } from 'vitest';
import { database } from '@/storage/database';
import { eventually } from '@/storage/eventually';
import { shopSession, undo } from '@/storage/session';
import { addShop } from '@/storage/shop-list';
import { editMachine, placeEverything } from '../floor/edit-things';
import { moveTo, turnThings } from '../floor/edit-together';
import {
  addStep,
  adoptCoefficient,
  adoptCurve,
  adoptLoading,
  dropTest,
  editTest,
  removeStep,
  startTest,
} from './field-test/edit-tests';
import { forgetEnd, measureEnd } from './joints/edit-ends';

const curve = [
  { flow: 0, pressure: 2500 },
  { flow: 0.6, pressure: 0 },
];

const shop = (): Shop => {
  const session = shopSession.state.getState();
  if (session.status !== 'open') throw new Error(session.status);
  return session.shop;
};

function fieldTests() {
  const session = shopSession.state.getState();
  if (session.status !== 'open') throw new Error(session.status);
  return session.journal.fieldTests;
}

function lastTest() {
  const test = fieldTests().at(-1);
  if (!test) throw new Error('no test');
  return test;
}

function portJoint() {
  const arranged = arrangeDucts(shop());
  if (!arranged.ok) throw new Error('no tree');
  const [joint] = jointsOfShop(shop(), arranged.tree);
  if (!joint) throw new Error('no joint');
  return joint;
}

beforeEach(async () => {
  shopSession.close();
  await Promise.all(database().tables.map((table) => table.clear()));
  const fresh = newShop('one', 'One', 'us', curve);
  let next = 0;
  addDrop(fresh, 'inlet', 'planer', () => `id${next++}`);
  await addShop(fresh, { keepId: true });
  shopSession.open('one');
  await eventually(() => expect(shopSession.state.getState().status).toBe('open'));
});

describe('a field test that is written down', () => {
  /** Six openings of a blower of 2000 Pa and 0.5 m³/s, a filter of 900 Pa per m³/s behind it. */
  function writeDown(): void {
    startTest(shop());
    for (let i = 0; i < 5; i++) addStep(lastTest());
    const { tapDiameter, density } = lastTest();
    editTest(lastTest(), 'all', (own) => {
      own.steps.forEach((step, i) => {
        const flow = i * 0.06;
        const velocity = flow / ((Math.PI / 4) * tapDiameter ** 2);
        const rise = 2000 * (1 - (flow / 0.5) ** 1.9);
        const outlet = 900 * flow;
        Object.assign(step, {
          flow,
          outlet,
          inlet: rise - outlet + (density / 2) * velocity ** 2,
          ahead: rise - outlet + (density / 2) * velocity ** 2 * (1 - 4),
        });
      });
    });
  }

  it('starts in the shop’s own air, at its wheel’s speed, with the blocked inlet', () => {
    startTest(shop());
    const test = lastTest();
    expect(test.steps).toHaveLength(1);
    expect(test.speed).toBe(shop().collector.blower.speed);
    expect(test.tapDiameter).toBe(shop().collector.separator.inletDiameter);
    expect(test.density).toBeCloseTo(1.2, 1);
    removeStep(test, test.steps[0]?.id ?? '');
    expect(lastTest().steps).toEqual([]);
    dropTest(lastTest());
    expect(fieldTests()).toEqual([]);
  });

  it('becomes the blower’s curve, the filter’s loading and the separator’s heads, each undone', async () => {
    writeDown();
    const test = lastTest();
    const fit = fitFieldTest(test);
    const before = solveShop(shop(), { view: 'found' });
    adoptCurve(test, fit);
    adoptLoading(test, fit);
    adoptCoefficient(test, fit);
    const { blower, separator } = shop().collector;
    expect(blower.curve[0]?.pressure).toBeCloseTo(2000, 0);
    expect(blower.measured.density).toBe(test.density);
    expect(separator.lossCoefficient).toBeCloseTo(4, 6);
    expect(separator.origin).toEqual({ kind: 'fitted', on: test.at });
    // A spun-bond cartridge of 110 ft² takes 125 Pa / (10.2 m² · 0.0508 m/s) a m³/s when clean.
    expect(shop().condition.filterLoading.value).toBeCloseTo(900 / (125 / (10.219 * 0.0508)), 2);
    const after = solveShop(shop(), { view: 'found' });
    const flow = (solved: typeof after) => (solved.kind === 'solved' ? solved.blower.flow : 0);
    expect(flow(after)).toBeLessThan(flow(before));
    expect(await undo()).toBe('velocity heads');
    expect(await undo()).toBe('filter loading');
    expect(await undo()).toBe('blower curve');
    expect(shop().collector.blower.curve).toEqual(curve);
  });
});

describe('ends of joints', () => {
  it('are measured one by one, and forgotten again', () => {
    measureEnd(portJoint(), 'upstream', { inside: 0.12 });
    expect(portJoint().upstream).toMatchObject({ inside: 0.12, origin: 'measured' });
    const { outside } = portJoint().upstream;
    measureEnd(portJoint(), 'upstream', { outside: 0.124 });
    expect(portJoint().upstream).toMatchObject({ inside: 0.12, outside: 0.124 });
    expect(outside).not.toBe(0.124);
    expect(shop().ducts.measuredEnds).toHaveLength(1);
    forgetEnd(portJoint(), 'upstream');
    expect(portJoint().upstream.origin).toBe('estimate');
  });
});

describe('things on the floor', () => {
  it('are placed, moved, turned and sized', async () => {
    placeEverything();
    const [machine] = shop().machines;
    if (!machine) throw new Error('no machine');
    expect(machine.place).not.toBeNull();
    moveTo(machine.id, { x: 3, y: 2 });
    turnThings([machine.id], Math.PI / 2);
    editMachine(machine.id, 'size', (own) => {
      own.size = { width: toSI(30, 'in'), depth: 0.5 };
    });
    moveTo('collector-place', { x: 5, y: 1 });
    expect(shop().machines[0]).toMatchObject({ place: { x: 3, y: 2 }, turn: Math.PI / 2 });
    expect(shop().collector.place).toEqual({ x: 5, y: 1, z: 0 });
    expect(await undo()).toBe('move the collector');
    expect(shop().collector.place).not.toEqual({ x: 5, y: 1, z: 0 });
  });
});
