import { NO_DIFF, type ShopEvent } from '@frank-gauge/core/journal';
import { toast } from 'sonner';
import { apply } from '@/storage/session';
import { EVENT_NAMES } from '@/words/change-words';
import { undoAction } from '../../frame/undo-aloud';

/** Takes something that was logged out of the journal; it can be undone. */
export function removeEvent(event: ShopEvent): void {
  const name = EVENT_NAMES[event.kind];
  apply(`remove ${name}`, { ...NO_DIFF, removed: [{ kind: 'events', record: event }] });
  toast(`Removed: ${name}`, { action: undoAction() });
}
