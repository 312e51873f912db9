'use client';

import { Corners } from './corner-fields';
import { Openings, Posts, Studs } from './opening-fields';

/** What there is to say of a room that is drawn: its corners, doors, windows, posts and studs. */
export function RoomShape() {
  return (
    <>
      <Corners />
      <Openings which="doors" one="door" />
      <Openings which="windows" one="window" />
      <Posts />
      <Studs />
    </>
  );
}
