import { type CurveValue, curveInto } from '../collector/monotone-curve';
import { frictionInto, LAMINAR_END } from '../duct/colebrook';
import { type LegLoss, legLossInto } from '../fittings/converging-junction';
import { type CompiledNetwork, NO_LEG, OPEN } from './compiled-network';
import { type ExhaustPressure, exhaustInto } from './exhaust-law';
import { leakInto } from './leak-law';
import { startByConductance } from './start-by-conductance';
import { type Residuals, type Step, type Unknowns, workspaceFor } from './workspace';

/**
 * Flows and pressures of a converging tree, by Newton's method on all unknowns at once.
 *
 * Every segment s has four unknowns: total pressure at its upstream node `pUp` and in its middle
 * `pMid` (Pa, relative to the room), and flow in its two halves `qUp`, `qDown` (m³/s). Its equations:
 *
 *   (1) qUp   = Σ qDown of the segments flowing in        (open end: pUp = 0; capped: qUp = 0)
 *   (2) pUp − pMid = L_up(qUp)
 *   (3) qDown = qUp + leak(static pressure in the middle)
 *   (4) pMid − pUp[downstream] = L_down(qDown) + J(qDown, qUp[downstream], M[downstream])
 *
 * where M, the momentum all legs bring to a junction, is a function of their flows alone,
 *
 *   (5) M = Σ m·qDown²  of the segments flowing in,
 *
 * and at the blower, whose curve gives static pressure rise H (AMCA: static at the outlet less
 * total at the inlet), H(Q) + p = exhaust(Q).
 *
 * The Jacobian of a tree needs no matrix. Linearised, everything upstream of a point answers as
 * δq = α + β·δp; α and β are carried from the leaves to the blower, the blower's equation fixes δp
 * there, and one pass back gives every step. A junction's loss depends on the combined flow and on M
 * too; they enter as C·δQ + D·δM, and both are eliminated where the legs meet. (Gaussian elimination in
 * leaf-to-root order, which on a tree makes no fill-in: Parter 1961. Newton for pipe networks on
 * flows and heads together: Todini and Pilati 1988.)
 *
 * Start values: the tree with fixed friction factors and leaks as openings has a conductance,
 * combined in series and parallel, which gives flows within some per cent at once. Friction factors
 * and leaks are read from tables of cubics, good to 1e-8, which have no logarithm and no power in
 * them. Nothing is allocated while it iterates; what a pass reads and writes it names
 * first, so that the engine looks each array up once.
 */

export type Solved =
  | {
      readonly kind: 'converged';
      readonly iterations: number;
      /** Worst imbalance of any equation, relative to shut-off pressure or total flow. */
      readonly residual: number;
      readonly state: NetworkState;
    }
  | { readonly kind: 'failed'; readonly reason: SolveFailure };

export type SolveFailure =
  | {
      readonly kind: 'beyond-curve';
      /** Flow at the curve's last point, m³/s. */
      readonly lastFlow: number;
    }
  | { readonly kind: 'no-convergence'; readonly iterations: number; readonly residual: number };

/** Per segment, in the network's order; at the blower, alone. SI. */
export interface NetworkState {
  readonly qUp: Float64Array;
  readonly qDown: Float64Array;
  readonly pUp: Float64Array;
  readonly pMid: Float64Array;
  readonly flow: number;
  /** Total pressure at the blower's inlet. */
  readonly inletPressure: number;
  /** Static pressure rise of the blower. */
  readonly rise: number;
  /** What blows out between it and its filter. */
  readonly outletLeak: number;
}

const TOLERANCE = 1e-10;
const MAX_ITERATIONS = 60;
const MAX_HALVINGS = 8;
/** A residual so many times its scale leads nowhere: better start anew than come back from it. */
const LOST = 1e6;
/** Shares of the junctions' momentum taken at a time, first and least. */
const FIRST_STRIDE = 0.25;
const LEAST_STRIDE = 1 / 256;
/** Least slope of a loss, as a share of shut-off pressure over curve flow: keeps β finite at rest. */
const LEAST_SLOPE = 1e-9;
/** Least of 1 − b₂·L_down': a junction that helps may bring it to nothing far from the solution. */
const LEAST_STIFFNESS = 0.05;

