import { atAngles, degreesOf, type JoinForm } from './join-form';

/** A Y has two legs, so it is offered where two ducts meet. */
export const symmetricForm: JoinForm<{ kind: 'symmetric'; angle: number }> = {
  name: ({ angle }) =>
    degreesOf(angle) === 90
      ? 'tee entered from both ends'
      : `symmetric Y, ${degreesOf(angle)}° each side`,
  short: ({ angle }) =>
    degreesOf(angle) === 90 ? 'tee, both ends' : `Y, ${degreesOf(angle)}° each side`,
  offered: (legs) => (legs === 2 ? atAngles('symmetric', [30, 45, 90]) : []),
};
