import type { UnitSystem } from '../../quantity/unit-system';

/** A line of known length on every sheet, to check by a ruler at hand that it was printed at true size. */
export interface CheckRuler {
  /** m */
  readonly length: number;
  /** What is written beside it. */
  readonly text: string;
}

const RULERS: Readonly<Record<UnitSystem, CheckRuler>> = {
  us: { length: 0.1016, text: '4 in.' },
  metric: { length: 0.1, text: '100 mm' },
};

/** The check ruler as rulers in the shop are divided: 4 in. or 100 mm. */
export const checkRuler = (units: UnitSystem): CheckRuler => RULERS[units];
