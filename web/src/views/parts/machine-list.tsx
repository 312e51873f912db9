'use client';

import { MACHINE_KIND_IDS, MACHINE_KINDS } from '@frank-gauge/core/design';
import { formatQuantity } from '@frank-gauge/core/quantity';
import { DropdownMenu } from 'radix-ui';
import { useUnits } from '@/model/use-design';
import { useMainOfPage } from '@/ui/use-main-of-page';
import { buttonLook, type MachineMenuProps } from './machine-button';

interface Props extends MachineMenuProps {
  /** Whether it is open at first. */
  readonly isOpen: boolean;
}

/** Chooses a kind of machine, with what each usually needs. */
export function MachineList({ label, look = 'plain', isOpen, onChoose }: Props) {
  const system = useUnits();
  const [main, findMain] = useMainOfPage();
  return (
    <DropdownMenu.Root modal={false} defaultOpen={isOpen} onOpenChange={findMain}>
      <DropdownMenu.Trigger className={buttonLook(look)}>{label} ▾</DropdownMenu.Trigger>
      <DropdownMenu.Portal container={main}>
        <DropdownMenu.Content
          align="start"
          collisionPadding={8}
          tabIndex={0}
          className="z-40 max-h-[60vh] overflow-y-auto border border-ink bg-paper p-1 shadow-float"
        >
          <DropdownMenu.Label className="px-3 py-1 text-[13px] text-quiet">
            with typical values; all can be changed
          </DropdownMenu.Label>
          {MACHINE_KIND_IDS.map((id) => (
            <DropdownMenu.Item
              key={id}
              onSelect={() => onChoose(id)}
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
