import type { Air } from '../air/air-at-site';
import type { BlowerPoint } from '../collector/blower';
import type { FrictionLaw } from '../duct/friction-law';
import type { JunctionLeg } from '../fittings/converging-junction';
import type { FittingKindId } from '../fittings/kinds/fitting-kinds';

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
  readonly exhaust: Exhaust;
  /** Exponent of the seams' leakage by pressure. */
  readonly seamExponent: number;
}

/** What lies behind the blower: ΔP = linear·Q + quadratic·Q² + friction, with a leak ahead of it. */
export interface Exhaust {
  /** The way the air goes. */
  readonly kind: 'filter' | 'outdoors' | 'room' | 'enclosure';
  readonly linear: number;
  readonly quadratic: number;
  /** What of `quadratic` a separator takes that the blower pushes through. */
  readonly separator: number;
  /** The filter stands ahead of the blower: what it takes, the blower's inlet feels. */
  readonly isAhead: boolean;
  readonly duct: { readonly diameter: number; readonly friction: FrictionLaw } | null;
  /** Openings between blower and filter, which blow out: Q = hole·P^0.5. */
  readonly hole: number;
}

export interface Segment {
  /** The document's run, or `separator`. */
  readonly run: string;
  /** Index of the segment it flows into; −1 for the blower. */
  readonly downstream: number;
  readonly diameter: number;
  /** Open: room air enters its upstream end. Capped: nothing does. Fed: other segments flow in. */
  readonly upstream: 'open' | 'capped' | 'fed';
  /** Leakage between the halves: Q = seam·P^exponent + hole·P^0.5. */
  readonly seam: number;
  readonly hole: number;
  /** What its downstream end loses by momentum where other air joins. */
  readonly junction: JunctionLeg | null;
  readonly parts: readonly Part[];
}

export type PartKind =
  | 'entry'
  | 'hose'
  | 'gate'
  | 'pipe'
  | FittingKindId
  | 'reducer'
  | 'branch'
  | 'straight'
  | 'separator'
  | 'inlet';

/** One thing that takes pressure, in the order the air meets it. */
export interface Part {
  readonly kind: PartKind;
  readonly name: string;
  /** Upstream or downstream of the segment's leak; friction is in both. */
  readonly half: 'up' | 'down' | 'both';
  /** Loss coefficient on the segment's velocity pressure. */
  readonly coefficient: number;
  readonly friction: FrictionLaw | null;
}
