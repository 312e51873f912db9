import { atAngles, degreesOf, type JoinForm } from './join-form';

const isTee = (angle: number) => degreesOf(angle) > 80 && degreesOf(angle) < 100;

/** A wye's branch, or a tee's. */
export const branchForm: JoinForm<{ kind: 'branch'; angle: number }> = {
  name: ({ angle }) =>
    isTee(angle) ? `${degreesOf(angle)}° tee` : `${degreesOf(angle)}° wye branch`,
  short: ({ angle }) => `${degreesOf(angle)}° ${isTee(angle) ? 'tee' : 'wye'}`,
  offered: () => atAngles('branch', [15, 30, 45, 60, 90]),
};
