import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../reference/any-shop';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { STANDARD_DENSITY } from '../air/air-at-site';
import { BLOWER_CLASS_IDS, type BlowerClassId, blowerOfClass } from '../collector/blower-classes';
import { estimatedCurve } from '../collector/estimated-curve';
import { addCandidate } from '../design/edit-candidates';
import { type Shop, VERSION } from '../design/schema';
import { emptyJournal } from '../journal/journal';
import { solveShop } from '../network/solve-shop';
import { fromSI, toSI } from '../quantity/units';
import { shopJsonSchema } from './json-schema';
import version1 from './kept/version-1.json';
import version2 from './kept/version-2.json';
import version3 from './kept/version-3.json';
import version4 from './kept/version-4.json';
import version5 from './kept/version-5.json';
import version6 from './kept/version-6.json';
import version7 from './kept/version-7.json';
import { migrate } from './migrations';
import {
  faultOfDesign,
  faultOfEdit,
  LARGEST_FILE,
  readShop,
  readShopFile,
  writeShopFile,
} from './shop-file';

/** The faults a changed document is refused with, as `path: message`. */
function faultsOf(change: (shop: Shop) => void): string[] {
  const shop = copyOf(threeBranchShop());
  change(shop);
  const read = readShop(shop);
  return read.ok ? [] : read.faults.map(({ path, message }) => `${path}: ${message}`);
}

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

