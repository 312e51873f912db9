'use client';

import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  readonly title: string;
  /** Read to those who can't see it, and shown under the title. */
  readonly about: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  /** A long one is read from its beginning: nothing in it is focused when it opens. */
  readonly isRead?: boolean;
  readonly children: ReactNode;
}

/** A sheet of paper laid over the bench; Escape or a tap beside it takes it away. */
export function Sheet({ title, about, open, onOpenChange, isRead = false, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/35" />
        <Dialog.Content
          onOpenAutoFocus={(event) => {
            if (!isRead || !(event.currentTarget instanceof HTMLElement)) return;
            event.preventDefault();
            event.currentTarget.focus();
          }}
          className="fixed top-1/2 left-1/2 z-50 max-h-[92dvh] w-[min(560px,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-ink bg-paper p-5 shadow-float"
        >
          <Dialog.Title className="text-xl">{title}</Dialog.Title>
          <Dialog.Description className="mt-1 text-quiet">{about}</Dialog.Description>
          <div className="mt-4">{children}</div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
