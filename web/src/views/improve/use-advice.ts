'use client';

import { type Packages, type Ranking, withPaidPrices } from '@frank-gauge/core/advice';
import type { Shop } from '@frank-gauge/core/design';
import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { patientEngine } from '@/model/engine';
import { airPart } from '@/model/shop-parts';
import { useDesign } from '@/model/use-design';
import { usePaidPrices } from './use-paid-prices';

/** It is worked out when edits have rested so long, ms. */
const AFTER_EDIT = 200;

export interface Advised {
  /** The best so far; null: nothing yet, or there is no answer. */
  readonly ranking: Ranking | null;
  readonly packages: Packages | null;
  readonly state: 'working' | 'ranked' | 'done' | 'stopped' | 'broken';
  readonly stop: () => void;
}

/** All that improvements depend on, one object as long as none of it changes. */
export function useAdvisedShop(): Shop {
  const air = airPart(useDesign());
  const candidates = useDesign((shop) => shop.candidates);
  const advice = useDesign((shop) => shop.advice);
  const paid = usePaidPrices();
  return useMemo(
    () => ({ ...air, candidates, advice: withPaidPrices(advice, paid) }),
    [air, candidates, advice, paid],
  );
}

const NOTHING = { ranking: null, packages: null, state: 'working' } as const;

/** What could be done to the open shop, ranked, and what amounts of money buy: worked out anew after every edit. */
export function useAdvice(): Advised {
  const shop = useAdvisedShop();
  const [advised, setAdvised] = useState<Omit<Advised, 'stop'>>(NOTHING);
  const [stop, setStop] = useState<() => void>(() => () => {});
  useEffect(() => {
    // An answer's progress may come after the answer itself.
    let isOver = false;
    let cancel = () => {};
    const start = () => {
      setAdvised((before) => ({ ...before, state: 'working' }));
      const asked = patientEngine.ask('advice', (remote) =>
        remote.advise(
          shop,
          proxy((ranking: Ranking) => {
            if (!isOver) setAdvised({ ranking, packages: null, state: 'working' });
          }),
          proxy((ranking: Ranking, packages: Packages) => {
            if (!isOver) setAdvised({ ranking, packages, state: 'ranked' });
          }),
        ),
      );
      cancel = asked.cancel;
      setStop(() => () => {
        isOver = true;
        asked.cancel();
        setAdvised((before) => ({ ...before, state: 'stopped' }));
      });
      void asked.outcome.then((outcome) => {
        if (isOver || outcome.kind === 'superseded') return;
        isOver = true;
        setAdvised((before) =>
          outcome.kind === 'answered'
            ? {
                ranking: outcome.answer?.ranking ?? null,
                packages: outcome.answer?.packages ?? null,
                state: 'done',
              }
            : { ...before, state: 'broken' },
        );
      });
    };
    const timer = setTimeout(start, AFTER_EDIT);
    return () => {
      isOver = true;
      clearTimeout(timer);
      cancel();
    };
  }, [shop]);
  return { ...advised, stop };
}