/**
 * Solves a network. Never throws for physics: the outcome is converged with its residual, or a
 * reason. `from` is an earlier state of a network with the same segments, to start from.
 */
export function solveNetwork(compiled: CompiledNetwork, from?: NetworkState): Solved {
  const solved = solve(compiled, from, null);
  if (solved.kind === 'converged' && solved.state.flow > compiled.lastFlow * (1 + 1e-9)) {
    return { kind: 'failed', reason: { kind: 'beyond-curve', lastFlow: compiled.lastFlow } };
  }
  return solved;
}

/**
 * What a network asks of a blower that moves `flow` m³/s whatever it takes: the inlet pressure is
 * what it comes to. Fails where the network lets no air through.
 */
export const solveAtFlow = (compiled: CompiledNetwork, flow: number, from?: NetworkState): Solved =>
  solve(compiled, from, flow);

/**
 * From the start given; else from conductances; else approached from where junctions take nothing, a
 * share of their momentum at a time (continuation), which is for nets that are little but junctions.
 */
function solve(
  compiled: CompiledNetwork,
  from: NetworkState | undefined,
  imposed: number | null,
): Solved {
  const near = from && from.qUp.length === compiled.count ? from : undefined;
  const first = iterate(compiled, near, { imposed, momentum: 1 });
  if (first.kind === 'converged') return first;
  const afresh = near ? iterate(compiled, undefined, { imposed, momentum: 1 }) : first;
  return afresh.kind === 'converged' ? afresh : approach(compiled, imposed);
}

function approach(compiled: CompiledNetwork, imposed: number | null): Solved {
  let reached = iterate(compiled, undefined, { imposed, momentum: 0 });
  let momentum = 0;
  let stride = FIRST_STRIDE;
  while (reached.kind === 'converged' && momentum < 1) {
    const wanted = Math.min(1, momentum + stride);
    const next = iterate(compiled, reached.state, { imposed, momentum: wanted });
    if (next.kind === 'converged') {
      reached = next;
      momentum = wanted;
    } else if (stride > LEAST_STRIDE) {
      stride /= 2;
    } else {
      return next;
    }
  }
  return reached;
}

/** A network's equations (2) to (4) and the blower's, linearised at a solution. */
export interface Linearised
  extends Pick<Residuals, 'lUp' | 'lDown' | 'leakP' | 'leakQ' | 'jQ' | 'jM' | 'blowerSlope'> {
  readonly qDown: Float64Array;
}

/** Linearises a network where it is solved; what it answers is a copy, and stays. */
export function linearise(compiled: CompiledNetwork, at: NetworkState): Linearised {
  const { unknowns, residuals } = workspaceFor(compiled.count);
  startFrom(unknowns, at);
  evaluate(compiled, unknowns, residuals, { imposed: null, momentum: 1 });
  const own = (array: Float64Array) => array.slice(0, compiled.count);
  return {
    lUp: own(residuals.lUp),
    lDown: own(residuals.lDown),
    leakP: own(residuals.leakP),
    leakQ: own(residuals.leakQ),
    jQ: own(residuals.jQ),
    jM: own(residuals.jM),
    blowerSlope: residuals.blowerSlope,
    qDown: at.qDown,
  };
}

/** By how much a network's equations (2) to (4) and the blower's are out of balance in some state, m³/s and Pa. */
export interface Imbalance extends Pick<Residuals, 'r2' | 'r3' | 'r4' | 'r5'> {}

/**
 * What a network makes of the state of another one with the same segments: where that one was changed, its equations
 * no longer hold. Written anew at the next call for a network of as many segments.
 */
