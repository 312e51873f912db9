import { type CurveValue, curveInto } from '../collector/monotone-curve';
import { CAPPED, type CompiledNetwork, OPEN } from './compiled-network';
import { type ExhaustPressure, exhaustInto } from './exhaust-law';
import { leakInto } from './leak-law';
import type { Unknowns } from './workspace';

/** A Darcy friction factor near which most ducts work, and a suction most leaks see, Pa. */
const TYPICAL_FACTOR = 0.02;
const TYPICAL_SUCTION = 1500;
/** m/s */
const TYPICAL_VELOCITY = 20;

const curveOut: CurveValue = { value: 0, slope: 0 };
const leak = new Float64Array(2);
const exhaustOut: ExhaustPressure = { pressure: 0, slope: 0, leak: 0 };
const at = (array: Float64Array, i: number): number => array[i] as number;
const int = (array: Int32Array, i: number): number => array[i] as number;

/**
 * Start values from conductances: with q = G·√(−p) everywhere, legs add their G, and a resistance
 * k in series makes 1/G² = 1/G² + k.
 */
export function startByConductance(c: CompiledNetwork, w: Unknowns): void {
  const { count } = c;
  const { seamExponent } = c.network;
  const node = new Float64Array(count);
  const end = new Float64Array(count);
  const inSeries = (conductance: number, k: number) =>
    conductance / Math.sqrt(1 + k * conductance * conductance);
  /** Conductance of a seam at c = 1, as if it were an opening. */
  const seamTypical = TYPICAL_SUCTION ** (seamExponent - 0.5);
  let root = 0;
  for (let s = 0; s < count; s++) {
    const pipe = pipeAt(c, s);
    const kUp = Math.max(at(c.kUp, s) + pipe, 1e-3);
    const kDown = at(c.kDown, s) + pipe;
    const above = int(c.upstream, s) === OPEN ? 1 / Math.sqrt(kUp) : inSeries(at(node, s), kUp);
    end[s] = inSeries(above + at(c.seam, s) * seamTypical + at(c.hole, s), kDown);
    const d = int(c.downstream, s);
    if (d < 0) root += at(end, s);
    else node[d] = at(node, d) + at(end, s);
  }

  w.flow = operatingPoint(c, root);
  // What the blower's own equation makes of it, which is finite however little the tree lets by.
  curveInto(curveOut, c.curve, w.flow);
  exhaustInto(exhaustOut, c.network.exhaust, w.flow, c.network.air);
  w.inlet = exhaustOut.pressure - curveOut.value;
  for (let s = count - 1; s >= 0; s--) {
    const d = int(c.downstream, s);
    const pDown = d < 0 ? w.inlet : at(w.pUp, d);
    const qDown = at(end, s) * Math.sqrt(Math.max(0, -pDown));
    const pipe = pipeAt(c, s);
    const pMid = Math.min(0, pDown + (at(c.kDown, s) + pipe) * qDown * qDown);
    leakInto(leak, at(c.seam, s), seamExponent, c.seamPowers, at(c.hole, s), -pMid);
    const qUp = int(c.upstream, s) === CAPPED ? 0 : Math.max(0, qDown - at(leak, 0));
    w.qDown[s] = qDown;
    w.pMid[s] = pMid;
    w.qUp[s] = qUp;
    w.pUp[s] =
      int(c.upstream, s) === OPEN ? 0 : Math.min(0, pMid + (at(c.kUp, s) + pipe) * qUp * qUp);
  }
}

/** Friction of one half as if in proportion to flow squared. */
const pipeAt = (c: CompiledNetwork, s: number): number => {
  const power = at(c.power, s);
  if (power === 0) return TYPICAL_FACTOR * at(c.friction, s);
  const typical = TYPICAL_VELOCITY * Math.sqrt(c.network.air.density / 2 / at(c.perFlowSquared, s));
  return power * typical ** (at(c.exponent, s) - 2);
};

/** Flow where the blower meets the whole tree's conductance, by bisection. */
function operatingPoint(c: CompiledNetwork, conductance: number): number {
  if (conductance === 0) return 0;
  const { exhaust, air } = c.network;
  let low = 0;
  let high = c.lastFlow;
  for (let i = 0; i < 24; i++) {
    const flow = (low + high) / 2;
    curveInto(curveOut, c.curve, flow);
    exhaustInto(exhaustOut, exhaust, flow, air);
    const surplus = curveOut.value - (flow / conductance) ** 2 - exhaustOut.pressure;
    if (surplus > 0) low = flow;
    else high = flow;
  }
  return (low + high) / 2;
}
