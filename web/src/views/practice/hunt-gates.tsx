'use client';

import type { Hunt } from '@frank-gauge/core/practice';
import { placesToMeasure } from '@frank-gauge/core/practice';
import { Button } from '@/ui/button';
import type { OpenHunt } from './use-hunt';

interface Props {
  readonly open: OpenHunt;
  readonly place: number;
  readonly onChange: (hunt: Hunt) => void;
}

/** The gates of the shop: which stand open while the next reading is taken. */
export function HuntGates({ open: { tree, hunt }, place, onChange }: Props) {
  const gated = tree.upstreamFirst.filter(({ gate }) => gate !== null);
  const at = placesToMeasure(tree)[place]?.at;
  const own = at?.kind === 'port' ? tree.drops.find(({ id }) => id === at.node) : undefined;
  const set = (openGates: readonly string[]) => onChange({ ...hunt, openGates });
  return (
    <fieldset className="mt-2 border border-rule px-2 pb-2">
      <legend className="px-1 text-[14px] text-quiet">Gates, open ones filled</legend>
      <div className="flex flex-wrap gap-1">
        {gated.map(({ id, name }) => {
          const isOpen = hunt.openGates.includes(id);
          return (
            <button
              key={id}
              type="button"
              aria-pressed={isOpen}
              className="min-h-11 touch-manipulation border border-rule px-2 text-[14px] aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-paper md:min-h-7"
              onClick={() =>
                set(isOpen ? hunt.openGates.filter((each) => each !== id) : [...hunt.openGates, id])
              }
            >
              {name.replace(/ drop$/, '')}
            </button>
          );
        })}
      </div>
      <div className="flex flex-wrap gap-1 pt-1">
        {own && (
          <Button
            look="quiet"
            onClick={() => set(own.path.flatMap((run) => (run.gate ? [run.id] : [])))}
          >
            Only {own.machine.name}
          </Button>
        )}
        <Button look="quiet" onClick={() => set([])}>
          Shut all
        </Button>
      </div>
    </fieldset>
  );
}
