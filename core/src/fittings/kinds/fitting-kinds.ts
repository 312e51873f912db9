import { z } from 'zod';
import type { CoefficientGroup } from '../../quantity/coefficient';
import type { ClampedValue } from '../../quantity/valid-range';
import type { Loss, LossMethod } from '../loss-method';
import { elbowKind } from './elbow-kind';
import { elbowPair } from './elbow-pair';
import type { FittingKind, InDuct } from './fitting-kind';
import { flapDamper } from './flap-damper';
import { otherFitting } from './other-fitting';

/** Every kind of fitting a run may have, by the name its document has for it. */
export const FITTING_KINDS = {
  elbow: elbowKind,
  pair: elbowPair,
  flapDamper,
  other: otherFitting,
} as const satisfies Record<string, FittingKind>;

export const fitting = z.discriminatedUnion('kind', [
  elbowKind.schema,
  elbowPair.schema,
  flapDamper.schema,
  otherFitting.schema,
]);

export type Fitting = z.infer<typeof fitting>;
export type FittingKindId = Fitting['kind'];
/** Fittings in which the duct turns. */
export type BendFitting = Extract<Fitting, { kind: 'elbow' | 'pair' }>;

export const FITTING_KIND_IDS = Object.keys(FITTING_KINDS) as readonly FittingKindId[];

export const isFittingKind = (kind: string): kind is FittingKindId =>
  Object.hasOwn(FITTING_KINDS, kind);

/** A fitting's own kind, which takes just such fittings. */
const kindOf = (of: Fitting): FittingKind<z.ZodType<Fitting>> =>
  FITTING_KINDS[of.kind] as unknown as FittingKind<z.ZodType<Fitting>>;

/** A fitting of a kind as it usually is. */
export const usualFitting = (kind: FittingKindId, id: string): Fitting =>
  FITTING_KINDS[kind].usual(id);

/** What a fitting loses where it sits, by one of the methods. */
export const fittingLoss = (of: Fitting, where: InDuct, method: LossMethod): Loss =>
  kindOf(of).loss(of, where, method);

/** Straight duct from it to the next bend, m; null: enough. */
export const straightBehind = (of: Fitting): number | null => kindOf(of).straightBehind(of);

/** Fittings that have to be joined to the duct at both ends. */
export const piecesOf = (of: Fitting): number => kindOf(of).pieces * of.count;

/** Its values that lie outside what their formula was made for. */
export const fittingClamped = (of: Fitting): readonly ClampedValue[] => kindOf(of).clamped(of);

export const isBend = (of: Fitting): of is BendFitting => FITTING_KINDS[of.kind].isBend;

/** The numbers of the kinds that stand by themselves in the list of sources. */
export const fittingSources = (): readonly CoefficientGroup[] =>
  FITTING_KIND_IDS.flatMap((kind) => FITTING_KINDS[kind].sources ?? []);
