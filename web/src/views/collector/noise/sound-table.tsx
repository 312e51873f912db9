'use client';

import { allowedHours, RECOMMENDED_LEVEL } from '@frank-gauge/core/collector';
import { type SoundReading, timeOf } from '@frank-gauge/core/journal';
import { formatShort } from '@frank-gauge/core/quantity';
import { format } from 'date-fns';
import { useUnits } from '@/model/use-design';
import { record, useJournal } from '@/storage/session';
import { RemoveButton } from '@/ui/remove-button';
import { TextField } from '@/ui/text-field';
import { ShopQuantity } from '../../parts/line';

/** Edits one field of a reading; quick edits of it are one step to undo. */
const editSound = ({ id }: SoundReading, field: string, change: (own: SoundReading) => void) =>
  record(
    field,
    ({ sounds }) => {
      const own = sounds.find((sound) => sound.id === id);
      if (own) change(own);
    },
    { merge: `sound ${id} ${field}` },
  );

/** Every reading of a sound meter: where, how loud, how long a day, and what NIOSH allows there. */
export function SoundTable() {
  const sounds = useJournal((journal) => journal.sounds);
  const latestFirst = [...sounds].sort((a, b) => timeOf(b) - timeOf(a));
  return (
    <table className="stacked-table w-full border-collapse">
      <thead className="sticky top-0 bg-paper text-left text-[13px] text-quiet shadow-[inset_0_-1px_0_var(--ink)]">
        <tr className="[&>th]:px-1.5 [&>th]:py-1.5 [&>th]:font-normal">
          <th className="min-w-[180px]">place and note</th>
          <th className="w-24 text-right">level</th>
          <th className="w-28 text-right">from the collector</th>
          <th className="w-20 text-right">hours a day</th>
          <th className="text-right">allowed</th>
          <th>read</th>
          <th className="relative w-9">
            <span className="sr-only">remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {latestFirst.map((sound) => (
          <tr
            key={sound.id}
            className="border-rule border-b align-baseline [&>td]:px-1.5 [&>td]:py-0.5"
          >
            <td data-wide>
              <TextField
                label={`Place of the reading of ${sound.level} dB(A)`}
                value={sound.place}
                whenEmpty="Enter where it was read."
                onChange={(place) =>
                  editSound(sound, 'place', (own) => {
                    own.place = place;
                  })
                }
              />
              <TextField
                label={`Note on ${sound.place}`}
                value={sound.note}
                placeholder="note"
                onChange={(note) =>
                  editSound(sound, 'note', (own) => {
                    own.note = note;
                  })
                }
              />
            </td>
            <td data-label="level">
              {sound.isSimulated && <span className="mr-1 text-[13px] text-quiet">simulated</span>}
              <ShopQuantity
                label={`Level at ${sound.place}`}
                value={sound.level}
                kind="sound"
                min={20}
                max={150}
                onChange={(level) =>
                  editSound(sound, 'level', (own) => {
                    own.level = level;
                  })
                }
              />
            </td>
            <td data-label="from the collector">
              <ShopQuantity
                label={`Distance of ${sound.place} from the collector`}
                value={sound.distance}
                kind="length"
                min={0}
                isMinExcluded
                max={100}
                placeholder="–"
                onChange={(distance) =>
                  editSound(sound, 'distance', (own) => {
                    own.distance = distance;
                  })
                }
                onClear={() =>
                  editSound(sound, 'distance', (own) => {
                    own.distance = null;
                  })
                }
              />
            </td>
            <td data-label="hours a day">
              <ShopQuantity
                label={`Hours a day at ${sound.place}`}
                value={sound.hours}
                kind="number"
                min={0}
                max={24}
                placeholder="–"
                onChange={(hours) =>
                  editSound(sound, 'hours', (own) => {
                    own.hours = hours;
                  })
                }
                onClear={() =>
                  editSound(sound, 'hours', (own) => {
                    own.hours = null;
                  })
                }
              />
            </td>
            <td data-label="allowed" className="whitespace-nowrap text-right">
              <Allowed sound={sound} />
            </td>
            <td data-label="read" className="whitespace-nowrap text-[14px] text-quiet">
              {format(new Date(sound.at), 'MMM d, yyyy')}
            </td>
            <td>
              <RemoveButton
                label={`Remove the reading at ${sound.place}`}
                onClick={() =>
                  record(`remove the reading at ${sound.place}`, (journal) => {
                    journal.sounds = journal.sounds.filter(({ id }) => id !== sound.id);
                  })
                }
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** How long NIOSH allows there, unprotected. */
function Allowed({ sound }: { readonly sound: SoundReading }) {
  const system = useUnits();
  const hours = allowedHours(sound.level);
  if (hours >= 24) return 'all day';
  const time =
    hours >= 1
      ? formatShort(Math.round(hours * 3600 * 10) / 10, 'duration', system)
      : `${Math.max(1, Math.round(hours * 60))} min`;
  const isOver = sound.hours !== null && sound.hours > hours;
  return (
    <span className={isOver ? 'font-semibold text-starved-text' : ''}>
      {isOver ? '▼ ' : sound.level >= RECOMMENDED_LEVEL ? '◆ ' : ''}
      {time}
    </span>
  );
}
