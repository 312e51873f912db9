import type { DropGain, Work } from '@frank-gauge/core/advice';
import { recordWith } from '@frank-gauge/core/journal';
import { arrangeDucts } from '@frank-gauge/core/routing';
import { isDraft, original } from 'immer';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { newTray } from '@/model/tray-actions';
import { edit, record } from '@/storage/session';
import { discardTray } from '@/storage/trays';
import { eventKindOf } from '@/words/improvement-words';
import { undoAction } from '../frame/undo-aloud';

/** What is done, in words, with what it costs and brings. */
export interface ToMake {
  readonly ids: readonly string[];
  readonly works: readonly { readonly work: Work; readonly name: string }[];
  readonly cost: number;
  readonly hours: number;
  readonly gains: readonly DropGain[];
}

const CHANGED_SINCE = 'The shop has changed since; look at the list again.';

/** Puts improvements into the design, as one step to undo. False: the shop has changed, and they are not there. */
async function putIntoDesign({ ids, works }: ToMake): Promise<boolean> {
  // With all it imports it is only wanted once something is done.
  const { improvementsFor } = await import('@frank-gauge/core/advice');
  let isMade = true;
  edit(labelOf(works), (shop) => {
    // Improvements are tried on copies, and a draft cannot be copied.
    const before = isDraft(shop) ? (original(shop) ?? shop) : shop;
    const arranged = arrangeDucts(before);
    const all = arranged.ok ? improvementsFor(before, arranged.tree, worksOf(works)) : [];
    const chosen = ids.map((id) => all.find((each) => each.id === id));
    isMade = chosen.every((each) => each !== undefined);
    if (isMade) for (const each of chosen) each?.change(shop);
  });
  if (!isMade) toast(CHANGED_SINCE);
  return isMade;
}

/** Makes a tray of the shop with improvements in it; answers its id, or null where none was made. */
export async function makeTray({ ids, works }: ToMake, shop: string): Promise<string | null> {
  const { improved, improvementsFor } = await import('@frank-gauge/core/advice');
  let isThere = true;
  const tray = await newTray(shop, (design) => {
    const arranged = arrangeDucts(design);
    const all = arranged.ok ? improvementsFor(design, arranged.tree, worksOf(works)) : [];
    const chosen = ids.flatMap((id) => all.find((each) => each.id === id) ?? []);
    isThere = chosen.length === ids.length;
    return improved(design, chosen);
  });
  if (isThere || tray === null) return tray;
  await discardTray(tray, new Date());
  toast(CHANGED_SINCE);
  return null;
}

/** Puts improvements into the design and logs the change, with what the model promises of every drop. */
export async function makeAndLog(made: ToMake, pointOf: (drop: string) => string): Promise<void> {
  if (!(await putIntoDesign(made))) return;
  const { works, cost, hours, gains } = made;
  const [first] = works;
  record(`log ${labelOf(works)}`, ({ events }) => {
    events.push(
      recordWith('events', {
        id: nanoid(10),
        at: new Date().toISOString(),
        kind: works.length === 1 && first ? eventKindOf(first.work) : 'changed',
        note: works.map(({ name }) => `${name}.`).join(' '),
        cost: Math.round(cost * 100) / 100,
        hours: Math.round(hours * 10) / 10,
        // With a second gate open no reading of a drop by its own gate can show it.
        promised: (works.some(({ work }) => work.kind === 'bleed') ? [] : gains).map(
          ({ drop, before, after }) => ({
            testPoint: pointOf(drop),
            ...{ before, after },
          }),
        ),
      }),
    );
  });
  toast(`Made and logged: ${labelOf(works)}. Read the drops again to see what it gained.`);
}

/** Puts improvements into the design alone, to see what everything looks like with them. */
export async function tryOut(made: ToMake): Promise<void> {
  if (!(await putIntoDesign(made))) return;
  toast(`In the design now: ${labelOf(made.works)}`, {
    action: undoAction(),
  });
}

const worksOf = (works: ToMake['works']): Work[] => works.map(({ work }) => work);

const labelOf = (works: ToMake['works']): string => {
  const [first, ...others] = works.map(({ name }) => name);
  if (!first) return 'nothing';
  const own = `${first.charAt(0).toLowerCase()}${first.slice(1)}`;
  return others.length === 0 ? own : `${own} and ${others.length} more`;
};
