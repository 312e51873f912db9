'use client';

import { circleArea, fromSI } from '@frank-gauge/core/quantity';
import { chanceOf, simulatedMeter } from '@frank-gauge/core/simulate';
import { useRef } from 'react';
import type { Repeat } from '../taking/draft-reading';
import type { Taking } from '../taking/use-taking';

/**
 * Reads a simulated meter at the place of a reading: what the model expects there, with the meter's own faults.
 * Null where the meter is a real one, or the model says nothing of the place.
 */
export function useSimulated({
  instrument,
  expected,
  quantity,
  diameter,
  bare,
}: Taking): (() => Promise<Repeat>) | null {
  const chance = useRef(chanceOf(Date.now()));
  if (!instrument.isSimulated || !expected) return null;
  if (quantity !== 'velocity' && quantity !== 'flow') return null;
  const truth = quantity === 'flow' ? expected.flow : expected.flow / circleArea(diameter);
  return async () => {
    const taken = await simulatedMeter(instrument, () => truth, chance.current).read();
    if (taken.kind !== 'value') return { text: '', bound: taken.kind };
    return { text: String(Number(fromSI(taken.value, bare).toPrecision(4))), bound: null };
  };
}
