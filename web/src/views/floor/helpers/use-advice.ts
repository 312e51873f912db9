'use client';

import { type Remote, wrap } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Advise } from '@/workers/advise.worker';

/** A long search in a worker: at rest, under way with its best so far, done, or broken off. */
export type Advice<T> =
  | { readonly kind: 'rest' }
  | { readonly kind: 'searching'; readonly progress: string; readonly best: T | null }
  | { readonly kind: 'done'; readonly answer: T }
  | { readonly kind: 'broken' };

/**
 * Runs one search at a time in a worker of its own. `stop` ends it and keeps the best so far; leaving
 * the view ends it too.
 */
export function useAdvice<T>() {
  const [advice, setAdvice] = useState<Advice<T>>({ kind: 'rest' });
  const worker = useRef<Worker | null>(null);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);
  const start = useCallback(
    (
      search: (
        advise: Remote<Advise>,
        tell: (progress: string, best: T | null) => void,
      ) => Promise<T | null>,
    ) => {
      end();
      const own = new Worker(new URL('../../../workers/advise.worker.ts', import.meta.url));
      worker.current = own;
      const isCurrent = () => worker.current === own;
      const breakOff = () => {
        if (isCurrent()) setAdvice({ kind: 'broken' });
      };
      own.onerror = breakOff;
      setAdvice({ kind: 'searching', progress: '', best: null });
      // Progress comes by a channel of its own, and may come in behind the answer.
      const tell = (progress: string, best: T | null) => {
        if (isCurrent()) setAdvice({ kind: 'searching', progress, best });
      };
      search(wrap<Advise>(own), tell).then((answer) => {
        if (!isCurrent()) return;
        end();
        setAdvice(answer === null ? { kind: 'broken' } : { kind: 'done', answer });
      }, breakOff);
    },
    [end],
  );
  const stop = useCallback(() => {
    end();
    setAdvice((now) =>
      now.kind === 'searching' && now.best !== null
        ? { kind: 'done', answer: now.best }
        : { kind: 'rest' },
    );
  }, [end]);
  const forget = useCallback(() => {
    end();
    setAdvice({ kind: 'rest' });
  }, [end]);
  return { advice, start, stop, forget };
}
