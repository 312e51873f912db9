import type { Machine, Room, Shop } from '@frank-gauge/core/design';
import { placeAll, placeCollector, placeMachine, turnedBy } from '@frank-gauge/core/room';
import { edit } from '@/storage/session';
import { COLLECTOR } from './collector-id';

/** Edits one field of the room; quick edits of it are one step to undo. */
export const editRoom = (field: string, change: (room: Room) => void): void =>
  edit(field, ({ room }) => change(room), { merge: `room ${field}` });

/** Edits one field of a machine; quick edits of it are one step to undo. */
export const editMachine = (id: string, field: string, change: (own: Machine) => void): void =>
  edit(
    field,
    ({ machines }) => {
      const own = machines.find((machine) => machine.id === id);
      if (own) change(own);
    },
    { merge: `${id} ${field}` },
  );

const editCollectorPlace = (field: string, change: (own: Shop['collector']) => void): void =>
  edit(field, ({ collector }) => change(collector), { merge: `collector ${field}` });

/** Edits where the ducts arrive at the collector. */
export const editInlet = (change: (own: Shop['collector']['inlet']) => void): void =>
  editCollectorPlace('inlet of the collector', ({ inlet }) => change(inlet));

/** Sets which way what stands faces, rad. */
export function turnTo(id: string, turn: number): void {
  if (id === COLLECTOR) {
    editCollectorPlace('turn of the collector', (own) => {
      own.turn = turnedBy(turn, 0);
    });
  } else {
    editMachine(id, 'turn', (own) => {
      own.turn = turnedBy(turn, 0);
    });
  }
}

/** Puts what is not placed yet where there is room. */
export function place(id: string, name: string): void {
  edit(`place ${name}`, (shop) => {
    if (id === COLLECTOR) placeCollector(shop);
    else placeMachine(shop, id);
  });
}

/** Places all that is not placed yet. */
export function placeEverything(): void {
  edit('place everything', placeAll);
}
