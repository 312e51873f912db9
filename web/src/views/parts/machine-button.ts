import type { MachineKindId } from '@frank-gauge/core/design';

export interface MachineMenuProps {
  readonly label: string;
  readonly look?: 'plain' | 'solid';
  readonly onChoose: (kind: MachineKindId) => void;
}

/** How the button looks that opens the list of machines, before and after that is loaded. */
export const buttonLook = (look: MachineMenuProps['look']) =>
  `min-h-11 border border-ink px-3 font-semibold md:min-h-8 ${look === 'solid' ? 'bg-ink text-paper hover:opacity-85' : 'hover:bg-selection'}`;
