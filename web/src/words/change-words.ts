import type { EventKind } from '@frank-gauge/core/journal';
import type { ComparedSides, Missing, Settling } from '@frank-gauge/core/reading';

/** What a kind of change of the shop is called. */
export const EVENT_NAMES: Readonly<Record<EventKind, string>> = {
  cleaned: 'filter cleaned',
  'filter replaced': 'filter replaced',
  emptied: 'bin emptied',
  'filter bin emptied': 'bag or bin below the filter emptied',
  sealed: 'joints sealed',
  checked: 'belts and gaskets looked at',
  'light test': 'light test',
  'smoke test': 'smoke test',
  'hand test': 'hand test',
  'separator added': 'separator added',
  'hose shortened': 'hose shortened',
  'gate added': 'gate added',
  'impeller changed': 'impeller changed',
  'blower changed': 'blower changed',
  'duct changed': 'duct changed',
  changed: 'other change',
};

/** A ratio as a change in percent: +12 %, −31 %; within ten of nothing with a decimal. */
export function percentChange(ratio: number): string {
  const percent = 100 * (ratio - 1);
  const digits = Math.abs(percent) < 9.95 ? 1 : 0;
  const written = Math.abs(percent).toFixed(digits);
  return `${Number(written) === 0 ? '±' : percent < 0 ? '−' : '+'}${written} %`;
}

/** The interval of a ratio, in percent: “+8 to +16 %”. */
export const percentInterval = ({ low, high }: { low: number; high: number }): string =>
  `${percentChange(low).replace(' %', '')} to ${percentChange(high)}`;

const MISSING: Readonly<Record<Missing, string>> = {
  'one method': 'one is relative, the other absolute',
  'one place': 'relative readings compare only at the same test point',
  'one meter': 'relative readings compare only with the same meter',
  'one way of reading': 'relative readings compare only with the meter held the same way',
  'one quantity': 'one is an airflow, the other something else',
};

const settled = (settling: Settling | null): string => {
  if (!settling) return ' More repeats would not settle it.';
  const share = `${(100 * settling.share).toFixed(0)} %`;
  return settling.isTaken
    ? ` A change of ${share} would have been seen.`
    : ` About ${settling.repeats} repeats each time would show ${share}.`;
};

/** What a comparison says, in a few words. */
export function comparedWords(compared: ComparedSides): string {
  switch (compared.kind) {
    case 'change':
      return compared.isSignificant
        ? `${percentInterval(compared)}, 95 % of the time.`
        : `No significant difference.${settled(compared.settling)}`;
    case 'at least':
      return `At least ${percentChange(compared.ratio)}: the meter reached an end of its range.`;
    case 'at most':
      return `At most ${percentChange(compared.ratio)}: the meter reached an end of its range.`;
    case 'not comparable':
      return `Not comparable: ${compared.missing.map((each) => MISSING[each]).join('; ')}.`;
    case 'nothing':
      return {
        'no readings': 'There are no readings on one side.',
        'no air': 'One side read no air at all.',
        bounds: 'Beyond the meter’s range both times: this says nothing of a change.',
      }[compared.why];
  }
}
