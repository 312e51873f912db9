'use client';

import { COLLECTOR_TAPS, recordWith, type TestPoint } from '@frank-gauge/core/journal';
import { formatShort } from '@frank-gauge/core/quantity';
import { nanoid } from 'nanoid';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { choosePart, useChoices } from '@/storage/choices';
import { openShopId, record } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { PartLoading } from '@/ui/part-loading';
import { OpeningLine } from '../../parts/opening-line';
import { insideOf, type Place, SOMEWHERE, usePlaces } from '../../parts/taking/use-places';
import { editPoint } from './edit-point';
import { HoldingSketch } from './holding-sketch';
import { PointFields } from './point-fields';

const PlanPicker = dynamic(() => import('./plan-picker').then((module) => module.PlanPicker), {
  loading: PartLoading,
});
const LabelsView = dynamic(() => import('./labels-view').then((module) => module.LabelsView), {
  loading: PartLoading,
});

/** What a point at a part of the collector is called. */
const TAP_NAMES: Readonly<Record<(typeof COLLECTOR_TAPS)[number], string>> = {
  'separator inlet': 'Ahead of the separator',
  'blower inlet': 'At the blower’s inlet',
  'blower outlet': 'At the blower’s outlet',
  filter: 'Across the filter',
};

const PLACE = 'place';

function addPoint(at: TestPoint['at'], name: string): void {
  const id = nanoid(10);
  record(`add the test point ${name}`, ({ testPoints }) => {
    testPoints.push(recordWith('testPoints', { id, name, at }));
  });
  choosePart(openShopId(), id);
}

/** Where the meter is held: every drop, taps on the mains and at the collector, anywhere in the room. */
export function PointsView() {
  const shopId = useDesign((shop) => shop.id);
  const places = usePlaces();
  const open = useChoices((choices) => choices.parts[shopId]);
  const [hasLabels, setHasLabels] = useState(false);
  const shown = places.find(({ point }) => point.id === open) ?? null;
  if (hasLabels) return <LabelsView places={places} onDone={() => setHasLabels(false)} />;
  return (
    <div className="grid md:h-full md:grid-cols-[minmax(0,1fr)_320px] xl:grid-cols-[minmax(0,1fr)_420px] md:overflow-hidden">
      <section
        aria-label="Test points"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="min-w-0 md:overflow-y-auto"
      >
        <h1 className="px-3 pt-3 pb-1 text-[17px]">Test points</h1>
        <p className="max-w-prose px-3 pb-2 text-quiet">
          Only readings of one test point compare. Every drop is one; add taps where you measure
          pressure.
        </p>
        <div className="max-w-2xl border-rule border-t">
          {places.map((place) => (
            <PointLine key={place.id} place={place} />
          ))}
        </div>
        <AddPoint places={places} />
        {places.length > 0 && (
          <div className="px-3 pb-4">
            <Button onClick={() => setHasLabels(true)}>Labels to print</Button>
          </div>
        )}
      </section>
      <section
        aria-label="Where, and how to hold the meter"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="border-rule p-3 max-md:border-t md:overflow-y-auto md:border-l"
      >
        <OnPlan places={places} open={shown} />
        <HoldingSketch place={shown} />
      </section>
    </div>
  );
}

/** The plan: a click moves the open test point there, where it can be moved, and else makes one. */
function OnPlan({
  places,
  open,
}: {
  readonly places: readonly Place[];
  readonly open: Place | null;
}) {
  const kind = open?.point.at.kind;
  const moving = kind === 'run' || kind === 'place' ? open : null;
  return (
    <section aria-label="On the plan" className="pb-4">
      <h2 className="text-[18px]">On the plan</h2>
      <PlanPicker
        places={places}
        open={open}
        hint={
          moving
            ? `Click where ${moving.name} is: in a duct, or anywhere in the room.`
            : 'Click a duct, or anywhere in the room, to add a test point there.'
        }
        onPick={(at, name) => {
          if (!moving) return addPoint(at, name);
          editPoint(moving, 'place', (own) => {
            own.at = at;
          });
        }}
      />
    </section>
  );
}

function PointLine({ place }: { readonly place: Place }) {
  const system = useUnits();
  const { straightAhead, holding } = place.point;
  const inside = insideOf(place);
  const facts = [
    ...(inside === null ? [] : [`${formatShort(inside, 'diameter', system)} inside`]),
    ...(straightAhead === null ? [] : [`${formatShort(straightAhead, 'length', system)} straight`]),
    ...(holding.trim() === '' ? [] : ['jig noted']),
  ];
  return (
    <OpeningLine id={place.point.id} name={place.name} about={facts.join(', ')} isStrong>
      <PointFields place={place} />
    </OpeningLine>
  );
}

/** A tap at the collector, in a run, or a place in the room. */
function AddPoint({ places }: { readonly places: readonly Place[] }) {
  const { upstreamFirst } = useDuctTree();
  const taken = new Set(
    places.flatMap(({ point: { at } }) => (at.kind === 'collector' ? [at.tap] : [])),
  );
  const taps = COLLECTOR_TAPS.filter((tap) => !taken.has(tap));
  const options = [
    { value: '', label: 'Add a test point…' },
    ...taps.map((tap) => ({ value: `tap ${tap}`, label: TAP_NAMES[tap] })),
    ...upstreamFirst.map(({ id, name }) => ({ value: `run ${id}`, label: `In ${name}` })),
    { value: PLACE, label: 'Somewhere in the room' },
  ];
  return (
    <div className="w-64 p-3">
      <Choice
        label="Add a test point"
        value=""
        options={options}
        onChange={(chosen) => {
          const tap = taps.find((each) => chosen === `tap ${each}`);
          const run = upstreamFirst.find(({ id }) => chosen === `run ${id}`);
          if (tap) addPoint({ kind: 'collector', tap }, TAP_NAMES[tap]);
          else if (run) addPoint({ kind: 'run', run: run.id, along: 0 }, `In ${run.name}`);
          else if (chosen === PLACE) {
            addPoint(SOMEWHERE, 'In the room');
          }
        }}
      />
    </div>
  );
}
