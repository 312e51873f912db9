import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import { type ApiResponse, refusal } from './respond';

/** The longest a request may wait and be worked on, ms. */
const BUDGET = 10_000;
/** As many requests may be worked on and wait at once. */
const MOST_AT_ONCE = 9;

let pool: Piscina | null = null;
let atOnce = 0;

/** Threads that solve, apart from the one that serves pages and behind it in the queue for a processor. */
function solvers(): Piscina {
  if (pool) return pool;
  pool = new Piscina({
    // Bundled by scripts/build-solver.mjs; the app runs in web/.
    filename: join(process.cwd(), '.solver', 'solver.mjs'),
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: 60_000,
    niceIncrement: 10,
    resourceLimits: { maxOldGenerationSizeMb: 512 },
  });
  // A thread that runs out of memory says so to whoever asked; nothing else is to be done about it.
  pool.on('error', () => {});
  return pool;
}

/**
 * Solves a request's text in a thread. 503, in plain words, where it takes longer than ten seconds, needs
 * too much memory, or too many wait already; null where whoever asked has left, which ends the work.
 */
export async function solveApart(text: string, left: AbortSignal): Promise<ApiResponse | null> {
  if (atOnce >= MOST_AT_ONCE) {
    return refusal(503, 'Too many requests are waiting. Try again in a moment.');
  }
  const late = AbortSignal.timeout(BUDGET);
  atOnce++;
  try {
    return await solvers().run(text, { name: 'solve', signal: AbortSignal.any([left, late]) });
  } catch {
    if (left.aborted) return null;
    const why = late.aborted
      ? `This takes longer than ${BUDGET / 1000} s.`
      : 'This could not be worked out here.';
    return refusal(503, `${why} Ask for less at once.`);
  } finally {
    atOnce--;
  }
}
