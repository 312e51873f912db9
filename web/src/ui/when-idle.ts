/** Longest wait for the browser to have nothing else to do, ms. */
const PATIENCE = 60;
/** How long something may go on that had to wait so long, or where idleness is not told, ms. */
const ANYWAY = 3;

/**
 * Calls once the browser has nothing else to do, or soon anyway; answers how to call it off. What is
 * called is told whether it may go on.
 */
export function whenIdle(act: (hasTime: () => boolean) => void): () => void {
  const briefly = () => {
    const until = performance.now() + ANYWAY;
    act(() => performance.now() < until);
  };
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(briefly, 1);
    return () => clearTimeout(timer);
  }
  const handle = requestIdleCallback(
    (deadline) => (deadline.didTimeout ? briefly() : act(() => deadline.timeRemaining() > 1)),
    { timeout: PATIENCE },
  );
  return () => cancelIdleCallback(handle);
}
