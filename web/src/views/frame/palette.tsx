'use client';

import { Command } from 'cmdk';
import { openSheet, useFrameSheet } from './palette-state';
import { useCommandGroups } from './use-command-groups';

/** Everything by name. */
export function Palette() {
  const isOpen = useFrameSheet(({ open }) => open === 'commands');
  return (
    <Command.Dialog
      open={isOpen}
      onOpenChange={(open) => openSheet(open ? 'commands' : null)}
      label="Commands"
      overlayClassName="fixed inset-0 z-40 bg-black/35"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(520px,94vw)] -translate-x-1/2 border border-ink bg-paper shadow-float"
    >
      <Command.Input
        placeholder="Find a command, drop, run, machine or issue"
        className="w-full border-rule border-b bg-transparent px-4 py-3 text-[17px] outline-none"
      />
      <Command.List className="max-h-[60vh] overflow-y-auto p-1">
        <Command.Empty className="px-3 py-2 text-quiet">Nothing of that name.</Command.Empty>
        <Groups />
      </Command.List>
    </Command.Dialog>
  );
}

/** By itself: nobody reads commands, or has them made up, while the palette is shut. */
function Groups() {
  return useCommandGroups().map(({ heading, commands }) => (
    <Command.Group
      key={heading}
      heading={heading}
      className="[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-0.5 [&_[cmdk-group-heading]]:text-[13px] [&_[cmdk-group-heading]]:text-quiet"
    >
      {commands.map(({ id, name, keys, run }) => (
        <Command.Item
          key={id}
          value={`${heading} ${id}`}
          keywords={[name]}
          onSelect={() => {
            openSheet(null);
            run();
          }}
          className="flex cursor-pointer px-3 py-1.5 data-[selected=true]:bg-selection"
        >
          {name}
          {keys && <span className="ml-auto pl-3 text-quiet">{keys}</span>}
        </Command.Item>
      ))}
    </Command.Group>
  ));
}
