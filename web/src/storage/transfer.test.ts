import 'fake-indexeddb/auto';
import { writeShopFile } from '@frank-gauge/core/journal';
import { beforeEach, describe, expect, it } from 'vitest';
import { writeZip } from './bundle';
import { database } from './database';
import { stepChange } from './history';
import { readJournal } from './journal-tables';
import { sampleJournal, sampleShop } from './sample-records';
import { fileName } from './shop-file';
import { addShop, deleteShop, listShops, readPhotoFiles } from './shop-list';
import { exportShop, importShop } from './transfer';

const shop = sampleShop();
const journal = sampleJournal(200);
const photos = [
  {
    id: 'p1',
    bytes: Uint8Array.from({ length: 5000 }, (_, i) => (Math.imul(i + 1, 2654435761) >>> 13) & 255),
  },
];
const file = (content: string | Uint8Array, name = 'shop.json') =>
  new File([typeof content === 'string' ? content : new Uint8Array(content)], name);
const count = () => database().summaries.count();

beforeEach(() => Promise.all(database().tables.map((table) => table.clear())));

describe('exported and imported again', () => {
  it.each(['json', 'zip'] as const)('as %s, a shop is the same, under its own id', async (form) => {
    await addShop(shop, { keepId: true, journal, photos });
    const exported = await exportShop('one', form);
    expect(exported?.name).toBe(`one.frank-gauge.${form}`);
    await Promise.all(database().tables.map((table) => table.clear()));
    const bytes = new Uint8Array((await exported?.content.arrayBuffer()) ?? new ArrayBuffer(0));
    const imported = await importShop(file(bytes, exported?.name));
    expect(imported).toEqual({ kind: 'imported', id: 'one', name: 'One', isRenamed: false });
    expect((await database().designs.get('one'))?.document).toEqual(shop);
    expect(await readJournal(database(), 'one')).toEqual(journal);
    const pictures = (await readPhotoFiles(database(), 'one')).map(({ id, bytes }) => ({
      id,
      bytes,
    }));
    expect(pictures).toEqual(form === 'zip' ? photos : []);
  });

  it.each(['a/b', '..', 'x?y#z', 'a b', '%2e', 'ü', '<b>', '__proto__ '])(
    'with an id that cannot stand in an address (%j) gets another, and says so',
    async (id) => {
      const imported = await importShop(file(writeShopFile({ ...shop, id }, journal)));
      if (imported.kind !== 'imported') throw new Error(imported.kind);
      expect(imported.isRenamed).toBe(true);
      expect(imported.id).toMatch(/^[\w-]+$/);
      expect((await database().designs.get(imported.id))?.document.id).toBe(imported.id);
    },
  );

  it('is a file of its kind, named for the shop', async () => {
    await addShop(
      { ...shop, shop: { ...shop.shop, name: '“Bo’s”  Shop & Söhne – 2' } },
      { keepId: true },
    );
    const [json, zip] = [await exportShop('one', 'json'), await exportShop('one', 'zip')];
    expect(json?.name).toBe('bo-s-shop-söhne-2.frank-gauge.json');
    expect(json?.content.type).toBe('application/json');
    expect(zip?.content.type).toBe('application/zip');
    expect(fileName({ ...shop, shop: { ...shop.shop, name: '?!' } })).toBe('shop.frank-gauge');
    // As it lies where it is damaged.
    expect(fileName({ ...shop, shop: undefined } as never)).toBe('shop.frank-gauge');
  });

  it('a second time gets an id of its own', async () => {
    await importShop(file(writeShopFile(shop, journal)));
    const apart = { takesPart: false, known: 'apart' } as const;
    const again = await importShop(file(writeShopFile(shop, journal)), apart);
    expect(again.kind === 'imported' && again.id).not.toBe('one');
    // That is no renaming to be told of: the one it had is taken.
    expect(again).toMatchObject({ isRenamed: false });
    expect((await listShops()).map(({ name }) => name)).toEqual(['One', 'One']);
  });

  it('a shop that is not there is null', async () => {
    expect(await exportShop('none', 'json')).toBeNull();
  });
});

