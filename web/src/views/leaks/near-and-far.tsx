'use client';

import type { NearFar } from '@frank-gauge/core/inference';
import { useDuctTree } from '@/model/use-design';
import { percent } from '@/words/percent';

/** The nearest drop against the farthest: what that says, and what it cannot. */
export function NearAndFar({ found }: { readonly found: NearFar | null }) {
  const { drops } = useDuctTree();
  const nameOf = (id: string) => drops.find((drop) => drop.id === id)?.name ?? id;
  return (
    <section aria-label="Near and far" className="pt-5">
      <h2 className="text-[18px]">Near and far</h2>
      {found ? (
        <p>
          {nameOf(found.far)}, the farthest, gets{' '}
          <strong className="font-semibold">{percent(found.measured)}</strong> (±
          {percent(found.measuredUncertainty)}) of what {nameOf(found.near)}, the nearest, gets; the
          model expects {percent(found.predicted)} (±{percent(found.predictedUncertainty)}).{' '}
          {!found.isShown
            ? 'That is no significant difference.'
            : found.measured < found.predicted
              ? 'So something takes air or pressure between the two, or at the far drop.'
              : 'So something takes air or pressure at the near drop.'}
        </p>
      ) : (
        <p>
          Read the drop nearest to the collector and the one farthest from it, each with only its
          gate open.
        </p>
      )}
      <p className="pt-1 text-[14px] text-quiet">
        What the meter has wrong cancels, and so does what both drops share: collector, filter and
        the main they have in common. It cannot tell a leak from a clog, a rough hose or a hood that
        differs.
      </p>
    </section>
  );
}
