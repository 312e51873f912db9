'use client';

import { useRef } from 'react';

interface OnceAFrame<T> {
  readonly call: (value: T) => void;
  /** Carries out at once what waits. */
  readonly flush: () => void;
}

/**
 * Gathers calls: the last one of a frame is carried out, once, before the frame is drawn. A pointer
 * may report faster than the screen shows.
 */
export function useOnceAFrame<T>(act: (value: T) => void): OnceAFrame<T> {
  const latest = useRef(act);
  latest.current = act;
  const gathered = useRef<OnceAFrame<T>>(undefined);
  gathered.current ??= gather((value: T) => latest.current(value));
  return gathered.current;
}

function gather<T>(act: (value: T) => void): OnceAFrame<T> {
  let waiting: { readonly value: T } | null = null;
  let frame = 0;
  const flush = () => {
    cancelAnimationFrame(frame);
    const last = waiting;
    waiting = null;
    if (last) act(last.value);
  };
  return {
    call: (value) => {
      if (!waiting) frame = requestAnimationFrame(flush);
      waiting = { value };
    },
    flush,
  };
}
