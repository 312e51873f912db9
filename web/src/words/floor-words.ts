import type { UnitSystem } from '@frank-gauge/core/quantity';
import type { FloorConflict, Occupant } from '@frank-gauge/core/room';
import { oneStop } from './one-stop';
import { tapeLength } from './tape-length';

export interface FloorMessage {
  readonly title: string;
  readonly text: string;
}

const OTHERS: Record<Exclude<Occupant['kind'], 'machine'>, string> = {
  collector: 'the collector',
  post: 'a post',
  wall: 'a wall',
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What is wrong with the plan, in sentences. `nameOf` says what a machine is called. */
export function floorMessage(
  conflict: FloorConflict,
  system: UnitSystem,
  nameOf: (machine: string) => string,
): FloorMessage {
  const name = (who: Occupant) => (who.kind === 'machine' ? nameOf(who.id) : OTHERS[who.kind]);
  const who = capital(name(conflict.who));
  const by = tapeLength(conflict.short, system);
  const tidy = ({ title, text }: FloorMessage): FloorMessage => ({
    title: oneStop(title),
    text: oneStop(text),
  });
  switch (conflict.kind) {
    case 'overlap':
      return tidy({
        title: `${who} overlaps ${name(conflict.other)}.`,
        text: `Move one of them by ${by}.`,
      });
    case 'outside':
      return tidy({
        title: `${who} stands partly outside the room.`,
        text: `It extends ${by} beyond the wall.`,
      });
    case 'door blocked':
      return tidy({
        title: `${who} blocks a door.`,
        text: `It takes ${by} of the door’s clearance.`,
      });
    case 'feed blocked':
      return conflict.room === 'stand'
        ? tidy({
            title: `There is no room to stand at ${name(conflict.who)}.`,
            text: `It needs ${tapeLength(conflict.wanted, system)} and is ${by} short because of ${name(conflict.by)}.`,
          })
        : tidy({
            title: `Boards do not clear ${name(conflict.who)}.`,
            text: `Its ${conflict.room} is ${by} short of ${tapeLength(conflict.wanted, system)} because of ${name(conflict.by)}. Rotate it, face it toward a door, or enter your longest board.`,
          });
  }
}
