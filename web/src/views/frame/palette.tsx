'use client';

import { setGate } from '@frank-gauge/core/design';
import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { saveShop } from '@/model/save-shop';
import { useDesign, useDuctTree, useUnits } from '@/model/use-design';
import { choose } from '@/storage/choices';
import { edit } from '@/storage/session';
import { setTheme } from '@/ui/theme';
import { openPalette, setPalette, usePalette } from './palette-state';
import { COLLECTOR_BENCHES, STEPS } from './steps';
import { redoAloud, undoAloud } from './undo-aloud';

/**
 * Fields that save as they are typed are undone like everything else. Other fields, and one whose
 * text was refused and so never saved, keep the browser's own undo.
 */
function hasOwnUndo(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement) || !target.matches('input, textarea')) return false;
  return !('saves' in target.dataset) || target.getAttribute('aria-invalid') === 'true';
}

interface Action {
  readonly name: string;
  readonly keys?: string;
  readonly run: () => void;
}

function useActions(): Action[] {
  const router = useRouter();
  const id = useDesign((shop) => shop.id);
  const tree = useDuctTree();
  const units = useUnits();
  const goTo = (path: string) => () => router.push(path);
  return [
    ...STEPS.map(({ path, name }) => ({
      name: `Go to ${name}`,
      run: goTo(`/shop/${id}/${path}`),
    })),
    ...COLLECTOR_BENCHES.filter(({ path }) => path !== '').map(({ path, name }) => ({
      name: `Go to Collector: ${name.toLowerCase()}`,
      run: goTo(`/shop/${id}/collector/${path}`),
    })),
    { name: 'Go to all shops', run: goTo('/') },
    { name: 'Go to sources: where the numbers come from', run: goTo('/sources') },
    { name: 'Undo', keys: 'Ctrl+Z', run: () => void undoAloud() },
    { name: 'Do again', keys: 'Ctrl+Shift+Z', run: () => void redoAloud() },
    ...tree.upstreamFirst
      .filter((run) => run.gate)
      .map((run) => {
        const open = run.gate?.open ?? false;
        const name = `${open ? 'Shut' : 'Open'} the gate: ${run.name}`;
        return { name, run: () => edit(name, (draft) => setGate(draft, run.id, !open)) };
      }),
    { name: 'Look at the shop as designed', run: () => choose({ view: 'designed' }) },
    { name: 'Look at the shop as found', run: () => choose({ view: 'found' }) },
    {
      name: units === 'us' ? 'Write in SI units' : 'Write in US units',
      run: () =>
        edit('change units', (draft) => {
          draft.shop.units = units === 'us' ? 'metric' : 'us';
        }),
    },
    { name: 'Export this shop as a file', run: () => void saveShop(id, 'json') },
    {
      name: 'Export this shop with its photos, as a zip',
      run: () => void saveShop(id, 'zip'),
    },
    { name: 'Theme: light', run: () => setTheme('light') },
    { name: 'Theme: dark', run: () => setTheme('dark') },
    { name: 'Theme: as the system has it', run: () => setTheme('system') },
  ];
}

/** Every command by name, on Ctrl+K; and the keys that work everywhere. */
export function Palette() {
  const isOpen = usePalette((state) => state.isOpen);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      if (key === 'k') {
        event.preventDefault();
        openPalette();
      } else if ((key === 'z' || key === 'y') && !hasOwnUndo(event.target)) {
        event.preventDefault();
        void (key === 'y' || event.shiftKey ? redoAloud() : undoAloud());
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);

  return (
    <Command.Dialog
      open={isOpen}
      onOpenChange={setPalette}
      label="Commands"
      overlayClassName="fixed inset-0 z-40 bg-black/35"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(520px,94vw)] -translate-x-1/2 border border-ink bg-paper shadow-float"
    >
      <Command.Input
        placeholder="What do you want to do?"
        className="w-full border-rule border-b bg-transparent px-4 py-3 text-[17px] outline-none"
      />
      <Command.List className="max-h-[50vh] overflow-y-auto p-1">
        <Command.Empty className="px-3 py-2 text-quiet">No such command.</Command.Empty>
        <Actions />
      </Command.List>
    </Command.Dialog>
  );
}

/** By itself: nobody reads commands, or has them made up, while the palette is shut. */
function Actions() {
  return useActions().map(({ name, keys, run }) => (
    <Command.Item
      key={name}
      onSelect={() => {
        setPalette(false);
        run();
      }}
      className="flex cursor-pointer px-3 py-1.5 data-[selected=true]:bg-selection"
    >
      {name}
      {keys && <span className="ml-auto text-quiet">{keys}</span>}
    </Command.Item>
  ));
}
