import type { z } from 'zod';
import type { CoefficientGroup } from '../../quantity/coefficient';
import type { ClampedValue } from '../../quantity/valid-range';
import type { JunctionLeg } from '../converging-junction';

/** Where a duct meets others. */
export interface AtJunction {
  /** Its own cross-section, m². */
  readonly area: number;
  /** Cross-section of the junction's body, m². */
  readonly bodyArea: number;
  /** How far the others join as a tee, 0 to 1. */
  readonly tee: number;
}

/**
 * One way for a duct to meet what it flows into, where other ducts meet it too: its schema, its leg of the
 * junction, what the fixed table says of it, and its numbers with their source, all in one file. To add a
 * kind, copy such a file, name it in `joins.ts`, and give it its words and choices in
 * `web/src/views/parts/joins/`. Where a duct meets nothing else, how it joins does not matter.
 */
export interface JoinKind<S extends z.ZodType = z.ZodType> {
  readonly schema: S;
  /** What its loss is called in the ledger. */
  readonly name: string;
  /** Angle between it and what it flows into, rad; null: it goes straight through. */
  readonly angle: (joins: z.infer<S>) => number | null;
  /** Its leg of the junction, from which the momentum balance is made. */
  readonly leg: (joins: z.infer<S>, at: AtJunction) => JunctionLeg;
  /** Loss coefficient on its own velocity pressure, by the table of fixed coefficients. */
  readonly fixedLoss: (joins: z.infer<S>) => number;
  /** Its values that lie outside what their formula was made for. */
  readonly clamped: (joins: z.infer<S>) => readonly ClampedValue[];
  /** Its numbers with their source, for the list of sources; null: they stand there with others'. */
  readonly sources: CoefficientGroup | null;
}

/** A kind as it is written down, the rest of it typed by its schema. */
export const joinKind = <S extends z.ZodType>(
  schema: S,
  kind: Omit<JoinKind<S>, 'schema'>,
): JoinKind<S> => ({ schema, ...kind });
