import { type CompiledNetwork, NO_LEG, OPEN } from './compiled-network';
import { type Imbalance, type Linearised, linearise, type NetworkState } from './solve-network';

/**
 * Derivatives of one quantity of a solved network by everything it depends on, from one backward pass: the
 * discrete adjoint method (Giles and Pierce 2000, from memory).
 *
 * A solution x makes all residuals r(x, θ) nothing. Where a parameter changes, they become dr, and the
 * solution moves by the Newton step that brings them back: the same elimination from the leaves to the
 * blower and back that the solver makes (see `solve-network.ts`), a linear map from dr to dx. For one
 * quantity g the transpose of that map is wanted, not the map: dg = Σ w·dr. The weights w are found by
 * running the elimination's steps in reverse order, each transposed (reverse-mode differentiation), which
 * costs as much as one Newton step whatever the number of parameters. No matrix here either.
 *
 * What a parameter does to the residuals is its own affair, and one product each:
 * see `analysis/flow-sensitivities.ts`.
 */

/** What is asked about: the flow into a segment or out of it (m³/s), the blower's, or a pressure in a segment (Pa). */
export type NetworkQuantity =
  | { readonly kind: 'flow' | 'flow out'; readonly segment: number }
  | { readonly kind: 'blower flow' }
  /** Total pressure at its upstream end, or in its middle. */
  | { readonly kind: 'total pressure'; readonly segment: number; readonly at: 'up' | 'mid' }
  /** Static pressure at its upstream end. */
  | { readonly kind: 'static pressure'; readonly segment: number };

/** The weights of a quantity: what it changes by for each unit of a residual. */
export interface Adjoint {
  /** Of equation (2), pUp − pMid − L_up = 0, by segment. */
  readonly onUp: Float64Array;
  /** Of (3), qUp + leak − qDown = 0. */
  readonly onLeak: Float64Array;
  /** Of (4), pMid − p(down) − L_down − J = 0. */
  readonly onDown: Float64Array;
  /** Of the blower's, H + p(inlet) − exhaust = 0. */
  readonly onBlower: number;
}

/** A solved network, eliminated once, to be asked for as many quantities as wanted. */
export interface Differentiated {
  readonly compiled: CompiledNetwork;
  readonly state: NetworkState;
  readonly adjointOf: (quantity: NetworkQuantity) => Adjoint;
}

/**
 * By how much a quantity changes where the network is another with the same segments, to first order: what that
 * network leaves out of balance in the state that was solved, weighed.
 */
export function changeOf({ onUp, onLeak, onDown, onBlower }: Adjoint, by: Imbalance): number {
  let sum = onBlower * by.r5;
  for (let s = 0; s < onUp.length; s++) {
    sum += at(onUp, s) * at(by.r2, s) + at(onLeak, s) * at(by.r3, s) + at(onDown, s) * at(by.r4, s);
  }
  return sum;
}

/** What elimination carries at each segment, all of it independent of the residuals. */
interface Eliminated {
  /** Of the node upstream: δQ = α + β·δp, δM = α_M + β_M·δp. */
  readonly beta: Float64Array;
  readonly betaM: Float64Array;
  /** δqUp = a1 + b1·δpMid, where a1 = give·(α − β·r2); at an open end b1 alone. */
  readonly b1: Float64Array;
  readonly give1: Float64Array;
  readonly b2: Float64Array;
  readonly give2: Float64Array;
  readonly B: Float64Array;
  readonly C: Float64Array;
  readonly D: Float64Array;
  /** The two equations where legs meet, inverted. */
  readonly own: Float64Array;
  readonly cross: Float64Array;
  readonly mOwn: Float64Array;
  readonly mC: Float64Array;
  readonly share: Float64Array;
  /** What a leg's δqDown adds to its junction's δM. */
  readonly brings: Float64Array;
  readonly rootBeta: number;
}

const at = (array: Float64Array, i: number): number => array[i] as number;
const int = (array: Int32Array, i: number): number => array[i] as number;
const add = (array: Float64Array, i: number, amount: number) => {
  array[i] = (array[i] as number) + amount;
};

