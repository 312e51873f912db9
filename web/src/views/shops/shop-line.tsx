'use client';

import { STYLES, unitSymbol, writeNumber } from '@frank-gauge/core/quantity';
import { formatDistanceToNow } from 'date-fns';
import { MoreVertical } from 'lucide-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { engine } from '@/model/engine';
import { saveShop } from '@/model/save-shop';
import type { Standing, SummaryRow } from '@/storage/rows';
import { deleteShop, duplicateShop, renameShop, restoreShop } from '@/storage/shop-list';
import { Sheet } from '@/ui/sheet';
import { TextField } from '@/ui/text-field';
import { useMainOfPage } from '@/ui/use-main-of-page';
import { exportReminder } from './export-reminder';

const SendSheet = dynamic(() => import('../frame/send-sheet').then((module) => module.SendSheet), {
  loading: () => null,
});

/** How the shop stands; null while the engine works it out, since its design changed since it last did. */
function useStanding({ id, standing, designRevision }: SummaryRow): Standing | null {
  const isKnown = standing?.of === designRevision;
  useEffect(() => {
    if (isKnown) return;
    // Kept with the summary, from where it comes back here.
    const asked = engine.ask(`standing ${id} ${designRevision}`, (remote) =>
      remote.storeStanding(id),
    );
    return () => asked.cancel();
  }, [id, isKnown, designRevision]);
  return isKnown ? standing : null;
}

function dropsOf(standing: Standing | null): string {
  if (!standing) return '…';
  if (standing.kind === 'unreadable') return 'damaged: open it to see what is wrong';
  return standing.drops === 1 ? '1 drop' : `${standing.drops} drops`;
}

/** Says what was not done with a shop because storage refused it, and offers to save the shop as a file. */
const notStored = (shop: string, what: string) =>
  toast(`${what}: the browser could not store it. Its storage may be full.`, {
    action: { label: 'Save as a file', onClick: () => void saveShop(shop, 'json') },
    duration: 10_000,
  });

/** How long ago; of a date that was lost, that it is not known. */
const agoOf = (changed: string): string =>
  Date.parse(changed) === 0
    ? 'at an unknown time'
    : formatDistanceToNow(new Date(changed), { addSuffix: true });

export function ShopLine({ summary }: { readonly summary: SummaryRow }) {
  const { id, name, note, units, changed } = summary;
  const standing = useStanding(summary);
  const [isRenaming, setRenaming] = useState(false);
  const [isSending, setSending] = useState(false);
  const reminder = exportReminder(summary, new Date());
  return (
    <li className="flex items-center gap-4 border-rule border-b hover:bg-selection">
      <Link href={`/shop/${id}/air`} className="min-w-0 flex-1 px-2 py-3">
        <span className="block truncate font-medium font-name text-[19px]">{name}</span>
        <span className="block text-[14px] text-quiet md:truncate">
          {dropsOf(standing)} · changed {agoOf(changed)}
          {note !== '' && ` · ${note}`}
        </span>
        {reminder && <span className="block text-[14px] text-quiet md:truncate">{reminder}</span>}
      </Link>
      {standing?.kind === 'judged' && <Worst worst={standing.worst} units={units} />}
      <LineMenu
        id={id}
        name={name}
        onRename={() => setRenaming(true)}
        onSend={() => setSending(true)}
      />
      {isSending && <SendSheet id={id} name={name} open onOpenChange={setSending} />}
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
          onChange={(next) => {
            renameShop(id, next).catch(() => notStored(id, `${name} was not renamed`));
          }}
          className="text-[18px]"
        />
      </Sheet>
    </li>
  );
}

interface WorstProps {
  readonly worst: Extract<Standing, { kind: 'judged' }>['worst'];
  readonly units: 'us' | 'metric';
}

function Worst({ worst, units }: WorstProps) {
  if (!worst) return null;
  const { name, margin } = worst;
  const isShort = margin < 0;
  return (
    <span className="text-right">
      <span className="block text-[13px] text-quiet">worst drop</span>
      <span className={`font-semibold ${isShort ? 'text-starved-text' : 'text-enough-text'}`}>
        <span aria-hidden>{isShort ? '▼' : '●'}</span> {name} {isShort ? '' : '+'}
        {writeNumber(margin, STYLES[units].flow)} {unitSymbol('flow', units)}
      </span>
    </span>
  );
}

interface MenuProps {
  readonly id: string;
  readonly name: string;
  readonly onRename: () => void;
  readonly onSend: () => void;
}

const ITEM =
  'flex min-h-11 cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-selection md:min-h-8';

function LineMenu({ id, name, onRename, onSend }: MenuProps) {
  const [main, findMain] = useMainOfPage();
  const restore = () => restoreShop(id).catch(() => notStored(id, `${name} was not brought back`));
  const remove = async () => {
    try {
      await deleteShop(id);
      toast(`Deleted ${name}`, { action: { label: 'Undo', onClick: () => void restore() } });
    } catch {
      notStored(id, `${name} was not deleted`);
    }
  };
  const duplicate = async () => {
    try {
      await duplicateShop(id);
    } catch {
      notStored(id, `${name} was not copied`);
    }
  };
  return (
    <DropdownMenu.Root modal={false} onOpenChange={findMain}>
      <DropdownMenu.Trigger
        aria-label={`What to do with ${name}`}
        className="grid size-11 place-items-center hover:bg-paper"
      >
        <MoreVertical size={18} aria-hidden />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal container={main}>
        <DropdownMenu.Content
          align="end"
          className="z-40 min-w-44 border border-ink bg-paper py-1 shadow-float"
        >
          <DropdownMenu.Item className={ITEM} onSelect={onRename}>
            Rename
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => void duplicate()}>
            Duplicate
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={onSend}>
            Send to another device…
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => void saveShop(id, 'json')}>
            Export as a file
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => void saveShop(id, 'zip')}>
            Export with photos (zip)
          </DropdownMenu.Item>
          <DropdownMenu.Item className={`${ITEM} text-starved-text`} onSelect={() => void remove()}>
            Delete
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
