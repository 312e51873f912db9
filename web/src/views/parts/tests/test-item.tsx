'use client';

import type { ShopEvent } from '@frank-gauge/core/journal';
import { format } from 'date-fns';
import { RemoveButton } from '@/ui/remove-button';
import { EVENT_NAMES } from '@/words/change-words';
import { foundWords } from '@/words/test-words';
import { Photos } from '../photos/photos';
import { removeEvent } from './remove-event';

/** A test with light, smoke or a hand: where, and what was seen, with its photos. */
export function TestItem({ event }: { readonly event: ShopEvent }) {
  const day = format(Date.parse(event.at), 'MMMM d, yyyy');
  const name = EVENT_NAMES[event.kind];
  return (
    <li className="break-inside-avoid border-rule border-b py-2">
      <div className="flex items-start gap-2">
        <div className="min-w-0 flex-1">
          <p className="font-semibold">
            {name.charAt(0).toUpperCase()}
            {name.slice(1)}
            <span className="ml-2 font-normal text-[14px] text-quiet">{day}</span>
          </p>
          <p className={`text-[15px] ${event.found ? 'text-starved-text' : ''}`}>
            {event.found && <span aria-hidden>▼ </span>}
            {foundWords(event)}
          </p>
          {event.note !== '' && <p className="text-[14px] text-quiet">{event.note}</p>}
        </div>
        <span className="print:hidden">
          <RemoveButton label={`Remove ${name}, ${day}`} onClick={() => removeEvent(event)} />
        </span>
      </div>
      <Photos of={{ kind: 'event', id: event.id }} name={`${name}, ${day}`} />
    </li>
  );
}
