import type { ShopEvent, TestKind } from '@frank-gauge/core/journal';

/** How each test is made. */
export const TEST_HOW: Readonly<Record<TestKind, string>> = {
  'light test':
    'In the dark, hold a strong lamp beside the running filter, its clean side and its seams: dust that comes through shines in the beam.',
  'smoke test':
    'All gates shut and the blower running, hold smoke of an incense stick or a smoke pencil to each joint: where it is drawn in, it leaks. No flame near dust: empty the bin first, and keep the stick away from open gates.',
  'hand test':
    'All gates shut and the blower running, go around each joint with a wet hand: you feel what is drawn in. Keep fingers away from gates and blades.',
};

/** Where, and what was seen. */
export function foundWords({ kind, place, found }: Pick<ShopEvent, 'kind' | 'place' | 'found'>) {
  const where = place === '' ? '' : `${place}: `;
  const seen =
    found === null
      ? 'what was seen is not said'
      : found
        ? kind === 'light test'
          ? 'dust comes through'
          : 'a leak'
        : kind === 'light test'
          ? 'no dust to be seen'
          : 'no leak';
  const text = `${where}${seen}.`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}
