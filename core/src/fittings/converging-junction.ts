/**
 * Converging junction by momentum: what each leg loses between itself and the combined leg, for a
 * wye, a tee, a double wye or any number of legs meeting at one body.
 *
 * Idelchik, Handbook of Hydraulic Resistance, converging wyes with F_st = F_c (from memory):
 *   branch   ζ_s  = A·[1 + (Q_s·F_c/(Q_c·F_s))² − 2(1 − Q_s/Q_c)² − 2(F_c/F_s)(Q_s/Q_c)²·cos α]
 *   straight ζ_st = 1 − (1 − Q_s/Q_c)² − 2(F_c/F_s)(Q_s/Q_c)²·cos α
 * both on the combined leg's velocity pressure, c combined, s side branch, st straight.
 *
 * Both are the momentum balance of the body, pressures of the legs taken equal: written for any
 * number of legs, with v = Q/F and the momentum they bring along the main M = 2/F_c·Σ Q²·cos α/F,
 *   loss of a leg = ρ/2·A·(v² + v_c² − M),
 * which for one branch is the pair above, and for a double wye counts what the opposite branch
 * brings. Weighted by flow and with A = 1 it is never below ρ/2·Σ Q(v·cos α − v_c)²: no energy is
 * created. The quotients by Q_c have cancelled, so it is finite and smooth down to no flow at all.
 *
 * At a tee the momentum balance gives the straight leg 2q − q², q = Q_s/Q_c, while Idelchik's
 * diagram 7-4 has 1.55q − q² (from memory). The tee's own is used at 90°, the wye's to 60°, and a
 * straight mixture between, where the book has no diagram.
 *
 * A has two steps in the book, and none here:
 * - at Q_s/Q_c = 0.4 by 2 %; here A is the greater of its two forms, which meet at 0.389;
 * - at F_s/F_c = 0.35 from as little as 0.55 to 1; here it changes evenly from 0.3 to 0.4. Two mains
 *   a hair apart would otherwise differ by half of what the branch loses, and a program that sizes
 *   ducts would chase the step instead of the air.
 */

/** What kind of leg: the one straight through, a branch, or one of a symmetric Y's two. */
export const STRAIGHT_LEG = 1;
const BRANCH_LEG = 2;
const SYMMETRIC_LEG = 3;
export type LegKind = typeof STRAIGHT_LEG | typeof BRANCH_LEG | typeof SYMMETRIC_LEG;

/** What the geometry of a junction fixes for one of its legs. */
export interface JunctionLeg {
  readonly kind: LegKind;
  /** Its own cross-section where it enters the body, m²; a straight leg's is the body's. */
  readonly area: number;
  /** Cross-section of the body, which the combined leg leaves by, m². */
  readonly combinedArea: number;
  /** Cosine of the angle between leg and main: 1 straight on, 0 at a tee. */
  readonly cosine: number;
  /** Of a straight leg: how far what joins it does so as a tee, 0 (a wye) to 1; a branch's is 0. */
  readonly tee: number;
}

/** Shares of the body's cross-section between which a branch turns from narrow (A = 1) to wide. */
const NARROW = 0.3;
const WIDE = 0.4;
const SLOPED = 0.9;
const LEAST_A = 0.55;
/** What a tee's straight leg loses less than the momentum balance says, by the branch's share. */
const TEE_RELIEF = 0.45;
/** Branches up to this angle, rad, join as a wye; at a right angle they join as a tee. */
const WYE_TO = Math.PI / 3;

/**
 * How far a branch at `angle` (rad) joins as a tee: 0 up to 60°, 1 from 90° on.
 * @example teeShare(Math.PI / 4) // 0
 */
export const teeShare = (angle: number): number =>
  Math.min(Math.max((angle - WYE_TO) / (Math.PI / 2 - WYE_TO), 0), 1);

/** @param tee how far what joins here does so as a tee, 0 to 1: `teeShare` of the branch's angle */
export const straightLeg = (combinedArea: number, tee = 0): JunctionLeg => ({
  kind: STRAIGHT_LEG,
  area: combinedArea,
  combinedArea,
  cosine: 1,
  tee,
});

/** @param angle between branch and main, rad; clamped to at most a right angle */
export const branchLeg = (area: number, combinedArea: number, angle: number): JunctionLeg => ({
  kind: BRANCH_LEG,
  area,
  combinedArea,
  cosine: Math.max(0, Math.cos(angle)),
  tee: 0,
});

