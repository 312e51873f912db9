'use client';

import {
  type MeterFace,
  minutesFor,
  nextHold,
  nextUnit,
  placesToMeasure,
  shownUnit,
  standingOf,
} from '@frank-gauge/core/practice';
import { fromSI, toSI, UNITS, type UnitId } from '@frank-gauge/core/quantity';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { HOLD_WORDS, minutesWords } from '@/words/practice-words';
import { askedName, keyOfAsked, namesIn } from './practice-names';
import type { HuntActions, OpenHunt } from './use-hunt';

interface Props {
  readonly open: OpenHunt;
  readonly place: number;
  readonly onPlace: (place: number) => void;
  readonly actions: HuntActions;
}

/** Where the meter is held, the meter itself, and the reading that is taken with it. */
export function HuntMeter({ open, place, onPlace, actions }: Props) {
  const [refusal, setRefusal] = useState<string | null>(null);
  const { tree, hunt, shop } = open;
  const places = placesToMeasure(tree);
  const asked = places[place] ?? places[0];
  if (!asked) return null;
  const names = namesIn(tree);
  const minutes = minutesFor(standingOf(hunt), asked, new Set(hunt.openGates));
  const isAir = asked.shows === 'flow';
  const { units } = shop.shop;
  const setFace = (face: MeterFace) => actions.change({ ...hunt, face });
  const unit: UnitId = isAir ? shownUnit(hunt.face, units) : units === 'us' ? 'inwg' : 'pa';
  return (
    <section aria-label="Meter" className="pt-3">
      <Choice
        label="Where the meter is held"
        value={keyOfAsked(asked)}
        options={places.map((each) => ({ value: keyOfAsked(each), label: askedName(each, names) }))}
        onChange={(key) => {
          setRefusal(null);
          onPlace(places.findIndex((each) => keyOfAsked(each) === key));
        }}
      />
      <div className="mt-2 flex items-stretch border-2 border-ink">
        <div className="min-w-0 flex-1 bg-strip px-3 py-2 font-figure">
          <p className="text-[13px] text-quiet">
            {isAir ? 'Vane meter' : 'Manometer'}
            {isAir && ` ${HOLD_WORDS[hunt.face.hold]}`}
          </p>
          <p className="text-[28px] tabular-nums leading-8" aria-live="polite">
            {lastShown(open, isAir, unit)} <span className="text-[15px]">{UNITS[unit].symbol}</span>
          </p>
        </div>
        {isAir && (
          <div className="flex flex-col border-ink border-l">
            <Button
              look="quiet"
              className="flex-1"
              onClick={() => setFace(nextUnit(hunt.face, units))}
            >
              Unit
            </Button>
            <Button look="quiet" className="flex-1" onClick={() => setFace(nextHold(hunt.face))}>
              Hold
            </Button>
          </div>
        )}
      </div>
      <Button
        look="solid"
        className="mt-2 w-full"
        onClick={() => void actions.read(asked).then(setRefusal)}
      >
        Read it and write it down ({minutesWords(minutes)})
      </Button>
      {refusal && (
        <p role="alert" className="pt-1 text-starved-text">
          {refusal}
        </p>
      )}
    </section>
  );
}

/** What the meter showed last, in the unit it is on; dashes before its first value. */
function lastShown({ hunt }: OpenHunt, isAir: boolean, unit: UnitId): string {
  const last = hunt.readings.findLast(({ reading }) => (reading.quantity === 'velocity') === isAir);
  if (!last) return '– – –';
  const taken = last.reading.taken.at(-1);
  if (!taken || taken.kind === 'under') return 'LO';
  if (taken.kind === 'over') return 'HI';
  // The notebook took the number for one of its own unit.
  const number = fromSI(taken.value, last.reading.unit as UnitId);
  const value = fromSI(toSI(number, last.unit), unit);
  return value >= 100 ? value.toFixed(0) : value >= 10 ? value.toFixed(1) : value.toFixed(2);
}
