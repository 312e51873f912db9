import type { Shop } from '@frank-gauge/core/design';
import { toast } from 'sonner';
import { shopSession, undo } from '@/storage/session';
import {
  addTray,
  discardTray,
  keepingOf,
  keepTray,
  MOST_TRAYS,
  restoreTray,
  trayAsShop,
} from '@/storage/trays';

/** What can be done with trays, saying what came of it. Each waits until everything that was edited is stored. */

const FAILED = 'The browser could not store this. Nothing was changed; try again.';

async function once<T>(act: () => Promise<T>): Promise<T | null> {
  try {
    await shopSession.settled();
    return await act();
  } catch {
    toast(FAILED);
    return null;
  }
}

/** Makes a tray of a shop; answers its id, or null where there is no room for one. */
export async function newTray(
  shop: string,
  change?: (design: Shop) => Shop,
): Promise<string | null> {
  const made = await once(async () => ({ id: await addTray(shop, change) }));
  if (made && made.id === null) {
    toast(`A shop has at most ${MOST_TRAYS} trays: keep one or throw one away first.`);
  }
  return made?.id ?? null;
}

/** Keeps a tray in its shop; answers the shop's id, or null where it was not kept. */
export async function keep(id: string, name: string): Promise<string | null> {
  const kept = await once(() => keepTray(id, new Date()));
  if (!kept) return null;
  switch (kept.kind) {
    case 'kept':
      if (kept.isStep) {
        toast(`Tray ${name} is in the shop now`, {
          action: { label: 'Undo', onClick: () => void takeBack(kept.shop, id, name) },
        });
      } else {
        toast(`The shop has all of tray ${name} already; the tray was put away.`);
      }
      return kept.shop;
    case 'nothing to keep':
      toast(`Tray ${name} has nothing to keep: it is as the shop was when you made it.`);
      return null;
    case 'does not fit':
      toast(
        `Tray ${name} no longer fits: the shop was changed in the same place since, or deleted. Make the change in a new tray.`,
      );
      return null;
  }
}

/** Undoes the keeping, in the shop that is open, and brings the tray back. */
async function takeBack(shop: string, id: string, name: string): Promise<void> {
  const session = shopSession.state.getState();
  if (session.status !== 'open' || session.id !== shop) {
    toast('Open the shop and press Undo there.');
    return;
  }
  const undone = await undo();
  if (undone === null) return;
  toast(`Undone: ${undone}`);
  // Something else was changed since: that was undone, and the tray's changes still stand.
  if (undone === keepingOf(name)) await once(() => restoreTray(id));
}

/** Throws a tray away. */
export async function discard(id: string, name: string): Promise<void> {
  const isDone = await once(async () => {
    await discardTray(id, new Date());
    return true;
  });
  if (!isDone) return;
  toast(`Tray ${name} thrown away`, {
    action: {
      label: 'Undo',
      onClick: async () => {
        if ((await once(() => restoreTray(id))) === false) {
          toast(`There are ${MOST_TRAYS} trays already: throw one away first.`);
        }
      },
    },
  });
}

/** Stores a tray as a shop of its own. */
export async function storeAsShop(id: string): Promise<void> {
  const made = await once(async () => ({ id: await trayAsShop(id) }));
  if (made) {
    toast(
      made.id ? 'Stored as a shop of its own; it is in the list of shops.' : 'It cannot be read.',
    );
  }
}
