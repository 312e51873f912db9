'use client';

import { compareCandidates, latestAtDistance } from '@frank-gauge/core/analysis';
import {
  averageLevel,
  dailyDose,
  levelMoved,
  NOISE_UNCERTAINTY,
  RECOMMENDED_LEVEL,
} from '@frank-gauge/core/collector';
import { type SoundReading, timeOf } from '@frank-gauge/core/journal';
import { formatShort, toSI } from '@frank-gauge/core/quantity';
import { useMemo } from 'react';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { useJournal } from '@/storage/session';
import { noiseDistance } from '@/words/noise-distance';

/** The latest reading of each place where somebody stays. */
function staysOf(sounds: readonly SoundReading[]): SoundReading[] {
  const latest = new Map<string, SoundReading>();
  for (const sound of sounds) {
    if (sound.hours === null) continue;
    const before = latest.get(sound.place);
    if (!before || timeOf(sound) > timeOf(before)) latest.set(sound.place, sound);
  }
  return [...latest.values()];
}

/** The day's dose, what each collector would sound like, and the distance rule. */
export function NoiseLedger() {
  const sounds = useJournal((journal) => journal.sounds);
  const stays = staysOf(sounds).flatMap(({ level, hours }) =>
    hours === null ? [] : [{ level, hours }],
  );
  const dose = dailyDose(stays);
  const average = averageLevel(dose);
  return (
    <>
      <h2 className="text-[18px]">Daily dose</h2>
      {average === null ? (
        <p className="text-quiet">
          Enter the hours a day someone is at each place to see the daily noise dose.
        </p>
      ) : (
        <>
          <p className="pt-1">
            <span
              className={`font-semibold text-[27px] ${dose > 1 ? 'text-starved-text' : 'text-enough-text'}`}
            >
              <span aria-hidden>{dose > 1 ? '▼' : '●'}</span> {Math.round(100 * dose)} %
            </span>{' '}
            of the daily limit
          </p>
          <p>
            Equal to {Math.round(average)} dB(A) for eight hours. NIOSH recommends no more than{' '}
            {RECOMMENDED_LEVEL}, half the time for each 3 dB more.{' '}
            {dose > 1 &&
              'Wear muffs or plugs at the loudest places, or spend less time there. Where the blower is the noise, an enclosure helps.'}
          </p>
        </>
      )}
      <Estimates />
      <Distances />
      <p className="pt-4 text-[14px] text-quiet">
        Hearing loss is permanent. This dose comes from single readings: a dosimeter and your local
        rules decide.
      </p>
    </>
  );
}

/** What the collectors are computed to sound like. */
function Estimates() {
  const shop = useDesign();
  const tree = useDuctTree();
  const system = useUnits();
  const view = useChoices((choices) => choices.view);
  const sounds = useJournal((journal) => journal.sounds);
  const options = useMemo(
    () => compareCandidates(shop, tree, view, sounds),
    [shop, tree, view, sounds],
  );
  const heard = latestAtDistance(sounds.filter(({ expected }) => expected !== null));
  return (
    <>
      <h2 className="pt-4 text-[18px]">Collectors, at {noiseDistance(system)}</h2>
      <dl>
        {options.map(({ id, noise }) => (
          <div key={id ?? ''} className="flex border-rule border-b py-0.5">
            <dt>{shop.candidates.find((each) => each.id === id)?.name ?? 'In the shop'}</dt>
            <dd className="ml-auto">{noise === null ? '–' : `about ${Math.round(noise)} dB(A)`}</dd>
          </div>
        ))}
      </dl>
      <p className="pt-1 text-[14px] text-quiet">
        {heard
          ? `Estimates from airflow and pressure, adjusted to the reading “${heard.place}”.`
          : `Estimates from airflow and pressure, ± ${NOISE_UNCERTAINTY} dB. A reading at a known distance improves them.`}
      </p>
    </>
  );
}

/** The distance rule, from the latest reading at a known distance. */
function Distances() {
  const system = useUnits();
  const sounds = useJournal((journal) => journal.sounds);
  const heard = latestAtDistance(sounds);
  if (!heard || heard.distance === null) return null;
  const { distance } = heard;
  const distances = system === 'us' ? [3, 6, 12, 24].map((feet) => toSI(feet, 'ft')) : [1, 2, 4, 8];
  return (
    <>
      <h2 className="pt-4 text-[18px]">By distance (estimate)</h2>
      <dl>
        {distances.map((to) => (
          <div key={to} className="flex border-rule border-b py-0.5">
            <dt>{formatShort(to, 'length', system)}</dt>
            <dd className="ml-auto">
              about {Math.round(levelMoved(heard.level, distance, to))} dB(A)
            </dd>
          </div>
        ))}
      </dl>
      <p className="pt-1 text-[14px] text-quiet">
        6 dB less per doubling of distance, as outdoors. Indoors it drops less.
      </p>
    </>
  );
}
