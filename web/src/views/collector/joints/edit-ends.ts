import type { JointEnd, JointPlace } from '@frank-gauge/core/assembly';
import { edit } from '@/storage/session';

type Side = 'upstream' | 'downstream';

/** Keeps what a calliper says of one end; the other diameter of it stays as it was taken. */
export function measureEnd(
  joint: JointPlace,
  side: Side,
  measured: Partial<Pick<JointEnd, 'inside' | 'outside'>>,
): void {
  const { inside, outside } = { ...joint[side], ...measured };
  edit(
    'true diameter',
    ({ ducts }) => {
      const own = ducts.measuredEnds.find((end) => end.joint === joint.id && end.side === side);
      if (own) Object.assign(own, { inside, outside });
      else ducts.measuredEnds.push({ joint: joint.id, side, inside, outside });
    },
    { merge: `end ${joint.id} ${side}` },
  );
}

/** Lets go of what was measured of an end. */
export function forgetEnd(joint: JointPlace, side: Side): void {
  edit('true diameter', ({ ducts }) => {
    ducts.measuredEnds = ducts.measuredEnds.filter(
      (end) => end.joint !== joint.id || end.side !== side,
    );
  });
}