/**
 * A leg of a symmetric Y, for which the balance holds as it stands: A = 1 whatever its width and share.
 * @param angle between the leg and the duct it flows into, rad; clamped to at most a right angle
 */
export const symmetricLeg = (area: number, combinedArea: number, angle: number): JunctionLeg => ({
  ...branchLeg(area, combinedArea, angle),
  kind: SYMMETRIC_LEG,
});

/** Pressure a leg loses, Pa, with its derivatives by own flow, combined flow and momentum M. */
export interface LegLoss {
  loss: number;
  byOwn: number;
  byCombined: number;
  byMomentum: number;
}

/** What a leg's flow (m³/s) adds to M, m²/s². */
export const momentumOf = (leg: JunctionLeg, flow: number): number =>
  (2 * flow * flow * leg.cosine) / (leg.area * leg.combinedArea);

/**
 * Writes into `out` what a leg loses, from its own flow and the combined one (m³/s) and the
 * momentum `m` all legs bring (m²/s²). Negative losses are real: fast air in the main draws a
 * branch along. Plain numbers, for the solver's inner loop.
 */
export function legLossInto(
  out: LegLoss,
  kind: number,
  area: number,
  combinedArea: number,
  tee: number,
  own: number,
  combined: number,
  m: number,
  density: number,
): void {
  const half = density / 2;
  const velocity = own / area;
  const leaving = combined / combinedArea;
  const base = velocity * velocity + leaving * leaving - m;
  if (kind === STRAIGHT_LEG) {
    const relief = (TEE_RELIEF * tee) / (combinedArea * combinedArea);
    out.loss = half * (base - relief * (combined - own) * combined);
    out.byOwn = half * ((2 * velocity) / area + relief * combined);
    out.byCombined = half * ((2 * leaving) / combinedArea - relief * (2 * combined - own));
    out.byMomentum = -half;
    return;
  }
  const isSymmetric = kind === SYMMETRIC_LEG;
  const wide = isSymmetric
    ? 0
    : Math.min(Math.max((area / combinedArea - NARROW) / (WIDE - NARROW), 0), 1);
  const share = combined > 0 ? Math.min(Math.max(own / combined, 0), 1) : 0;
  let a = SLOPED * (1 - share);
  let byShare = 0;
  if (a <= LEAST_A) a = LEAST_A;
  // A changes with the share only while the share is one. Divided so, it is finite at rest.
  else if (own > 0 && own < combined) byShare = -wide * SLOPED * (base / combined);
  a = 1 - wide * (1 - a);
  out.loss = half * a * base;
  out.byOwn = half * ((2 * a * velocity) / area + byShare);
  out.byCombined = half * ((2 * a * leaving) / combinedArea - byShare * share);
  out.byMomentum = -half * a;
}

/** Loss of each leg of a junction, Pa, from their flows in m³/s, at `density` kg/m³. */
export function junctionLosses(
  legs: readonly { readonly leg: JunctionLeg; readonly flow: number }[],
  density: number,
): number[] {
  const combined = legs.reduce((sum, { flow }) => sum + flow, 0);
  const m = legs.reduce((sum, { leg, flow }) => sum + momentumOf(leg, flow), 0);
  const out: LegLoss = { loss: 0, byOwn: 0, byCombined: 0, byMomentum: 0 };
  return legs.map(({ leg, flow }) => {
    const { kind, area, combinedArea, tee } = leg;
    legLossInto(out, kind, area, combinedArea, tee, flow, combined, m, density);
    return out.loss;
  });
}

/** Coefficients of a wye with one branch, on the combined leg's velocity pressure. */
export interface WyeCoefficients {
  readonly branch: number;
  readonly straight: number;
}

/**
 * ζ_s and ζ_st of a wye from the share Q_s/Q_c of the branch.
 * @param areaRatio F_s/F_c
 * @param angle rad
 * @example wyeCoefficients(1, Math.PI / 4, 0.5) // branch 0.22, straight 0.40
 */
export function wyeCoefficients(areaRatio: number, angle: number, share: number): WyeCoefficients {
  const [branch = 0, straight = 0] = junctionLosses(
    [
      { leg: branchLeg(areaRatio, 1, angle), flow: share },
      { leg: straightLeg(1, teeShare(angle)), flow: 1 - share },
    ],
    2,
  );
  return { branch, straight };
}