/** Makes a solved network ready to be differentiated. */
export function differentiate(compiled: CompiledNetwork, state: NetworkState): Differentiated {
  const line = linearise(compiled, state);
  const eliminated = eliminate(compiled, line);
  return {
    compiled,
    state,
    adjointOf: (quantity) =>
      adjoint(compiled, line, eliminated, seedsOf(compiled, state, quantity)),
  };
}

type Sums = [Float64Array, Float64Array, Float64Array, Float64Array, Float64Array, Float64Array];

/** The solver's elimination, of its coefficients alone. */
function eliminate(c: CompiledNetwork, line: Linearised): Eliminated {
  const { count, downstream, upstream, leg } = c;
  const floats = () => new Float64Array(count);
  const e = {
    beta: floats(),
    betaM: floats(),
    b1: floats(),
    give1: floats(),
    b2: floats(),
    give2: floats(),
    B: floats(),
    C: floats(),
    D: floats(),
    own: floats(),
    cross: floats(),
    mOwn: floats(),
    mC: floats(),
    share: floats(),
    brings: floats(),
    rootBeta: 0,
  };
  const { beta, betaM, b1, give1, b2, give2, B, C, D, own, cross, mOwn, mC, share, brings } = e;
  // Sums over the legs that meet at a node.
  const [sumB, sumC, sumD, mB, mCsum, mD] = [0, 0, 0, 0, 0, 0].map(floats) as Sums;
  for (let s = 0; s < count; s++) {
    const slopeUp = at(line.lUp, s);
    if (int(upstream, s) === OPEN) {
      b1[s] = -1 / slopeUp;
    } else {
      own[s] = 1 - at(sumC, s);
      cross[s] = at(sumD, s);
      mC[s] = at(mCsum, s);
      mOwn[s] = 1 - at(mD, s);
      share[s] = 1 / (at(own, s) * at(mOwn, s) - at(cross, s) * at(mC, s));
      beta[s] = (at(mOwn, s) * at(sumB, s) + at(cross, s) * at(mB, s)) * at(share, s);
      betaM[s] = (at(own, s) * at(mB, s) + at(mC, s) * at(sumB, s)) * at(share, s);
      give1[s] = 1 / (1 - at(beta, s) * slopeUp);
      b1[s] = at(beta, s) * at(give1, s);
    }
    b2[s] = (1 + at(line.leakQ, s)) * at(b1, s) + at(line.leakP, s);
    give2[s] = 1 / (1 - at(b2, s) * at(line.lDown, s));
    B[s] = at(b2, s) * at(give2, s);
    const d = int(downstream, s);
    if (d < 0) {
      e.rootBeta += at(B, s);
      continue;
    }
    add(sumB, d, at(B, s));
    if (int(leg, s) === NO_LEG) continue;
    C[s] = at(B, s) * at(line.jQ, s);
    D[s] = at(B, s) * at(line.jM, s);
    brings[s] = 2 * at(c.momentum, s) * at(line.qDown, s);
    add(sumC, d, at(C, s));
    add(sumD, d, at(D, s));
    add(mB, d, at(brings, s) * at(B, s));
    add(mCsum, d, at(brings, s) * at(C, s));
    add(mD, d, at(brings, s) * at(D, s));
  }
  return e;
}

/** The derivative of a quantity by the unknowns, from which the backward pass starts. */
interface Seeds {
  readonly qUp: Float64Array;
  readonly qDown: Float64Array;
  readonly pUp: Float64Array;
  readonly pMid: Float64Array;
  flow: number;
}

function seedsOf(c: CompiledNetwork, { qUp }: NetworkState, quantity: NetworkQuantity): Seeds {
  const floats = () => new Float64Array(c.count);
  const seeds: Seeds = { qUp: floats(), qDown: floats(), pUp: floats(), pMid: floats(), flow: 0 };
  switch (quantity.kind) {
    case 'flow':
      seeds.qUp[quantity.segment] = 1;
      break;
    case 'flow out':
      seeds.qDown[quantity.segment] = 1;
      break;
    case 'blower flow':
      seeds.flow = 1;
      break;
    case 'total pressure':
      (quantity.at === 'up' ? seeds.pUp : seeds.pMid)[quantity.segment] = 1;
      break;
    case 'static pressure':
      seeds.pUp[quantity.segment] = 1;
      seeds.qUp[quantity.segment] =
        -2 * at(c.perFlowSquared, quantity.segment) * at(qUp, quantity.segment);
  }
  return seeds;
}