export function imbalanceOf(compiled: CompiledNetwork, at: NetworkState): Imbalance {
  const { unknowns, residuals } = workspaceFor(compiled.count);
  startFrom(unknowns, at);
  evaluate(compiled, unknowns, residuals, { imposed: null, momentum: 1 });
  return residuals;
}

/** What is solved: a blower that moves so much whatever it takes, and how much junctions count. */
interface Task {
  readonly imposed: number | null;
  readonly momentum: number;
}

/** Newton's method, each step halved while it makes matters worse. */
function iterate(compiled: CompiledNetwork, from: NetworkState | undefined, task: Task): Solved {
  const { unknowns, residuals, step } = workspaceFor(compiled.count);
  if (from) startFrom(unknowns, from);
  else startByConductance(compiled, unknowns);

  let worst = evaluate(compiled, unknowns, residuals, task);
  let iterations = 0;
  while (worst > TOLERANCE && iterations < MAX_ITERATIONS) {
    iterations++;
    eliminate(compiled, unknowns, residuals, step, task.imposed);
    applyStep(compiled.count, unknowns, step, 1);
    let now = evaluate(compiled, unknowns, residuals, task);
    for (let halving = 1; now > worst && halving <= MAX_HALVINGS; halving++) {
      applyStep(compiled.count, unknowns, step, -(0.5 ** halving));
      now = evaluate(compiled, unknowns, residuals, task);
    }
    if (!(now < LOST)) break;
    worst = now;
  }
  if (!(worst <= TOLERANCE)) {
    return { kind: 'failed', reason: { kind: 'no-convergence', iterations, residual: worst } };
  }
  return { kind: 'converged', iterations, residual: worst, state: stateOf(compiled, unknowns) };
}

const legOut: LegLoss = { loss: 0, byOwn: 0, byCombined: 0, byMomentum: 0 };
const exhaustOut: ExhaustPressure = { pressure: 0, slope: 0, leak: 0 };
const curveOut: CurveValue = { value: 0, slope: 0 };
/** A value and its slope: of half a segment's friction, of its factor, of a leak. */
const halfFriction = new Float64Array(2);
const factor = new Float64Array(2);
const leak = new Float64Array(2);

// One reader for each kind of array: V8 slows a shared one down.
const at = (array: Float64Array, i: number): number => array[i] as number;
const int = (array: Int32Array, i: number): number => array[i] as number;
const add = (array: Float64Array, i: number, amount: number) => {
  array[i] = (array[i] as number) + amount;
};