const runOf = (shop: Shop, index: number) => {
  const run = shop.ducts.runs[index];
  if (!run) throw new Error('no such run');
  return run;
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

describe('a shop file', () => {
  it('read again is the same document', () => {
    fc.assert(
      fc.property(anyShop({ junctions: 'momentum' }), (shop) => {
        const read = readShopFile(writeShopFile(shop, emptyJournal()));
        expect(read).toEqual({
          ok: true,
          shop: copyOf(shop),
          journal: emptyJournal(),
          renewed: [],
        });
      }),
      { numRuns: 50 },
    );
  });

  it('of the present version, kept, reads as it stands', () => {
    const read = readShop(version7);
    const { journal, ...shop } = version7;
    expect(read).toEqual({ ok: true, shop, journal, renewed: [] });
    if (read.ok) expect(JSON.parse(writeShopFile(read.shop, read.journal))).toEqual(version7);
  });

  it('of version 6, kept, still reads: its records only gained what defaults fill in', () => {
    const read = readShop(version6);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { journal, ...shop } = version6;
    expect(read.shop).toEqual({ ...shop, version: VERSION });
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
    const { journal, ...shop } = version5;
    expect(readShop(version5)).toMatchObject({
      ok: true,
      shop: { ...shop, version: VERSION },
      journal,
      renewed: [],
    });
  });

  it('of version 4, kept, still reads, its log as a journal of records', () => {
    const read = readShop(version4);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { log, version: _, ...design } = version4;
    expect(read.shop).toEqual({ ...design, version: VERSION });
    expect(read.renewed).toEqual([]);
    expect(read.journal).toMatchObject(journalOfLog(log));
  });

  it('of version 3, kept, still reads, whole but for the estimates it renews', () => {
    const read = readShop(version3);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { shop, renewed } = read;
    expect(shop.version).toBe(VERSION);
    expect(read.journal).toMatchObject(journalOfLog(version3.log));
    expect(shop.ducts).toEqual(version3.ducts);
    expect(shop.machines).toEqual(version3.machines);
    // The cyclone and the spun-bond cartridge; its blower has a wheel of its own and stays.
    expect(shop.collector.separator).toEqual({ ...version3.collector.separator, heads: 3 });
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
    const own = structuredClone(version3) as unknown as Record<'collector', Shop['collector']>;
    own.collector.separator.heads = 5.2;
    if (own.collector.exhaust.kind === 'filter') {
      own.collector.exhaust.filter.permeability = toSI(21, 'perm_fpm');
    }
    const typed = readShop(own);
    expect(typed.ok && typed.shop.collector.separator.heads).toBe(5.2);
    expect(typed.ok && typed.renewed.filter(({ candidate }) => candidate === null)).toEqual([]);
    own.collector.separator.heads = 5;
    own.collector.separator.origin = { kind: 'fitted', on: '2026-10-01T10:00:00Z' };
    const fitted = readShop(own);
    expect(fitted.ok && fitted.shop.collector.separator.heads).toBe(5);
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
      version2.machines.map((machine) => ({ ...machine, size: null, feed: null })),
    );
    expect(shop.ducts.runs).toEqual(version2.ducts.runs.map((run) => ({ ...run, route: null })));
    expect(read.journal).toMatchObject(journalOfLog(version2.log));
    const { separator, exhaust, ...rest } = version2.collector;
    expect(shop.collector).toMatchObject(rest);
    expect(shop.collector.separator).toMatchObject({ ...separator, heads: 3 });
    expect(shop.collector.exhaust).toMatchObject({ kind: exhaust.kind });
    expect(shop.candidates.map(({ name }) => name)).toEqual(
      version2.candidates.map(({ name }) => name),
    );
    // A collector without a separator has nothing to stand on.
    const [first] = shop.candidates.filter(({ separator }) => separator.kind === 'none');
    expect(first?.stack.mount.kind).toBe('cart');
    expect(shop.collector.stack.mount.kind).toBe('onSeparator');
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
      shop.collector.separator.heads = kept.collector.separator.heads;
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

  it.each([
    ['{ "format": "frank-gauge", ', /not JSON/],
    ['[1, 2]', /not a shop document/],
    ['{ "rows": [] }', /JSON, but not a Frank Gauge shop/],
    [`{ "format": "frank-gauge", "version": ${VERSION + 1} }`, /written by a newer Frank Gauge/],
    ['{ "format": "frank-gauge", "version": "1" }', /not a whole number/],
    ['{ "format": "frank-gauge", "version": 0 }', /its version, 0, is not a whole number/],
    ['{ "format": "frank-gauge", "version": 2.5 }', /its version, 2.5, is not a whole number/],
  ])('%s is refused with its reason', (text, reason) => {
    const read = readShopFile(text);
    expect(read.ok ? '' : read.faults[0].message).toMatch(reason);
  });

  it.each([
    [null, '', 'it is not a shop document'],
    [7, '', 'it is not a shop document'],
    ['a shop', '', 'it is not a shop document'],
    [undefined, '', 'it is not a shop document'],
    [{ format: 'another' }, 'format', 'it is JSON, but not a Frank Gauge shop'],
    [{ format: 'frank-gauge', collectors: [] }, 'collector', /^a shop has one blower; /],
    [{ format: 'frank-gauge', collector: [{}, {}] }, 'collector', /^a shop has one blower; /],
    [{ format: 'frank-gauge', version: 'x' }, 'version', /^its version, "x", is not/],
  ])('the document %j is refused, at %j', (document, path, says) => {
    const read = readShop(document);
    expect(read.ok ? [] : read.faults).toEqual([
      { path, message: typeof says === 'string' ? says : expect.stringMatching(says) },
    ]);
  });

  it('names the id that two records share, and begins each message in lower case', () => {
    const document = structuredClone(version5);
    Object.assign(document.journal.sounds[0] ?? {}, { level: 400, hours: -1 });
    const read = readShop(document);
    expect(read.ok ? [] : read.faults.map(({ path }) => path)).toEqual([
      'journal.sounds.0.level',
      'journal.sounds.0.hours',
    ]);
    for (const { message } of read.ok ? [] : read.faults) expect(message).not.toMatch(/^[A-Z]/);
    const twins = structuredClone(version5);
    const [first, second] = twins.journal.readings;
    Object.assign(second ?? {}, { id: first?.id });
    const refused = readShop(twins);
    expect(refused.ok ? '' : refused.faults[0].message).toBe(
      `two records have the id '${first?.id}'`,
    );
  });

  it('is refused unread where it is larger than any shop could be', () => {
    const read = readShopFile(' '.repeat(LARGEST_FILE + 1));
    expect(read.ok ? '' : read.faults[0]).toEqual({
      path: '',
      message: 'it is larger than 100 MB, more than any shop needs',
    });
    // A text of exactly that size is read, and is not JSON.
    const just = readShopFile(' '.repeat(LARGEST_FILE));
    expect(just.ok ? '' : just.faults[0]).toEqual({
      path: '',
      message: expect.stringMatching(/^it is not JSON \(.+\)$/),
    });
  });

  it('has its journal at the end, one record a line, without empty lists', () => {
    const shop = threeBranchShop();
    const empty = writeShopFile(shop, emptyJournal());
    expect(empty).toMatch(/\n {2}"journal": \{\}\n\}\n$/);
    expect(JSON.parse(empty)).toEqual({ ...shop, journal: {} });
    const read = readShop(version5);
    if (!read.ok) throw new Error('refused');
    const journal = { ...emptyJournal(), readings: read.journal.readings };
    const text = writeShopFile(shop, journal);
    expect(Object.keys(JSON.parse(text).journal)).toEqual(['readings']);
    const lines = text.split('\n').filter((line) => line.startsWith('      {"id":'));
    expect(lines).toHaveLength(journal.readings.length);
    // A brace at the start of a line in a note does no harm.
    shop.shop.note = 'one\n}\ntwo';
    const noted = readShopFile(writeShopFile(shop, journal));
    expect(noted.ok && noted.shop.shop.note).toBe('one\n}\ntwo');
  });

  it('a curve is held to what blowers do, brought to the speed and the wheel it runs with', () => {
    const faultWith = (change: { speed?: number; wheelDiameter?: number }) => {
      const shop = threeBranchShop();
      const { measured, curve } = shop.collector.blower;
      Object.assign(measured, { speed: 50, wheelDiameter: 0.3 });
      Object.assign(shop.collector.blower, { speed: 50, wheelDiameter: 0.3, ...change });
      expect(Math.max(...curve.map(({ pressure }) => pressure))).toBe(2500);
      return faultOfDesign(shop)?.message;
    };
    // Pressure goes with the square of speed and of wheel: 2,500 Pa reach 50,000 at √20 = 4.47 times.
    expect(faultWith({ speed: 4.4 * 50 })).toBeUndefined();
    expect(faultWith({ speed: 4.6 * 50 })).toMatch(/beyond any blower/);
    // Flow only with the wheel itself, as in one housing: 0.6 m³/s stay far from 50.
    expect(faultWith({ wheelDiameter: 4.4 * 0.3 })).toBeUndefined();
    expect(faultWith({ wheelDiameter: 4.6 * 0.3 })).toMatch(/beyond any blower/);
  });

  it('an edit is checked by the parts it changed, and those alone', () => {
    const shop = threeBranchShop();
    const wrong = copyOf(shop);
    runOf(wrong, 1).length = -3;
    const fault = { path: 'ducts.runs.1.length', message: '0 is the least' };
    expect(faultOfEdit(shop, wrong)).toEqual(fault);
    expect(faultOfEdit(wrong, { ...wrong, shop: { ...wrong.shop, note: 'more' } })).toBeNull();
    expect(faultOfEdit(shop, { ...shop, shop: { ...shop.shop, name: '' } })).toEqual({
      path: 'shop.name',
      message: 'it is empty',
    });
    expect(faultOfEdit(shop, shop)).toBeNull();
    // A list that grows is held to its length, a field that has no meaning is found, a curve stays one.
    const doors = Array.from({ length: 101 }, (_, i) => ({
      id: `d${i}`,
      wall: 0,
      along: 0,
      width: 1,
    }));
    expect(faultOfEdit(shop, { ...shop, room: { ...shop.room, doors } })?.path).toBe('room.doors');
    const stray = { ...shop, room: { ...shop.room, stray: 1 } };
    expect(faultOfEdit(shop, stray)?.message).toBe('“stray” has no meaning here');
    const { blower } = shop.collector;
    const curve = blower.curve.with(-1, { flow: 0, pressure: 0 });
    const backward = { ...shop, collector: { ...shop.collector, blower: { ...blower, curve } } };
    expect(faultOfEdit(shop, backward)?.message).toMatch(/goes backward/);
  });

  it('a design is checked by itself before it is stored: its values, then its ducts', () => {
    const shop = threeBranchShop();
    expect(faultOfDesign(shop)).toBeNull();
    const wrong = copyOf(shop);
    runOf(wrong, 1).length = -3;
    expect(faultOfDesign(wrong)).toEqual({
      path: 'ducts.runs.1.length',
      message: '0 is the least',
    });
    const loose = copyOf(shop);
    runOf(loose, 1).from = 'nowhere';
    expect(faultOfDesign(loose)).toEqual({
      path: expect.stringMatching(/^ducts\.runs\.1/),
      message: expect.stringMatching(/nowhere|does not|no /),
    });
  });

  it('is described by a JSON Schema that says its version and its units', () => {
    const schema = shopJsonSchema();
    expect(schema.title).toBe(`Frank Gauge shop, version ${VERSION}`);
    expect(schema.description).toMatch(/^Everything in SI/);
    expect(schema.type).toBe('object');
    // It describes a file as written: what a default fills in may be left out.
    const { properties, required } = schema as { properties: object; required: string[] };
    expect(Object.keys(properties)).toContain('journal');
    expect(required).toContain('format');
    expect(required).not.toContain('journal');
  });

  it('names the place of a wrong value', () => {
    const faults = faultsOf((shop) => {
      runOf(shop, 1).length = -3;
    });
    expect(faults).toHaveLength(1);
    expect(faults[0]).toMatch(/^ducts\.runs\.1\.length: 0 is the least/);
  });

  it.each([
    [
      'a bin without height',
      (shop) => {
        shop.collector.stack.bin.height = 0;
      },
      /^collector\.stack\.bin\.height: /,
    ],
    [
      'a lid hung below the floor',
      (shop) => {
        shop.collector.stack.separator.hungAt = -1;
      },
      /^collector\.stack\.separator\.hungAt: /,
    ],
    [
      'half a person to lift',
      (shop) => {
        shop.collector.stack.people = 0.5;
      },
      /^collector\.stack\.people: /,
    ],
    [
      'a band of no length',
      (shop) => {
        shop.ducts.stock.bands = [0.6, 0];
      },
      /^ducts\.stock\.bands\.1: /,
    ],
    [
      'an enclosure whose lining takes more sound than there is',
      (shop) => {
        shop.collector.exhaust = {
          kind: 'enclosure',
          filter: null,
          returnFilter: { area: 0.3, velocity: 1.5, pressure: 60 },
          box: { length: 1, width: 1, height: 1, surfaceMass: 11, absorption: 1.4 },
        };
      },
      /^collector\.exhaust\.box\.absorption: /,
    ],
    [
      'a candidate that stands on nothing known',
      (shop) => {
        addCandidate(shop, 'Other', () => 'other');
        const [own] = shop.candidates;
        if (own) own.stack.mount = { kind: 'wall', height: Number.NaN };
      },
      /^candidates\.0\.stack\.mount\.height: /,
    ],
  ] as [string, (shop: Shop) => void, RegExp][])('refuses %s, at its place', (_, change, place) => {
    expect(faultsOf(change)[0]).toMatch(place);
  });

  it.each([
    [
      'a sound louder than any',
      ({ sounds: [first] }) => Object.assign(first ?? {}, { level: 400 }),
      'journal.sounds.0.level',
    ],
    [
      'a day of thirty hours',
      ({ sounds: [first] }) => Object.assign(first ?? {}, { hours: 30 }),
      'journal.sounds.0.hours',
    ],
    [
      'a photo that would lie outside its folder',
      ({ photos: [first] }) => Object.assign(first ?? {}, { file: '../../x.jpg' }),
      'journal.photos.0.file',
    ],
    [
      'two readings with one id',
      ({ readings: [first, second] }) => Object.assign(second ?? {}, { id: first?.id }),
      'journal.readings.1.id',
    ],
  ] as [string, (journal: typeof version5.journal) => unknown, string][])(
    'refuses %s, at its place',
    (_, change, place) => {
      const document = structuredClone(version5);
      change(document.journal);
      const read = readShop(document);
      expect(read.ok ? '' : read.faults[0].path).toBe(place);
    },
  );

  it('refuses a curve whose flow goes backward, at its point', () => {
    const faults = faultsOf((shop) => {
      shop.collector.blower.curve = [
        { flow: 0, pressure: 2000 },
        { flow: 0.3, pressure: 1500 },
        { flow: 0.2, pressure: 900 },
      ];
    });
    expect(faults[0]).toMatch(/^collector\.blower\.curve\.2\.flow: the curve's flow goes backward/);
  });

  it('refuses a loop', () => {
    const faults = faultsOf((shop) => {
      // The main now ends at its own upstream end's drop… and that drop at the main's.
      const main = runOf(shop, 0);
      shop.ducts.nodes.push({ id: 'round', kind: { kind: 'joint' }, at: null, style: {} });
      shop.ducts.runs.push({ ...main, id: 'back', name: 'Back', from: 'round', to: main.from });
      shop.ducts.runs.push({ ...main, id: 'forth', name: 'Forth', from: main.to, to: 'round' });
    });
    expect(faults.join('\n')).toMatch(/leads air out of the collector inlet/);
    const inner = faultsOf((shop) => {
      const main = runOf(shop, 0);
      for (const id of ['a', 'b']) {
        shop.ducts.nodes.push({ id, kind: { kind: 'joint' }, at: null, style: {} });
      }
      shop.ducts.runs.push({ ...main, id: 'ab', name: 'Round', from: 'a', to: 'b' });
      shop.ducts.runs.push({ ...main, id: 'ba', name: 'About', from: 'b', to: 'a' });
    });
    expect(inner.join('\n')).toMatch(/ducts\.runs\.4: 'Round' is part of a loop/);
  });

  it('refuses a run attached to nothing, and one to a node that is not there', () => {
    const loose = faultsOf((shop) => {
      const main = runOf(shop, 0);
      for (const id of ['a', 'b']) {
        shop.ducts.nodes.push({ id, kind: { kind: 'joint' }, at: null, style: {} });
      }
      shop.ducts.runs.push({ ...main, id: 'ab', name: 'Loose', from: 'a', to: 'b' });
    });
    expect(loose).toEqual([
      "ducts.runs.4: 'Loose' is attached to nothing that leads to the blower",
    ]);
    const missing = faultsOf((shop) => {
      runOf(shop, 2).to = 'nowhere';
    });
    expect(missing[0]).toMatch(/ducts\.runs\.2\.to: .* there is no node 'nowhere'/);
  });

  it('refuses what would make the ducts ambiguous', () => {
    const twice = faultsOf((shop) => {
      runOf(shop, 2).joins = { kind: 'straight' };
      runOf(shop, 1).joins = { kind: 'straight' };
    });
    expect(twice.join()).toMatch(/both run straight into/);
    const noPort = faultsOf((shop) => {
      shop.machines.splice(0, 1);
    });
    expect(noPort.join()).toMatch(/there is no machine/);
    const twins = faultsOf((shop) => {
      runOf(shop, 2).id = runOf(shop, 1).id;
    });
    expect(twins.join()).toMatch(/ducts.runs.2.id: another has the id 'saw' already/);
  });

  it('refuses two things of one id in any list, and takes the same id in lists apart', () => {
    const door = { id: 'd', wall: 0, along: 0, width: 1 };
    const doors = faultsOf(({ room }) => {
      room.doors = [door, { ...door, along: 2 }];
    });
    expect(doors.join()).toMatch(/room.doors.1.id: another has the id 'd' already/);
    const apart = faultsOf(({ room }) => {
      room.doors = [door];
      room.windows = [{ ...door, wall: 1 }];
    });
    expect(apart).toEqual([]);
    const machines = faultsOf((shop) => {
      const [first, second] = shop.machines;
      if (first && second) second.id = first.id;
    });
    expect(machines.join()).toMatch(/machines.1.id: another has the id/);
  });
});

describe('migrations', () => {
  const steps = [
    {
      from: 1,
      what: 'a is b',
      migrate: ({ a, ...rest }: Record<string, unknown>) => ({ ...rest, b: a }),
    },
    { from: 2, what: 'c', migrate: (document: Record<string, unknown>) => ({ ...document, c: 1 }) },
  ];

  it('go one by one, in order', () => {
    expect(migrate({ version: 1, a: 5 }, steps, 3)).toEqual({
      ok: true,
      document: { version: 3, b: 5, c: 1 },
      renewed: [],
    });
    expect(migrate({ version: 2, b: 5 }, steps, 3)).toMatchObject({ ok: true });
  });

  it('say so when a step is missing', () => {
    expect(migrate({ version: 1 }, steps.slice(1), 3)).toEqual({
      ok: false,
      reason: 'no way is known from its version 1 to 3',
    });
  });
});
