import { Project, Workspace } from 'epanet-js';
import { circleArea } from '../src/air/velocity-pressure';
import type { Network, Segment } from '../src/network/network';

/**
 * The same network in EPANET (as WebAssembly, through epanet-js), a general-purpose pipe-network
 * engine made for water. Air works in it: heads in metres of air, kinematic viscosity set, leaks as
 * emitters with exponent 0.65. Its friction is Swamee–Jain's fit to Colebrook, its g is 32.2 ft/s².
 *
 * What carries over: constant loss coefficients, friction, seam leaks (EPANET's pressure has no
 * velocity part, so leaks compare exactly only where air stands still, as behind a shut gate), a
 * blower whose points lie on a straight line, a quadratic exhaust.
 */
const G = 32.2 * 0.3048;
const LEAST_LENGTH = 1e-4;

export interface EpanetFlows {
  /** m³/s per segment, upstream and downstream of its leak. */
  readonly up: readonly number[];
  readonly down: readonly number[];
  readonly blower: number;
}

export interface EpanetModel {
  /** Solves once from EPANET's own cold start. */
  readonly solve: () => EpanetFlows;
  readonly close: () => void;
}

export async function openInEpanet(network: Network): Promise<EpanetModel> {
  const workspace = new Workspace();
  await workspace.loadModule();
  const project = new Project(workspace);
  workspace.writeFile('net.inp', inputFile(network));
  project.open('net.inp', 'net.rpt', 'net.bin');
  const links = network.segments.map((_, s) => ({
    up: project.getLinkIndex(`u${s}`),
    down: project.getLinkIndex(`d${s}`),
  }));
  const pump = project.getLinkIndex('blower');
  const FLOW = 8;
  project.openH();
  return {
    solve: () => {
      project.initH(10);
      project.runH();
      const flow = (link: number) => project.getLinkValue(link, FLOW) / 1000;
      return {
        up: links.map(({ up }) => flow(up)),
        down: links.map(({ down }) => flow(down)),
        blower: flow(pump),
      };
    },
    close: () => {
      project.closeH();
      project.close();
    },
  };
}

function inputFile({ segments, air, blower, exhaust }: Network): string {
  const head = (pressure: number) => pressure / (air.density * G);
  const friction = (segment: Segment) => {
    const law = segment.parts.find((part) => part.friction)?.friction;
    return law?.law === 'darcy' ? law : undefined;
  };
  const k = (segment: Segment, half: 'up' | 'down') =>
    segment.parts.reduce((sum, part) => sum + (part.half === half ? part.coefficient : 0), 0);
  const junctions: string[] = ['in 0', 'out 0'];
  const reservoirs: string[] = ['outside 0'];
  const emitters: string[] = [];
  const pipes: string[] = [];
  segments.forEach((segment, s) => {
    const pipe = friction(segment);
    const half = Math.max(((pipe?.length ?? 0) * (pipe?.multiplier ?? 1)) / 2, LEAST_LENGTH);
    const tail = `${half} ${segment.diameter * 1000} ${(pipe?.roughness ?? 1e-6) * 1000}`;
    const end = segment.downstream < 0 ? 'in' : `n${segment.downstream}`;
    (segment.upstream === 'open' ? reservoirs : junctions).push(`n${s} 0`);
    junctions.push(`m${s} 0`);
    pipes.push(`u${s} n${s} m${s} ${tail} ${k(segment, 'up')} Open`);
    pipes.push(`d${s} m${s} ${end} ${tail} ${k(segment, 'down')} Open`);
    // m³/s at Pa^0.65 to L/s at metres of air.
    if (segment.seam > 0) emitters.push(`m${s} ${segment.seam * 1000 * (air.density * G) ** 0.65}`);
  });
  // The exhaust's Q² as a pipe of one metre's diameter with next to no length.
  const exhaustK = (exhaust.quadratic * 2 * circleArea(1) ** 2) / air.density;
  pipes.push(`x out outside ${LEAST_LENGTH} 1000 0.001 ${exhaustK} Open`);
  const curve = blower.map(({ flow, pressure }) => `c ${flow * 1000} ${head(pressure)}`);
  return `[JUNCTIONS]
${junctions.join('\n')}
[RESERVOIRS]
${reservoirs.join('\n')}
[PIPES]
${pipes.join('\n')}
[PUMPS]
blower in out HEAD c
[CURVES]
${curve.join('\n')}
[EMITTERS]
${emitters.join('\n')}
[OPTIONS]
UNITS LPS
HEADLOSS D-W
VISCOSITY ${air.viscosity / air.density}
EMITTER EXPONENT 0.65
ACCURACY 1e-8
TRIALS 500
[TIMES]
DURATION 0
[END]
`;
}
