'use client';

import { isStraight } from '@frank-gauge/core/catalogue';
import { useDesign } from '@/model/use-design';
import { Button } from '@/ui/button';
import { addMain } from '../parts/edit-runs';
import { AddDropMenu } from './runs/add-drop-menu';

/** A shop with no drop yet: one sentence, and the one thing to do next. */
export function EmptyAir() {
  const ducts = useDesign((shop) => shop.ducts);
  const main = ducts.runs.find((run) => run.to === 'inlet' || isStraight(run.joins));
  return (
    <div className="mx-auto mt-[12vh] max-w-md">
      <h1 className="text-2xl">{main ? 'Connect a machine' : 'Start at the collector'}</h1>
      <p className="mt-2 mb-4 text-[17px]">
        {main
          ? 'The main is in place. Choose a machine to connect at its end. You can add more from there, and change every length and diameter in the list.'
          : 'Start with the main: the pipe from the collector to the point where machines branch off. You can change its length and diameter in the list.'}
      </p>
      {main ? (
        <AddDropMenu node={main.from} look="solid" />
      ) : (
        <Button look="solid" onClick={addMain}>
          Add the main
        </Button>
      )}
    </div>
  );
}
