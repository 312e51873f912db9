import { z } from 'zod';
import { neededFlow } from '../analysis/judge-drops';
import { dropFlow } from '../network/drop-flow';
import { allAir, type ShopSolved } from '../network/solve-shop';

const part = z.strictObject({ kind: z.string(), name: z.string(), loss: z.number() });

const segment = z.strictObject({
  flowIn: z.number(),
  leak: z.number(),
  flowOut: z.number(),
  diameter: z.number(),
  velocity: z.number(),
  totalIn: z.number(),
  totalOut: z.number(),
  staticIn: z.number(),
  staticOut: z.number(),
  velocityPressureIn: z.number(),
  velocityPressureOut: z.number(),
  parts: z.array(part),
});

/** A solution as JSON: SI throughout, pressures relative to the room. */
export const solutionSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('solved'),
    iterations: z.int(),
    residual: z.number(),
    air: z.strictObject({ density: z.number(), viscosity: z.number() }),
    blower: z.strictObject({
      flow: z.number(),
      rise: z.number(),
      inletTotal: z.number(),
      outletStatic: z.number(),
      outletLeak: z.number(),
      operatingPoints: z.array(
        z.strictObject({ flow: z.number(), rise: z.number(), isStable: z.boolean() }),
      ),
    }),
    drops: z.array(
      z.strictObject({ id: z.string(), name: z.string(), flow: z.number(), needed: z.number() }),
    ),
    runs: z.array(z.strictObject({ run: z.string(), segments: z.array(segment) })),
  }),
  z.strictObject({
    kind: z.literal('unsolved'),
    reason: z.looseObject({ kind: z.string() }),
  }),
]);

export type SolutionDocument = z.infer<typeof solutionSchema>;

/** A solution without what only the solver needs, ready for JSON. */
export function describeSolution(solved: ShopSolved): SolutionDocument {
  if (solved.kind === 'unsolved') return { kind: 'unsolved', reason: { ...solved.reason } };
  const { iterations, residual, network, blower, tree } = solved;
  return {
    kind: 'solved',
    iterations,
    residual,
    air: { density: network.air.density, viscosity: network.air.viscosity },
    blower: {
      ...blower,
      operatingPoints: blower.operatingPoints.map((operatingPoint) => ({ ...operatingPoint })),
    },
    drops: tree.drops.map((drop) => ({
      id: drop.id,
      name: drop.name,
      flow: dropFlow(solved, drop) ?? 0,
      needed: neededFlow(drop.port),
    })),
    runs: allAir(solved).map(([run, segments]) => ({
      run,
      segments: segments.map(({ run: _, parts, ...rest }) => ({
        ...rest,
        parts: parts.map((entry) => ({ ...entry })),
      })),
    })),
  };
}
