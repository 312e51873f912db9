import type { JoinForm } from './join-form';

export const straightForm: JoinForm<{ kind: 'straight' }> = {
  name: () => 'straight',
  short: () => 'straight',
  offered: () => [{ kind: 'straight' }],
};
