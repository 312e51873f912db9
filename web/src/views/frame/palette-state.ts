import { create } from 'zustand';

/** Which sheet of the frame is open; anyone may open one. */
export type FrameSheet = 'commands' | 'about' | 'keys' | 'send' | null;

export const useFrameSheet = create<{ readonly open: FrameSheet }>(() => ({ open: null }));

export const openSheet = (open: FrameSheet): void => useFrameSheet.setState({ open });
export const openPalette = (): void => openSheet('commands');
