import { z } from 'zod';
import type { CoefficientGroup } from '../../quantity/coefficient';
import type { ClampedValue } from '../../quantity/valid-range';
import type { JunctionLeg } from '../converging-junction';
import { branchJoin } from './branch-join';
import type { AtJunction, JoinKind } from './join-kind';
import { straightJoin } from './straight-join';
import { symmetricJoin } from './symmetric-join';

/** Every way for a duct to meet others, by the name its document has for it. */
export const JOIN_KINDS = {
  straight: straightJoin,
  branch: branchJoin,
  symmetric: symmetricJoin,
} as const satisfies Record<string, JoinKind>;

export const joins = z.discriminatedUnion('kind', [
  straightJoin.schema,
  branchJoin.schema,
  symmetricJoin.schema,
]);

/** How a duct's downstream end meets what it flows into. */
export type Joins = z.infer<typeof joins>;
export type JoinKindId = Joins['kind'];

export const JOIN_KIND_IDS = Object.keys(JOIN_KINDS) as readonly JoinKindId[];

export const isJoinKind = (kind: string): kind is JoinKindId => Object.hasOwn(JOIN_KINDS, kind);

/** A way of joining, which takes just such joins. */
const kindOf = (of: Joins): JoinKind<z.ZodType<Joins>> =>
  JOIN_KINDS[of.kind] as unknown as JoinKind<z.ZodType<Joins>>;

/** Angle between a duct and what it flows into, rad; null: it goes straight through. */
export const joinAngle = (of: Joins): number | null => kindOf(of).angle(of);

export const isStraight = (of: Joins): boolean => joinAngle(of) === null;

/** A duct's leg of the junction it ends at. */
export const legOf = (of: Joins, at: AtJunction): JunctionLeg => kindOf(of).leg(of, at);

/** Loss coefficient on the duct's own velocity pressure, by the table of fixed coefficients. */
export const fixedJoinLoss = (of: Joins): number => kindOf(of).fixedLoss(of);

/** Its values that lie outside what their formula was made for. */
export const joinClamped = (of: Joins): readonly ClampedValue[] => kindOf(of).clamped(of);

/** The numbers of the kinds that stand by themselves in the list of sources. */
export const joinSources = (): readonly CoefficientGroup[] =>
  JOIN_KIND_IDS.flatMap((kind) => JOIN_KINDS[kind].sources ?? []);
