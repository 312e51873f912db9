'use client';

import {
  arrangeDucts,
  judgeDrops,
  readShop,
  type Shop,
  STYLES,
  unitSymbol,
  worstDrop,
  writeNumber,
} from '@frank-gauge/core';
import { formatDistanceToNow } from 'date-fns';
import { MoreVertical } from 'lucide-react';
import Link from 'next/link';
import { DropdownMenu } from 'radix-ui';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { ShopRow } from '@/store/database';
import { deleteShop, duplicateShop, exportShop, renameShop, restoreShop } from '@/store/shop-list';
import { Sheet } from '@/ui/sheet';
import { TextField } from '@/ui/text-field';

/** Checked, since what lies in storage may be older than the program. */
function readRow(document: Shop) {
  const read = readShop(document);
  if (!read.ok) return null;
  const arranged = arrangeDucts(read.shop);
  if (!arranged.ok) return null;
  const { drops } = arranged.tree;
  return { drops, worst: worstDrop(judgeDrops(read.shop, arranged.tree, 'found', 'one')) };
}

export function ShopLine({ row }: { readonly row: ShopRow }) {
  const { document } = row;
  const { name, note, units } = document.shop;
  const read = useMemo(() => readRow(document), [document]);
  const [isRenaming, setRenaming] = useState(false);
  return (
    <li className="flex items-center gap-4 border-rule border-b hover:bg-selection">
      <Link href={`/shop/${row.id}/air`} className="min-w-0 flex-1 px-2 py-3">
        <span className="block truncate font-medium font-name text-[19px]">{name}</span>
        <span className="block truncate text-[14px] text-quiet">
          {read ? `${read.drops.length} drops` : 'cannot be read'} · changed{' '}
          {formatDistanceToNow(new Date(row.changed), { addSuffix: true })}
          {note !== '' && ` · ${note}`}
        </span>
      </Link>
      <Worst worst={read?.worst ?? null} units={units} />
      <LineMenu row={row} onRename={() => setRenaming(true)} />
      <Sheet
        title="Rename the shop"
        about="Saved as you type."
        open={isRenaming}
        onOpenChange={setRenaming}
      >
        <TextField
          label="Shop name"
          value={name}
          whenEmpty="A shop needs a name."
          onChange={(next) => void renameShop(row.id, next)}
          className="text-[18px]"
        />
      </Sheet>
    </li>
  );
}

interface WorstProps {
  readonly worst: ReturnType<typeof worstDrop>;
  readonly units: 'us' | 'metric';
}

function Worst({ worst, units }: WorstProps) {
  if (!worst) return null;
  const isShort = worst.margin < 0;
  return (
    <span className="text-right">
      <span className="block text-[13px] text-quiet">worst drop</span>
      <span className={`font-semibold ${isShort ? 'text-starved-text' : 'text-enough-text'}`}>
        <span aria-hidden>{isShort ? '▼' : '●'}</span> {worst.drop.name} {isShort ? '' : '+'}
        {writeNumber(worst.margin, STYLES[units].flow)} {unitSymbol('flow', units)}
      </span>
    </span>
  );
}

function LineMenu({ row, onRename }: { readonly row: ShopRow; readonly onRename: () => void }) {
  const { name } = row.document.shop;
  const remove = async () => {
    await deleteShop(row.id);
    toast(`Deleted ${name}`, {
      action: { label: 'Undo', onClick: () => void restoreShop(row.id) },
    });
  };
  const item =
    'flex min-h-11 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-selection md:min-h-8';
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={`What to do with ${name}`}
        className="grid size-11 place-items-center hover:bg-paper"
      >
        <MoreVertical size={18} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          className="z-40 min-w-44 border border-ink bg-paper py-1 shadow-float"
        >
          <DropdownMenu.Item className={item} onSelect={onRename}>
            Rename
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={() => void duplicateShop(row.id)}>
            Duplicate
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={() => exportShop(row.document)}>
            Export as a file
          </DropdownMenu.Item>
          <DropdownMenu.Item className={`${item} text-starved-text`} onSelect={() => void remove()}>
            Delete
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