/** All residuals and derivatives at the present unknowns; returns the worst relative residual. */
function evaluate(
  c: CompiledNetwork,
  unknowns: Unknowns,
  residuals: Residuals,
  { imposed, momentum: share }: Task,
): number {
  const { network, count, shutOff, downstream, leg, perFlowSquared, seam, hole, seamPowers } = c;
  const { qUp, qDown, pUp, pMid, flow, inlet } = unknowns;
  const { r1, r2, r3, r4, lUp, lDown, leakP, leakQ, jQ, jM, momentum } = residuals;
  const { exhaust, air, seamExponent } = network;
  const leastSlope = (LEAST_SLOPE * shutOff) / c.lastFlow;
  const flowScale = Math.max(Math.abs(flow), 1e-6 * c.lastFlow);
  // Math.max keeps what is not a number: it must never pass for a small residual.
  let worstFlow = 0;
  let worstPressure = 0;

  for (let s = 0; s < count; s++) {
    r1[s] = -at(qUp, s);
    momentum[s] = 0;
  }
  for (let s = 0; s < count; s++) {
    if (int(leg, s) === NO_LEG) continue;
    const q = at(qDown, s);
    add(momentum, int(downstream, s), at(c.momentum, s) * q * q);
  }
  let arriving = 0;
  for (let s = 0; s < count; s++) {
    const up = at(qUp, s);
    const down = at(qDown, s);
    const mid = at(pMid, s);
    const d = int(downstream, s);

    halfFrictionInto(c, s, up);
    const kUp = at(c.kUp, s) * Math.abs(up);
    lUp[s] = Math.max(2 * kUp + at(halfFriction, 1), leastSlope);
    const r2s = at(pUp, s) - mid - kUp * up - at(halfFriction, 0);
    r2[s] = r2s;
    worstPressure = Math.max(worstPressure, Math.abs(r2s));

    let drawnIn = 0;
    if (at(seam, s) === 0 && at(hole, s) === 0) {
      leakP[s] = leakQ[s] = 0;
    } else {
      const suction = at(perFlowSquared, s) * up * up - mid;
      leakInto(leak, at(seam, s), seamExponent, seamPowers, at(hole, s), suction);
      drawnIn = at(leak, 0);
      leakP[s] = -at(leak, 1);
      leakQ[s] = at(leak, 1) * 2 * at(perFlowSquared, s) * up;
    }
    const r3s = up + drawnIn - down;
    r3[s] = r3s;
    worstFlow = Math.max(worstFlow, Math.abs(r3s));

    // Where nothing leaks in, both halves have one flow and lose alike by friction.
    if (down !== up) halfFrictionInto(c, s, down);
    const kDown = at(c.kDown, s) * Math.abs(down);
    let lost = kDown * down + at(halfFriction, 0);
    let byOwn = Math.max(2 * kDown + at(halfFriction, 1), leastSlope);
    const kind = int(leg, s);
    if (kind !== NO_LEG) {
      const combined = at(qUp, d);
      const own = at(c.legArea, s);
      const body = at(c.bodyArea, s);
      const tee = at(c.tee, s);
      legLossInto(legOut, kind, own, body, tee, down, combined, at(momentum, d), air.density);
      lost += share * legOut.loss;
      byOwn += share * legOut.byOwn;
      jQ[s] = share * legOut.byCombined;
      jM[s] = share * legOut.byMomentum;
    }
    lDown[s] = byOwn;
    const r4s = mid - (d < 0 ? inlet : at(pUp, d)) - lost;
    r4[s] = r4s;
    worstPressure = Math.max(worstPressure, Math.abs(r4s));
    if (d < 0) arriving += down;
    else add(r1, d, down);
  }
  for (let s = 0; s < count; s++) {
    if (int(c.upstream, s) !== OPEN) worstFlow = Math.max(worstFlow, Math.abs(at(r1, s)));
  }
  residuals.rFlow = arriving - flow;
  worstFlow = Math.max(worstFlow, Math.abs(residuals.rFlow));

  if (imposed === null) {
    exhaustInto(exhaustOut, exhaust, flow, air);
    curveInto(curveOut, c.curve, flow);
    residuals.blowerSlope = curveOut.slope - exhaustOut.slope;
    residuals.r5 = curveOut.value + inlet - exhaustOut.pressure;
    worstPressure = Math.max(worstPressure, Math.abs(residuals.r5));
  } else {
    worstFlow = Math.max(worstFlow, Math.abs(imposed - flow));
  }
  const worst = Math.max(worstFlow / flowScale, worstPressure / shutOff);
  return Number.isNaN(worst) ? Number.POSITIVE_INFINITY : worst;
}

