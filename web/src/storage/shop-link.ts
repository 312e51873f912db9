import type { Shop } from '@frank-gauge/core/design';
import { emptyJournal, type Journal, writeShopFile } from '@frank-gauge/core/journal';
import { deflateSync, inflateSync, strFromU8, strToU8 } from 'fflate';

/**
 * A small shop inside an address, for a QR code: its design, meters and test points, which is what measuring
 * needs. It stands behind the #, which browsers keep to themselves.
 */

/** What stands before the shop in the address. */
const MARK = '#shop=';
/** Characters that mean nothing in an address and that a QR code packs two to eleven bits. */
const ALPHABET = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ$*+-./:';
const BASE = ALPHABET.length;
/** Bits of the largest QR code at its lowest level of repair (ISO/IEC 18004, version 40-L). */
const MOST_BITS = 23_648;
/** More than any address has: a short one that unpacks to more is no shop. */
const MOST_TEXT = 1_000_000;

/** Two bytes as three characters, the last single one as two. */
function encode(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 2) {
    const isPair = at + 1 < bytes.length;
    let value = isPair ? (bytes[at] ?? 0) * 256 + (bytes[at + 1] ?? 0) : (bytes[at] ?? 0);
    for (let digit = 0; digit < (isPair ? 3 : 2); digit++) {
      text += ALPHABET[value % BASE];
      value = Math.floor(value / BASE);
    }
  }
  return text;
}

/** Null: it is not what `encode` writes. */
function decode(text: string): Uint8Array | null {
  const bytes: number[] = [];
  for (let at = 0; at < text.length; at += 3) {
    const digits = [...text.slice(at, at + 3)].map((character) => ALPHABET.indexOf(character));
    const value = digits.reduceRight((sum, digit) => sum * BASE + digit, 0);
    const isPair = digits.length === 3;
    if (digits.includes(-1) || digits.length === 1 || value > (isPair ? 65_535 : 255)) return null;
    if (isPair) bytes.push(Math.floor(value / 256));
    bytes.push(value % 256);
  }
  return Uint8Array.from(bytes);
}

/** The parts of an address that holds a shop: as its segments in a QR code, each packed its own way. */
export type LinkSegments = readonly [address: string, shop: string];

/** An address with a shop in it; null where no QR code could hold it. */
export function shopLink(
  origin: string,
  shop: Shop,
  { instruments, testPoints }: Pick<Journal, 'instruments' | 'testPoints'>,
): LinkSegments | null {
  const text = JSON.stringify(
    JSON.parse(writeShopFile(shop, { ...emptyJournal(), instruments, testPoints })),
  );
  const segments = [`${origin}/${MARK}`, encode(deflateSync(strToU8(text), { level: 9 }))] as const;
  const [address, payload] = segments;
  const bits = 4 + 16 + 8 * strToU8(address).length + 4 + 13 + Math.ceil(5.5 * payload.length);
  return bits > MOST_BITS ? null : segments;
}

/**
 * The text of the shop's file that an address holds behind its #.
 * @returns null: it holds none; `damaged`: it is not whole
 */
export function readShopLink(hash: string): string | 'damaged' | null {
  if (!hash.startsWith(MARK)) return null;
  const packed = decode(decodeURIComponent(hash.slice(MARK.length)));
  if (!packed) return 'damaged';
  try {
    const text = inflateSync(packed, { out: new Uint8Array(MOST_TEXT) });
    return strFromU8(text);
  } catch {
    return 'damaged';
  }
}
