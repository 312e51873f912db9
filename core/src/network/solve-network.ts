import { type CurveValue, curveInto } from '../collector/monotone-curve';
import { type Friction, frictionInto, LAMINAR_END } from '../duct/colebrook';
import { branchLossInto, type JunctionLoss, straightLossInto } from '../fitting/momentum-wye';
import { type CompiledNetwork, NO_JUNCTION, OPEN } from './compiled-network';
import { type LeakFlow, leakInto } from './leak-law';
import type { Segment } from './network';
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
 *   (4) pMid − pUp[downstream] = L_down(qDown) + J(qDown, qUp[downstream])
 *
 * and at the blower, whose curve gives static pressure rise H (AMCA: static at the outlet less
 * total at the inlet), H(Q) + p = exhaust(Q).
 *
 * The Jacobian of a tree needs no matrix. Linearised, everything upstream of a point answers as
 * δq = α + β·δp; α and β are carried from the leaves to the blower, the blower's equation fixes δp
 * there, and one pass back gives every step. A junction's loss depends on the combined flow too;
 * that enters as a third term, C·δQ, eliminated where the legs meet. (Gaussian elimination in
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
  blowerSlope: number;
  exhaustSlope: number;
}

/**
 * Solves a network. Never throws for physics: the outcome is converged with its residual, or a
 * reason. `from` is an earlier state of a network with the same segments, to start from.
 */
export function solveNetwork(compiled: CompiledNetwork, from?: NetworkState): Solved {
  const work = newWork(compiled.count);
  work.roots.set(compiled.inverseRoots);
  if (from && from.qUp.length === compiled.count) startFrom(work, from);
  else startByConductance(compiled, work);

  const step = newStep(compiled.count);
  let worst = evaluate(compiled, work);
  let iterations = 0;
  while (worst > TOLERANCE && iterations < MAX_ITERATIONS) {
    iterations++;
    eliminate(compiled, work, step);
    take(work, step, 1);
    let now = evaluate(compiled, work);
    for (let halving = 1; now > worst && halving <= MAX_HALVINGS; halving++) {
      take(work, step, -(0.5 ** halving));
      now = evaluate(compiled, work);
    }
    worst = now;
  }
  if (!(worst <= TOLERANCE)) {
    return { kind: 'failed', reason: { kind: 'no-convergence', iterations, residual: worst } };
  }
  if (work.flow > compiled.lastFlow * (1 + 1e-9)) {
    return { kind: 'failed', reason: { kind: 'beyond-curve', lastFlow: compiled.lastFlow } };
  }
  const { qUp, qDown, pUp, pMid, flow, inlet, roots } = work;
  curveInto(curveOut, compiled.curve, flow);
  const state: NetworkState = {
    qUp,
    qDown,
    pUp,
    pMid,
    flow,
    inletPressure: inlet,
    rise: curveOut.value,
    inverseRoots: roots,
  };
  return { kind: 'converged', iterations, residual: worst, state };
}

const frictionOut: Friction = { factor: 0, slope: 0, inverseRoot: 7 };
const junctionOut: JunctionLoss = { loss: 0, byOwn: 0, byCombined: 0 };
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
  const leastSlope = (LEAST_SLOPE * c.shutOff) / c.lastFlow;
  const flowScale = Math.max(Math.abs(w.flow), 1e-6 * c.lastFlow);
  let worst = 0;

  for (let s = 0; s < count; s++) w.r1[s] = -at(w.qUp, s);
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

    leakInto(leakOut, at(c.seam, s), at(c.hole, s), at(c.perFlowSquared, s) * qUp * qUp - pMid);
    w.leakP[s] = -leakOut.slope;
    w.leakQ[s] = leakOut.slope * 2 * at(c.perFlowSquared, s) * qUp;
    w.r3[s] = qUp + leakOut.flow - qDown;
    worst = worse(worst, at(w.r3, s), flowScale);

    halfLossInto(c, w.roots, 2 * s + 1, s, at(c.kDown, s), qDown, leastSlope);
    const kind = int(c.junction, s);
    junctionOut.loss = junctionOut.byOwn = junctionOut.byCombined = 0;
    if (kind !== NO_JUNCTION) {
      const { junction } = network.segments[s] as Segment;
      const combined = at(w.qUp, d);
      const { density } = network.air;
      if (junction.kind === 'branch')
        branchLossInto(junctionOut, junction.wye, qDown, combined, density);
      if (junction.kind === 'straight')
        straightLossInto(junctionOut, junction.wye, qDown, combined, density);
    }
    w.lDown[s] = lossOut.slope + junctionOut.byOwn;
    w.jQ[s] = junctionOut.byCombined;
    const pDown = d < 0 ? w.inlet : at(w.pUp, d);
    w.r4[s] = pMid - pDown - lossOut.loss - junctionOut.loss;
    worst = worse(worst, at(w.r4, s), c.shutOff);
    if (d >= 0) add(w.r1, d, qDown);
    else w.rFlow += qDown;
  }
  for (let s = 0; s < count; s++) {
    if (int(c.upstream, s) !== OPEN) worst = worse(worst, at(w.r1, s), flowScale);
  }

  worst = worse(worst, w.rFlow, flowScale);

  const { linear, quadratic } = network.exhaust;
  curveInto(curveOut, c.curve, w.flow);
  w.blowerSlope = curveOut.slope;
  w.exhaustSlope = linear + 2 * quadratic * Math.abs(w.flow);
  w.r5 = curveOut.value + w.inlet - (linear + quadratic * Math.abs(w.flow)) * w.flow;
  worst = worse(worst, w.r5, c.shutOff);
  return worst;
}