describe('a copy of a shop that is here', () => {
  const merging = (known: 'here' | 'there') => ({ takesPart: false, known }) as const;
  const note = 'Written on the phone.';
  /** The shop as the phone sends it back: two readings and a picture more, an edited note, another design. */
  function fromPhone() {
    const [first, second] = journal.readings;
    const [sound] = journal.sounds;
    if (!first || !second || !sound) throw new Error('no records');
    const readings = [...journal.readings, { ...first, id: 'new-1' }, { ...second, id: 'new-2' }];
    const edited = { ...sound, note };
    const revision = {
      id: `sounds/${sound.id}`,
      revised: '2026-11-20T08:00:00Z',
      of: { kind: 'sounds', id: sound.id },
      isRemoved: false,
    };
    return {
      shop: { ...shop, shop: { ...shop.shop, note: 'Longer hose' } },
      journal: { ...journal, readings, sounds: [edited], revisions: [revision] },
      photos,
    };
  }

  it('stores nothing before it is chosen, and says what merging it would do', async () => {
    await addShop(shop, { keepId: true, journal });
    const asked = await importShop(file(writeZip(fromPhone()), 'phone.zip'));
    if (asked.kind !== 'known') throw new Error(asked.kind);
    expect(asked.report).toMatchObject({
      added: [{ record: { id: 'new-1' } }, { record: { id: 'new-2' } }],
      adopted: [{ kind: 'sounds', there: { note } }],
      kept: [],
      removed: [],
      differences: [{ area: 'shop', members: ['note'] }],
    });
    expect(await readJournal(database(), 'one')).toEqual(journal);
  });

  it.each([
    ['here', shop.shop.note],
    ['there', 'Longer hose'],
  ] as const)('merges with the design %s, in one step that can be undone', async (design, then) => {
    await addShop(shop, { keepId: true, journal });
    const merged = await importShop(file(writeZip(fromPhone()), 'phone.zip'), merging(design));
    expect(merged).toMatchObject({ kind: 'merged', id: 'one', name: 'One' });
    const stored = await readJournal(database(), 'one');
    expect(stored.readings).toHaveLength(202);
    expect(stored.sounds).toMatchObject([{ note }]);
    // The edit keeps the time it was made on the phone.
    expect(stored.revisions).toMatchObject([{ revised: '2026-11-20T08:00:00Z' }]);
    expect((await database().designs.get('one'))?.document.shop.note).toBe(then);
    expect(await readPhotoFiles(database(), 'one')).toMatchObject(photos.map(({ id }) => ({ id })));
    expect(await database().summaries.get('one')).toMatchObject({ readings: 202, cursor: 1 });
    const again = await importShop(file(writeZip(fromPhone()), 'phone.zip'));
    expect(again.kind === 'known' && again.report.added).toEqual([]);
    await stepChange(database(), 'one', -1, new Date());
    expect(await readJournal(database(), 'one')).toEqual(journal);
    expect((await database().designs.get('one'))?.document).toEqual(shop);
  });

  it('is a shop of its own where the one here was thrown away', async () => {
    await addShop(shop, { keepId: true, journal });
    await deleteShop('one');
    expect((await importShop(file(writeZip(fromPhone()), 'phone.zip'))).kind).toBe('imported');
  });

  it('is refused as a whole where a record of it is wrong', async () => {
    await addShop(shop, { keepId: true, journal });
    const broken = fromPhone();
    const [first] = broken.journal.readings;
    const readings = [...journal.readings, { ...first, id: 'new-1', diameter: 99 } as never];
    const text = writeShopFile(broken.shop, { ...broken.journal, readings });
    const refused = await importShop(file(text), merging('here'));
    expect(refused.kind === 'refused' && refused.reason).toMatch(
      /shop\.json: at journal\.readings/,
    );
    expect(await readJournal(database(), 'one')).toEqual(journal);
  });
});

describe('a file', () => {
  it.each([
    ['nonsense', /shop\.json: it is not JSON/],
    ['{"a":1}', /shop\.json: at format, it is JSON, but not a Frank Gauge shop/],
    [JSON.stringify({ ...shop, version: 99 }), /shop\.json: at version, .* newer Frank Gauge/],
    [
      JSON.stringify({ ...shop, machines: 'none', room: 3 }),
      /shop\.json: at room, .*and 1 more\)\./,
    ],
  ])('%.20s is refused with place and reason, and nothing is stored', async (text, reason) => {
    const imported = await importShop(file(text));
    expect(imported.kind === 'refused' && imported.reason).toMatch(reason);
    expect(await count()).toBe(0);
  });

  it('far too large is not even read', async () => {
    const huge = file('');
    Object.defineProperty(huge, 'size', { value: 120_000_000 });
    Object.defineProperty(huge, 'arrayBuffer', {
      value: () => {
        throw new Error('was read');
      },
    });
    const imported = await importShop(huge);
    expect(imported.kind === 'refused' && imported.reason).toMatch(
      /at 120 MB it is larger than any shop; the most is 100 MB/,
    );
    // A zip may be: its photos take room.
    const zip = file(writeZip({ shop, journal, photos }), 'shop.zip');
    Object.defineProperty(zip, 'size', { value: 120_000_000 });
    expect((await importShop(zip)).kind).toBe('imported');
  });

  it('that storage refuses is refused, and nothing of it is left', async () => {
    const twins = { ...journal, photos: [] };
    const zip = writeZip({ shop, journal: twins, photos: [] });
    const [sound] = journal.sounds;
    const time = Date.parse(sound?.at ?? '');
    await database().table('sounds').put({ shop: 'one', time, record: sound });
    const imported = await importShop(file(zip, 'shop.zip'));
    expect(imported.kind === 'refused' && imported.reason).toMatch(/could not store it/);
    expect(await count()).toBe(0);
    expect(await database().table('readings').count()).toBe(0);
  });

  it('that ends early stores nothing until it is said to take what is whole', async () => {
    const zip = writeZip({ shop, journal, photos });
    const cut = file(zip.subarray(0, zip.length - 6000), 'shop.zip');
    const first = await importShop(cut);
    if (first.kind !== 'cut off') throw new Error(first.kind);
    expect(first).toMatchObject({ name: 'One', promised: 204 });
    expect(await count()).toBe(0);
    const taken = await importShop(cut, { takesPart: true, known: 'ask' });
    expect(taken).toEqual({ kind: 'imported', id: 'one', name: 'One', isRenamed: false });
    const stored = await readJournal(database(), 'one');
    const lists = Object.values(stored) as unknown[][];
    expect(lists.reduce((sum, { length }) => sum + length, 0)).toBe(first.whole);
    expect(stored.readings).toEqual(journal.readings.slice(0, stored.readings.length));
  });
});
