'use client';

import { fromSI } from '@frank-gauge/core/quantity';
import { chanceOf, simulatedMeter } from '@frank-gauge/core/simulate';
import { useRef } from 'react';
import type { Repeat } from './draft-reading';
import type { Taking } from './use-taking';

/**
 * Reads a simulated meter at the place of a reading: what it should show there in the shop’s hidden condition, where it
 * has one, and else by the model, with its own faults.
 * Null where the meter is a real one, or the model says nothing of the place.
 */
export function useSimulated({
  instrument,
  trueShown,
  bare,
}: Taking): (() => Promise<Repeat>) | null {
  const chance = useRef(chanceOf(Date.now()));
  if (!instrument.isSimulated || trueShown === null) return null;
  // That a maximum stands above the mean is in what it should show already.
  const hold = instrument.hold === 'maximum' ? 'average' : instrument.hold;
  const meter = { ...instrument, hold };
  return async () => {
    const taken = await simulatedMeter(meter, () => trueShown, chance.current).read();
    if (taken.kind !== 'value') return { text: '', bound: taken.kind };
    return { text: String(Number(fromSI(taken.value, bare).toPrecision(4))), bound: null };
  };
}
