import { circleArea } from '../air/velocity-pressure';
import { blowerCurve } from '../collector/blower';
import type { MonotoneCurve } from '../collector/monotone-curve';
import { darcyCoefficient, reynoldsPerFlow } from '../duct/friction-law';
import { powerFitCoefficient, powerFitExponent } from '../duct/power-fit';
import type { OctaveTable } from '../quantity/octave-table';
import { powersOfSuction } from './leak-law';
import type { Network, Segment } from './network';

/** The network's constants, arranged flat for the solver's loops. */
export interface CompiledNetwork {
  readonly network: Network;
  readonly count: number;
  readonly curve: MonotoneCurve;
  readonly shutOff: number;
  readonly lastFlow: number;
  readonly downstream: Int32Array;
  readonly upstream: Int32Array;
  /** Pa per (m³/s)² of one velocity pressure. */
  readonly perFlowSquared: Float64Array;
  readonly kUp: Float64Array;
  readonly kDown: Float64Array;
  /** Darcy friction of one half is this × f × q². */
  readonly friction: Float64Array;
  readonly reynolds: Float64Array;
  /** ε/D */
  readonly roughness: Float64Array;
  /** A power fit's friction of one half is `power` × q^`exponent`. */
  readonly power: Float64Array;
  readonly exponent: Float64Array;
  readonly seam: Float64Array;
  readonly hole: Float64Array;
  /** Suction to the power of the network's seams. */
  readonly seamPowers: OctaveTable;
  /** Kind of leg its downstream end is at a junction, 0 where there is none; and its geometry. */
  readonly leg: Int32Array;
  readonly legArea: Float64Array;
  readonly bodyArea: Float64Array;
  /** How far a straight leg is a tee's, 0 to 1. */
  readonly tee: Float64Array;
  /** A leg adds this × q² to its junction's momentum. */
  readonly momentum: Float64Array;
  /** Where the segments of each run stand, upstream first. */
  readonly ofRun: ReadonlyMap<string, readonly number[]>;
}

export const NO_LEG = 0;
export const OPEN = 0;
export const CAPPED = 1;
const FED = 2;
const UPSTREAM = { open: OPEN, capped: CAPPED, fed: FED } as const;

/** Lays a network out for solving; worth keeping while only the start values change. */
export function compileNetwork(network: Network): CompiledNetwork {
  const { segments } = network;
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
    perFlowSquared: floats(),
    kUp: floats(),
    kDown: floats(),
    friction: floats(),
    reynolds: floats(),
    roughness: floats(),
    power: floats(),
    exponent: floats(),
    seam: floats(),
    hole: floats(),
    seamPowers: powersOfSuction(network.seamExponent),
    leg: new Int32Array(count),
    legArea: floats(),
    bodyArea: floats(),
    tee: floats(),
    momentum: floats(),
    ofRun: placesOfRuns(segments),
  };
  for (const [s, segment] of segments.entries()) compileSegment(compiled, segment, s);
  return compiled;
}

function placesOfRuns(segments: readonly Segment[]): Map<string, number[]> {
  const places = new Map<string, number[]>();
  for (const [index, { run }] of segments.entries()) {
    const known = places.get(run);
    if (known) known.push(index);
    else places.set(run, [index]);
  }
  return places;
}

/**
 * The same network with other loss coefficients in some segments; everything else about them has to
 * be as it was.
 */
export function withSegments(
  compiled: CompiledNetwork,
  changed: readonly (readonly [index: number, segment: Segment])[],
): CompiledNetwork {
  const segments = [...compiled.network.segments];
  const kUp = compiled.kUp.slice();
  const kDown = compiled.kDown.slice();
  for (const [index, segment] of changed) {
    segments[index] = segment;
    const perFlowSquared = compiled.perFlowSquared[index] ?? 0;
    kUp[index] = coefficients(segment, 'up') * perFlowSquared;
    kDown[index] = coefficients(segment, 'down') * perFlowSquared;
  }
  return { ...compiled, network: { ...compiled.network, segments }, kUp, kDown };
}

const coefficients = ({ parts }: Segment, half: 'up' | 'down'): number =>
  parts.reduce((sum, part) => (part.half === half ? sum + part.coefficient : sum), 0);

function compileSegment(c: CompiledNetwork, segment: Segment, s: number): void {
  const { air } = c.network;
  const { diameter, junction } = segment;
  const perFlowSquared = air.density / (2 * circleArea(diameter) ** 2);
  c.downstream[s] = segment.downstream;
  c.upstream[s] = UPSTREAM[segment.upstream];
  c.perFlowSquared[s] = perFlowSquared;
  c.reynolds[s] = reynoldsPerFlow(diameter, air);
  c.seam[s] = segment.seam;
  c.hole[s] = segment.hole;
  if (junction) {
    c.leg[s] = junction.kind;
    c.legArea[s] = junction.area;
    c.bodyArea[s] = junction.combinedArea;
    c.tee[s] = junction.tee;
    c.momentum[s] = (2 * junction.cosine) / (junction.area * junction.combinedArea);
  }
  c.kUp[s] = coefficients(segment, 'up') * perFlowSquared;
  c.kDown[s] = coefficients(segment, 'down') * perFlowSquared;
  for (const { friction } of segment.parts) {
    if (!friction) continue;
    const { length, multiplier } = friction;
    if (friction.law === 'power') {
      const perMetre = powerFitCoefficient(friction.fit, diameter, air.density);
      c.power[s] = (c.power[s] ?? 0) + (perMetre * length * multiplier) / 2;
      c.exponent[s] = powerFitExponent(friction.fit);
      continue;
    }
    c.friction[s] =
      (c.friction[s] ?? 0) + darcyCoefficient(length, multiplier, diameter, air.density) / 2;
    c.roughness[s] = friction.roughness / diameter;
  }
}
