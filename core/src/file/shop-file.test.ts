import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../reference/any-shop';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { addCandidate } from '../design/edit-candidates';
import { type Shop, VERSION } from '../design/schema';
import { emptyJournal } from '../journal/journal';
import { shopJsonSchema } from './json-schema';
import version5 from './kept/version-5.json';
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

const runOf = (shop: Shop, index: number) => {
  const run = shop.ducts.runs[index];
  if (!run) throw new Error('no such run');
  return run;
};

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
  ])('the document %j is refused, at %j', (document, path, expected) => {
    const read = readShop(document);
    expect(read.ok ? [] : read.faults).toEqual([
      { path, message: typeof expected === 'string' ? expected : expect.stringMatching(expected) },
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
        shop.collector.assembly.bin.height = 0;
      },
      /^collector\.assembly\.bin\.height: /,
    ],
    [
      'a lid hung below the floor',
      (shop) => {
        shop.collector.assembly.separator.hungAt = -1;
      },
      /^collector\.assembly\.separator\.hungAt: /,
    ],
    [
      'half a person to lift',
      (shop) => {
        shop.collector.assembly.people = 0.5;
      },
      /^collector\.assembly\.people: /,
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
        if (own) own.assembly.mount = { kind: 'wall', height: Number.NaN };
      },
      /^candidates\.0\.assembly\.mount\.height: /,
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
