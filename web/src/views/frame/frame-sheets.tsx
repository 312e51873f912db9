'use client';

import { AboutSheet } from './about-sheet';
import { Palette } from './palette';
import { SendOpenShop } from './send-open-shop';
import { Shortcuts } from './shortcuts';

/** The sheets any view can open; loaded when the first of them is. */
export function FrameSheets() {
  return (
    <>
      <Palette />
      <Shortcuts />
      <AboutSheet />
      <SendOpenShop />
    </>
  );
}
