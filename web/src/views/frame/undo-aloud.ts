import { toast } from 'sonner';
import { redo, undo } from '@/store/shop-session';

/** Undoes and says what was undone. */
export async function undoAloud(): Promise<void> {
  const label = await undo();
  toast(label === null ? 'Nothing left to undo' : `Undone: ${label}`, {
    id: 'undo',
    duration: 2500,
  });
}

export async function redoAloud(): Promise<void> {
  const label = await redo();
  toast(label === null ? 'Nothing to do again' : `Done again: ${label}`, {
    id: 'undo',
    duration: 2500,
  });
}
