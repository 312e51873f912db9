import type { JointAt } from '@frank-gauge/core/design';
import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';

const FITTING_WORDS = {
  elbow: 'elbow',
  pair: 'elbow',
  flapDamper: 'flap damper',
  other: 'fitting',
} as const;

const MEETS = {
  wye: 'where its pipe meets the wye',
  run: 'where its pipe meets the next run',
  collector: 'where its pipe meets the collector',
} as const;

/** English ordinals, as far as a run has fittings. */
const ordinal = (n: number): string => {
  const rule = new Intl.PluralRules('en', { type: 'ordinal' }).select(n);
  return `${n}${{ one: 'st', two: 'nd', few: 'rd', other: 'th', zero: 'th', many: 'th' }[rule]}`;
};

/** Where a joint of a run is. */
export function jointWords(at: JointAt, system: UnitSystem): string {
  switch (at.kind) {
    case 'hose':
      return 'where the hose is clamped on';
    case 'gate':
      return 'both sides of the gate';
    case 'wye':
      return 'the joint behind its wye';
    case 'seam':
      return 'the seam of its pipe';
    case 'counted':
      return 'the other joints of its pipe';
    case 'fitting': {
      const name = FITTING_WORDS[at.fitting];
      return at.of === 1
        ? `both ends of the ${name}`
        : `both ends of the ${ordinal(at.nth)} ${name} from the machine’s end`;
    }
    case 'pipe':
      return `the pipe joint ${formatShort(at.along, 'length', system)} from the machine’s end`;
    case 'end':
      return MEETS[at.meets];
  }
}
