'use client';

import { floorArea, formatShort } from '@frank-gauge/core';
import { tellFloor } from '@/words/floor-words';
import { useSolvedShop } from '../frame/solved-shop';
import { useStanding } from './use-standing';

/** What cannot stand or be worked, in sentences; and how much floor there is. */
export function FloorLedger() {
  const { shop, system } = useSolvedShop();
  const { things, conflicts, nameOf } = useStanding();
  const { outline } = shop.room;
  const missing = shop.machines.filter(({ place }) => place === null);
  return (
    <>
      <h2 className="text-[18px]">The floor</h2>
      <p className="pt-1">
        {outline.length >= 3
          ? `${formatShort(floorArea(outline), 'area', system)}, ${things.length} things on it.`
          : 'Say how wide and deep the room is, and it is drawn.'}
        {missing.length > 0 && ` Not placed yet: ${missing.map(({ name }) => name).join(', ')}.`}
      </p>
      <h2 className="pt-4 text-[18px]">What to look at</h2>
      {conflicts.length === 0 ? (
        <p className="pt-1">
          <span className="text-enough-text">●</span> Everything stands clear, and boards go
          through.
        </p>
      ) : (
        <ul className="space-y-2 pt-1">
          {conflicts.map((conflict, i) => {
            const { title, text } = tellFloor(conflict, system, nameOf);
            const isFeed = conflict.kind === 'feed blocked';
            return (
              <li key={`${title} ${i === 0 ? '' : conflicts.slice(0, i).length}`}>
                <p className={`font-semibold ${isFeed ? '' : 'text-starved-text'}`}>
                  <span aria-hidden>{isFeed ? '◆' : '▼'}</span> {title}
                </p>
                <p>{text}</p>
              </li>
            );
          })}
        </ul>
      )}
      <p className="pt-4 text-[14px] text-quiet">
        The biggest chip makers stand best nearest the blower. Keep ways out clear; local fire code
        decides.
      </p>
    </>
  );
}
