'use client';

import { type EventKind, recordWith } from '@frank-gauge/core/journal';
import { type CareWorth, type Due, EVENT_OF } from '@frank-gauge/core/upkeep';
import { nanoid } from 'nanoid';
import Link from 'next/link';
import { toast } from 'sonner';
import { useDesign } from '@/model/use-design';
import { saveFile } from '@/storage/save-file';
import { record } from '@/storage/session';
import { Button } from '@/ui/button';
import { EVENT_NAMES } from '@/words/change-words';
import { DUE_HOW, DUE_NAMES, dueWords, lastCostWords } from '@/words/upkeep-words';
import { undoAction } from '../frame/undo-aloud';
import { CareSection } from './care-section';
import { TestSection } from './test-section';
import { UpkeepFields } from './upkeep-fields';
import { useCare, useDue } from './use-due';
import { useNow } from './use-now';
import { YearSection } from './year-section';

/** What to look after before the shop is used: what is due, one press to log it, and what the year took. */
export function UpkeepView() {
  const now = useNow();
  const due = useDue(now);
  const care = useCare();
  const name = useDesign(({ shop }) => shop.name);
  const id = useDesign((shop) => shop.id);
  const dated = due.filter(({ at }) => at !== null);
  const pressing = dated.filter(({ at }) => (at ?? now) <= now).length;
  return (
    <div className="relative px-4 pt-3 pb-6 md:h-full md:overflow-y-auto print:overflow-visible">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h1 className="text-[18px]">Upkeep</h1>
        <p role="status" className="text-[17px]">
          {pressing === 0
            ? 'Nothing is due.'
            : pressing === 1
              ? 'One thing is due.'
              : `${pressing} things are due.`}
        </p>
        <span className="ml-auto flex gap-2 print:hidden">
          <Button
            look="quiet"
            disabled={dated.length === 0}
            onClick={() => void saveCalendar(name, id, dated, now)}
          >
            Save for a calendar
          </Button>
          <Button look="quiet" onClick={() => window.print()}>
            Print
          </Button>
        </span>
      </div>
      <ul aria-label="To look after" className="max-w-180 border-ink border-t">
        {due.map((each) => (
          <DueRow key={each.kind} due={each} now={now} shop={id} worths={care.worths} />
        ))}
      </ul>
      <p className="flex max-w-180 flex-wrap items-center gap-3 border-rule border-b py-2 text-[15px] print:hidden">
        <span className="min-w-0 flex-1 basis-60">
          Moved a machine, or opened a joint? Log it, and sealing stays on this list until you say
          it is done.
        </span>
        <Button onClick={() => log('duct changed', MOVED)}>Moved today</Button>
      </p>
      <p className="max-w-prose pt-2 text-[14px] text-quiet">
        Wood dust harms the lungs and burns: a respirator when you empty and clean, no flame near
        it. On another day than today, log it under{' '}
        <Link className="underline" href={`/shop/${id}/log/history`}>
          Log, History
        </Link>
        .
      </p>
      <CareSection {...care} />
      <TestSection now={now} />
      <UpkeepFields />
      <YearSection now={now} />
    </div>
  );
}

interface RowProps {
  readonly due: Due;
  readonly now: number;
  readonly shop: string;
  /** What the latest cleanings and emptyings brought, the latest first. */
  readonly worths: readonly CareWorth[];
}

function DueRow({ due, now, shop, worths }: RowProps) {
  const { kind, at, share } = due;
  const isDue = at !== null && at <= now;
  const isBin = kind === 'bin' || kind === 'filter bin';
  return (
    <li className="flex flex-wrap items-start gap-x-3 gap-y-1 border-rule border-b py-2 md:flex-nowrap">
      <div className="min-w-0 flex-1 basis-60">
        <p className={`text-[17px] ${isDue ? 'text-starved-text' : ''}`}>
          {isDue && <span aria-hidden>▼ </span>}
          {DUE_NAMES[kind]}
          {isBin && share !== null && <span className="text-[15px]">: {fullWords(share)}</span>}
        </p>
        <p className="text-[15px]">{dueWords(due, now)}</p>
        <p className="text-[14px] text-quiet">
          {DUE_HOW[kind]}
          {isBin && ` ${lastCostWords(kind, worths)}`}
        </p>
      </div>
      {kind === 'round' ? (
        <Link
          href={`/shop/${shop}/log/round`}
          className="inline-flex min-h-11 items-center border border-ink px-3 font-semibold hover:bg-selection md:min-h-8 print:hidden"
        >
          Start a round
        </Link>
      ) : (
        <Button
          className="print:hidden"
          aria-label={`Done today: ${DUE_NAMES[kind].toLowerCase()}`}
          onClick={() => log(EVENT_OF[kind])}
        >
          Done today
        </Button>
      )}
    </li>
  );
}

/** How full a bin is, as far as anyone can tell without looking. */
function fullWords(share: number): string {
  if (share < 0.05) return 'just emptied';
  return share < 1 ? `about ${Math.round(share * 20) * 5} % of the way to full` : 'full, or nearly';
}

const MOVED = 'A machine was moved, or a joint opened.';

/** Logs that it was done, now. */
function log(event: EventKind, note = ''): void {
  const label = `log ${EVENT_NAMES[event]}`;
  record(label, ({ events }) => {
    events.push(
      recordWith('events', {
        ...{ id: nanoid(10), at: new Date().toISOString(), kind: event },
        ...{ note, cost: null },
      }),
    );
  });
  toast(`Logged: ${EVENT_NAMES[event]}`, { action: undoAction() });
}

/** Days for a calendar; what is due already lies on today. What writes the format is loaded now. */
async function saveCalendar(
  name: string,
  shop: string,
  dated: readonly Due[],
  now: number,
): Promise<void> {
  const { calendarOf } = await import('@frank-gauge/core/calendar');
  const text = calendarOf(
    dated.map((due) => ({
      id: `${shop} ${due.kind}`,
      at: Math.max(now, due.at ?? now),
      title: `${name}: ${DUE_NAMES[due.kind].toLowerCase()}`,
      about: `${dueWords(due, now)}\n${DUE_HOW[due.kind]}`,
    })),
  );
  saveFile('upkeep.ics', text, 'text/calendar');
}
