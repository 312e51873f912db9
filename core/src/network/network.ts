import type { Air } from '../air/air-at-site';
import type { BlowerPoint } from '../collector/blower';
import type { Wye } from '../fitting/momentum-wye';

/**
 * The duct system as the solver sees it: a list of segments, each after everything upstream of it,
 * ending at the blower. A run of the document becomes one segment, or two where it has a hose; the
 * separator is the last segment.
 *
 * A segment is two halves with a leak between them, so that a leak spread along it acts in its
 * middle: everything a machine or a gate does to the air is in the upstream half.
 */
export interface Network {
  readonly air: Air;
  readonly segments: readonly Segment[];
  readonly blower: readonly BlowerPoint[];
  /** What lies behind the blower: ΔP = linear·Q + quadratic·Q². */
  readonly exhaust: { readonly linear: number; readonly quadratic: number };
}

export interface Segment {
  /** The document's run, or `separator`. */
  readonly run: string;
  /** Index of the segment it flows into; −1 for the blower. */
  readonly downstream: number;
  readonly diameter: number;
  /** Open: room air enters its upstream end. Capped: nothing does. Fed: other segments flow in. */
  readonly upstream: 'open' | 'capped' | 'fed';
  /** Leakage between the halves: Q = seam·P^0.65 + hole·P^0.5. */
  readonly seam: number;
  readonly hole: number;
  readonly junction: Junction;
  readonly parts: readonly Part[];
}

/** What its downstream end loses where other air joins. */
export type Junction =
  | { readonly kind: 'none' }
  | { readonly kind: 'branch'; readonly wye: Wye }
  | { readonly kind: 'straight'; readonly wye: Wye };

export type PartKind =
  | 'entry'
  | 'hose'
  | 'gate'
  | 'pipe'
  | 'elbow'
  | 'reducer'
  | 'branch'
  | 'straight'
  | 'other'
  | 'separator';

/** One thing that takes pressure, in the order the air meets it. */
export interface Part {
  readonly kind: PartKind;
  readonly name: string;
  /** Upstream or downstream of the segment's leak; friction is in both. */
  readonly half: 'up' | 'down' | 'both';
  /** Loss coefficient on the segment's velocity pressure. */
  readonly coefficient: number;
  /** Friction: length in m, roughness in m, and what it is multiplied by. */
  readonly friction: {
    readonly length: number;
    readonly roughness: number;
    readonly multiplier: number;
  } | null;
}
