'use client';

import { useDesign } from '@/model/use-design';
import { openSheet, useFrameSheet } from './palette-state';
import { SendSheet } from './send-sheet';

/** Sends the shop that is open. */
export function SendOpenShop() {
  const open = useFrameSheet((state) => state.open);
  const id = useDesign((shop) => shop.id);
  const name = useDesign(({ shop }) => shop.name);
  return (
    <SendSheet
      id={id}
      name={name}
      open={open === 'send'}
      onOpenChange={(isOpen) => openSheet(isOpen ? 'send' : null)}
    />
  );
}
