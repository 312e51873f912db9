/** Straight collar of a wye beyond where its duct meets the other, m: 2 in., an estimate to be measured. */
export const WYE_COLLAR = 0.05;
/** Face to face of a blast gate, m: 4 in. with its collars, an estimate to be measured. */
export const GATE_BODY = 0.1;
/** Slope of a reducer's side: so much length for each of diameter; a total angle of 30°. */
const REDUCER_SLOPE = 1 / (2 * Math.tan(Math.PI / 12));
/** Diameters this near are one size, m. */
const SAME = 0.003;

/** What a wye's body takes of the ducts that meet in it, from where their centrelines cross, m. */
export interface WyeBody {
  /** Of the duct that goes straight through, ahead of the crossing and behind it. */
  readonly ahead: number;
  readonly behind: number;
  /** Of the branch. */
  readonly branch: number;
}

/**
 * A wye by its geometry: where a branch of one diameter cuts the wall of a main of another, at an angle, and a collar
 * beyond.
 * @param main inside diameter of the main, m
 * @param branch of the branch, m
 * @param angle between them, rad, more than 0
 * @example wyeBody(0.1524, 0.1016, Math.PI / 4).branch // 0.209: the far side of the cut, and 2 in.
 */
export function wyeBody(main: number, branch: number, angle: number): WyeBody {
  const [sin, tan] = [Math.sin(angle), Math.tan(angle)];
  // Where the branch's near and far wall cut the main's, along the main and towards where the air comes from.
  const middle = main / 2 / tan;
  const half = branch / 2 / sin;
  return {
    ahead: Math.max(0, middle + half) + WYE_COLLAR,
    behind: Math.max(0, half - middle) + WYE_COLLAR,
    branch: Math.max(main / 2 / sin + branch / 2 / Math.abs(tan), main / 2) + WYE_COLLAR,
  };
}

/** Length of a reducer between two diameters, m; 0 where they are one. */
export const reducerBody = (one: number, other: number): number =>
  Math.abs(one - other) < SAME ? 0 : Math.abs(one - other) * REDUCER_SLOPE;
