import { describe, expect, it } from 'vitest';
import { STANDARD_DENSITY } from '../air/air-at-site';
import { BLOWER_CLASS_IDS, type BlowerClassId, blowerOfClass } from '../collector/blower-classes';
import { estimatedCurve } from '../collector/estimated-curve';
import { type Shop, VERSION } from '../design/schema';
import { usualAdvice } from '../design/usual-advice';
import { usualBuild } from '../design/usual-build';
import { usualUpkeep } from '../design/usual-upkeep';
import { emptyJournal } from '../journal/journal';
import { solveShop } from '../network/solve-shop';
import { fromSI, toSI } from '../quantity/units';
import version1 from './kept/version-1.json';
import version2 from './kept/version-2.json';
import version3 from './kept/version-3.json';
import version4 from './kept/version-4.json';
import version5 from './kept/version-5.json';
import version6 from './kept/version-6.json';
import version7 from './kept/version-7.json';
import version8 from './kept/version-8.json';
import version9 from './kept/version-9.json';
import version10 from './kept/version-10.json';
import version11 from './kept/version-11.json';
import version12 from './kept/version-12.json';
import version13 from './kept/version-13.json';
import version14 from './kept/version-14.json';
import version15 from './kept/version-15.json';
import version16 from './kept/version-16.json';
import version17 from './kept/version-17.json';
import { readShop, writeShopFile } from './shop-file';

/** Wheel in inches and flow in CFM of the library's blowers as version 3 had them. */
const OLD_CLASSES: Partial<Record<BlowerClassId, readonly [wheel: number, free: number]>> = {
  half: [8, 380],
  threeQuarter: [9, 520],
  one: [10, 680],
  oneAndHalf: [11, 880],
  two: [12, 1100],
  three: [14, 1500],
  five: [15.5, 2200],
};

/** A log as versions 1 to 4 kept it inside the document. */
interface OldLog {
  readonly readings: readonly { readonly node: string; readonly place: string }[];
  readonly sounds?: readonly unknown[];
  readonly curveTests?: readonly unknown[];
}

/** What it is as a journal: a test point for every port that was read, the readings taken there. */
function journalOfLog({ readings, sounds, curveTests, ...lists }: OldLog) {
  const names = new Map(readings.map(({ node, place }) => [node, place]));
  return {
    ...emptyJournal(),
    ...lists,
    sounds: sounds ?? [],
    fieldTests: curveTests ?? [],
    testPoints: [...names].map(([id, name]) => ({
      id,
      name,
      at: { kind: 'port', node: id },
      insideDiameter: null,
      note: '',
    })),
    readings: readings.map(({ node, place: _, ...reading }) => ({
      ...reading,
      testPoint: node,
      round: null,
    })),
  };
}

/** What was renamed with version 8, wherever it stands in the text of a document. */
const NEW_NAMES = {
  stack: 'assembly',
  heads: 'lossCoefficient',
  flowDoubt: 'flowUncertainty',
  pressureDoubt: 'pressureUncertainty',
  reckoned: 'expected',
};

function inNewNames<T>(document: T): T {
  const renamed = Object.entries(NEW_NAMES).reduce(
    (text, [from, to]) => text.replaceAll(`"${from}":`, `"${to}":`),
    JSON.stringify(document),
  );
  return JSON.parse(renamed);
}

/** Machines of a version before 13, as they read now. */
const onDucts = <Of extends { readonly ports: readonly object[] }>(machines: readonly Of[]) =>
  machines.map((machine) => ({
    ...machine,
    ports: machine.ports.map((port) => ({ ...port, servedBy: 'ducts' })),
  }));

/** Candidates of a version before 14, as they read now. */
const withMakeUp = <Of extends { readonly exhaust: { readonly kind: string } }>(
  candidates: readonly Of[],
) =>
  candidates.map(({ exhaust, ...candidate }) => ({
    ...candidate,
    exhaust: exhaust.kind === 'outdoors' ? { ...exhaust, makeUp: null } : exhaust,
  }));

interface Earlier {
  readonly candidates: readonly { readonly exhaust: { readonly kind: string } }[];
  readonly shop: { readonly rules: object };
  readonly machines: readonly { readonly ports: readonly object[] }[];
  readonly condition: object;
}

/** A design of version 2 to 10 where only later members are missing, as it reads now. */
const inPresent = <Design extends Earlier>(design: Design) => ({
  ...design,
  version: VERSION,
  shop: { ...design.shop, rules: { ...design.shop.rules, bleeds: [] } },
  machines: onDucts(design.machines),
  candidates: withMakeUp(design.candidates),
  condition: { ...design.condition, estimates: [] },
  advice: usualAdvice(),
  setAside: [],
  build: usualBuild(),
  upkeep: usualUpkeep(),
});

