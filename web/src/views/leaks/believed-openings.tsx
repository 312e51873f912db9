'use client';

import { formatQuantity } from '@frank-gauge/core/quantity';
import { format } from 'date-fns';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { usePlaceNames } from '../parts/leaks/use-place-names';

/** Openings the shop is believed to have, which everything is predicted with; each can be taken back. */
export function BelievedOpenings() {
  const holes = useDesign(({ condition }) => condition.holes);
  const names = usePlaceNames();
  const system = useUnits();
  if (holes.length === 0) return null;
  const takeBack = (place: number) =>
    edit('take back an opening', ({ condition }) => {
      condition.holes.splice(place, 1);
    });
  return (
    <section aria-label="Believed openings" className="pt-5">
      <h2 className="text-[18px]">Believed openings</h2>
      <p className="text-[14px] text-quiet">
        Part of the shop as found: every prediction counts them. Take one back once it is sealed.
      </p>
      <ul className="border-rule border-t">
        {holes.map(({ run, area, origin }, place) => (
          <li key={`${run} ${place}`} className="flex items-center gap-2 border-rule border-b py-1">
            <span>
              <span className="font-semibold">{names.run(run)}</span>:{' '}
              {formatQuantity(area, 'smallArea', system)}
              <span className="text-quiet">
                {origin.kind === 'fitted'
                  ? `, by readings, ${format(Date.parse(origin.on), 'd MMM yyyy')}`
                  : ', assumed'}
              </span>
            </span>
            <Button look="quiet" className="ml-auto" onClick={() => takeBack(place)}>
              Take back
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
