'use client';

import { MoreVertical } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import { discard, keep, storeAsShop } from '@/model/tray-actions';
import type { Tray } from '@/storage/trays';

interface Props {
  readonly tray: Tray;
  readonly shop: string;
  readonly isOpen: boolean;
}

/** What can be done with a tray. */
export function TrayMenu({ tray: { id, name }, shop, isOpen }: Props) {
  const router = useRouter();
  const leave = () => {
    if (isOpen) router.push(`/shop/${shop}/improve/trays`);
  };
  const items = [
    {
      text: 'Keep in the shop',
      run: () =>
        void keep(id, name).then((kept) => {
          if (kept) leave();
        }),
    },
    { text: 'Store as a shop of its own', run: () => void storeAsShop(id) },
    {
      text: 'Throw away',
      run: () => {
        leave();
        void discard(id, name);
      },
    },
  ];
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`Tray ${name}: keep, store or throw away`}
        className="grid size-11 place-items-center hover:bg-selection md:size-8"
      >
        <MoreVertical size={16} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          className="z-30 min-w-44 border border-ink bg-paper py-1"
        >
          {items.map(({ text, run }) => (
            <DropdownMenu.Item
              key={text}
              onSelect={run}
              className="min-h-11 cursor-default px-3 py-2 outline-none data-[highlighted]:bg-selection md:min-h-8 md:py-1"
            >
              {text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
