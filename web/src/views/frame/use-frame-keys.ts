'use client';

import { useEffect } from 'react';
import { openPalette, openSheet } from './palette-state';
import { redoAloud, undoAloud } from './undo-aloud';

/**
 * Fields that save as they are typed are undone like everything else. Other fields, and one whose
 * text was refused and so never saved, keep the browser's own undo.
 */
function hasOwnUndo(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement) || !target.matches('input, textarea')) return false;
  return !('saves' in target.dataset) || target.getAttribute('aria-invalid') === 'true';
}

/** Keys that work in every view: the palette, undo and redo, and the list of keys. */
export function useFrameKeys(): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isInField =
        event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key === '?' && !isInField) openSheet('keys');
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
}
