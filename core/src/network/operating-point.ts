import { isRising } from '../collector/blower';
import { type CurveValue, curveInto } from '../collector/monotone-curve';
import type { CompiledNetwork } from './compiled-network';
import { type ExhaustPressure, exhaustInto } from './exhaust-law';
import { type NetworkState, type Solved, solveAtFlow, solveNetwork } from './solve-network';

/** A flow at which a blower gives what its system asks. SI. */
export interface OperatingPoint {
  readonly flow: number;
  /** Static pressure rise, Pa. */
  readonly rise: number;
  /**
   * True where a little more flow finds the system asking more than the blower gives, so that it
   * falls back; false where it runs away to the next operating point.
   */
  readonly isStable: boolean;
}

export type OperatingPointSolved =
  | (Extract<Solved, { kind: 'converged' }> & {
      readonly operatingPoints: readonly OperatingPoint[];
    })
  | Extract<Solved, { kind: 'failed' }>;

/** Flows between which operating points of a rising curve are looked for. */
const INTERVALS = 64;
const MAX_STEPS = 80;
const TOLERANCE = 1e-11;

/**
 * Where a blower and its system meet. A curve that only falls meets a system, whose demand only
 * rises, once: Newton finds it. A curve that rises anywhere, out of a stall, may meet it three
 * times; all are looked for, and the answer is the stable one with the greatest flow, which a
 * blower started on open gates settles at.
 */
export function solveOperatingPoint(
  compiled: CompiledNetwork,
  from?: NetworkState,
): OperatingPointSolved {
  return isRising(compiled.network.blower) ? lastStable(compiled) : newton(compiled, from);
}

/** The one operating point. */
function newton(compiled: CompiledNetwork, from?: NetworkState): OperatingPointSolved {
  const solved = solveNetwork(compiled, from);
  if (solved.kind === 'failed') return solved;
  const { flow, rise } = solved.state;
  return { ...solved, operatingPoints: [{ flow, rise, isStable: true }] };
}

type Met = Extract<Solved, { kind: 'converged' }>;

/** The system at an imposed flow, with what the blower gives beyond what the system asks, Pa. */
interface Probe {
  readonly flow: number;
  readonly surplus: number;
  readonly met: Met;
}

function lastStable(compiled: CompiledNetwork): OperatingPointSolved {
  const { lastFlow, network } = compiled;
  const flows = Array.from({ length: INTERVALS }, (_, i) => (lastFlow * (i + 1)) / INTERVALS);
  const own = network.blower.map(({ flow }) => flow).filter((flow) => flow > 0);
  const all = [...new Set([...flows, ...own])].sort((a, b) => a - b);

  const found: { readonly operatingPoint: OperatingPoint; readonly met: Met }[] = [];
  let before = probeAt(compiled, 0);
  if ('kind' in before) return newton(compiled);
  for (const flow of all) {
    const next = probeAt(compiled, flow, before.met.state);
    // Where no air passes at all, no flow can be imposed: the blower stands at its shut-off.
    if ('kind' in next) return newton(compiled);
    if (before.surplus >= 0 !== next.surplus >= 0) {
      const at = between(compiled, before, next);
      const { rise } = at.met.state;
      const operatingPoint = { flow: at.met.state.flow, rise, isStable: before.surplus >= 0 };
      found.push({ operatingPoint: operatingPoint, met: at.met });
    }
    before = next;
  }
  const last = found.findLast(({ operatingPoint }) => operatingPoint.isStable);
  if (!last || before.surplus >= 0) {
    return { kind: 'failed', reason: { kind: 'beyond-curve', lastFlow } };
  }
  return { ...last.met, operatingPoints: found.map(({ operatingPoint }) => operatingPoint) };
}

const curveOut: CurveValue = { value: 0, slope: 0 };
const exhaustOut: ExhaustPressure = { pressure: 0, slope: 0, leak: 0 };

function probeAt(
  compiled: CompiledNetwork,
  flow: number,
  from?: NetworkState,
): Probe | Extract<Solved, { kind: 'failed' }> {
  const met = solveAtFlow(compiled, flow, from);
  if (met.kind === 'failed') return met;
  const { exhaust, air } = compiled.network;
  curveInto(curveOut, compiled.curve, flow);
  exhaustInto(exhaustOut, exhaust, flow, air);
  return { flow, surplus: curveOut.value + met.state.inletPressure - exhaustOut.pressure, met };
}

/** The operating point between two probes of unlike sign: false position, as in the Illinois method. */
function between(compiled: CompiledNetwork, below: Probe, above: Probe): Probe {
  let [low, high] = [below, above];
  let [lowWeight, highWeight] = [low.surplus, high.surplus];
  let best = Math.abs(low.surplus) < Math.abs(high.surplus) ? low : high;
  for (let step = 0; step < MAX_STEPS; step++) {
    const share = lowWeight / (lowWeight - highWeight);
    const next = probeAt(compiled, low.flow + share * (high.flow - low.flow), best.met.state);
    if ('kind' in next) break;
    if (Math.abs(next.surplus) <= Math.abs(best.surplus)) best = next;
    if (Math.abs(next.surplus) <= TOLERANCE * compiled.shutOff) break;
    if (next.surplus >= 0 === low.surplus >= 0) {
      low = next;
      lowWeight = next.surplus;
      highWeight /= 2;
    } else {
      high = next;
      highWeight = next.surplus;
      lowWeight /= 2;
    }
  }
  return best;
}