/** Events as the present version has them: none of an earlier one was a test. */
const withTests = <Journal extends { readonly events: readonly object[] }>(journal: Journal) => ({
  ...journal,
  events: journal.events.map((event) => ({ ...event, place: '', found: null })),
});

describe('a kept file', () => {
  it('of the present version, kept, reads as it stands', () => {
    const read = readShop(version17);
    const { journal, ...shop } = version17;
    expect(read).toEqual({ ok: true, shop, journal, renewed: [] });
    if (read.ok) expect(JSON.parse(writeShopFile(read.shop, read.journal))).toEqual(version17);
  });

  it('of version 16, kept, still reads: no emptying was of the bin below the filter', () => {
    const read = readShop(version16);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version16;
    const upkeep = { ...design.upkeep, filterEvery: usualUpkeep().filterEvery };
    expect(read.shop).toEqual({ ...design, version: VERSION, upkeep });
    expect(read.journal).toEqual(journal);
    expect(read.renewed).toEqual([]);
  });

  it('of version 15, kept, still reads: what is logged only gained what defaults fill in', () => {
    const read = readShop(version15);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version15;
    const upkeep = { ...design.upkeep, filterEvery: usualUpkeep().filterEvery };
    expect(read.shop).toEqual({ ...design, version: VERSION, upkeep });
    expect(read.journal).toEqual(withTests(journal));
    expect(read.renewed).toEqual([]);
  });

  it('of version 14, kept, still reads: it only gained what defaults fill in', () => {
    const read = readShop(version14);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version14;
    expect(read.shop).toEqual({ ...design, version: VERSION, upkeep: usualUpkeep() });
    expect(read.journal).toEqual(withTests(journal));
    expect(read.renewed).toEqual([]);
  });

  it('of version 13, kept, still reads: it only gained what defaults fill in', () => {
    const read = readShop(version13);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version13;
    expect(read.shop).toMatchObject({
      ...design,
      version: VERSION,
      build: usualBuild(),
      upkeep: usualUpkeep(),
    });
    expect(read.journal).toMatchObject(journal);
    const outdoors = read.shop.candidates.flatMap(({ exhaust }) =>
      exhaust.kind === 'outdoors' ? [exhaust] : [],
    );
    expect(outdoors).toHaveLength(1);
    expect(outdoors[0]?.makeUp).toBeNull();
    expect(read.renewed).toEqual([]);
  });

  it('of version 12, kept, still reads: it only gained what defaults fill in', () => {
    const read = readShop(version12);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version12;
    expect(read.shop).toMatchObject({
      ...design,
      version: VERSION,
      shop: { ...design.shop, rules: { ...design.shop.rules, bleeds: [] } },
      advice: { ...design.advice, weights: { ...design.advice.weights, dust: 1, space: 1 } },
    });
    expect(read.journal).toMatchObject(journal);
    const ports = read.shop.machines.flatMap((machine) => machine.ports);
    expect(ports.every(({ servedBy }) => servedBy === 'ducts')).toBe(true);
  });

  it('of version 11, kept, still reads: it only gained what defaults fill in', () => {
    const read = readShop(version11);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version11;
    expect(read.shop).toMatchObject({
      ...design,
      version: VERSION,
      advice: { ...design.advice, rules: { ...design.advice.rules, onCasters: false } },
      setAside: [],
    });
    expect(read.journal).toMatchObject(journal);
    expect(read.journal.events.every(({ bought }) => bought === null)).toBe(true);
    expect(read.renewed).toEqual([]);
  });

  it('of version 10, kept, still reads: nothing but its estimates is what the model says', () => {
    const read = readShop(version10);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version10;
    expect(read.shop).toEqual(inPresent(design));
    expect(read.journal).toMatchObject(journal);
    expect(read.renewed).toEqual([]);
  });

  it('of version 9, kept, still reads: its changes only gained what defaults fill in', () => {
    const read = readShop(version9);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version9;
    expect(read.shop).toEqual(inPresent(design));
    expect(read.journal).toMatchObject(journal);
    expect(read.journal.events.every(({ isHunt }) => !isHunt)).toBe(true);
    expect(read.renewed).toEqual([]);
  });

  it('of version 8, kept, still reads: some of its records only gained what defaults fill in', () => {
    const read = readShop(version8);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = version8;
    expect(read.shop).toEqual(inPresent(design));
    expect(read.journal).toMatchObject(journal);
    expect(read.journal.rounds[0]).toMatchObject({ spot: 'average' });
    expect(read.journal.sounds[0]).toMatchObject({ isSimulated: false });
    expect(read.journal.weighings[0]).toMatchObject({ isSimulated: false });
    expect(read.renewed).toEqual([]);
  });

  it('of version 7, kept, still reads: some of its members have other names now', () => {
    const read = readShop(version7);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...design } = inNewNames(version7);
    expect(read.shop).toEqual(inPresent(design));
    expect(read.journal).toMatchObject({ ...journal, revisions: [] });
    expect(read.journal).toMatchObject({ ...version8.journal, revisions: [] });
  });

  it('of version 6, kept, still reads: its records only gained what defaults fill in', () => {
    const read = readShop(version6);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...shop } = inNewNames(version6);
    expect(read.shop).toEqual(inPresent(shop));
    expect(read.journal).toMatchObject(journal);
    expect(read.journal.readings[0]).toMatchObject({
      method: 'absolute',
      traverse: null,
      struckOut: null,
      isSimulated: false,
    });
    expect(read.renewed).toEqual([]);
  });

  it('without a journal, as it lies in a zip, reads as a shop nobody has measured', () => {
    const { journal: _, ...design } = version7;
    const read = readShop(design);
    expect(read.ok && read.journal).toEqual(emptyJournal());
  });

  it('of version 5, kept, still reads: nothing changed but that a Y may be in it', () => {
    const { journal, ...shop } = inNewNames(version5);
    expect(readShop(version5)).toMatchObject({
      ok: true,
      shop: inPresent(shop),
      journal,
      renewed: [],
    });
  });

  it('of version 4, kept, still reads, its log as a journal of records', () => {
    const read = readShop(version4);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { log, version: _, ...design } = inNewNames(version4);
    expect(read.shop).toEqual(inPresent(design));
    expect(read.renewed).toEqual([]);
    expect(read.journal).toMatchObject(journalOfLog(log));
  });

  it('of version 3, kept, still reads, whole but for the estimates it renews', () => {
    const read = readShop(version3);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { shop, renewed } = read;
    expect(shop.version).toBe(VERSION);
    expect(read.journal).toMatchObject(journalOfLog(inNewNames(version3.log)));
    expect(shop.ducts).toEqual(version3.ducts);
    expect(shop.machines).toEqual(onDucts(version3.machines));
    // The cyclone and the spun-bond cartridge; its blower has a wheel of its own and stays.
    expect(shop.collector.separator).toEqual({
      ...inNewNames(version3.collector.separator),
      lossCoefficient: 3,
    });
    expect(shop.collector.exhaust).toEqual({
      kind: 'filter',
      filter: {
        ...version3.collector.exhaust.filter,
        permeability: expect.closeTo(toSI(10, 'perm_fpm'), 12),
        seasoned: 1,
      },
    });
    expect(shop.collector.blower).toEqual(version3.collector.blower);
    // The library's 3 hp blower of a candidate is renewed with its wheel and its bare flow.
    const bigger = shop.candidates.find(({ name }) => name === '3 hp');
    const { name, curve, efficiency } = blowerOfClass('three', 'us');
    expect(bigger?.blower).toMatchObject({ name, efficiency });
    bigger?.blower.curve.forEach(({ flow, pressure }, i) => {
      expect(flow).toBeCloseTo(curve[i]?.flow ?? Number.NaN, 9);
      expect(pressure).toBeCloseTo(curve[i]?.pressure ?? Number.NaN, 6);
    });
    const reports = renewed.map(({ kind, candidate }) => `${candidate ?? 'present'}: ${kind}`);
    expect(reports).toEqual([
      'present: separator',
      'present: filter',
      '3 hp: separator',
      '3 hp: filter',
      '3 hp: blower',
      'One stage: filter',
      'Out of the wall: separator',
    ]);
  });

  it('keeps what its owner typed or measured when it is renewed', () => {
    const own = structuredClone(version3);
    own.collector.separator.heads = 5.2;
    own.collector.exhaust.filter.permeability = toSI(21, 'perm_fpm');
    const typed = readShop(own);
    expect(typed.ok && typed.shop.collector.separator.lossCoefficient).toBe(5.2);
    expect(typed.ok && typed.renewed.filter(({ candidate }) => candidate === null)).toEqual([]);
    own.collector.separator.heads = 5;
    Object.assign(own.collector.separator.origin, { kind: 'fitted', on: '2026-10-01T10:00:00Z' });
    const fitted = readShop(own);
    expect(fitted.ok && fitted.shop.collector.separator.lossCoefficient).toBe(5);
  });

  it.each(BLOWER_CLASS_IDS.filter((id) => id in OLD_CLASSES))(
    'with the %s blower as the library had it gets the one it has now, on both kinds of mains',
    (id) => {
      const [wheel, free] = OLD_CLASSES[id] ?? [0, 0];
      for (const system of ['us', 'metric'] as const) {
        const now = blowerOfClass(id, system);
        const { speed } = now;
        const own = structuredClone(version3) as unknown as Record<'collector', Shop['collector']>;
        const wheelDiameter = toSI(wheel, 'in');
        const flow = toSI(free, 'cfm') * (speed / toSI(3450, 'rpm'));
        own.collector.blower = {
          ...now,
          curve: estimatedCurve(wheelDiameter, speed, flow, STANDARD_DENSITY),
          measured: { ...now.measured, wheelDiameter },
          wheelDiameter,
          efficiency: 0.5,
          breaker: 25,
        };
        const read = readShop(own);
        if (!read.ok) throw new Error(read.faults[0].message);
        const { blower } = read.shop.collector;
        expect(blower).toMatchObject({ name: now.name, efficiency: now.efficiency, breaker: 25 });
        expect(blower.wheelDiameter).toBeCloseTo(now.wheelDiameter, 12);
        blower.curve.forEach((point, i) => {
          expect(point.flow).toBeCloseTo(now.curve[i]?.flow ?? Number.NaN, 9);
          expect(point.pressure).toBeCloseTo(now.curve[i]?.pressure ?? Number.NaN, 6);
        });
      }
    },
  );

  it('of version 2, kept, still reads, whole', () => {
    const read = readShop(version2);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { shop } = read;
    expect(shop.version).toBe(VERSION);
    expect(shop.machines).toEqual(
      onDucts(version2.machines.map((machine) => ({ ...machine, size: null, feed: null }))),
    );
    expect(shop.ducts.runs).toEqual(version2.ducts.runs.map((run) => ({ ...run, route: null })));
    expect(read.journal).toMatchObject(journalOfLog(version2.log));
    const { separator, exhaust, ...rest } = version2.collector;
    expect(shop.collector).toMatchObject(rest);
    expect(shop.collector.separator).toMatchObject({
      ...inNewNames(separator),
      lossCoefficient: 3,
    });
    expect(shop.collector.exhaust).toMatchObject({ kind: exhaust.kind });
    expect(shop.candidates.map(({ name }) => name)).toEqual(
      version2.candidates.map(({ name }) => name),
    );
    // A collector without a separator has nothing to stand on.
    const [first] = shop.candidates.filter(({ separator }) => separator.kind === 'none');
    expect(first?.assembly.mount.kind).toBe('cart');
    expect(shop.collector.assembly.mount.kind).toBe('onSeparator');
  });

  it.each([
    ['1', version1],
    ['2', version2],
  ])(
    'of version %s predicts the air it predicted then, by the estimates it had then',
    (_, kept) => {
      const read = readShop(kept);
      if (!read.ok) throw new Error(read.faults[0].message);
      const { shop } = read;
      // What was renewed put back; hoses, which are smoother since, left out on both sides.
      shop.collector.separator.lossCoefficient = kept.collector.separator.heads;
      if (shop.collector.exhaust.kind === 'filter') {
        shop.collector.exhaust.filter.permeability = toSI(20, 'perm_fpm');
      }
      for (const run of shop.ducts.runs) run.hose = null;
      const now = solveShop(shop, { view: 'found' });
      // As the program of version 3 solved it without hoses, with its planer's gate open.
      expect(now.kind === 'solved' && fromSI(now.blower.flow, 'cfm')).toBeCloseTo(609.16, 1);
    },
  );

  it('of version 1, kept, still reads, whole', () => {
    const read = readShop(version1);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { shop } = read;
    expect(shop.version).toBe(VERSION);
    expect(read.journal).toMatchObject(journalOfLog(version1.log));
    expect(shop.machines).toMatchObject(version1.machines);
    // What version 1 did not know stands as it was silently taken to be.
    expect(shop.shop.rules).toMatchObject({ friction: 'darcy', gates: { kind: 'one' } });
    expect(shop.condition.joints).toEqual({ usual: 0, runs: [] });
    expect(shop.condition.pressureSide.area).toBe(0);
    const { kind, ...filter } = version1.collector.exhaust;
    expect(shop.collector.exhaust).toEqual({
      kind,
      filter: {
        ...filter,
        permeability: expect.closeTo(filter.permeability / 2, 12),
        seasoned: 1,
        grade: null,
      },
    });
  });
});
