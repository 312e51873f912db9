import type { CollectorFaultKind, RunFaultKind } from '../inference/faults';

/** What is wrong with a practice shop: a run by its id, or, where that is not known yet, by the machines it alone serves. */
export type Trouble =
  | {
      readonly kind: RunFaultKind;
      /** Names of machines. */
      readonly of: readonly string[];
      /** In the fault's own measure. */
      readonly amount: number;
    }
  | { readonly kind: RunFaultKind; readonly run: string; readonly amount: number }
  | { readonly kind: CollectorFaultKind; readonly amount: number }
  | { readonly kind: 'meter'; readonly way: 'more' | 'less'; readonly amount: number };
