'use client';

import type { Room } from '@frank-gauge/core/design';
import { unitSymbol } from '@frank-gauge/core/quantity';
import { extentOf, ROOM_SIZES, wallsOf } from '@frank-gauge/core/room';
import { nanoid } from 'nanoid';
import { useDesign, useUnits } from '@/model/use-design';
import { Button } from '@/ui/button';
import { Choice } from '@/ui/choice';
import { RemoveButton } from '@/ui/remove-button';
import { Line, ShopQuantity } from '../parts/line';
import { editRoom } from './edit-things';

const wallName = (index: number) => ['front', 'right', 'back', 'left'][index] ?? `${index + 1}`;

interface OpeningsProps {
  readonly which: 'doors' | 'windows';
  readonly one: string;
}

/** Doors, or windows: which wall, from its start on, and how wide. */
export function Openings({ which, one }: OpeningsProps) {
  const room = useDesign((shop) => shop.room);
  const system = useUnits();
  const walls = wallsOf(room);
  const change = (id: string, field: string, apply: (own: Room['doors'][number]) => void) =>
    editRoom(`${field} of the ${one} ${id}`, (own) => {
      const opening = own[which].find((each) => each.id === id);
      if (opening) apply(opening);
    });
  return (
    <div className="pt-2">
      <p className="font-semibold">{one === 'door' ? 'Doors' : 'Windows'}</p>
      {room[which].map(({ id, wall, along, width }, i) => (
        <div key={id} className="grid grid-cols-[72px_1fr_1fr_32px] items-center gap-1">
          <Choice
            label={`Wall of ${one} ${i + 1}`}
            value={String(wall)}
            options={walls.map((_, index) => ({ value: String(index), label: wallName(index) }))}
            onChange={(value) =>
              change(id, 'wall', (own) => {
                own.wall = Number(value);
              })
            }
          />
          <ShopQuantity
            label={`Where ${one} ${i + 1} begins on its wall`}
            hasUnit={false}
            value={along}
            kind="length"
            min={0}
            max={walls[wall]?.length ?? ROOM_SIZES.most}
            onChange={(value) =>
              change(id, 'place', (own) => {
                own.along = value;
              })
            }
          />
          <ShopQuantity
            label={`Width of ${one} ${i + 1}`}
            hasUnit={false}
            value={width}
            kind="length"
            min={0.1}
            max={20}
            onChange={(value) =>
              change(id, 'width', (own) => {
                own.width = value;
              })
            }
          />
          <RemoveButton
            label={`Remove ${one} ${i + 1}`}
            onClick={() =>
              editRoom(`remove a ${one}`, (own) => {
                own[which] = own[which].filter((each) => each.id !== id);
              })
            }
          />
        </div>
      ))}
      {room[which].length > 0 && (
        <p className="text-[13px] text-quiet">
          wall; distance from its left end, seen from inside; width; {unitSymbol('length', system)}
        </p>
      )}
      <Button
        look="quiet"
        className="-ml-3"
        onClick={() =>
          editRoom(`add a ${one}`, (own) => {
            const width = system === 'us' ? 0.9144 : 0.9;
            own[which].push({ id: nanoid(10), wall: 0, along: 0.5, width });
          })
        }
      >
        Add a {one}
      </Button>
    </div>
  );
}

/** Posts by their middle, and how wide. */
export function Posts() {
  const room = useDesign((shop) => shop.room);
  const system = useUnits();
  const extent = extentOf(room);
  const change = (id: string, field: string, apply: (own: Room['posts'][number]) => void) =>
    editRoom(`${field} of the post ${id}`, (own) => {
      const post = own.posts.find((each) => each.id === id);
      if (post) apply(post);
    });
  return (
    <div className="pt-2">
      <p className="font-semibold">Posts</p>
      {room.posts.length > 0 && (
        <p className="text-[13px] text-quiet">
          from the left, from the front, {unitSymbol('length', system)}; width,{' '}
          {unitSymbol('diameter', system)}
        </p>
      )}
      {room.posts.map(({ id, at, width }, i) => (
        <div key={id} className="grid grid-cols-[1fr_1fr_1fr_32px] items-center gap-1">
          {(['x', 'y'] as const).map((axis) => (
            <ShopQuantity
              key={axis}
              label={`${axis === 'x' ? 'From the left' : 'From the front'}, post ${i + 1}`}
              hasUnit={false}
              value={at[axis]}
              kind="length"
              min={-ROOM_SIZES.most}
              max={ROOM_SIZES.most}
              onChange={(value) =>
                change(id, axis, (own) => {
                  own.at[axis] = value;
                })
              }
            />
          ))}
          <ShopQuantity
            label={`Width of post ${i + 1}`}
            hasUnit={false}
            value={width}
            kind="diameter"
            min={0.01}
            max={3}
            onChange={(value) =>
              change(id, 'width', (own) => {
                own.width = value;
              })
            }
          />
          <RemoveButton
            label={`Remove post ${i + 1}`}
            onClick={() =>
              editRoom('remove a post', (own) => {
                own.posts = own.posts.filter((each) => each.id !== id);
              })
            }
          />
        </div>
      ))}
      <Button
        look="quiet"
        className="-ml-3"
        onClick={() =>
          editRoom('add a post', (own) => {
            const at = {
              x: (extent?.x0 ?? 0) + (extent?.width ?? 4) / 2,
              y: (extent?.y0 ?? 0) + (extent?.depth ?? 4) / 2,
            };
            own.posts.push({ id: nanoid(10), at, width: 0.1 });
          })
        }
      >
        Add a post
      </Button>
    </div>
  );
}

/** How far apart the studs of each wall are. */
export function Studs() {
  const room = useDesign((shop) => shop.room);
  return (
    <div className="pt-2">
      <p className="font-semibold">Studs, apart</p>
      {room.walls.slice(0, room.outline.length).map(({ studSpacing }, i) => (
        <Line key={wallName(i)} label={`${wallName(i)} wall`}>
          <ShopQuantity
            label={`Studs of the ${wallName(i)} wall`}
            value={studSpacing}
            kind="diameter"
            min={0.1}
            max={3}
            placeholder="none or unknown"
            onChange={(spacing) =>
              editRoom(`studs of the ${wallName(i)} wall`, (own) => {
                const wall = own.walls[i];
                if (wall) wall.studSpacing = spacing;
              })
            }
            onClear={() =>
              editRoom(`studs of the ${wallName(i)} wall`, (own) => {
                const wall = own.walls[i];
                if (wall) wall.studSpacing = null;
              })
            }
          />
        </Line>
      ))}
    </div>
  );
}
