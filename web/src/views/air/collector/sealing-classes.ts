import { LEAKAGE_CLASSES } from '@frank-gauge/core/catalogue';

type SealingClass = keyof typeof LEAKAGE_CLASSES;

/** What the leakage classes are called. */
const SEALING: Record<SealingClass, string> = {
  sealed: 'sealed as well as can be',
  sealedSeams: 'seams and joints sealed',
  taped: 'taped and screwed',
  screwed: 'screwed, partly taped',
  plain: 'snug, not sealed',
  unsealed: 'unsealed',
  poor: 'poorly fitted',
};

const CLASSES = Object.keys(LEAKAGE_CLASSES) as SealingClass[];

/** The name of a leakage class, or its number where it is none of those people meet. */
export const sealingName = (leakageClass: number): string => {
  const known = sealingOf(leakageClass);
  return known ? SEALING[known] : `class ${leakageClass}`;
};

/** The class with this number; undefined for a figure of one's own. */
export const sealingOf = (leakageClass: number | undefined): SealingClass | undefined =>
  CLASSES.find((name) => LEAKAGE_CLASSES[name].leakageClass === leakageClass);

/** Every class to choose from, with its number and whether it is an estimate. */
export const SEALING_OPTIONS = CLASSES.map((value) => {
  const { leakageClass, origin } = LEAKAGE_CLASSES[value];
  const mark = origin === 'estimate' ? ' (estimate)' : '';
  return { value, label: `${SEALING[value]}, class ${leakageClass}${mark}` };
});
