/** The unknowns of a network, per segment in its order, and of the blower. SI. */
export interface Unknowns {
  readonly qUp: Float64Array;
  readonly qDown: Float64Array;
  readonly pUp: Float64Array;
  readonly pMid: Float64Array;
  flow: number;
  inlet: number;
}

/** Residuals of the solver's equations (1) to (4), with the derivatives they were taken with. */
export interface Residuals {
  readonly r1: Float64Array;
  readonly r2: Float64Array;
  readonly r3: Float64Array;
  readonly r4: Float64Array;
  /** Of the blower's equation, and of what arrives at it. */
  r5: number;
  rFlow: number;
  /** L_up'; the leak's by pressure and by flow; L_down' with J's by own flow. */
  readonly lUp: Float64Array;
  readonly leakP: Float64Array;
  readonly leakQ: Float64Array;
  readonly lDown: Float64Array;
  /** J's by combined flow and by momentum. */
  readonly jQ: Float64Array;
  readonly jM: Float64Array;
  /** Momentum brought to each node. */
  readonly momentum: Float64Array;
  /** Of the blower's curve less what is behind it. */
  blowerSlope: number;
}

/** A Newton step, with what its elimination carries from the leaves to the blower. */
export interface Step extends Unknowns {
  /** At a node: δQ = α + β·δp and δM = αM + βM·δp. */
  readonly alpha: Float64Array;
  readonly beta: Float64Array;
  readonly alphaM: Float64Array;
  readonly betaM: Float64Array;
  /** δqUp = a1 + b1·δpMid */
  readonly a1: Float64Array;
  readonly b1: Float64Array;
  /** δqDown = A + B·δp(down) + C·δQ(down) + D·δM(down) */
  readonly A: Float64Array;
  readonly B: Float64Array;
  readonly C: Float64Array;
  readonly D: Float64Array;
  /** Sums over a node's legs: of C and D, and of A to D each times its leg's dM/dq. */
  readonly sumC: Float64Array;
  readonly sumD: Float64Array;
  readonly mA: Float64Array;
  readonly mB: Float64Array;
  readonly mC: Float64Array;
  readonly mD: Float64Array;
}

export interface Workspace {
  readonly unknowns: Unknowns;
  readonly residuals: Residuals;
  readonly step: Step;
}

const newUnknowns = (size: number): Unknowns => ({
  qUp: new Float64Array(size),
  qDown: new Float64Array(size),
  pUp: new Float64Array(size),
  pMid: new Float64Array(size),
  flow: 0,
  inlet: 0,
});

function newWorkspace(size: number): Workspace {
  const array = () => new Float64Array(size);
  return {
    unknowns: newUnknowns(size),
    residuals: {
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
    },
    step: {
      ...newUnknowns(size),
      alpha: array(),
      beta: array(),
      alphaM: array(),
      betaM: array(),
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
    },
  };
}

/**
 * The numbers of an iteration, kept from solve to solve and only ever grown: a solve runs through
 * without a pause, so that no two use them at once.
 */
let kept = { size: 0, workspace: newWorkspace(0) };

/** A workspace for at least `count` segments; what stands in it is of no account. */
export function workspaceFor(count: number): Workspace {
  if (kept.size < count) kept = { size: count, workspace: newWorkspace(count) };
  return kept.workspace;
}
