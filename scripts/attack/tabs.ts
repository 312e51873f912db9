import { run, tool } from '../machine.mjs';
import type { Attacked, Strength } from './attack';

/** Random histories of two tabs on one store, by the law its own test holds: both end the same. */
export function attackTabs({ count, seed }: Strength): Attacked {
  process.env.FRANK_GAUGE_HISTORIES = `${count} ${seed}`;
  const { ok, output } = run(
    tool('vitest'),
    ['run', 'web/src/storage/two-tabs.test.ts', '--reporter=json', '--testTimeout=3600000'],
    { keep: true, isQuiet: true },
  );
  delete process.env.FRANK_GAUGE_HISTORIES;
  if (ok) return { tried: count, failed: [] };
  const message = /"failureMessages":\[("(?:[^"\\]|\\.)*")/.exec(output)?.[1];
  return {
    tried: count,
    failed: [message ? String(JSON.parse(message)).slice(0, 2000) : 'the test did not run'],
  };
}
