'use client';

import { Toaster } from 'sonner';

/** Where passing notices appear; each may carry one action, such as undo. */
export function Notices() {
  return (
    <Toaster
      position="bottom-center"
      offset={96}
      visibleToasts={2}
      duration={8000}
      toastOptions={{
        unstyled: true,
        classNames: {
          toast:
            'flex w-full items-center gap-3 border border-ink bg-paper px-4 py-3 text-ink shadow-float font-figure',
          title: 'text-[15px]',
          actionButton:
            'ml-auto shrink-0 whitespace-nowrap border border-ink px-3 py-1 font-semibold hover:bg-selection',
          cancelButton: 'ml-auto shrink-0 whitespace-nowrap px-3 py-1 hover:bg-selection',
        },
      }}
    />
  );
}
