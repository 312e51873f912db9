import type { Joins } from '@frank-gauge/core/catalogue';
import { branchForm } from './branch-form';
import type { JoinForm } from './join-form';
import { straightForm } from './straight-form';
import { symmetricForm } from './symmetric-form';

const JOIN_FORMS: {
  readonly [K in Joins['kind']]: JoinForm<Extract<Joins, { kind: K }>>;
} = {
  straight: straightForm,
  branch: branchForm,
  symmetric: symmetricForm,
};

/** The form of a way of joining, which is only ever given joins of that kind. */
const formOf = ({ kind }: Joins): JoinForm => JOIN_FORMS[kind] as unknown as JoinForm;

/** '45° wye branch' */
export const joinName = (joins: Joins): string => formOf(joins).name(joins);

/** '45° wye' */
export const shortJoinName = (joins: Joins): string => formOf(joins).short(joins);

/** All ways to choose from where so many ducts meet. */
export const joinsOffered = (legs: number): readonly Joins[] =>
  Object.values(JOIN_FORMS).flatMap((form): readonly Joins[] => form.offered(legs));
