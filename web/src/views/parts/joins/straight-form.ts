import type { JoinForm } from './join-form';

export const straightForm: JoinForm<{ kind: 'straight' }> = {
  name: () => 'straight on',
  short: () => 'straight on',
  offered: () => [{ kind: 'straight' }],
};
