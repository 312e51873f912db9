'use client';

import { type Instrument, recordWith } from '@frank-gauge/core/journal';
import { USUAL_ACCURACY } from '@frank-gauge/core/reading';
import { nanoid } from 'nanoid';
import { choosePart } from '@/storage/choices';
import { openShopId, record, useJournal } from '@/storage/session';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { INSTRUMENT_NAMES } from '@/words/measuring-words';
import { OpeningLine } from '../../parts/opening-line';
import { HiddenFields } from './hidden-fields';
import { InstrumentFields } from './instrument-fields';

/** A new meter, open to be described. */
function addInstrument(): void {
  const id = nanoid(10);
  record('add a meter', ({ instruments }) => {
    const made = recordWith('instruments', {
      id,
      name: `Meter ${instruments.length + 1}`,
      kind: 'vane',
      accuracy: USUAL_ACCURACY,
    });
    instruments.push(made);
  });
  choosePart(openShopId(), id);
}

/** Stand-ins to try a round with, each as such a meter usually is. */
const STAND_INS = {
  vane: {
    name: 'Simulated vane',
    kind: 'vane',
    accuracy: USUAL_ACCURACY,
    unit: 'm/s',
    range: { from: 0.4, to: 30 },
    resolution: 0.1,
    hold: 'average',
  },
  manometer: {
    name: 'Simulated manometer',
    kind: 'manometer',
    accuracy: 0.02,
    unit: 'Pa',
    range: { from: 1, to: 5000 },
    resolution: 1,
    hold: 'average',
  },
  'sound meter': {
    name: 'Simulated sound meter',
    kind: 'sound meter',
    accuracy: 0.02,
    range: { from: 30, to: 130 },
    resolution: 0.1,
  },
  ammeter: {
    name: 'Simulated clamp ammeter',
    kind: 'ammeter',
    accuracy: 0.02,
    unit: 'A',
    range: { from: 0.1, to: 60 },
    resolution: 0.1,
  },
  scale: {
    name: 'Simulated scale',
    kind: 'scale',
    accuracy: 0.02,
    range: { from: 0.1, to: 150 },
    resolution: 0.1,
  },
} as const;

type StandInKind = keyof typeof STAND_INS;

/** A stand-in for a meter: it reads the solved shop, as unsteadily as such a meter in a hand. */
function addSimulated(kind: StandInKind): void {
  const id = nanoid(10);
  record(`add a simulated ${kind}`, ({ instruments }) => {
    instruments.push(recordWith('instruments', { ...STAND_INS[kind], id, isSimulated: true }));
  });
  choosePart(openShopId(), id);
}

/** The meters readings are taken with: what each shows, how far, how well, and what it does wrong. */
export function InstrumentsView() {
  const instruments = useJournal((journal) => journal.instruments);
  return (
    <div className="grid md:h-full md:grid-cols-[minmax(0,1fr)_300px] md:overflow-hidden">
      <section
        aria-label="Instruments"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="min-w-0 md:overflow-y-auto"
      >
        <h1 className="px-3 pt-3 pb-1 text-[17px]">Instruments</h1>
        {instruments.length === 0 && (
          <p className="max-w-prose px-3 pb-2 text-[17px]">
            No meters yet. Add the one you own: its unit, the ends of its range and how far it may
            be off.
          </p>
        )}
        <div className="max-w-2xl border-rule border-t">
          {instruments.map((instrument) => (
            <OpeningLine
              key={instrument.id}
              id={instrument.id}
              name={instrument.name}
              about={aboutOf(instrument)}
              isStrong
            >
              <InstrumentFields instrument={instrument} />
            </OpeningLine>
          ))}
        </div>
        <div className="p-3">
          <Button onClick={addInstrument}>Add a meter</Button>{' '}
          <span className="inline-block w-64 align-middle">
            <Choice
              label="Add a simulated meter"
              value=""
              options={[
                { value: '', label: 'Add a simulated meter…' },
                ...(Object.keys(STAND_INS) as StandInKind[]).map((kind) => ({
                  value: kind,
                  label: STAND_INS[kind].name,
                })),
              ]}
              onChange={(kind) => {
                if (kind !== '') addSimulated(kind as StandInKind);
              }}
            />
          </span>
        </div>
        {instruments.some(({ isSimulated }) => isSimulated) && <HiddenFields />}
      </section>
      <section
        aria-label="About meters"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls has to be reached by keyboard
        tabIndex={0}
        className="border-rule p-3 max-md:border-t md:overflow-y-auto md:border-l"
      >
        <h2 className="text-[18px]">What matters about a meter</h2>
        <ul className="list-disc space-y-2 pt-1 pl-4 [overflow-wrap:anywhere]">
          <li>
            Beyond the end of its range it shows nothing you can use: log the reading as over range,
            and it counts as “at least this much”.
          </li>
          <li>
            A meter that shows CFM multiplies by the pipe it was set to. Enter that pipe, and the
            true inside diameter is used instead.
          </li>
          <li>A vane head nearly as wide as the pipe blocks it. Enter its diameter.</li>
          <li>The maximum it holds is a few percent above the mean; the average is better.</li>
          <li>
            One meter compared with itself, at the same place and held the same way, needs no
            accuracy: what it does wrong cancels.
          </li>
        </ul>
      </section>
    </div>
  );
}

function aboutOf({ kind, accuracy, isSimulated }: Instrument): string {
  const off = accuracy > 0 ? `, ± ${Number((100 * accuracy).toPrecision(2))} %` : '';
  return `${INSTRUMENT_NAMES[kind]}${off}${isSimulated ? ', simulated' : ''}`;
}
