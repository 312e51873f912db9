/** Longest wait for the browser to have nothing else to do, ms. */
const PATIENCE = 60;

/** Calls once the browser has nothing else to do, or soon anyway; answers how to call it off. */
export function whenIdle(act: () => void): () => void {
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(act, 1);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(act, { timeout: PATIENCE });
  return () => cancelIdleCallback(handle);
}
