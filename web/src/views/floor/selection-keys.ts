'use client';

import { useEffect } from 'react';
import { shopSession } from '@/storage/session';
import { chooseTool, useDrawing } from './ducts/drawing-state';
import { allOf, letGo, selectTogether, useSelection } from './selection';

/** Keys of taking things together: Ctrl+A all that is drawn, Escape lets go. Leaving lets go too. */
export function useTakingKeys(): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const isText = event.target instanceof HTMLElement && event.target.matches('input, textarea');
      if (isText) return;
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
        const session = shopSession.state.getState();
        if (session.status !== 'open') return;
        event.preventDefault();
        selectTogether(allOf(session.shop));
      } else if (event.key === 'Escape') {
        if (useDrawing.getState().tool === 'select') chooseTool('move');
        if (useSelection.getState().ids.size > 0) letGo();
      }
    };
    window.addEventListener('keydown', press);
    return () => {
      window.removeEventListener('keydown', press);
      letGo();
    };
  }, []);
}
