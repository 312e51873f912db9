'use client';

import { usePathname } from 'next/navigation';
import { Sheet } from '@/ui/sheet';
import { openSheet, useFrameSheet } from './palette-state';

interface Keys {
  readonly keys: string;
  readonly does: string;
}

const EVERYWHERE: readonly Keys[] = [
  { keys: 'Ctrl+K', does: 'find a command, drop, run, machine or issue by name' },
  { keys: 'Ctrl+Z', does: 'undo' },
  { keys: 'Ctrl+Shift+Z', does: 'redo' },
  { keys: 'Tab, Shift+Tab', does: 'next and previous field' },
  { keys: 'Esc', does: 'restore a field; close what is open' },
  { keys: '?', does: 'show these keys' },
];

/** By view, the keys that work there alone. */
const OF_VIEWS: Readonly<Record<string, readonly Keys[]>> = {
  floor: [
    {
      keys: 'D',
      does: 'draw a duct; Backspace removes the last point, Enter finishes, Esc cancels',
    },
    { keys: 'arrows, R', does: 'move and rotate what is selected; hold Alt to leave its ducts' },
    { keys: 'Shift+arrows', does: 'move ten steps' },
    { keys: 'Page Up, Page Down', does: 'raise or lower a bend of a duct' },
    { keys: 'Shift+Enter, Shift+click', does: 'select one more' },
    { keys: 'Ctrl+A, Esc', does: 'select everything, nothing' },
    { keys: 'Ctrl+D', does: 'copy what is selected' },
    { keys: 'Delete', does: 'remove what is selected' },
  ],
  air: [
    { keys: '↑ ↓', does: 'next and previous drop, in the drop table' },
    { keys: 'Enter', does: 'open the details of a run, in the list of runs' },
  ],
  'collector/elevation': [
    { keys: '↑ ↓', does: 'move a hung part a quarter inch, in the drawing' },
    { keys: 'Space, ← →', does: 'pick up a part of the chain and move it along the air path' },
  ],
  log: [{ keys: 'Enter', does: 'add the reading, in its form' }],
};

/** The keys of the present view, and those that work everywhere. */
export function Shortcuts() {
  const isOpen = useFrameSheet(({ open }) => open === 'keys');
  const view = usePathname().split('/').slice(3).join('/');
  const own = OF_VIEWS[view] ?? [];
  return (
    <Sheet
      title="Keys"
      about="Everything works by keyboard."
      open={isOpen}
      onOpenChange={(open) => openSheet(open ? 'keys' : null)}
    >
      {own.length > 0 && <KeyList title="This view" keys={own} />}
      <KeyList title="Everywhere" keys={EVERYWHERE} />
    </Sheet>
  );
}

function KeyList({ title, keys }: { readonly title: string; readonly keys: readonly Keys[] }) {
  return (
    <>
      <h3 className="mt-3 text-[17px] first:mt-0">{title}</h3>
      <dl className="mt-1 grid grid-cols-[9rem_1fr] gap-x-4 gap-y-1.5">
        {keys.map(({ keys: names, does }) => (
          <div key={names} className="contents">
            <dt className="font-semibold">{names}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
