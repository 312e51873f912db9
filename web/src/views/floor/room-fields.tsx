'use client';

import { formatShort } from '@frank-gauge/core/quantity';
import { extentOf, isRectangular, ROOM_SIZES, setRoomSize } from '@frank-gauge/core/room';
import dynamic from 'next/dynamic';
import { useDesign, useUnits } from '@/model/use-design';
import { edit } from '@/storage/session';
import { PartLoading } from '@/ui/part-loading';
import { FieldLine } from '../parts/line';
import { OpeningLine } from '../parts/opening-line';
import { editRoom } from './edit-things';
import { OutlineFile } from './outline-file';

export const loadRoomShape = () => import('./room-shape').then((module) => module.RoomShape);
const RoomShape = dynamic(loadRoomShape, { loading: PartLoading });

/** A room that nobody has measured yet, m. */
const USUAL = { width: 6, depth: 6 } as const;

/** The room: how wide, deep and high, its doors and windows, posts and studs, the longest board. */
export function RoomFields() {
  const shop = useDesign();
  const system = useUnits();
  const { room } = shop;
  const extent = extentOf(room);
  const size = (width: number, depth: number) =>
    edit('size of the room', (draft) => setRoomSize(draft, width, depth), { merge: 'room size' });
  const isPlain = room.outline.length === 0 || isRectangular(room.outline);
  const about = extent
    ? `${formatShort(extent.width, 'length', system)} × ${formatShort(extent.depth, 'length', system)}`
    : 'not drawn yet';
  return (
    <OpeningLine id="room" name="Room" about={about}>
      <FieldLine
        label="Width"
        of="room"
        value={extent?.width ?? null}
        kind="length"
        min={ROOM_SIZES.least}
        max={ROOM_SIZES.most}
        placeholder="left to right"
        onChange={(width) => size(width, extent?.depth ?? USUAL.depth)}
      />
      <FieldLine
        label="Depth"
        of="room"
        value={extent?.depth ?? null}
        kind="length"
        min={ROOM_SIZES.least}
        max={ROOM_SIZES.most}
        placeholder="front to back"
        onChange={(depth) => size(extent?.width ?? USUAL.width, depth)}
      />
      {!isPlain && (
        <p className="text-[14px] text-quiet">
          {room.outline.length} corners. Another width or depth makes it a plain rectangle again.
        </p>
      )}
      <OutlineFile />
      <CeilingLine />
      <FieldLine
        label="Longest board"
        value={room.boardLength}
        kind="length"
        min={0.1}
        max={20}
        onChange={(length) =>
          editRoom('longest board', (own) => {
            own.boardLength = length;
          })
        }
      />
      {extent && <RoomShape />}
    </OpeningLine>
  );
}

/** How high the room is, which decides how high ducts hang; empty while nobody has measured it. */
export function CeilingLine({ of }: { readonly of?: string }) {
  const room = useDesign((shop) => shop.room);
  const change = (height: number | null) =>
    editRoom('ceiling', (own) => {
      own.ceilingHeight = height;
    });
  return (
    <FieldLine
      label="Ceiling height"
      of={of}
      value={room.ceilingHeight}
      kind="length"
      min={0.1}
      max={30}
      placeholder="not known"
      onChange={change}
      onClear={() => change(null)}
    />
  );
}
