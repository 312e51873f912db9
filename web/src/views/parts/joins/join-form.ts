import type { Joins } from '@frank-gauge/core/catalogue';

/** What a way of joining is called and which of it are offered: one file a kind, named in `join-forms.ts`. */
export interface JoinForm<J extends Joins = Joins> {
  /** Beside the run: '45° wye branch'. */
  readonly name: (joins: J) => string;
  /** On the drawing and in lists of parts: '45° wye'. */
  readonly short: (joins: J) => string;
  /** Those to choose from where so many ducts meet. */
  readonly offered: (legs: number) => readonly J[];
}

const radians = (degrees: number) => (degrees * Math.PI) / 180;

export const degreesOf = (angle: number) => Math.round((angle * 180) / Math.PI);

/** One of a kind for each angle, given in degrees. */
export const atAngles = <K extends string>(kind: K, degrees: readonly number[]) =>
  degrees.map((each) => ({ kind, angle: radians(each) }));
