'use client';

import type { Reading } from '@frank-gauge/core/journal';
import { create } from 'zustand';

/** The reading whose details are open; null: none. */
export const useOpenedReading = create<{ readonly opened: Reading | null }>(() => ({
  opened: null,
}));

export const openReading = (opened: Reading | null): void => useOpenedReading.setState({ opened });