/** The worse of `worst` and a residual by its scale. No number must never pass for a small one. */
function worse(worst: number, residual: number, scale: number): number {
  const relative = Math.abs(residual) / scale;
  if (relative <= worst) return worst;
  return Number.isNaN(relative) ? Number.POSITIVE_INFINITY : relative;
}

/** Loss of half a segment at flow q: (k + friction·f)·q·|q|, with its slope. */
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

interface Step {
  readonly alpha: Float64Array;
  readonly beta: Float64Array;
  /** δqUp = a1 + b1·δpMid, and at a node δQ = α + β·δp, before and after C is eliminated. */
  readonly a1: Float64Array;
  readonly b1: Float64Array;
  /** δqDown = A + B·δp(down) + C·δQ(down) */
  readonly A: Float64Array;
  readonly B: Float64Array;
  readonly C: Float64Array;
  readonly sumC: Float64Array;
  readonly qUp: Float64Array;
  readonly qDown: Float64Array;
  readonly pUp: Float64Array;
  readonly pMid: Float64Array;
  flow: number;
  inlet: number;
}

/** The Newton step, leaf to root and back. */
function eliminate(c: CompiledNetwork, w: Work, step: Step): void {
  const { alpha, beta, a1, b1, A, B, C, sumC } = step;
  alpha.fill(0);
  beta.fill(0);
  sumC.fill(0);
  let rootAlpha = 0;
  let rootBeta = 0;

  for (let s = 0; s < c.count; s++) {
    if (int(c.upstream, s) === OPEN) {
      // pUp stays 0, so (2) alone: δqUp = −(δpMid + r2')/L_up', with r2' = −r2.
      b1[s] = -1 / at(w.lUp, s);
      a1[s] = at(w.r2, s) / at(w.lUp, s) - (at(w.pUp, s) - 0) / at(w.lUp, s);
    } else {
      const own = 1 - at(sumC, s);
      alpha[s] = (at(alpha, s) + at(w.r1, s)) / own;
      beta[s] = at(beta, s) / own;
      const stiff = 1 - at(beta, s) * at(w.lUp, s);
      a1[s] = (at(alpha, s) - at(beta, s) * at(w.r2, s)) / stiff;
      b1[s] = at(beta, s) / stiff;
    }
    // (3): δqDown = (1 + leakQ)·δqUp + leakP·δpMid + r3
    const through = 1 + at(w.leakQ, s);
    const a2 = through * at(a1, s) + at(w.r3, s);
    const b2 = through * at(b1, s) + at(w.leakP, s);
    // (4): δpMid = δp(down) − r4 + L_down'·δqDown + J'·δQ(down)
    const stiff = Math.max(1 - b2 * at(w.lDown, s), 0.05);
    A[s] = (a2 - b2 * at(w.r4, s)) / stiff;
    B[s] = b2 / stiff;
    C[s] = (b2 * at(w.jQ, s)) / stiff;
    const d = int(c.downstream, s);
    if (d < 0) {
      rootAlpha += at(A, s);
      rootBeta += at(B, s);
    } else {
      add(alpha, d, at(A, s));
      add(beta, d, at(B, s));
      add(sumC, d, at(C, s));
    }
  }

  // Blower: (H' − X')·δQ + δp + r5 = 0 with δQ = α + β·δp, plus what its flow still lacks.
  rootAlpha += w.rFlow;
  const rise = w.blowerSlope - w.exhaustSlope;
  step.inlet = -(w.r5 + rise * rootAlpha) / (1 + rise * rootBeta);
  step.flow = rootAlpha + rootBeta * step.inlet;

  for (let s = c.count - 1; s >= 0; s--) {
    const d = int(c.downstream, s);
    const dp = d < 0 ? step.inlet : at(step.pUp, d);
    const dQ = d < 0 ? 0 : at(step.qUp, d);
    const dqDown = at(A, s) + at(B, s) * dp + at(C, s) * dQ;
    const dpMid = dp - at(w.r4, s) + at(w.lDown, s) * dqDown + at(w.jQ, s) * dQ;
    const dqUp = at(a1, s) + at(b1, s) * dpMid;
    step.qDown[s] = dqDown;
    step.pMid[s] = dpMid;
    step.qUp[s] = dqUp;
    step.pUp[s] =
      int(c.upstream, s) === OPEN ? -at(w.pUp, s) : dpMid - at(w.r2, s) + at(w.lUp, s) * dqUp;
  }
}

/** Adds `share` of a step to the unknowns. */
function take(w: Work, step: Step, share: number): void {
  for (let s = 0; s < w.qUp.length; s++) {
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
    blowerSlope: 0,
    exhaustSlope: 0,
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
    sumC: array(),
    qUp: array(),
    qDown: array(),
    pUp: array(),
    pMid: array(),
    flow: 0,
    inlet: 0,
  };
}
