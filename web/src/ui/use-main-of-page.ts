'use client';

import { useState } from 'react';

/**
 * Where a menu is put when it opens: within the page's main part, where those who go by landmarks find it. Looked
 * for when it opens: before that there may be none yet.
 */
export function useMainOfPage() {
  const [main, setMain] = useState<HTMLElement | null>(null);
  const onOpenChange = (isOpen: boolean) => {
    if (isOpen) setMain(document.querySelector('main'));
  };
  return [main, onOpenChange] as const;
}
