import type { RouteProposal } from '@frank-gauge/core/improve';
import { create } from 'zustand';

/** A suggested route on the plan, with the score of the ducts there are to compare it with. */
export interface Ghost {
  readonly route: RouteProposal;
  readonly present: RouteProposal['score'] | null;
}

/** The suggestion that is drawn on the plan; null: none. */
export const useGhost = create<{ readonly ghost: Ghost | null }>(() => ({ ghost: null }));

export const showGhost = (ghost: Ghost | null): void => useGhost.setState({ ghost });
