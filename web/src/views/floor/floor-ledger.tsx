'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import { floorArea } from '@frank-gauge/core/room';
import dynamic from 'next/dynamic';
import { standingPart } from '@/model/shop-parts';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { useChoices } from '@/storage/choices';
import { ductMessage } from '@/words/duct-words';
import { floorMessage } from '@/words/floor-words';
import { chooseThing } from './choose-thing';
import { useDucts } from './ducts/use-ducts';
import { useStanding } from './use-standing';

const RunFigures = dynamic(
  () => import('./ducts/run-figures').then((module) => module.RunFigures),
  { loading: () => null },
);

/** What cannot stand or be worked, in sentences; and how much floor there is. */
export function FloorLedger() {
  const shopId = useDesign(({ id }) => id);
  const { room, machines } = useDesign(standingPart);
  const system = useUnits();
  const tree = useDuctTree();
  const { things, conflicts, nameOf } = useStanding();
  const { conflicts: ductConflicts, lines } = useDucts();
  const open = useChoices((choices) => choices.parts[shopId]);
  const openRun = tree.upstreamFirst.find(({ id }) => id === open);
  const messages = [
    ...conflicts.map((conflict) => ({
      ...floorMessage(conflict, system, nameOf),
      isNote: conflict.kind === 'feed blocked',
      part: null,
    })),
    ...ductConflicts.map((conflict) => ({
      ...ductMessage(conflict, system, {
        run: (id) => lines.lines.get(id)?.run.name ?? '',
        machine: nameOf,
      }),
      part: conflict.kind === 'port without a duct' ? conflict.machine : conflict.run,
    })),
  ];
  const { outline } = room;
  const missing = machines.filter(({ place }) => place === null);
  // Of an empty floor there is nothing to say that the next step does not.
  if (outline.length < 3 && machines.length === 0) return null;
  return (
    <>
      {openRun && <RunFigures run={openRun} />}
      <h2 className="text-[18px]">Floor</h2>
      <p className="pt-1">
        {outline.length >= 3
          ? `${formatShort(floorArea(outline), 'area', system)}, ${things.length} things placed.`
          : 'Enter the width and depth of the room to draw it.'}
        {missing.length > 0 && ` Not placed yet: ${missing.map(({ name }) => name).join(', ')}.`}
      </p>
      <h2 className="pt-4 text-[18px]">Issues</h2>
      {conflicts.length === 0 && (
        <p className="pt-1">
          <span className="text-enough-text">●</span> Everything has its clearance, and the longest
          board passes.
        </p>
      )}
      {messages.length > 0 && (
        <ul className="space-y-2 pt-1">
          {messages.map(({ title, text, isNote, part }, i) => (
            <li key={`${i} ${title}`}>
              <p className={`font-semibold ${isNote ? '' : 'text-starved-text'}`}>
                <span aria-hidden>{isNote ? '◆' : '▼'}</span>{' '}
                {part === null ? (
                  title
                ) : (
                  <button
                    type="button"
                    className="text-left font-semibold hover:underline"
                    onClick={() => chooseThing(shopId, tree, part)}
                  >
                    {title}
                  </button>
                )}
              </p>
              <p>{text}</p>
            </li>
          ))}
        </ul>
      )}
      <p className="pt-4 text-[14px] text-quiet">
        Machines that make the most chips are best placed near the blower. Keep exits clear; local
        fire code decides.
      </p>
    </>
  );
}
