import { formatQuantity, parseQuantity, STYLES } from '@frank-gauge/core/quantity';
import { type Attacked, Failures, faultOf, type Strength } from './attack';
import { Chance } from './chance';

/** The longest one reading may take, ms. */
const LONGEST = 100;
const GROUPS = ['', ',', '.', "'", '’', ' ', '\u202f', '\u2009', '\u00a0'] as const;
const SIGNS = ['', '-', '−', '+'] as const;
/** The noughts of some scripts: plain, Arabic, Devanagari, full width. */
const NOUGHTS = [0x30, 0x660, 0x966, 0xff10] as const;
const UNITS: readonly [Unit, ...Unit[]] = [
  ['m', 1],
  ['mm', 0.001],
  ['in', 0.0254],
  ['ft', 0.3048],
  ['"', 0.0254],
  ["'", 0.3048],
  ['cm', 0.01],
] as const;
type Unit = readonly [written: string, metres: number];
const NONSENSE = [...'0123456789.,\'"’½²/- +eEftinmx%٫٬１五\u0000\u202e\n'];

/**
 * Lengths as people all over the world write them, against the number they were written from: each is read as
 * that number, or refused with both that it may be; and nonsense, which is refused or read as some finite number.
 */
export function attackQuantities({ count, seed }: Strength): Attacked {
  const chance = new Chance(seed);
  const failures = new Failures();
  for (let i = 0; i < count; i++) {
    if (i % 4 === 3) {
      const text = Array.from(
        { length: chance.below(100) },
        () => NONSENSE[chance.below(NONSENSE.length)],
      ).join('');
      const fault = faultOf(LONGEST, () => {
        const read = parseQuantity(text, STYLES.us.length);
        if (read.ok ? !Number.isFinite(read.value) : read.reason === '')
          throw new Error('it has no answer');
      });
      if (fault) failures.add(`${JSON.stringify(text)}: ${fault}`);
      continue;
    }
    const whole = chance.below(10 ** (1 + chance.below(7)));
    const places = chance.below(6);
    const decimals = Array.from({ length: places }, () => chance.below(10)).join('');
    const [group, point] = [chance.one(GROUPS), chance.one(['.', ','])];
    if (group === point) continue;
    const sign = chance.one(SIGNS);
    const [unit, size] = chance.one(UNITS);
    const nought = chance.one(NOUGHTS);
    const grouped = String(whole).replace(/\B(?=(\d{3})+(?!\d))/g, group);
    const digits = `${grouped}${places === 0 ? '' : point}${decimals}`;
    const written = digits.replace(/\d/g, (digit) => String.fromCodePoint(nought + Number(digit)));
    const text = `${sign}${written} ${unit}`;
    const value = Number(`${whole}.${decimals}`) * size * (sign === '-' || sign === '−' ? -1 : 1);
    // A lone comma or dot before three digits means what it means in English, unless both are offered.
    const lone = /^(\d{1,3})([.,])(\d{3})$/.exec(digits);
    const english =
      lone && !lone[1]?.startsWith('0')
        ? Number(lone[2] === ',' ? `${lone[1]}${lone[3]}` : `${lone[1]}.${lone[3]}`) *
          size *
          Math.sign(value || 1)
        : value;
    const fault = faultOf(LONGEST, () => {
      const read = parseQuantity(text, STYLES.metric.length);
      const isRight = read.ok
        ? Math.abs(read.value - english) <= 1e-9 * Math.max(1, Math.abs(english))
        : / may be .* or .*: write /.test(read.reason);
      if (!isRight) throw new Error(read.ok ? `read as ${read.value} m` : read.reason);
      const again = parseQuantity(formatQuantity(value, 'length', 'metric'), STYLES.metric.length);
      if (!again.ok || Math.abs(again.value - value) > 0.0051)
        throw new Error('what is shown of it is read otherwise');
    });
    if (fault) failures.add(`${JSON.stringify(text)}: ${fault}`);
  }
  return { tried: count, failed: failures.list };
}
