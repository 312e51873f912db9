import type { ElbowStyle, HoseId, PipeId } from '../catalogue/ids';
import type { FrictionLaw } from '../duct/friction-law';

/** What a part takes: so many velocity pressures, or the friction of so much duct. */
export type Loss =
  | { readonly kind: 'coefficient'; readonly coefficient: number }
  | { readonly kind: 'friction'; readonly friction: FrictionLaw };

/** A piece of duct or hose that is not stretched out by `compression`, m. */
export interface HosePiece {
  readonly kind: HoseId;
  readonly length: number;
  readonly diameter: number;
  readonly compression: number;
  /** Of the duct it is counted as, where it counts as duct. */
  readonly pipe: PipeId;
}

/** So many elbows alike in a duct, lengths in m, angles in rad. */
export interface Elbows {
  readonly style: ElbowStyle;
  readonly radiusRatio: number;
  readonly count: number;
  readonly pipe: PipeId;
  readonly diameter: number;
  /** Straight duct to the elbow ahead of the first; null: enough. */
  readonly straight: number | null;
}

export interface Turn extends Elbows {
  readonly angle: number;
}

/** Pairs of elbows of half a right angle, with a straight spacer between. */
export interface PairedElbows extends Elbows {
  readonly spacer: number;
}

/** Where a duct joins another at an angle. */
export interface Branch {
  readonly angle: number;
  readonly pipe: PipeId;
  readonly diameter: number;
}

/**
 * A way of computing what ducts and fittings take. All three answer the same questions; to add one, add a
 * file beside theirs, its name to the catalogue and a row to `LOSS_METHODS`. `factor` multiplies the
 * answer: 1, unless someone asks how much an estimate matters.
 */
export interface LossMethod {
  readonly pipe: (pipe: PipeId, length: number, factor: number) => FrictionLaw;
  readonly hose: (hose: HosePiece, factor: number) => FrictionLaw;
  readonly turn: (turn: Turn, factor: number) => Loss;
  readonly pair: (pair: PairedElbows, factor: number) => Loss;
  /** What a branch takes; null: the shop's method for junctions says. */
  readonly branch: ((branch: Branch, factor: number) => Loss) | null;
}
