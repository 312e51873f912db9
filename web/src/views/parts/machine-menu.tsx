'use client';

import type { MachineKindId } from '@frank-gauge/core/design';
import { lazy, Suspense, useState } from 'react';
import { usePreload } from '@/ui/use-preload';

export interface MachineMenuProps {
  readonly label: string;
  readonly look?: 'plain' | 'solid';
  readonly onChoose: (kind: MachineKindId) => void;
}

export const buttonLook = (look: MachineMenuProps['look']) =>
  `min-h-11 border border-ink px-3 font-semibold md:min-h-8 ${look === 'solid' ? 'bg-ink text-paper hover:opacity-85' : 'hover:bg-selection'}`;

const loadList = () => import('./machine-list');
const MachineList = lazy(() => loadList().then((list) => ({ default: list.MachineList })));

/** Chooses a kind of machine; its list loads behind the view, or when it is asked for. */
export function MachineMenu(props: MachineMenuProps) {
  const [isAsked, setAsked] = useState(false);
  usePreload(loadList);
  const button = (
    <button
      type="button"
      aria-haspopup="menu"
      aria-expanded={false}
      onClick={() => setAsked(true)}
      className={buttonLook(props.look)}
    >
      {props.label} ▾
    </button>
  );
  if (!isAsked) return button;
  return (
    <Suspense fallback={button}>
      <MachineList {...props} isOpen />
    </Suspense>
  );
}
