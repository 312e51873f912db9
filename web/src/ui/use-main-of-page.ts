'use client';

import { useState } from 'react';

const mainOfPage = (): HTMLElement | null =>
  typeof document === 'undefined' ? null : document.querySelector('main');

/**
 * Where a menu is put when it opens: within the page's main part, where those who go by landmarks find it. Looked
 * for when it opens: before that there may be none yet.
 */
export function useMainOfPage() {
  const [main, setMain] = useState(mainOfPage);
  const onOpenChange = (isOpen: boolean) => {
    if (isOpen) setMain(mainOfPage());
  };
  return [main, onOpenChange] as const;
}
