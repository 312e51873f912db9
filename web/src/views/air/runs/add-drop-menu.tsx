'use client';

import { formatQuantity, MACHINE_KIND_IDS, MACHINE_KINDS } from '@frank-gauge/core';
import { DropdownMenu } from 'radix-ui';
import { useSolvedShop } from '../../frame/solved-shop';
import { addDropAt } from './edit-runs';

interface Props {
  readonly node: string;
  /** The run to cut in half for the new drop; undefined: it joins at the node. */
  readonly splitting?: string;
  readonly label?: string;
  readonly look?: 'plain' | 'solid';
}

/** Chooses a machine; it comes with its drop, gate and hose, ready to be changed. */
export function AddDropMenu({ node, splitting, label = 'Add a machine', look = 'plain' }: Props) {
  const { system } = useSolvedShop();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className={`min-h-11 border border-ink px-3 font-semibold md:min-h-8 ${look === 'solid' ? 'bg-ink text-paper hover:opacity-85' : 'hover:bg-selection'}`}
      >
        {label} ▾
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          collisionPadding={8}
          className="z-40 max-h-[60vh] overflow-y-auto border border-ink bg-paper p-1 shadow-float"
        >
          <DropdownMenu.Label className="px-3 py-1 text-[13px] text-quiet">
            with what each usually needs; all can be changed
          </DropdownMenu.Label>
          {MACHINE_KIND_IDS.map((id) => (
            <DropdownMenu.Item
              key={id}
              onSelect={() => addDropAt(node, id, splitting)}
              className="flex min-h-10 cursor-pointer items-center gap-6 px-3 outline-none data-[highlighted]:bg-selection md:min-h-7"
            >
              {MACHINE_KINDS[id].name}
              <span className="ml-auto text-quiet">
                {formatQuantity(MACHINE_KINDS[id].flow, 'flow', system)}
              </span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
