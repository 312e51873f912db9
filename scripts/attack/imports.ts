import { readCurveFile } from '@frank-gauge/core/collector';
import { sheetDxf } from '@frank-gauge/core/dxf';
import { type Journal, readShop, writeShopFile } from '@frank-gauge/core/journal';
import { outlineFromDxf } from '@frank-gauge/core/room';
import { planSheet } from '@frank-gauge/core/routing';
import heron from '../../demo/heron-slip.json';
import { readBundle, writeZip } from '../../web/src/storage/bundle';
import { type Attacked, Failures, faultOf, type Strength } from './attack';
import { Chance } from './chance';

/** The longest the reading of one small file may take, ms. */
const LONGEST = 5000;

/** Breaks bytes in so many places: changed, left out, doubled, swapped, cut off. */
function brokenBytes(bytes: Uint8Array, times: number, chance: Chance): Uint8Array {
  let copy = [...bytes];
  for (let i = 0; i < times; i++) {
    const at = chance.below(copy.length);
    const length = 1 + chance.below(chance.one([1, 8, 200]));
    switch (chance.below(5)) {
      case 0:
        copy[at] = chance.below(256);
        break;
      case 1:
        copy.splice(at, length);
        break;
      case 2:
        copy.splice(at, 0, ...copy.slice(at, at + length));
        break;
      case 3:
        copy.splice(at, length, ...copy.slice(at, at + length).toReversed());
        break;
      default:
        if (chance.next() < 0.3) copy = copy.slice(0, at);
    }
    if (copy.length === 0) return new Uint8Array();
  }
  return Uint8Array.from(copy);
}

/** Lines of a text, a code and a value in turn, shuffled a little: what a drawing must not be. */
function brokenLines(text: string, times: number, chance: Chance): string {
  const lines = text.split('\n');
  for (let i = 0; i < times; i++) {
    const at = chance.below(lines.length);
    switch (chance.below(4)) {
      case 0:
        lines.splice(at, 1);
        break;
      case 1:
        lines.splice(at, 0, lines[chance.below(lines.length)] ?? '');
        break;
      case 2:
        lines[at] = chance.one([
          '0',
          '-1',
          'NaN',
          '1e999',
          'POLYLINE',
          'VERTEX',
          'SEQEND',
          'ENDSEC',
          'EOF',
        ]);
        break;
      default:
        lines.splice(at, 2, ...lines.slice(at, at + 2).toReversed());
    }
  }
  return lines.join('\n');
}

/** Files of every kind that is read, broken: each is read, or refused with a sentence, and soon. */
export function attackImports({ count, seed }: Strength): Attacked {
  const chance = new Chance(seed);
  const failures = new Failures();
  // The drawing package speaks of corners that belong to nothing.
  const { error } = console;
  console.error = () => {};
  const read = readShop(heron);
  if (!read.ok) throw new Error('the demo cannot be read');
  const { shop } = read;
  const journal: Journal = read.journal;
  const encoder = new TextEncoder();
  const decoder = new TextDecoder();
  const json = encoder.encode(writeShopFile(shop, journal));
  const zip = writeZip({ shop, journal, photos: [] });
  const drawing = sheetDxf(planSheet(shop));
  const curve = encoder.encode(
    'flow (m3/h);pressure (Pa)\n0;2500\n900,5;1800\n1.200,25;1500\n2000;0\n',
  );
  const bundle = (bytes: Uint8Array) => {
    const got = readBundle(bytes);
    if (got.kind === 'refused' && got.reason === '')
      throw new Error('it is refused without a sentence');
  };
  const kinds: Readonly<Record<string, (times: number) => void>> = {
    json: (times) => bundle(brokenBytes(json, times, chance)),
    zip: (times) => bundle(brokenBytes(zip, times, chance)),
    dxf: (times) => {
      const got = outlineFromDxf(brokenLines(drawing, times, chance));
      if (!got.ok && got.reason === '') throw new Error('it is refused without a sentence');
      if (got.ok && !got.outline.every(({ x, y }) => Number.isFinite(x + y)))
        throw new Error('a corner nowhere');
    },
    csv: (times) => {
      const got = readCurveFile(decoder.decode(brokenBytes(curve, times, chance)), 'us');
      if (!got.ok && got.reason === '') throw new Error('it is refused without a sentence');
      if (got.ok && !got.points.every(({ flow, pressure }) => Number.isFinite(flow + pressure))) {
        throw new Error('a point nowhere');
      }
    },
  };
  const names = Object.keys(kinds);
  for (let i = 0; i < count; i++) {
    const name = names[i % names.length] ?? '';
    const fault = faultOf(LONGEST, () => kinds[name]?.(1 + chance.below(4)));
    if (fault) failures.add(`import ${i} (${name}) of seed ${seed}: ${fault}`);
  }
  console.error = error;
  return { tried: count, failed: failures.list };
}
