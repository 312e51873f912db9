import { toast } from 'sonner';
import { openShopId, redo, shopSession, undo } from '@/storage/session';

/** Says so where the last changes are not stored yet: what comes before them cannot be stepped over. */
function isStuck(): boolean {
  if (!shopSession.hasUnstored) return false;
  toast('The last changes are not saved yet; undo works again once they are.', { id: 'undo' });
  return true;
}

/** Undoes and says what was undone. */
export async function undoAloud(): Promise<void> {
  if (isStuck()) return;
  const label = await undo();
  toast(label === null ? 'Nothing left to undo' : `Undone: ${label}`, {
    id: 'undo',
    duration: 2500,
  });
}

export async function redoAloud(): Promise<void> {
  if (isStuck()) return;
  const label = await redo();
  toast(label === null ? 'Nothing left to redo' : `Redone: ${label}`, {
    id: 'undo',
    duration: 2500,
  });
}

/** The button of a notice that undoes what the notice tells of: no change of another shop or tray opened since. */
export function undoAction() {
  const shop = openShopId();
  const onClick = () => {
    if (openShopId() === shop) void undoAloud();
    else toast('That was in another shop or tray; open it and press Undo there.');
  };
  return { label: 'Undo', onClick };
}
