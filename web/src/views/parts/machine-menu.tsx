'use client';

import { lazy, Suspense, useState } from 'react';
import { usePreload } from '@/ui/use-preload';
import { buttonLook, type MachineMenuProps } from './machine-button';

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