/** Writes what friction takes in half a segment at flow q, with its slope, into `halfFriction`. */
function halfFrictionInto(c: CompiledNetwork, s: number, q: number): void {
  const size = Math.abs(q);
  const friction = at(c.friction, s);
  const reynolds = at(c.reynolds, s) * size;
  if (friction !== 0 && reynolds > LAMINAR_END) {
    frictionInto(factor, reynolds, at(c.roughness, s));
    const perFlow = friction * at(factor, 0) * size;
    halfFriction[0] = perFlow * q;
    // Flow and Reynolds number grow alike.
    halfFriction[1] = 2 * perFlow + friction * at(factor, 1) * reynolds * size;
    return;
  }
  // Laminar friction is linear in flow, down to no flow at all.
  const linear = friction === 0 ? 0 : (friction * 64) / at(c.reynolds, s);
  halfFriction[0] = linear * q;
  halfFriction[1] = linear;
  if (at(c.power, s) !== 0 && size > 0) {
    const perFlow = at(c.power, s) * size ** (at(c.exponent, s) - 1);
    halfFriction[0] = at(halfFriction, 0) + perFlow * q;
    halfFriction[1] = at(halfFriction, 1) + at(c.exponent, s) * perFlow;
  }
}

/** The Newton step, leaf to root and back. */
function eliminate(
  c: CompiledNetwork,
  unknowns: Unknowns,
  residuals: Residuals,
  step: Step,
  imposed: number | null,
): void {
  const { count, downstream, upstream, leg } = c;
  const { r2, r3, r4, lUp, lDown, leakP, leakQ, jQ, jM } = residuals;
  const { alpha, beta, alphaM, betaM, a1, b1, A, B, C, D, sumC, sumD, mA, mB, mC, mD } = step;
  for (let s = 0; s < count; s++) {
    alpha[s] = beta[s] = sumC[s] = sumD[s] = mA[s] = mB[s] = mC[s] = mD[s] = 0;
  }
  let rootAlpha = residuals.rFlow;
  let rootBeta = 0;

  for (let s = 0; s < count; s++) {
    const slopeUp = at(lUp, s);
    let a = 0;
    let b = 0;
    if (int(upstream, s) === OPEN) {
      // pUp stays 0, so (2) alone gives δqUp.
      b = -1 / slopeUp;
      a = b * (at(unknowns.pUp, s) - at(r2, s));
    } else {
      meetLegs(residuals, step, s);
      const give = 1 / (1 - at(beta, s) * slopeUp);
      a = (at(alpha, s) - at(beta, s) * at(r2, s)) * give;
      b = at(beta, s) * give;
    }
    a1[s] = a;
    b1[s] = b;
    // (3): δqDown = (1 + leakQ)·δqUp + leakP·δpMid + r3
    const through = 1 + at(leakQ, s);
    const a2 = through * a + at(r3, s);
    const b2 = through * b + at(leakP, s);
    // (4): δpMid = δp(down) − r4 + L_down'·δqDown + J_Q·δQ(down) + J_M·δM(down)
    const give = 1 / Math.max(1 - b2 * at(lDown, s), LEAST_STIFFNESS);
    const own = (a2 - b2 * at(r4, s)) * give;
    const byPressure = b2 * give;
    A[s] = own;
    B[s] = byPressure;
    const d = int(downstream, s);
    if (d < 0) {
      rootAlpha += own;
      rootBeta += byPressure;
      continue;
    }
    add(alpha, d, own);
    add(beta, d, byPressure);
    if (int(leg, s) === NO_LEG) continue;
    const byCombined = byPressure * at(jQ, s);
    const byMomentum = byPressure * at(jM, s);
    C[s] = byCombined;
    D[s] = byMomentum;
    const brings = 2 * at(c.momentum, s) * at(unknowns.qDown, s);
    add(sumC, d, byCombined);
    add(sumD, d, byMomentum);
    add(mA, d, brings * own);
    add(mB, d, brings * byPressure);
    add(mC, d, brings * byCombined);
    add(mD, d, brings * byMomentum);
  }

  // Blower: (H' − X')·δQ + δp + r5 = 0 with δQ = α + β·δp; or δQ is what is imposed.
  const { blowerSlope, r5 } = residuals;
  const atRoot =
    imposed === null
      ? -(r5 + blowerSlope * rootAlpha) / (1 + blowerSlope * rootBeta)
      : (imposed - unknowns.flow - rootAlpha) / rootBeta;
  step.inlet = atRoot;
  step.flow = rootAlpha + rootBeta * atRoot;

  const { qUp, qDown, pUp, pMid } = step;
  for (let s = count - 1; s >= 0; s--) {
    const d = int(downstream, s);
    const dp = d < 0 ? atRoot : at(pUp, d);
    let dqDown = at(A, s) + at(B, s) * dp;
    let dpMid = dp - at(r4, s);
    if (int(leg, s) !== NO_LEG) {
      const dQ = at(qUp, d);
      const dM = at(alphaM, d) + at(betaM, d) * dp;
      dqDown += at(C, s) * dQ + at(D, s) * dM;
      dpMid += at(jQ, s) * dQ + at(jM, s) * dM;
    }
    dpMid += at(lDown, s) * dqDown;
    const dqUp = at(a1, s) + at(b1, s) * dpMid;
    qDown[s] = dqDown;
    pMid[s] = dpMid;
    qUp[s] = dqUp;
    pUp[s] =
      int(upstream, s) === OPEN ? -at(unknowns.pUp, s) : dpMid - at(r2, s) + at(lUp, s) * dqUp;
  }
}

