'use client';

import { formatShort, type UnitSystem } from '@frank-gauge/core/quantity';
import dynamic from 'next/dynamic';
import { memo } from 'react';
import { useDuctTree, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { PartLoading } from '@/ui/part-loading';
import { OpeningLine } from '../../parts/opening-line';
import { outward } from '../../parts/outward';
import { useChooseThing } from '../choose-thing';
import { chooseTool } from './drawing-state';
import { useDucts } from './use-ducts';

export const loadDuctFields = () => import('./duct-fields');
const DuctBody = dynamic(() => loadDuctFields().then((fields) => fields.DuctBody), {
  loading: PartLoading,
});

/** Every run, from the collector outward, with where it lies and what its bends are. */
export function DuctList() {
  const tree = useDuctTree();
  const system = useUnits();
  const choose = useChooseThing();
  const { lines } = useDucts();
  const runs = outward(tree);
  return (
    <section aria-label="Ducts">
      <div className="flex items-center px-3 pt-3 pb-1">
        <h2 className="text-[17px]">Ducts</h2>
        <Button look="quiet" className="ml-auto" onClick={() => chooseTool('draw')}>
          Draw a duct
        </Button>
      </div>
      {runs.length === 0 && (
        <p className="px-3 pb-2 text-[14px] text-quiet">
          Start with the main: draw it from the collector outward, or route a machine’s port
          straight to the collector.
        </p>
      )}
      {runs.map(({ run }) => (
        <DuctEntry
          key={run.id}
          id={run.id}
          name={run.name}
          diameter={run.diameter}
          length={lines.lines.has(run.id) ? (run.length ?? 0) : null}
          system={system}
          onOpen={choose}
        />
      ))}
    </section>
  );
}

interface EntryProps {
  readonly id: string;
  readonly name: string;
  readonly diameter: number;
  /** null: it is not drawn. */
  readonly length: number | null;
  readonly system: UnitSystem;
  readonly onOpen: (id: string) => void;
}

const DuctEntry = memo(function DuctEntry(props: EntryProps) {
  const { id, name, diameter, length, system, onOpen } = props;
  const lies = length === null ? 'not drawn' : formatShort(length, 'length', system);
  const about = `${formatShort(diameter, 'diameter', system)}, ${lies}`;
  return (
    <OpeningLine id={id} name={name} about={about} onOpen={() => onOpen(id)}>
      <DuctBody id={id} />
    </OpeningLine>
  );
});