/** The quantity itself, in a solution. */
export function quantityIn(
  { perFlowSquared }: CompiledNetwork,
  { qUp, qDown, pUp, pMid, flow }: NetworkState,
  quantity: NetworkQuantity,
): number {
  switch (quantity.kind) {
    case 'flow':
      return at(qUp, quantity.segment);
    case 'flow out':
      return at(qDown, quantity.segment);
    case 'blower flow':
      return flow;
    case 'total pressure':
      return at(quantity.at === 'up' ? pUp : pMid, quantity.segment);
    case 'static pressure': {
      const { segment } = quantity;
      return at(pUp, segment) - at(perFlowSquared, segment) * at(qUp, segment) ** 2;
    }
  }
}

/** The elimination's two passes in reverse order, each step transposed. */
function adjoint(c: CompiledNetwork, line: Linearised, e: Eliminated, seeds: Seeds): Adjoint {
  const { count, downstream, upstream, leg } = c;
  const { lUp, lDown, leakQ, jQ, jM, blowerSlope } = line;
  const { qUp, qDown, pUp, pMid } = seeds;
  const floats = () => new Float64Array(count);
  const [onUp, onLeak, onDown] = [floats(), floats(), floats()];
  const [byA, byA1, byAlphaM] = [floats(), floats(), floats()];
  let inlet = 0;

  // The pass from the blower to the leaves, transposed: from the leaves to the blower.
  for (let s = 0; s < count; s++) {
    const d = int(downstream, s);
    const isOpen = int(upstream, s) === OPEN;
    let mid = at(pMid, s);
    let up = at(qUp, s);
    if (!isOpen) {
      mid += at(pUp, s);
      up += at(lUp, s) * at(pUp, s);
      add(onUp, s, -at(pUp, s));
    }
    add(byA1, s, up);
    mid += at(e.b1, s) * up;
    const down = at(qDown, s) + at(lDown, s) * mid;
    add(onDown, s, -mid);
    add(byA, s, down);
    let node = mid + at(e.B, s) * down;
    if (d >= 0 && int(leg, s) !== NO_LEG) {
      add(qUp, d, at(jQ, s) * mid + at(e.C, s) * down);
      const momentum = at(jM, s) * mid + at(e.D, s) * down;
      add(byAlphaM, d, momentum);
      node += at(e.betaM, d) * momentum;
    }
    if (d < 0) inlet += node;
    else add(pUp, d, node);
  }

  // The blower's equation.
  inlet += e.rootBeta * seeds.flow;
  const give = 1 / (1 + blowerSlope * e.rootBeta);
  const onBlower = -give * inlet;
  const root = seeds.flow + blowerSlope * onBlower;

  // The pass from the leaves to the blower, transposed: from the blower to the leaves.
  const [nodeA, nodeMA] = [floats(), floats()];
  for (let s = count - 1; s >= 0; s--) {
    const d = int(downstream, s);
    let own = at(byA, s);
    if (d < 0) own += root;
    else own += at(nodeA, d) + at(e.brings, s) * at(nodeMA, d);
    const two = at(e.give2, s) * own;
    add(onDown, s, -at(e.b2, s) * two);
    onLeak[s] = two;
    const one = at(byA1, s) + (1 + at(leakQ, s)) * two;
    add(onUp, s, -at(e.b1, s) * one);
    if (int(upstream, s) === OPEN) continue;
    const alpha = at(e.give1, s) * one;
    const alphaM = at(byAlphaM, s);
    nodeA[s] = (at(e.mOwn, s) * alpha + at(e.mC, s) * alphaM) * at(e.share, s);
    nodeMA[s] = (at(e.cross, s) * alpha + at(e.own, s) * alphaM) * at(e.share, s);
  }
  return { onUp, onLeak, onDown, onBlower };
}
