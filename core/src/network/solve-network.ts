import { type CurveValue, curveInto } from '../collector/monotone-curve';
import { type Friction, frictionInto, LAMINAR_END } from '../duct/colebrook';
import { type LegLoss, legLossInto } from '../fitting/converging-junction';
import { type CompiledNetwork, NO_LEG, OPEN } from './compiled-network';
import { type ExhaustPressure, exhaustInto } from './exhaust-law';
import { type LeakFlow, leakInto } from './leak-law';
import { startByConductance, type Unknowns } from './start-by-conductance';

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
 * combined in series and parallel, which gives flows within some per cent at once.
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
  /** 1/√f of each half, which starts the next solve's friction near its answer. */
  readonly inverseRoots: Float64Array;
}

const TOLERANCE = 1e-10;
const MAX_ITERATIONS = 60;
const MAX_HALVINGS = 8;
/** Least slope of a loss, as a share of shut-off pressure over curve flow: keeps β finite at rest. */
const LEAST_SLOPE = 1e-9;

/** What the iteration writes; one for each solve. */
interface Work extends Unknowns {
  readonly roots: Float64Array;
  /** Residuals of (1) to (4) and of the blower. */
  readonly r1: Float64Array;
  readonly r2: Float64Array;
  readonly r3: Float64Array;
  readonly r4: Float64Array;
  r5: number;
  /** What arrives at the blower less what it moves. */
  rFlow: number;
  /** Derivatives: L_up', leak by pressure and by flow, L_down' + J by own flow, J by combined. */
  readonly lUp: Float64Array;
  readonly leakP: Float64Array;
  readonly leakQ: Float64Array;
  readonly lDown: Float64Array;
  readonly jQ: Float64Array;
  /** …and by the junction's momentum; the momentum at each node. */
  readonly jM: Float64Array;
  readonly momentum: Float64Array;
  blowerSlope: number;
  exhaustSlope: number;
  /** Flow the blower is made to move, whatever its curve says. */
  imposed: number | null;
}

/**
 * Solves a network. Never throws for physics: the outcome is converged with its residual, or a
 * reason. `from` is an earlier state of a network with the same segments, to start from.
 */
