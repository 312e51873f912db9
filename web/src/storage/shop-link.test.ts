import { blowerOfClass } from '@frank-gauge/core/collector';
import { newShop } from '@frank-gauge/core/design';
import { emptyJournal, readShopFile } from '@frank-gauge/core/journal';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import demo from '../../../demo/heron-slip.json';
import { sampleJournal } from './sample-records';
import { readShopLink, shopLink } from './shop-link';

const small = newShop('abcdefghijkl', 'Bo’s shop', 'us', []);
small.collector.blower = blowerOfClass('two', 'us');
const journal = sampleJournal(50);

const hashOf = (segments: ReturnType<typeof shopLink>) =>
  new URL(segments?.join('') ?? 'http://none').hash;

describe('a shop in an address', () => {
  it('is read again with its meters and test points, without readings', () => {
    const segments = shopLink('http://workshop.local:4321', small, journal);
    const text = readShopLink(hashOf(segments));
    const read = readShopFile(text ?? '');
    if (!read.ok) throw new Error(read.faults[0].message);
    expect(read.shop).toEqual(small);
    const { instruments, testPoints } = journal;
    expect(read.journal).toEqual({ ...emptyJournal(), instruments, testPoints });
  });

  it('has only characters that a QR code packs small', () => {
    expect(shopLink('http://a', small, journal)?.[1]).toMatch(/^[0-9A-Z$*+\-./:]+$/);
  });

  it('is none where the shop is too large for a QR code', () => {
    const many = Array.from({ length: 40 }, (_, i) => ({
      ...structuredClone(demo.machines[0]),
      id: `${i}-${Math.sin(i)}`,
      name: `${Math.cos(i)} ${Math.tan(i)}`,
    }));
    expect(shopLink('http://a', { ...small, machines: many as never }, journal)).toBeNull();
  });

  it('of another address is null, and a damaged one says so', () => {
    const hash = hashOf(shopLink('http://a', small, journal));
    for (const other of ['', '#', '#at=saw', 'shop=']) expect(readShopLink(other)).toBeNull();
    expect(readShopLink('#shop=a')).toBe('damaged');
    fc.assert(
      fc.property(fc.nat(hash.length - 8), fc.constantFrom('?', 'a', ''), (at, letter) => {
        const damaged = `${hash.slice(0, 7 + at)}${letter}${hash.slice(8 + at)}`;
        const text = readShopLink(damaged);
        // Left out, a character moves all behind it: what comes of it is no shop, if it is text at all.
        expect(text === 'damaged' || !readShopFile(text ?? '').ok).toBe(true);
      }),
      { numRuns: 50 },
    );
  });
});
