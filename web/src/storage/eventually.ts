import { vi } from 'vitest';

/** Waits until a check passes, for tests: as long as storage may take on a machine that is busy with other work. */
export const eventually = (check: () => void): Promise<void> =>
  vi.waitFor(check, { timeout: 20_000, interval: 5 });
