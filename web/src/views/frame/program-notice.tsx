'use client';

import { useEffect } from 'react';
import { toast } from 'sonner';
import { applyUpdate, keepInstallOffer, keepProgram, useProgram } from '@/offline/program';

/** Keeps the program on this device, and says when there is a newer one: the user decides when to change to it. */
export function ProgramNotice() {
  const update = useProgram((program) => program.update);
  useEffect(() => {
    keepInstallOffer();
    void keepProgram();
  }, []);
  useEffect(() => {
    if (update === 'none') return;
    toast(
      update === 'waiting'
        ? 'A new version of Frank Gauge is ready. Your work stays as it is.'
        : 'Frank Gauge was updated in another tab. Reload this page before you go on.',
      {
        id: 'update',
        duration: Number.POSITIVE_INFINITY,
        action: { label: update === 'waiting' ? 'Update now' : 'Reload', onClick: applyUpdate },
        cancel: update === 'waiting' ? { label: 'Later', onClick: () => undefined } : undefined,
      },
    );
  }, [update]);
  return null;
}
