'use client';

import { setGate } from '@frank-gauge/core/design';
import { useRouter } from 'next/navigation';
import { saveShop } from '@/model/save-shop';
import { useDesign, useDropResults, useDuctTree, useUnits } from '@/model/use-design';
import { choose, chooseDrop, choosePart, useChoices } from '@/storage/choices';
import { edit } from '@/storage/session';
import { setTheme } from '@/ui/theme';
import { ABOUT_VIEWS } from '@/words/about-views';
import { issuesAt } from '../parts/issues';
import { openSheet } from './palette-state';
import { BENCHES, STEPS } from './steps';
import { redoAloud, undoAloud } from './undo-aloud';
import { useViewCommands, type ViewCommand } from './view-commands';

interface FoundCommand extends ViewCommand {
  /** Its own within its group: two things may have one name. */
  readonly id: string;
}

interface CommandGroup {
  readonly heading: string;
  readonly commands: readonly FoundCommand[];
}

const named = (commands: readonly ViewCommand[]): FoundCommand[] =>
  commands.map((command) => ({ ...command, id: command.name }));

/** All that can be found by name: what the present view does first. */
export function useCommandGroups(): readonly CommandGroup[] {
  const ofView = useViewCommands(({ commands }) => commands);
  const groups: CommandGroup[] = [
    { heading: 'This view', commands: named(ofView) },
    { heading: 'Go to', commands: usePlaces() },
    ...useParts(),
    { heading: 'Issues', commands: useIssues() },
    { heading: 'Shop', commands: useShopCommands() },
    { heading: 'Help', commands: useHelp() },
  ];
  return groups.filter(({ commands }) => commands.length > 0);
}

function usePlaces(): FoundCommand[] {
  const router = useRouter();
  const id = useDesign((shop) => shop.id);
  const goTo = (path: string) => () => router.push(path);
  return named([
    ...STEPS.map(({ path, name }) => ({ name, run: goTo(`/shop/${id}/${path}`) })),
    ...Object.entries(BENCHES).flatMap(([step, { name: of, benches }]) =>
      benches
        .filter(({ path }) => path !== '')
        .map(({ path, name }) => ({
          name: `${of}: ${name}`,
          run: goTo(`/shop/${id}/${step}/${path}`),
        })),
    ),
    { name: 'All shops', run: goTo('/') },
    { name: 'Sources: where the numbers come from', run: goTo('/sources') },
  ]);
}

/** Drops open under Air, runs and machines on the Floor; gates are opened and shut at once. */
function useParts(): CommandGroup[] {
  const router = useRouter();
  const shop = useDesign(({ id }) => id);
  const machines = useDesign((design) => design.machines);
  const tree = useDuctTree();
  const onFloor = (part: string) => () => {
    choosePart(shop, part);
    router.push(`/shop/${shop}/floor`);
  };
  return [
    {
      heading: 'Drops',
      commands: tree.drops.map(({ id, name }) => ({
        id,
        name,
        run: () => {
          chooseDrop(shop, id);
          router.push(`/shop/${shop}/air`);
        },
      })),
    },
    {
      heading: 'Machines',
      commands: machines.map(({ id, name }) => ({ id, name, run: onFloor(id) })),
    },
    {
      heading: 'Runs',
      commands: tree.upstreamFirst.map(({ id, name }) => ({ id, name, run: onFloor(id) })),
    },
    {
      heading: 'Gates',
      commands: tree.upstreamFirst.flatMap(({ id, name: run, gate }) => {
        if (!gate) return [];
        const name = `${gate.open ? 'Shut' : 'Open'} the gate: ${run}`;
        return [{ id, name, run: () => edit(name, (draft) => setGate(draft, id, !gate.open)) }];
      }),
    },
  ];
}

/** What is wrong at every drop; one that several drops share is named once. */
function useIssues(): FoundCommand[] {
  const router = useRouter();
  const shop = useDesign();
  const units = useUnits();
  const results = useDropResults();
  const view = useChoices((choices) => choices.view);
  const rule = useChoices((choices) => choices.rule);
  const issues = new Map<string, FoundCommand>();
  for (const result of results) {
    if (result.kind !== 'judged') continue;
    for (const { title } of issuesAt(shop, result, view, rule, units).standing) {
      if (issues.has(title)) continue;
      const run = () => {
        chooseDrop(shop.id, result.drop.id);
        router.push(`/shop/${shop.id}/air`);
      };
      issues.set(title, { id: title, name: title, run });
    }
  }
  return [...issues.values()];
}

function useShopCommands(): FoundCommand[] {
  const id = useDesign((shop) => shop.id);
  const units = useUnits();
  return named([
    { name: 'Undo', keys: 'Ctrl+Z', run: () => void undoAloud() },
    { name: 'Redo', keys: 'Ctrl+Shift+Z', run: () => void redoAloud() },
    { name: 'Show the shop as designed', run: () => choose({ view: 'designed' }) },
    { name: 'Show the shop as found', run: () => choose({ view: 'found' }) },
    {
      name: units === 'us' ? 'Use SI units' : 'Use US units',
      run: () =>
        edit('change units', (draft) => {
          draft.shop.units = units === 'us' ? 'metric' : 'us';
        }),
    },
    { name: 'Export this shop as a file', run: () => void saveShop(id, 'json') },
    { name: 'Export this shop with its photos, as a zip', run: () => void saveShop(id, 'zip') },
    { name: 'Send this shop to another device', run: () => openSheet('send') },
    { name: 'Theme: light', run: () => setTheme('light') },
    { name: 'Theme: dark', run: () => setTheme('dark') },
    { name: 'Theme: same as the system', run: () => setTheme('system') },
  ]);
}

/** The present view explained, its keys, and every term with the view that uses it. */
function useHelp(): FoundCommand[] {
  const router = useRouter();
  const shop = useDesign(({ id }) => id);
  const terms = ABOUT_VIEWS.flatMap(({ path, name, terms: own }) =>
    own.map(({ term }) => ({
      id: `${name} ${term}`,
      name: `What is: ${term}`,
      run: () => {
        router.push(`/shop/${shop}/${path}`);
        openSheet('about');
      },
    })),
  );
  return [
    ...named([
      { name: 'About this view', run: () => openSheet('about') },
      { name: 'Keys of this view', keys: '?', run: () => openSheet('keys') },
    ]),
    ...terms,
  ];
}
