'use client';

import { WEEK } from '@frank-gauge/core/design';
import { bulkingByEmptying } from '@frank-gauge/core/upkeep';
import { useDesign } from '@/model/use-design';
import { edit, useJournal } from '@/storage/session';
import { FieldLine } from '../parts/line';

/** Weeks that an interval of upkeep may have. */
const MOST_WEEKS = 520;

/** What days are worked out from. */
export function UpkeepFields() {
  const shop = useDesign();
  const { upkeep } = shop;
  const events = useJournal((journal) => journal.events);
  const weighings = useJournal((journal) => journal.weighings);
  const learnt = bulkingByEmptying(shop, { events, weighings });
  const change = (what: string, by: (own: typeof upkeep) => void) =>
    edit(what, (own) => by(own.upkeep));
  const weeks = (field: 'roundEvery' | 'checkEvery' | 'filterEvery', what: string) => ({
    value: upkeep[field] / WEEK,
    kind: 'number' as const,
    min: 1,
    max: MOST_WEEKS,
    onChange: (value: number) =>
      change(what, (own) => {
        own[field] = value * WEEK;
      }),
  });
  return (
    <section aria-label="What the days are worked out from" className="max-w-120 pt-5 print:hidden">
      <h2 className="text-[17px]">What the days are worked out from</h2>
      <FieldLine
        label="Blower runs, a week"
        value={upkeep.running}
        kind="duration"
        min={0}
        max={WEEK}
        placeholder="not known"
        onChange={(running) =>
          change('running time', (own) => {
            own.running = running;
          })
        }
        onClear={() =>
          change('running time', (own) => {
            own.running = null;
          })
        }
      />
      <FieldLine
        label="Bulking factor"
        value={upkeep.bulking}
        kind="number"
        min={1}
        max={30}
        onChange={(bulking) =>
          change('bulking factor', (own) => {
            own.bulking = bulking;
          })
        }
      />
      <FieldLine
        label="Emptied when full to"
        value={upkeep.fullAt}
        kind="ratio"
        min={0.05}
        max={1}
        onChange={(fullAt) =>
          change('share the bin is emptied at', (own) => {
            own.fullAt = fullAt;
          })
        }
      />
      <FieldLine label="Weeks between rounds" {...weeks('roundEvery', 'time between rounds')} />
      <FieldLine label="Weeks between checks" {...weeks('checkEvery', 'time between checks')} />
      <FieldLine
        label="Weeks between filter cleanings"
        {...weeks('filterEvery', 'time between filter cleanings')}
      />
      <p className="pt-1 text-[14px] text-quiet">
        The weeks between filter cleanings count only as long as nothing better is known: no
        pressure readings, no hours, no earlier cleanings. Chips take up three to five times the
        room of the wood they were, long shavings up to ten.
        {learnt !== null &&
          ` How often you emptied the bin speaks for about ${learnt.toPrecision(2)}.`}
      </p>
    </section>
  );
}
