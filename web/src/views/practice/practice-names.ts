import type { DuctTree } from '@frank-gauge/core/design';
import type { AskedOfMeter } from '@frank-gauge/core/practice';
import { nameOfPlace, type ReadingNames } from '@/words/fault-words';

/** What places are called in a practice shop. */
export const namesIn = (tree: DuctTree): ReadingNames => {
  const runName = (id: string) => tree.upstreamFirst.find((run) => run.id === id)?.name ?? id;
  return {
    run: runName,
    meter: () => 'the vane meter',
    drop: (node) => tree.drops.find(({ id }) => id === node)?.name ?? node,
    next: (id) => {
      const own = tree.upstreamFirst.find((run) => run.id === id);
      const next = own && tree.outOf.get(own.to);
      return next ? next.name : null;
    },
  };
};

/** What is measured where, for a list: “Inside Main 2, end (test hole)”. */
export function askedName(asked: AskedOfMeter, names: ReadingNames): string {
  const name = nameOfPlace(asked.at, names);
  switch (asked.at.kind) {
    case 'port':
      return `At ${name}`;
    case 'run':
      return `Inside ${name} (test hole)`;
    default:
      return `${name}: ${asked.shows === 'flow' ? 'air speed' : 'static pressure'}`;
  }
}

export const keyOfAsked = ({ at, shows }: AskedOfMeter): string => JSON.stringify([at, shows]);
