'use client';

import type { Remote } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { type Asked, engine } from '@/model/engine';
import type { EngineApi } from '@/workers/engine.worker';

/** A long search by the engine: at rest, under way with its best so far, done, or broken off. */
export type Advice<T> =
  | { readonly kind: 'rest' }
  | { readonly kind: 'searching'; readonly progress: string; readonly best: T | null }
  | { readonly kind: 'done'; readonly answer: T }
  | { readonly kind: 'broken' };

/**
 * Runs one search at a time, of all helpers together. `stop` ends it and keeps the best so far; leaving
 * the view ends it too.
 */
export function useAdvice<T>() {
  const [advice, setAdvice] = useState<Advice<T>>({ kind: 'rest' });
  const search = useRef<Asked<T | null> | null>(null);
  const end = useCallback(() => {
    search.current?.cancel();
    search.current = null;
  }, []);
  useEffect(() => end, [end]);
  const start = useCallback(
    (
      run: (
        remote: Remote<EngineApi>,
        findingMessage: (progress: string, best: T | null) => void,
      ) => Promise<T | null>,
    ) => {
      end();
      setAdvice({ kind: 'searching', progress: '', best: null });
      // Progress comes by a channel of its own, and may come in behind the answer.
      let own: Asked<T | null> | null = null;
      const findingMessage = (progress: string, best: T | null) => {
        if (own && search.current === own) setAdvice({ kind: 'searching', progress, best });
      };
      own = engine.ask('advice', (remote) => run(remote, findingMessage));
      search.current = own;
      void own.outcome.then((outcome) => {
        if (search.current !== own) return;
        search.current = null;
        if (outcome.kind === 'superseded') setAdvice({ kind: 'rest' });
        else if (outcome.kind === 'broken' || outcome.answer === null)
          setAdvice({ kind: 'broken' });
        else setAdvice({ kind: 'done', answer: outcome.answer });
      });
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
