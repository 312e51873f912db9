import { create } from 'zustand';

/** Whether the command palette is open; anyone may open it. */
export const usePalette = create(() => ({ isOpen: false }));

export const setPalette = (isOpen: boolean): void => usePalette.setState({ isOpen });
export const openPalette = (): void => setPalette(true);
