'use client';

import { useDesign, useDuctTree } from '@/model/use-design';

/** Machines that no duct serves because a small collector stands beside them, named below the drops. */
export function OwnCollectors({ className = '' }: { readonly className?: string }) {
  const machines = useDesign((shop) => shop.machines);
  const { drops } = useDuctTree();
  const names = machines.flatMap(({ name, ports }) => {
    const alone = ports.some(
      ({ id, servedBy }) =>
        servedBy === 'own collector' && !drops.some(({ port }) => port.id === id),
    );
    return alone ? [name] : [];
  });
  if (names.length === 0) return null;
  const last = names.at(-1);
  const listed = names.length === 1 ? last : `${names.slice(0, -1).join(', ')} and ${last}`;
  return (
    <p className={className}>
      Not on the ducts, with a small collector of {names.length === 1 ? 'its' : 'their'} own:{' '}
      {listed}.
    </p>
  );
}
