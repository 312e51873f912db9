import { type Shop, VERSION } from '@frank-gauge/core/design';
import { readShop, writeShopFile } from '@frank-gauge/core/journal';
import fc from 'fast-check';
import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import version4 from '../../../core/src/file/kept/version-4.json';
import kept from '../../../core/src/file/kept/version-17.json';
import { type Bundle, readBundle, writeZip } from './bundle';
import { sampleJournal, sampleShop } from './sample-records';

/** Noise that does not compress, so that a cut falls where it is meant to. */
const noise = (length: number) =>
  Uint8Array.from({ length }, (_, i) => (Math.imul(i + 1, 2654435761) >>> 13) & 255);

const bundle: Bundle = {
  shop: sampleShop(),
  journal: sampleJournal(200),
  photos: [{ id: 'p1', bytes: noise(5000) }],
};
const reasonOf = (bytes: Uint8Array) => {
  const read = readBundle(bytes);
  return read.kind === 'refused' ? read.reason : read.kind;
};

describe('a shop as a file', () => {
  it('of JSON, and as a zip, read again is the same', () => {
    const { shop, journal, photos } = bundle;
    const json = readBundle(strToU8(writeShopFile(shop, journal)));
    expect(json).toEqual({ kind: 'whole', shop, journal, photos: [], renewed: [] });
    expect(readBundle(writeZip(bundle))).toEqual({
      kind: 'whole',
      shop,
      journal,
      photos,
      renewed: [],
    });
  });

  it('of an older version, in a zip or not, is brought to the present one', () => {
    const read = readShop(version4);
    if (!read.ok) throw new Error(read.faults[0].message);
    for (const bytes of [
      strToU8(JSON.stringify(version4)),
      zipSync({ 'design.json': strToU8(JSON.stringify(version4)) }),
    ]) {
      const made = readBundle(bytes);
      expect(made).toMatchObject({ kind: 'whole', shop: read.shop, journal: read.journal });
    }
  });

  it('keeps two photos of one name apart, and passes over pictures nobody names', () => {
    const [photo] = bundle.journal.photos;
    if (!photo) throw new Error('none');
    const photos = [photo, { ...photo, id: 'p2' }];
    const pictures = [
      { id: 'p1', bytes: noise(10) },
      { id: 'p2', bytes: noise(20) },
    ];
    const unnamed = { id: 'p3', bytes: noise(30) };
    const journal = { ...bundle.journal, photos };
    const zip = writeZip({ shop: bundle.shop, journal, photos: [...pictures, unnamed] });
    const read = readBundle(zip);
    expect(read.kind === 'whole' && read.photos).toEqual(pictures);
  });

  it('as a zip, cut off anywhere, is refused or gives whole records only, never one torn', () => {
    const zip = writeZip(bundle);
    const whole = new Map(bundle.journal.readings.map((reading) => [reading.id, reading]));
    const kinds = new Set<string>();
    fc.assert(
      fc.property(fc.integer({ min: 2, max: zip.length - 1 }), (cut) => {
        const read = readBundle(zip.subarray(0, cut));
        kinds.add(read.kind);
        if (read.kind === 'refused') {
          expect(read.reason).toMatch(/without design\.json|cut off in the middle/);
          return;
        }
        expect(read.shop).toEqual(bundle.shop);
        for (const reading of read.journal.readings) expect(reading).toEqual(whole.get(reading.id));
        for (const photo of read.photos) expect(photo).toEqual(bundle.photos[0]);
      }),
      { numRuns: 300, examples: [[zip.length - 1], [zip.length - 3000]] },
    );
    expect([...kinds].sort()).toEqual(['cut off', 'refused', 'whole']);
  });

  it('says how many records are whole of how many', () => {
    const zip = writeZip(bundle);
    // Before the picture, the list of what is in it, and the last of the journal.
    const read = readBundle(zip.subarray(0, zip.length - 6000));
    if (read.kind !== 'cut off') throw new Error(read.kind);
    expect(read.promised).toBe(204);
    expect(read.whole).toBeGreaterThan(10);
    expect(read.whole).toBeLessThan(204);
    const { readings, instruments, testPoints, sounds, photos } = read.journal;
    const got = [readings, instruments, testPoints, sounds, photos];
    expect(got.reduce((sum, { length }) => sum + length, 0)).toBe(read.whole);
  });

  it('says that a picture is missing, where the journal is whole', () => {
    const zip = writeZip(bundle);
    expect(readBundle(zip.subarray(0, zip.length - 2000))).toMatchObject({
      kind: 'cut off',
      whole: 204,
      promised: 204,
      missingPictures: 1,
    });
  });

  it.each<[string, Record<string, string>, RegExp]>([
    ['nothing of ours in it', { 'readme.txt': 'hello' }, /a zip without design\.json/],
    ['a design that is no JSON', { 'design.json': '{' }, /not JSON/],
    [
      'a design of a newer version',
      { 'design.json': `{"format":"frank-gauge","version":${VERSION + 1}}` },
      /newer/,
    ],
    [
      'a journal with a line that is none',
      {
        'design.json': JSON.stringify(sampleShop()),
        'journal.jsonl':
          '{"format":"frank-gauge-journal","version":5,"records":2}\nhello\n{"list":"events"}\n',
      },
      /in journal\.jsonl, line 2: it is not JSON \(and 1 more\)/,
    ],
  ])('as a zip with %s, is refused with place and reason', (_, files, reason) => {
    const zip = zipSync(
      Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])),
    );
    expect(reasonOf(zip)).toMatch(reason);
  });

  it('that is JSON is read as such, whatever letter it begins with', () => {
    expect(reasonOf(strToU8('Perhaps a shop'))).toMatch(/^it is not JSON/);
    expect(reasonOf(strToU8('OK'))).toMatch(/^it is not JSON/);
    expect(reasonOf(strToU8('PK'))).toMatch(/^it is a zip without design\.json/);
  });

  it('says how many faults there are besides the first, where there are any', () => {
    const { shop } = bundle;
    const lone = { ...shop, room: { ...shop.room, ceilingHeight: 0 } };
    expect(reasonOf(strToU8(JSON.stringify(lone)))).toBe('at room.ceilingHeight, 0.1 is the least');
    const journal = '{"format":"frank-gauge-journal","version":5,"records":1}\nhello\n{}';
    const zip = zipSync({
      'design.json': strToU8(JSON.stringify(shop)),
      'journal.jsonl': strToU8(journal.replace('\n{}', '\n')),
    });
    expect(reasonOf(zip)).toBe('in journal.jsonl, line 2: it is not JSON');
  });

  it('as a zip is held to what may come out of it: by its texts, and all in all', () => {
    const limits = { text: 50_000, all: 60_000 };
    const filled = (sizes: Record<string, number>) =>
      zipSync(
        Object.fromEntries(
          Object.entries({ 'design.json': 3000, ...sizes }).map(([name, size]) => [
            name,
            strToU8(`${JSON.stringify(bundle.shop)}${' '.repeat(size)}`),
          ]),
        ),
      );
    const kindOf = (sizes: Record<string, number>) => {
      const read = readBundle(filled(sizes), limits);
      return read.kind === 'refused' ? read.reason : read.kind;
    };
    const tooLarge =
      'what it unpacks to is larger than any shop; the most is 0.05 MB of text and 0.06 MB in all';
    expect(kindOf({})).toBe('whole');
    expect(kindOf({ 'design.json': 50_001 })).toBe(tooLarge);
    expect(kindOf({ 'photos/p1/a.jpg': 50_001 })).toBe('whole');
    expect(kindOf({ 'photos/p1/a.jpg': 56_000 })).toBe(tooLarge);
    expect(kindOf({ 'photos/p1/a.jpg': 30_000, 'photos/p2/b.jpg': 30_000 })).toBe(tooLarge);
    // What is none of ours is not even unpacked.
    expect(kindOf({ 'a/design.json': 90_000, 'more.txt': 90_000 })).toBe('whole');
  });

  it('as a zip cut off in its design, or before the first line of its journal, says so', () => {
    const design = strToU8(`${JSON.stringify(bundle.shop)}\n`);
    const noisy = { ...bundle.shop, shop: { ...bundle.shop.shop, note: noise(900).join('') } };
    const torn = zipSync({ 'design.json': strToU8(JSON.stringify(noisy)) }, { level: 0 });
    expect(reasonOf(torn.subarray(0, torn.length - 300))).toBe(
      'it is cut off in the middle of its design.json',
    );
    const zip = zipSync(
      { 'design.json': design, 'journal.jsonl': strToU8('{"format":"frank-gauge-journal",') },
      { level: 0 },
    );
    const at = design.length + 100;
    expect(readBundle(zip.subarray(0, at))).toMatchObject({
      kind: 'cut off',
      whole: 0,
      promised: 0,
    });
  });

  it('as a zip of many pieces is the same again', () => {
    const photos = [{ id: 'p1', bytes: noise(300_000) }];
    const read = readBundle(writeZip({ ...bundle, photos }));
    expect(read.kind === 'whole' && read.photos).toEqual(photos);
    // Long before its end, it lacks the picture.
    const cut = writeZip({ ...bundle, photos }).subarray(0, 200_000);
    expect(readBundle(cut)).toMatchObject({ kind: 'cut off', missingPictures: 1 });
  });

  it('as a small zip that unpacks to a huge one is stopped on the way', () => {
    const zip = zipSync({ 'design.json': new Uint8Array(20_000_000) }, { level: 1 });
    expect(zip.length).toBeLessThan(200_000);
    const read = readBundle(zip, { text: 1_000_000, all: 5_000_000 });
    expect(read.kind === 'refused' && read.reason).toMatch(/unpacks to is larger than any shop/);
  });

  it('of the kept version, through a zip and back, is the same document', () => {
    const read = readShop(kept);
    if (!read.ok) throw new Error(read.faults[0].message);
    const through = readBundle(writeZip({ ...read, photos: [] }));
    if (through.kind !== 'whole') throw new Error(through.kind);
    expect({ ...through.shop, journal: through.journal }).toEqual(kept as unknown as Shop);
  });
});
