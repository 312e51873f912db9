import type { Weighing } from '@frank-gauge/core/journal';

export const BIN_NAMES: Readonly<Record<Weighing['bin'], string>> = {
  separator: 'The separator’s bin',
  filter: 'The bin below the filter',
};
