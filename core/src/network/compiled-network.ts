import { circleArea } from '../air/velocity-pressure';
import { blowerCurve } from '../collector/blower';
import type { MonotoneCurve } from '../collector/monotone-curve';
import type { Network } from './network';

/** ε/D that gives a smooth pipe's friction factor at about Re 1e5. */
const USUAL_SMOOTHNESS = 5e-4;

export const NO_JUNCTION = 0;
const BRANCH = 1;
const STRAIGHT = 2;

/** The network's constants, laid out flat, with room for the iteration's own numbers. */
export interface CompiledNetwork {
  readonly network: Network;
  readonly count: number;
  readonly curve: MonotoneCurve;
  readonly shutOff: number;
  readonly lastFlow: number;
  readonly downstream: Int32Array;
  readonly upstream: Int32Array;
  readonly junction: Int32Array;
  /** Pa per (m³/s)² of one velocity pressure. */
  readonly perFlowSquared: Float64Array;
  readonly kUp: Float64Array;
  readonly kDown: Float64Array;
  /** Friction of one half is this × f × q². */
  readonly friction: Float64Array;
  readonly reynolds: Float64Array;
  readonly roughness: Float64Array;
  readonly seam: Float64Array;
  readonly hole: Float64Array;
  /** 1/√f to start the first friction from, for both halves. */
  readonly inverseRoots: Float64Array;
}

export const OPEN = 0;
export const CAPPED = 1;
const FED = 2;
const UPSTREAM = { open: OPEN, capped: CAPPED, fed: FED } as const;
const JUNCTIONS = { none: NO_JUNCTION, branch: BRANCH, straight: STRAIGHT } as const;

/** Lays a network out for solving; worth keeping while only the start values change. */
export function compileNetwork(network: Network): CompiledNetwork {
  const { segments, air } = network;
  const count = segments.length;
  const floats = () => new Float64Array(count);
  const compiled: CompiledNetwork = {
    network,
    count,
    curve: blowerCurve(network.blower),
    shutOff: Math.max(...network.blower.map(({ pressure }) => pressure)),
    lastFlow: network.blower.at(-1)?.flow ?? 0,
    downstream: new Int32Array(count),
    upstream: new Int32Array(count),
    junction: new Int32Array(count),
    perFlowSquared: floats(),
    kUp: floats(),
    kDown: floats(),
    friction: floats(),
    reynolds: floats(),
    roughness: floats(),
    seam: floats(),
    hole: floats(),
    inverseRoots: new Float64Array(2 * count),
  };
  segments.forEach((segment, s) => {
    const { diameter } = segment;
    const area = circleArea(diameter);
    const perFlowSquared = air.density / (2 * area * area);
    compiled.downstream[s] = segment.downstream;
    compiled.upstream[s] = UPSTREAM[segment.upstream];
    compiled.junction[s] = JUNCTIONS[segment.junction.kind];
    compiled.perFlowSquared[s] = perFlowSquared;
    compiled.reynolds[s] = (air.density * diameter) / (air.viscosity * area);
    compiled.seam[s] = segment.seam;
    compiled.hole[s] = segment.hole;
    let up = 0;
    let down = 0;
    for (const { half, coefficient, friction } of segment.parts) {
      if (half === 'up') up += coefficient;
      else if (half === 'down') down += coefficient;
      if (!friction) continue;
      const roughness = friction.roughness / diameter;
      compiled.friction[s] =
        (perFlowSquared * friction.multiplier * friction.length) / 2 / diameter;
      compiled.roughness[s] = roughness;
      // A fully rough pipe's 1/√f, near enough to start from; a smooth one's at a usual flow.
      const root = 2 * Math.log10(3.7 / Math.max(roughness, USUAL_SMOOTHNESS));
      compiled.inverseRoots[2 * s] = compiled.inverseRoots[2 * s + 1] = root;
    }
    compiled.kUp[s] = up * perFlowSquared;
    compiled.kDown[s] = down * perFlowSquared;
  });
  return compiled;
}
