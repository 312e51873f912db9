import type { RouteProposal } from '@frank-gauge/core/improve';
import { create } from 'zustand';

/** The suggested route that is drawn on the plan as a ghost; null: none. */
export const useGhost = create<{ readonly route: RouteProposal | null }>(() => ({ route: null }));

export const showGhost = (route: RouteProposal | null): void => useGhost.setState({ route });
