import papaparse from 'papaparse';
import { PRICE_IDS, type PriceId } from '../catalogue/price-ids';
import type { Shop } from '../design/schema';
import type { UnitSystem } from '../quantity/unit-system';
import { PER, type PerUnit, PRICES, perUnit, priceOf } from './price-book';

type Prices = Shop['advice']['prices'];

export type ReadPrices =
  | { readonly ok: true; readonly prices: Prices }
  | { readonly ok: false; readonly reason: string };

const FIELDS = ['Id', 'What', 'Per', 'Price', 'Whose'];
const OWN = 'own';
const ESTIMATE = 'estimate';
/** What a document takes for a price of one SI unit. */
const MOST = 1e7;
/** Digits enough that a price read again is the same. */
const DIGITS = 12;
/** A price list is never longer, in letters. */
const LONGEST = 100_000;

/** A price book as CSV, estimates included, priced by the units of a system. */
export function writePrices(prices: Prices, system: UnitSystem): string {
  const data = PRICE_IDS.map((id) => {
    const per = perUnit(PRICES[id].per, system);
    const price = priceOf(id, { prices }) * PER[per].times;
    const whose = prices[id] === undefined ? ESTIMATE : OWN;
    return [id, PRICES[id].name, per, String(Number(price.toPrecision(DIGITS))), whose];
  });
  return `${papaparse.unparse({ fields: FIELDS, data }, { newline: '\r\n' })}\r\n`;
}

/**
 * Reads a price book from CSV as `writePrices` writes it: lines that say *estimate* stay estimates, others become the
 * shop's own, whatever unit each is per. Refuses the whole with the line and the reason; lines may be left out.
 * @param present prices of lines that are left out
 */
export function readPrices(text: string, present: Prices): ReadPrices {
  if (text.length > LONGEST) return { ok: false, reason: 'It is longer than any price book.' };
  const { data } = papaparse.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    delimitersToGuess: [',', ';', '\t'],
  });
  const prices: Prices = { ...present };
  let read = 0;
  for (const [index, cells] of data.entries()) {
    const [id = '', , per = '', price = '', whose = ''] = cells.map((cell) => cell.trim());
    const refuse = (why: string): ReadPrices => ({
      ok: false,
      reason: `Line ${index + 1}: ${why}`,
    });
    if (cells.every((cell) => cell.trim() === '') || (index === 0 && id === FIELDS[0])) continue;
    if (!isPriceId(id)) return refuse(`“${id}” is nothing the price book has a line for.`);
    if (!isPerUnit(per) || PER[per].of !== PRICES[id].per) {
      const units = Object.keys(PER).filter((unit) => PER[unit as PerUnit].of === PRICES[id].per);
      return refuse(
        `“${per}” is not what ${PRICES[id].name.toLowerCase()} is priced by; write ${units.join(' or ')}.`,
      );
    }
    const amount = Number(price.replace(/^(\d+),(\d{1,2})$/, '$1.$2'));
    if (price === '' || !Number.isFinite(amount)) return refuse(`“${price}” is not a number.`);
    if (amount < 0) return refuse('a price cannot be below zero.');
    const own = amount / PER[per].times;
    if (own > MOST) return refuse(`${price} is more than anything costs.`);
    if (whose.toLowerCase() === ESTIMATE) delete prices[id];
    else prices[id] = own;
    read++;
  }
  return read > 0 ? { ok: true, prices } : { ok: false, reason: 'There is no price in it.' };
}

const isPriceId = (id: string): id is PriceId => Object.hasOwn(PRICES, id);
const isPerUnit = (per: string): per is PerUnit => Object.hasOwn(PER, per);
