/** What a saw takes of a pipe's length at each cut, m: an estimate. */
export const USUAL_KERF = 0.002;

/** How far the building has come before anybody has ticked anything. */
export const usualBuild = () => ({
  owned: [] as string[],
  cut: [] as string[],
  fitted: [] as string[],
  sealed: [] as string[],
  stockLength: null,
  kerf: USUAL_KERF,
});
