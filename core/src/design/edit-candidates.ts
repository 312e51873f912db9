import type { NewId } from './edit-ducts';
import type { Candidate, Estimate, Shop } from './schema';

/** Collectors that are held side by side, the present one among them. */
export const MOST_COLLECTORS = 4;

/** A document's copy of a part. */
const copyOf = <T>(part: T): T => JSON.parse(JSON.stringify(part));

/** Adds a copy of the present collector under `name`, to be changed. Returns its id, or null when full. */
export function addCandidate(shop: Shop, name: string, newId: NewId): string | null {
  if (shop.candidates.length >= MOST_COLLECTORS - 1) return null;
  const id = newId();
  shop.candidates.push({ id, name, ...copyOf(partsOf(shop.collector)), cost: null });
  return id;
}

export function removeCandidate(shop: Shop, id: string): void {
  shop.candidates = shop.candidates.filter((candidate) => candidate.id !== id);
}

/**
 * Puts a candidate in the present collector's place, which becomes a candidate under `presentName`:
 * done again with that one, both collectors stand where they were. The chosen one's name and cost go:
 * they spoke of the change to it, which is made.
 */
export function swapIn(shop: Shop, id: string, presentName: string): void {
  const index = shop.candidates.findIndex((candidate) => candidate.id === id);
  const chosen = shop.candidates[index];
  if (!chosen) return;
  const present = partsOf(shop.collector);
  shop.candidates[index] = copyOf({ ...chosen, name: presentName, ...present, cost: null });
  Object.assign(shop.collector, copyOf(partsOf(chosen)));
  shop.condition.estimates = ofOtherCollector(shop.condition.estimates);
}

/** What makes a collector: the one that stands in the shop, or a candidate for its place. */
export type CollectorParts = Pick<Candidate, 'separator' | 'blower' | 'exhaust' | 'assembly'>;

const partsOf = ({ separator, blower, exhaust, assembly }: CollectorParts): CollectorParts => ({
  separator,
  blower,
  exhaust,
  assembly,
});

/** The shop with a candidate standing where its collector does. */
export const withCandidate = (shop: Shop, candidate: Candidate): Shop => ({
  ...shop,
  collector: { ...shop.collector, ...partsOf(candidate) },
  condition: { ...shop.condition, estimates: ofOtherCollector(shop.condition.estimates) },
});

/** What readings say of a separator, a filter and a blower they say of those that were read, and of no others. */
const ofOtherCollector = (estimates: readonly Estimate[]): Estimate[] =>
  estimates.filter(({ of }) => of.kind === 'hood' || of.kind === 'leaks');
