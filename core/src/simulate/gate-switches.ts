/**
 * Gates with a switch each, which start the blower when one opens and stop it a while after the last has shut, so
 * that the ducts clear. Times in ms since 1970.
 */
export interface SwitchedGates {
  /** Runs whose gates stand open. */
  readonly open: readonly string[];
  /** When the last of them shut; null: none was open yet. */
  readonly lastShut: number | null;
  /** The blower is switched on by hand as well, whatever the gates say. */
  readonly isOnByHand: boolean;
}

export const ALL_SHUT: SwitchedGates = { open: [], lastShut: null, isOnByHand: false };

/** How long a blower runs on after the last gate has shut, s: common practice, no source. */
export const USUAL_STOP_DELAY = 8;

/** The gates after one of them was opened or shut. */
export function withGate(
  gates: SwitchedGates,
  run: string,
  isOpen: boolean,
  now: number,
): SwitchedGates {
  const others = gates.open.filter((each) => each !== run);
  const open = isOpen ? [...others, run] : others;
  const isLastShut = open.length === 0 && gates.open.length > 0;
  return { ...gates, open, lastShut: isLastShut ? now : gates.lastShut };
}

/** Whether the blower runs; `until`: it stops then unless a gate opens. */
export type BlowerState =
  | { readonly kind: 'running' }
  | { readonly kind: 'running on'; readonly until: number }
  | { readonly kind: 'stopped' };

/** @param stopDelay s */
export function blowerOf(gates: SwitchedGates, stopDelay: number, now: number): BlowerState {
  if (gates.isOnByHand || gates.open.length > 0) return { kind: 'running' };
  const until = gates.lastShut === null ? 0 : gates.lastShut + 1000 * stopDelay;
  return now < until ? { kind: 'running on', until } : { kind: 'stopped' };
}
