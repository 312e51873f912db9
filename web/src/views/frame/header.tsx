'use client';

import { CircleHelp, Redo2, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { memo } from 'react';
import { choose, useChoices } from '@/storage/choices';
import { edit, useSession } from '@/storage/session';
import { useStoragePlace } from '@/storage/storage-place';
import { Segmented } from '@/ui/segmented';
import { TextField } from '@/ui/text-field';
import { openPalette, openSheet } from './palette-state';
import { ThemeButton } from './theme-button';
import { redoAloud, undoAloud } from './undo-aloud';

const SAVED = {
  saved: 'saved',
  saving: 'saving…',
  failed: 'not saved',
} as const;

/** Whether the last edit is stored. By itself: each edit changes it twice, and nothing else here. */
function Saved() {
  const saved = useSession((session) => (session.status === 'open' ? session.saved : 'saved'));
  const isInMemory = useStoragePlace(({ kind }) => kind === 'memory');
  return (
    <span
      role="status"
      className={`text-[14px] print:hidden ${saved === 'failed' ? 'text-starved-text' : 'text-quiet'}`}
    >
      {saved === 'saved' && isInMemory ? 'in memory only' : SAVED[saved]}
    </span>
  );
}

const BUTTON = 'grid size-11 place-items-center hover:bg-selection disabled:opacity-35 md:size-8';

function UndoButtons() {
  const canUndo = useSession((session) => session.status === 'open' && session.cursor > 0);
  const canRedo = useSession(
    (session) => session.status === 'open' && session.cursor < session.changes,
  );
  return (
    <>
      <button
        type="button"
        className={BUTTON}
        disabled={!canUndo}
        onClick={() => void undoAloud()}
        aria-label="Undo"
        title="Undo, Ctrl+Z"
      >
        <Undo2 size={18} aria-hidden />
      </button>
      <button
        type="button"
        className={BUTTON}
        disabled={!canRedo}
        onClick={() => void redoAloud()}
        aria-label="Redo"
        title="Redo, Ctrl+Shift+Z"
      >
        <Redo2 size={18} aria-hidden />
      </button>
    </>
  );
}

/** Drawn anew for what it shows alone: most edits change nothing of it. */
export const Header = memo(function Header() {
  const name = useSession((session) => (session.status === 'open' ? session.shop.shop.name : ''));
  const units = useSession((session) =>
    session.status === 'open' ? session.shop.shop.units : 'us',
  );
  const view = useChoices((choices) => choices.view);
  return (
    <header className="flex flex-wrap items-center gap-x-3 border-ink border-b px-3 md:h-13 md:flex-nowrap md:px-4">
      <Link href="/" className="py-2 font-name font-semibold text-[21px] leading-none">
        Frank Gauge
      </Link>
      <div className="min-w-24 flex-1 md:max-w-56">
        <TextField
          label="Shop name"
          value={name}
          whenEmpty="A shop needs a name."
          onChange={(next) =>
            edit(
              'rename the shop',
              (draft) => {
                draft.shop.name = next;
              },
              {
                merge: 'shop name',
              },
            )
          }
          className="font-medium font-name text-[17px]"
        />
      </div>
      <Saved />
      <button
        type="button"
        onClick={() => openSheet('about')}
        className={`${BUTTON} print:hidden`}
        aria-label="About this view"
        title="About this view"
      >
        <CircleHelp size={18} aria-hidden />
      </button>
      <div className="ml-auto flex items-center gap-2 print:hidden">
        <Segmented
          label="Shop condition shown"
          value={view}
          options={[
            { value: 'designed', label: 'designed' },
            { value: 'found', label: 'found' },
          ]}
          onChange={(next) => choose({ view: next })}
        />
        <UndoButtons />
        <button
          type="button"
          onClick={openPalette}
          className="hidden border border-rule px-2 py-0.5 text-[14px] hover:border-ink md:block"
          aria-label="Commands, Ctrl K"
        >
          Ctrl K
        </button>
        <Segmented
          label="Units"
          value={units}
          options={[
            { value: 'us', label: 'US' },
            { value: 'metric', label: 'SI' },
          ]}
          onChange={(next) =>
            edit('change units', (draft) => {
              draft.shop.units = next;
            })
          }
        />
        <ThemeButton />
      </div>
    </header>
  );
});
