'use client';

import type { Taken } from '@frank-gauge/core/journal';
import { fromSI } from '@frank-gauge/core/quantity';
import {
  chanceOf,
  hiddenImperfection,
  type MeterSource,
  simulatedMeter,
  USUAL_IMPERFECTION,
  unitLeftOn,
} from '@frank-gauge/core/simulate';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useHidden } from '../stand-ins/use-hidden';
import { blowerNow, useSwitches } from '../stand-ins/use-switches';
import { cableMeter, useCable } from './cable-meter';
import type { Repeat } from './draft-reading';
import type { Taking } from './use-taking';

/** A way to read the meter without typing. */
export interface ReadableMeter {
  /** What the button says. */
  readonly label: string;
  /** Rejects, with a sentence, where the meter cannot be reached. */
  readonly read: () => Promise<Repeat>;
}

/** How many values each simulated meter has shown since the program was opened: it drifts with every one. */
const shownSoFar = new Map<string, number>();

/**
 * The meter of a reading, where it can be read without typing: a simulated one, which shows what it should at that
 * place in the shop’s hidden condition, where it has one, and else by the model, with its own faults; or a real one
 * on a cable. Null where it is typed.
 */
export function useMeterSource(taking: Taking): ReadableMeter | null {
  const { instrument, trueShown, bare, quantity } = taking;
  const chance = useRef(chanceOf(Date.now()));
  const hidden = useHidden();
  const switches = useSwitches();
  const cable = useCableSource(taking);
  const repeatOf = (taken: Taken, unit = bare): Repeat =>
    taken.kind === 'value'
      ? { text: String(Number(fromSI(taken.value, unit).toPrecision(4))), bound: null }
      : { text: '', bound: taken.kind };
  if (instrument.isSimulated) {
    if (trueShown === null) return null;
    // That a maximum stands above the mean is in what it should show already.
    const hold = instrument.hold === 'maximum' ? 'average' : instrument.hold;
    const stands = () => switches !== null && blowerNow(switches).kind === 'stopped';
    const truth = () => (stands() ? 0 : trueShown);
    const before = shownSoFar.get(instrument.id) ?? 0;
    const imperfection = hidden ? hiddenImperfection(hidden, instrument) : USUAL_IMPERFECTION;
    const meter = simulatedMeter(
      { ...instrument, hold },
      truth,
      chance.current,
      imperfection,
      before,
    );
    const shown = hidden ? unitLeftOn(hidden, instrument, quantity, bare) : bare;
    return {
      label: 'Read the simulated meter',
      read: async () => {
        shownSoFar.set(instrument.id, before + 1);
        return repeatOf(await meter.read(), shown);
      },
    };
  }
  return cable && { label: 'Read the meter', read: async () => repeatOf(await cable.read()) };
}

/** The meter on the cable, as long as one is connected and this is on the page. */
function useCableSource({ bare: unit, instrument: { range } }: Taking): MeterSource | null {
  const port = useCable((state) => state.port);
  const meter = useEffectEvent(() => ({ unit, range }));
  const [source, setSource] = useState<MeterSource | null>(null);
  useEffect(() => {
    if (!port) return;
    let made: MeterSource | null = null;
    let isWanted = true;
    cableMeter(port, () => meter()).then(
      (opened) => {
        made = opened;
        if (isWanted) setSource(opened);
        else void opened.close();
      },
      () => useCable.setState({ port: null }),
    );
    return () => {
      isWanted = false;
      setSource(null);
      void made?.close().catch(() => undefined);
    };
  }, [port]);
  return source;
}
