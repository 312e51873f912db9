'use client';

import { addDropAt } from '../../parts/edit-runs';
import { MachineMenu } from '../../parts/machine-menu';

interface Props {
  readonly node: string;
  /** The run to cut in half for the new drop; undefined: it joins at the node. */
  readonly splitting?: string;
  readonly label?: string;
  readonly look?: 'plain' | 'solid';
}

/** Chooses a machine; it comes with its drop, gate and hose, ready to be changed. */
export function AddDropMenu({ node, splitting, label = 'Add a machine', look = 'plain' }: Props) {
  return (
    <MachineMenu label={label} look={look} onChoose={(kind) => addDropAt(node, kind, splitting)} />
  );
}
