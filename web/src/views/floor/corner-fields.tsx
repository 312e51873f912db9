'use client';

import { unitSymbol } from '@frank-gauge/core/quantity';
import { addCorner, ROOM_SIZES, removeCorner } from '@frank-gauge/core/room';
import { Plus } from 'lucide-react';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { Button } from '@/ui/button';
import { RemoveButton } from '@/ui/remove-button';
import { ShopQuantity } from '../parts/line';
import { editRoom } from './edit-things';

/** The room's corners, for one that is no rectangle. */
export function Corners() {
  const room = useDesign((shop) => shop.room);
  const system = useUnits();
  const { outline } = room;
  return (
    <details className="pt-1">
      <summary className="min-h-11 cursor-pointer py-1 font-semibold md:min-h-0">
        Corners, {outline.length}
      </summary>
      <p className="text-[13px] text-quiet">
        from the left, from the front, {unitSymbol('length', system)}
      </p>
      {outline.map((corner, i) => (
        <div key={i} className="grid grid-cols-[20px_1fr_1fr_32px_32px] items-center gap-1">
          <span className="text-[13px] text-quiet">{i + 1}</span>
          {(['x', 'y'] as const).map((axis) => (
            <ShopQuantity
              key={axis}
              label={`${axis === 'x' ? 'From the left' : 'From the front'}, corner ${i + 1}`}
              value={corner[axis]}
              kind="length"
              hasUnit={false}
              min={-ROOM_SIZES.most}
              max={ROOM_SIZES.most}
              onChange={(value) =>
                editRoom(`corner ${i + 1} ${axis}`, (own) => {
                  const same = own.outline[i];
                  if (same) same[axis] = value;
                })
              }
            />
          ))}
          <Button
            look="quiet"
            className="px-1"
            aria-label={`Add a corner after corner ${i + 1}`}
            onClick={() => edit('add a corner', (draft) => addCorner(draft, i))}
          >
            <Plus size={15} aria-hidden />
          </Button>
          {outline.length > 3 && (
            <RemoveButton
              label={`Remove corner ${i + 1}`}
              onClick={() => edit('remove a corner', (draft) => removeCorner(draft, i))}
            />
          )}
        </div>
      ))}
    </details>
  );
}