export function solveNetwork(compiled: CompiledNetwork, from?: NetworkState): Solved {
  const solved = iterate(compiled, from, null);
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
  iterate(compiled, from, flow);

/** Newton's method, each step halved while it makes matters worse. */
function iterate(
  compiled: CompiledNetwork,
  from: NetworkState | undefined,
  imposed: number | null,
): Solved {
  const { work, step } = scratchFor(compiled.count);
  work.imposed = imposed;
  work.roots.set(compiled.inverseRoots);
  if (from && from.qUp.length === compiled.count) startFrom(work, from);
  else startByConductance(compiled, work);

  let worst = evaluate(compiled, work);
  let iterations = 0;
  while (worst > TOLERANCE && iterations < MAX_ITERATIONS) {
    iterations++;
    eliminate(compiled, work, step);
    take(compiled, work, step, 1);
    let now = evaluate(compiled, work);
    for (let halving = 1; now > worst && halving <= MAX_HALVINGS; halving++) {
      take(compiled, work, step, -(0.5 ** halving));
      now = evaluate(compiled, work);
    }
    worst = now;
  }
  if (!(worst <= TOLERANCE)) {
    return { kind: 'failed', reason: { kind: 'no-convergence', iterations, residual: worst } };
  }
  return { kind: 'converged', iterations, residual: worst, state: stateOf(compiled, work) };
}

const frictionOut: Friction = { factor: 0, slope: 0, inverseRoot: 7 };
const legOut: LegLoss = { loss: 0, byOwn: 0, byCombined: 0, byMomentum: 0 };
const exhaustOut: ExhaustPressure = { pressure: 0, slope: 0, leak: 0 };
const curveOut: CurveValue = { value: 0, slope: 0 };
const lossOut = { loss: 0, slope: 0 };
const leakOut: LeakFlow = { flow: 0, slope: 0 };

// One reader for each kind of array: V8 slows a shared one down.
const at = (array: Float64Array, i: number): number => array[i] as number;
const int = (array: Int32Array, i: number): number => array[i] as number;
const add = (array: Float64Array, i: number, amount: number) => {
  array[i] = (array[i] as number) + amount;
};

/** All residuals and derivatives at the present unknowns; returns the worst relative residual. */
function evaluate(c: CompiledNetwork, w: Work): number {
  const { network, count } = c;
  const { density } = network.air;
  const leastSlope = (LEAST_SLOPE * c.shutOff) / c.lastFlow;
  const flowScale = Math.max(Math.abs(w.flow), 1e-6 * c.lastFlow);
  let worst = 0;

  for (let s = 0; s < count; s++) {
    w.r1[s] = -at(w.qUp, s);
    w.momentum[s] = 0;
  }
  for (let s = 0; s < count; s++) {
    if (int(c.leg, s) === NO_LEG) continue;
    const q = at(w.qDown, s);
    add(w.momentum, int(c.downstream, s), at(c.momentum, s) * q * q);
  }
  w.rFlow = -w.flow;
  for (let s = 0; s < count; s++) {
    const qUp = at(w.qUp, s);
    const qDown = at(w.qDown, s);
    const pMid = at(w.pMid, s);
    const d = int(c.downstream, s);

    halfLossInto(c, w.roots, 2 * s, s, at(c.kUp, s), qUp, leastSlope);
    w.lUp[s] = lossOut.slope;
    w.r2[s] = at(w.pUp, s) - pMid - lossOut.loss;
    worst = worse(worst, at(w.r2, s), c.shutOff);

    const suction = at(c.perFlowSquared, s) * qUp * qUp - pMid;
    leakInto(leakOut, at(c.seam, s), network.seamExponent, at(c.hole, s), suction);
    w.leakP[s] = -leakOut.slope;
    w.leakQ[s] = leakOut.slope * 2 * at(c.perFlowSquared, s) * qUp;
    w.r3[s] = qUp + leakOut.flow - qDown;
    worst = worse(worst, at(w.r3, s), flowScale);

    halfLossInto(c, w.roots, 2 * s + 1, s, at(c.kDown, s), qDown, leastSlope);
    const leg = int(c.leg, s);
    let junction = 0;
    w.lDown[s] = lossOut.slope;
    if (leg !== NO_LEG) {
      const area = at(c.legArea, s);
      const body = at(c.bodyArea, s);
      legLossInto(legOut, leg, area, body, qDown, at(w.qUp, d), at(w.momentum, d), density);
      junction = legOut.loss;
      w.lDown[s] = lossOut.slope + legOut.byOwn;
      w.jQ[s] = legOut.byCombined;
      w.jM[s] = legOut.byMomentum;
    }
    const pDown = d < 0 ? w.inlet : at(w.pUp, d);
    w.r4[s] = pMid - pDown - lossOut.loss - junction;
    worst = worse(worst, at(w.r4, s), c.shutOff);
    if (d >= 0) add(w.r1, d, qDown);
    else w.rFlow += qDown;
  }
  for (let s = 0; s < count; s++) {
    if (int(c.upstream, s) !== OPEN) worst = worse(worst, at(w.r1, s), flowScale);
  }

  worst = worse(worst, w.rFlow, flowScale);

  if (w.imposed !== null) return worse(worst, w.imposed - w.flow, flowScale);
  exhaustInto(exhaustOut, network.exhaust, w.flow, network.air);
  curveInto(curveOut, c.curve, w.flow);
  w.blowerSlope = curveOut.slope;
  w.exhaustSlope = exhaustOut.slope;
  w.r5 = curveOut.value + w.inlet - exhaustOut.pressure;
  worst = worse(worst, w.r5, c.shutOff);
  return worst;
}

/** The worse of `worst` and a residual by its scale. No number must never pass for a small one. */
function worse(worst: number, residual: number, scale: number): number {
  const relative = Math.abs(residual) / scale;
  if (relative <= worst) return worst;
  return Number.isNaN(relative) ? Number.POSITIVE_INFINITY : relative;
}

/** Loss of half a segment at flow q: k·q·|q| and its friction, with its slope. */
function halfLossInto(
  c: CompiledNetwork,
  roots: Float64Array,
  half: number,
  s: number,
  k: number,
  q: number,
  leastSlope: number,
): void {
  const size = Math.abs(q);
  const friction = at(c.friction, s);
  const perFlow = at(c.reynolds, s);
  if (friction === 0 || perFlow * size <= LAMINAR_END) {
    // Laminar friction is linear in flow, down to no flow at all.
    const linear = (friction * 64) / perFlow;
    lossOut.loss = (k * size + linear) * q;
    lossOut.slope = Math.max(2 * k * size + linear, leastSlope);
    if (at(c.power, s) !== 0) addPowerFit(at(c.power, s), at(c.exponent, s), q, size);
    return;
  }
  frictionOut.inverseRoot = at(roots, half);
  frictionInto(frictionOut, perFlow * size, at(c.roughness, s));
  roots[half] = frictionOut.inverseRoot;
  const total = k + friction * frictionOut.factor;
  const bySlope = friction * frictionOut.slope * perFlow;
  lossOut.loss = total * size * q;
  lossOut.slope = Math.max((2 * total + bySlope * size) * size, leastSlope);
}

function addPowerFit(coefficient: number, exponent: number, q: number, size: number): void {
  if (size === 0) return;
  const perFlow = coefficient * size ** (exponent - 1);
  lossOut.loss += perFlow * q;
  lossOut.slope += exponent * perFlow;
}

interface Step {
  readonly alpha: Float64Array;
  readonly beta: Float64Array;
  /** δqUp = a1 + b1·δpMid, and at a node δQ = α + β·δp, before and after C is eliminated. */
  readonly a1: Float64Array;
  readonly b1: Float64Array;
  /** δqDown = A + B·δp(down) + C·δQ(down) + D·δM(down) */
  readonly A: Float64Array;
  readonly B: Float64Array;
  readonly C: Float64Array;
  readonly D: Float64Array;
  /** Sums of C and D over a node's legs, and of A to D each times its leg's dM/dq. */
  readonly sumC: Float64Array;
  readonly sumD: Float64Array;
  readonly mA: Float64Array;
  readonly mB: Float64Array;
  readonly mC: Float64Array;
  readonly mD: Float64Array;
  /** δM = alphaM + betaM·δp */
  readonly alphaM: Float64Array;
  readonly betaM: Float64Array;
  readonly qUp: Float64Array;
  readonly qDown: Float64Array;
  readonly pUp: Float64Array;
  readonly pMid: Float64Array;
  flow: number;
  inlet: number;
}

/** The Newton step, leaf to root and back. */
function eliminate(c: CompiledNetwork, w: Work, step: Step): void {
  const { alpha, beta, a1, b1, A, B, C, D } = step;
  for (const sum of [alpha, beta, step.sumC, step.sumD, step.mA, step.mB, step.mC, step.mD]) {
    sum.fill(0, 0, c.count);
  }
  let rootAlpha = 0;
  let rootBeta = 0;

  for (let s = 0; s < c.count; s++) {
    if (int(c.upstream, s) === OPEN) {
      // pUp stays 0, so (2) alone: δqUp = −(δpMid + r2')/L_up', with r2' = −r2.
      b1[s] = -1 / at(w.lUp, s);
      a1[s] = at(w.r2, s) / at(w.lUp, s) - (at(w.pUp, s) - 0) / at(w.lUp, s);
    } else {
      meetLegs(w, step, s);
      const stiff = 1 - at(beta, s) * at(w.lUp, s);
      a1[s] = (at(alpha, s) - at(beta, s) * at(w.r2, s)) / stiff;
      b1[s] = at(beta, s) / stiff;
    }
    // (3): δqDown = (1 + leakQ)·δqUp + leakP·δpMid + r3
    const through = 1 + at(w.leakQ, s);
    const a2 = through * at(a1, s) + at(w.r3, s);
    const b2 = through * at(b1, s) + at(w.leakP, s);
    // (4): δpMid = δp(down) − r4 + L_down'·δqDown + J_Q·δQ(down) + J_M·δM(down)
    const stiff = Math.max(1 - b2 * at(w.lDown, s), 0.05);
    A[s] = (a2 - b2 * at(w.r4, s)) / stiff;
    B[s] = b2 / stiff;
    const d = int(c.downstream, s);
    if (d < 0) {
      rootAlpha += at(A, s);
      rootBeta += at(B, s);
      continue;
    }
    add(alpha, d, at(A, s));
    add(beta, d, at(B, s));
    if (int(c.leg, s) === NO_LEG) continue;
    C[s] = (b2 * at(w.jQ, s)) / stiff;
    D[s] = (b2 * at(w.jM, s)) / stiff;
    const byFlow = 2 * at(c.momentum, s) * at(w.qDown, s);
    add(step.sumC, d, at(C, s));
    add(step.sumD, d, at(D, s));
    add(step.mA, d, byFlow * at(A, s));
    add(step.mB, d, byFlow * at(B, s));
    add(step.mC, d, byFlow * at(C, s));
    add(step.mD, d, byFlow * at(D, s));
  }

  // Blower: (H' − X')·δQ + δp + r5 = 0 with δQ = α + β·δp, plus what its flow still lacks.
  rootAlpha += w.rFlow;
  if (w.imposed === null) {
    const rise = w.blowerSlope - w.exhaustSlope;
    step.inlet = -(w.r5 + rise * rootAlpha) / (1 + rise * rootBeta);
  } else {
    step.inlet = (w.imposed - w.flow - rootAlpha) / rootBeta;
  }
  step.flow = rootAlpha + rootBeta * step.inlet;

  for (let s = c.count - 1; s >= 0; s--) {
    const d = int(c.downstream, s);
    const dp = d < 0 ? step.inlet : at(step.pUp, d);
    let dqDown = at(A, s) + at(B, s) * dp;
    let dpMid = dp - at(w.r4, s);
    if (int(c.leg, s) !== NO_LEG) {
      const dQ = at(step.qUp, d);
      const dM = at(step.alphaM, d) + at(step.betaM, d) * dp;
      dqDown += at(C, s) * dQ + at(D, s) * dM;
      dpMid += at(w.jQ, s) * dQ + at(w.jM, s) * dM;
    }
    dpMid += at(w.lDown, s) * dqDown;
    const dqUp = at(a1, s) + at(b1, s) * dpMid;
    step.qDown[s] = dqDown;
    step.pMid[s] = dpMid;
    step.qUp[s] = dqUp;
    step.pUp[s] =
      int(c.upstream, s) === OPEN ? -at(w.pUp, s) : dpMid - at(w.r2, s) + at(w.lUp, s) * dqUp;
  }
}

/**
 * Where legs meet, (1) and (5) linearised are two equations for δQ and δM,
 *   (1 − ΣC)·δQ − ΣD·δM = r1 + ΣA + ΣB·δp,   −ΣmC·δQ + (1 − ΣmD)·δM = ΣmA + ΣmB·δp,
 * solved here for both as α + β·δp.
 */
function meetLegs(w: Work, step: Step, s: number): void {
  const { alpha, beta, alphaM, betaM } = step;
  const own = 1 - at(step.sumC, s);
  const cross = at(step.sumD, s);
  const mC = at(step.mC, s);
  const mOwn = 1 - at(step.mD, s);
  const determinant = own * mOwn - cross * mC;
  const a = at(alpha, s) + at(w.r1, s);
  const b = at(beta, s);
  const mA = at(step.mA, s);
  const mB = at(step.mB, s);
  alpha[s] = (mOwn * a + cross * mA) / determinant;
  beta[s] = (mOwn * b + cross * mB) / determinant;
  alphaM[s] = (own * mA + mC * a) / determinant;
  betaM[s] = (own * mB + mC * b) / determinant;
}

/** Adds `share` of a step to the unknowns. */
function take(c: CompiledNetwork, w: Work, step: Step, share: number): void {
  for (let s = 0; s < c.count; s++) {
    add(w.qUp, s, share * at(step.qUp, s));
    add(w.qDown, s, share * at(step.qDown, s));
    add(w.pUp, s, share * at(step.pUp, s));
    add(w.pMid, s, share * at(step.pMid, s));
  }
  w.flow += share * step.flow;
  w.inlet += share * step.inlet;
}

function startFrom(w: Work, from: NetworkState): void {
  w.qUp.set(from.qUp);
  w.qDown.set(from.qDown);
  w.pUp.set(from.pUp);
  w.pMid.set(from.pMid);
  w.roots.set(from.inverseRoots);
  w.flow = from.flow;
  w.inlet = from.inletPressure;
}

/** The solution so far, copied out of the scratch space. */
function stateOf(c: CompiledNetwork, w: Work): NetworkState {
  curveInto(curveOut, c.curve, w.flow);
  exhaustInto(exhaustOut, c.network.exhaust, w.flow, c.network.air);
  return {
    qUp: w.qUp.slice(0, c.count),
    qDown: w.qDown.slice(0, c.count),
    pUp: w.pUp.slice(0, c.count),
    pMid: w.pMid.slice(0, c.count),
    flow: w.flow,
    inletPressure: w.inlet,
    rise: curveOut.value,
    outletLeak: exhaustOut.leak,
    inverseRoots: w.roots.slice(0, 2 * c.count),
  };
}

/**
 * The iteration's own numbers, kept from solve to solve and only ever grown: a solve runs through
 * without a pause, so that no two use them at once.
 */
let scratch = { size: 0, work: newWork(0), step: newStep(0) };

function scratchFor(count: number) {
  if (scratch.size < count) scratch = { size: count, work: newWork(count), step: newStep(count) };
  return scratch;
}

function newWork(count: number): Work {
  const array = () => new Float64Array(count);
  return {
    qUp: array(),
    qDown: array(),
    pUp: array(),
    pMid: array(),
    flow: 0,
    inlet: 0,
    roots: new Float64Array(2 * count),
    r1: array(),
    r2: array(),
    r3: array(),
    r4: array(),
    r5: 0,
    rFlow: 0,
    lUp: array(),
    leakP: array(),
    leakQ: array(),
    lDown: array(),
    jQ: array(),
    jM: array(),
    momentum: array(),
    blowerSlope: 0,
    exhaustSlope: 0,
    imposed: null,
  };
}

function newStep(count: number): Step {
  const array = () => new Float64Array(count);
  return {
    alpha: array(),
    beta: array(),
    a1: array(),
    b1: array(),
    A: array(),
    B: array(),
    C: array(),
    D: array(),
    sumC: array(),
    sumD: array(),
    mA: array(),
    mB: array(),
    mC: array(),
    mD: array(),
    alphaM: array(),
    betaM: array(),
    qUp: array(),
    qDown: array(),
    pUp: array(),
    pMid: array(),
    flow: 0,
    inlet: 0,
  };
}