/**
 * Where legs meet, (1) and (5) linearised are two equations for δQ and δM,
 *   (1 − ΣC)·δQ − ΣD·δM = r1 + ΣA + ΣB·δp,   −ΣmC·δQ + (1 − ΣmD)·δM = ΣmA + ΣmB·δp,
 * solved here for both as α + β·δp.
 */
function meetLegs(residuals: Residuals, step: Step, s: number): void {
  const { alpha, beta } = step;
  const a = at(alpha, s) + at(residuals.r1, s);
  const b = at(beta, s);
  const own = 1 - at(step.sumC, s);
  const cross = at(step.sumD, s);
  const mA = at(step.mA, s);
  const mB = at(step.mB, s);
  const mC = at(step.mC, s);
  const mOwn = 1 - at(step.mD, s);
  const share = 1 / (own * mOwn - cross * mC);
  alpha[s] = (mOwn * a + cross * mA) * share;
  beta[s] = (mOwn * b + cross * mB) * share;
  step.alphaM[s] = (own * mA + mC * a) * share;
  step.betaM[s] = (own * mB + mC * b) * share;
}

/** Adds `share` of a step to the unknowns. */
function applyStep(count: number, unknowns: Unknowns, step: Step, share: number): void {
  const { qUp, qDown, pUp, pMid } = unknowns;
  const { qUp: dqUp, qDown: dqDown, pUp: dpUp, pMid: dpMid } = step;
  for (let s = 0; s < count; s++) {
    add(qUp, s, share * at(dqUp, s));
    add(qDown, s, share * at(dqDown, s));
    add(pUp, s, share * at(dpUp, s));
    add(pMid, s, share * at(dpMid, s));
  }
  unknowns.flow += share * step.flow;
  unknowns.inlet += share * step.inlet;
}

function startFrom(unknowns: Unknowns, from: NetworkState): void {
  unknowns.qUp.set(from.qUp);
  unknowns.qDown.set(from.qDown);
  unknowns.pUp.set(from.pUp);
  unknowns.pMid.set(from.pMid);
  unknowns.flow = from.flow;
  unknowns.inlet = from.inletPressure;
}

/** The solution, copied out of the workspace. */
function stateOf({ network, count, curve }: CompiledNetwork, unknowns: Unknowns): NetworkState {
  const { qUp, qDown, pUp, pMid, flow, inlet } = unknowns;
  curveInto(curveOut, curve, flow);
  exhaustInto(exhaustOut, network.exhaust, flow, network.air);
  return {
    qUp: qUp.slice(0, count),
    qDown: qDown.slice(0, count),
    pUp: pUp.slice(0, count),
    pMid: pMid.slice(0, count),
    flow,
    inletPressure: inlet,
    rise: curveOut.value,
    outletLeak: exhaustOut.leak,
  };
}
