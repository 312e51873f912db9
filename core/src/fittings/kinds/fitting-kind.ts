import type { z } from 'zod';
import type { PipeId } from '../../catalogue/ids';
import type { CoefficientGroup } from '../../quantity/coefficient';
import type { ClampedValue } from '../../quantity/valid-range';
import type { Loss, LossMethod } from '../loss-method';

/** The duct a fitting sits in; lengths in m. */
export interface InDuct {
  readonly pipe: PipeId;
  readonly diameter: number;
  /** Straight duct to the bend ahead of it; null: enough. */
  readonly straight: number | null;
}

/**
 * One kind of fitting in a run: its schema, what it loses, where its numbers hold and come from, all in
 * one file. To add a kind, copy such a file, name it in `fitting-kinds.ts`, and give it its fields in
 * `web/src/views/parts/fittings/`. Beyond their schemas, kinds differ in nothing but what is asked here.
 */
export interface FittingKind<S extends z.ZodType = z.ZodType> {
  /** What it is called where nothing else names it. */
  readonly name: string;
  readonly schema: S;
  /** One as it usually is, to be changed. */
  readonly usual: (id: string) => z.infer<S>;
  /** The duct turns in it: drawn ducts have their turns from the drawing, and close turns lose more. */
  readonly isBend: boolean;
  /** What it loses, by one of the methods. */
  readonly loss: (fitting: z.infer<S>, where: InDuct, method: LossMethod) => Loss;
  /** Straight duct from it to the next bend, m; null: enough. */
  readonly straightBehind: (fitting: z.infer<S>) => number | null;
  /** Fittings that have to be joined to the duct at both ends, for one of its count. */
  readonly pieces: number;
  /** Its values that lie outside what their formula was made for. */
  readonly clamped: (fitting: z.infer<S>) => readonly ClampedValue[];
  /** Its numbers with their source, for the list of sources; null: they stand there with others'. */
  readonly sources: CoefficientGroup | null;
}

/** A kind as it is written down, the rest of it typed by its schema. */
export const fittingKind = <S extends z.ZodType>(
  schema: S,
  kind: Omit<FittingKind<S>, 'schema'>,
): FittingKind<S> => ({ schema, ...kind });
