/**
 * Converging junction by momentum: what a leg loses between itself and the combined leg.
 *
 * Idelchik, Handbook of Hydraulic Resistance, converging wyes with F_st = F_c (from memory):
 *   branch   ζ_s  = A·[1 + (Q_s·F_c/(Q_c·F_s))² − 2(1 − Q_s/Q_c)² − 2(F_c/F_s)(Q_s/Q_c)²·cos α]
 *   straight ζ_st = 1 − (1 − Q_s/Q_c)² − 2(F_c/F_s)(Q_s/Q_c)²·cos α
 * both on the combined leg's velocity pressure, c combined, s side branch, st straight.
 *
 * Multiplied by that velocity pressure the quotients by Q_c cancel and what remains is a form in
 * the two flows alone, finite and smooth down to no flow at all. That is what is computed here, so
 * the solver never divides by a flow. A may step at Q_s/Q_c = 0.4 by 2 %; here it is the greater of
 * its two branches, which meet at 0.389, so that it has no step.
 */

/** What the geometry of a wye fixes. */
export interface Wye {
  /** Combined leg's cross-section, m². */
  readonly combinedArea: number;
  /** Branch's cross-section, m². */
  readonly branchArea: number;
  /** Cosine of the angle between branch and main. */
  readonly cosine: number;
}

/** A pressure loss with its derivatives by the leg's own flow and the combined flow. */
export interface JunctionLoss {
  loss: number;
  byOwn: number;
  byCombined: number;
}

const SMALL_BRANCH = 0.35;

/**
 * Writes into `out` what the branch loses, in Pa, from branch flow `own` and combined flow
 * `combined` (m³/s). Negative values are real: fast air in the main draws a branch along.
 */
export function branchLossInto(
  out: JunctionLoss,
  wye: Wye,
  own: number,
  combined: number,
  density: number,
): void {
  const { combinedArea: fc, branchArea: fs, cosine } = wye;
  const half = density / 2;
  const rest = combined - own;
  const base =
    (combined * combined) / (fc * fc) +
    (own * own) / (fs * fs) -
    (2 * rest * rest) / (fc * fc) -
    (2 * own * own * cosine) / (fc * fs);
  const byOwn = (2 * own) / (fs * fs) + (4 * rest) / (fc * fc) - (4 * own * cosine) / (fc * fs);
  const byCombined = (2 * combined - 4 * rest) / (fc * fc);

  const share = combined > 0 ? Math.min(Math.max(own / combined, 0), 1) : 0;
  const isSmall = fs / fc <= SMALL_BRANCH;
  const sloped = 0.9 * (1 - share);
  const a = isSmall ? 1 : Math.max(sloped, 0.55);
  const aByShare = !isSmall && sloped > 0.55 && combined > 0 ? -0.9 : 0;

  out.loss = half * a * base;
  out.byOwn = half * (a * byOwn + (aByShare * base) / (combined || 1));
  out.byCombined = half * (a * byCombined - (aByShare * base * share) / (combined || 1));
}

/**
 * Writes into `out` what the straight leg loses, in Pa, from its own flow and the combined flow.
 * With several branches at one node `wye` is the widest of them and the side flow their sum.
 */
export function straightLossInto(
  out: JunctionLoss,
  wye: Wye,
  own: number,
  combined: number,
  density: number,
): void {
  const { combinedArea: fc, branchArea: fs, cosine } = wye;
  const half = density / 2;
  const side = combined - own;
  const pull = (2 * cosine) / (fc * fs);
  out.loss = half * ((combined * combined - own * own) / (fc * fc) - pull * side * side);
  out.byOwn = half * ((-2 * own) / (fc * fc) + 2 * pull * side);
  out.byCombined = half * ((2 * combined) / (fc * fc) - 2 * pull * side);
}

/**
 * ζ_s of the branch on the combined leg's velocity pressure, from the share Q_s/Q_c.
 * @example // 45°, equal areas, half the air from the branch
 * branchCoefficient({ combinedArea: 1, branchArea: 1, cosine: Math.SQRT1_2 }, 0.5) // 0.22
 */
export function branchCoefficient(wye: Wye, share: number): number {
  const out: JunctionLoss = { loss: 0, byOwn: 0, byCombined: 0 };
  branchLossInto(out, wye, share * wye.combinedArea, wye.combinedArea, 2);
  return out.loss;
}

/** ζ_st of the straight leg on the combined leg's velocity pressure, from the share Q_s/Q_c. */
export function straightCoefficient(wye: Wye, share: number): number {
  const out: JunctionLoss = { loss: 0, byOwn: 0, byCombined: 0 };
  straightLossInto(out, wye, (1 - share) * wye.combinedArea, wye.combinedArea, 2);
  return out.loss;
}
