import { LEAKAGE_CLASSES } from '@frank-gauge/core';

/** What the leakage classes are called. */
export const SEALING: Record<keyof typeof LEAKAGE_CLASSES, string> = {
  sealed: 'sealed as well as can be',
  taped: 'taped and screwed',
  unsealed: 'unsealed joints',
};

export const CLASSES = Object.keys(LEAKAGE_CLASSES) as (keyof typeof LEAKAGE_CLASSES)[];
