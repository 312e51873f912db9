import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyShop } from '../../reference/any-shop';
import { copyOf, threeBranchShop } from '../../reference/sample-shops';
import { solveShop } from '../network/solve-shop';
import { fromSI } from '../quantity/units';
import { addCandidate } from './edit-candidates';
import version1 from './kept/version-1.json';
import version2 from './kept/version-2.json';
import version3 from './kept/version-3.json';
import { migrate } from './migrations';
import type { Shop } from './schema';
import { readShop, readShopFile, writeShopFile } from './shop-file';

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
        const read = readShopFile(writeShopFile(shop));
        expect(read).toEqual({ ok: true, shop: copyOf(shop) });
      }),
      { numRuns: 50 },
    );
  });

  it('of the present version, kept, reads as it stands', () => {
    const read = readShop(version3);
    expect(read.ok && read.shop).toEqual(version3);
  });

  it('of version 2, kept, still reads, whole', () => {
    const read = readShop(version2);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { shop } = read;
    expect(shop.version).toBe(3);
    expect(shop.machines).toEqual(
      version2.machines.map((machine) => ({ ...machine, size: null, feed: null })),
    );
    expect(shop.ducts.runs).toEqual(version2.ducts.runs.map((run) => ({ ...run, route: null })));
    expect(shop.log).toEqual({ ...version2.log, sounds: [], curveTests: [] });
    expect(shop.collector).toMatchObject(version2.collector);
    expect(shop.candidates).toMatchObject(version2.candidates);
    // A collector without a separator has nothing to stand on.
    const [first] = shop.candidates.filter(({ separator }) => separator.kind === 'none');
    expect(first?.stack.mount.kind).toBe('cart');
    expect(shop.collector.stack.mount.kind).toBe('onSeparator');
  });

  it('of version 2 predicts the air it predicted then', () => {
    const read = readShop(version2);
    if (!read.ok) throw new Error(read.faults[0].message);
    const now = solveShop(read.shop, { view: 'found' });
    // As version 2's own program solved it, with its planer's gate open.
    expect(now.kind === 'solved' && fromSI(now.blower.flow, 'cfm')).toBeCloseTo(576.6, 0);
  });

  it('of version 1, kept, still reads, whole', () => {
    const read = readShop(version1);
    if (!read.ok) throw new Error(read.faults[0].message);
    const { shop } = read;
    expect(shop.version).toBe(3);
    expect(shop.log).toEqual({ ...version1.log, sounds: [], curveTests: [] });
    expect(shop.machines).toMatchObject(version1.machines);
    // What version 1 did not know stands as it was silently taken to be.
    expect(shop.shop.rules).toMatchObject({ friction: 'darcy', gates: { kind: 'one' } });
    expect(shop.condition.joints).toEqual({ usual: 0, runs: [] });
    expect(shop.condition.pressureSide.area).toBe(0);
    const { kind, ...filter } = version1.collector.exhaust;
    expect(shop.collector.exhaust).toEqual({ kind, filter: { ...filter, grade: null } });
  });

  it('of version 1 predicts the air it predicted then', () => {
    const read = readShop(version1);
    if (!read.ok) throw new Error(read.faults[0].message);
    const now = solveShop(read.shop, { view: 'found' });
    // As version 1's own program solved it, with its planer's gate open. Joints of several legs are
    // reckoned a little differently since.
    expect(now.kind === 'solved' && fromSI(now.blower.flow, 'cfm')).toBeCloseTo(576.7, 0);
  });

  it.each([
    ['{ "format": "frank-gauge", ', /not JSON/],
    ['[1, 2]', /not a shop document/],
    ['{ "rows": [] }', /JSON, but not a Frank Gauge shop/],
    ['{ "format": "frank-gauge", "version": 4 }', /written by a newer Frank Gauge/],
    ['{ "format": "frank-gauge", "version": "1" }', /not a whole number/],
  ])('%s is refused with its reason', (text, reason) => {
    const read = readShopFile(text);
    expect(read.ok ? '' : read.faults[0].message).toMatch(reason);
  });

  it('names the place of a wrong value', () => {
    const faults = faultsOf((shop) => {
      runOf(shop, 1).length = -3;
    });
    expect(faults).toHaveLength(1);
    expect(faults[0]).toMatch(/^ducts\.runs\.1\.length: too small/);
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
      'a sound louder than any',
      (shop) => {
        const sound = {
          at: '2026-10-01T10:00:00Z',
          place: 'x',
          distance: null,
          hours: null,
          reckoned: null,
        };
        shop.log.sounds.push({ ...sound, id: 's', level: 400, note: '' });
      },
      /^log\.sounds\.0\.level: /,
    ],
    [
      'a day of thirty hours',
      (shop) => {
        const sound = {
          at: '2026-10-01T10:00:00Z',
          place: 'x',
          distance: null,
          level: 80,
          reckoned: null,
        };
        shop.log.sounds.push({ ...sound, id: 's', hours: 30, note: '' });
      },
      /^log\.sounds\.0\.hours: /,
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
    expect(twins.join()).toMatch(/two runs have the id/);
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
    });
    expect(migrate({ version: 2, b: 5 }, steps, 3)).toMatchObject({ ok: true });
  });

  it('say so when a step is missing', () => {
    expect(migrate({ version: 1 }, steps.slice(1), 3)).toMatchObject({ ok: false });
  });
});
