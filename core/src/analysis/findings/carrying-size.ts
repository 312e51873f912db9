import { circleArea } from '../../air/velocity-pressure';
import type { PipeId } from '../../catalogue/ids';
import { PIPES } from '../../duct/pipes';

const insides = (pipe: PipeId) => PIPES[pipe].sizes.map(({ inside }) => inside);

/**
 * The widest size of a pipe, m, in which `flow` (m³/s) still moves at `velocity` (m/s); null where
 * even its narrowest is too wide.
 * @example widestCarrying('galvanised', 0.2, 20) // 0.1016: in 4 in. it moves at 24.7 m/s
 */
export function widestCarrying(pipe: PipeId, flow: number, velocity: number): number | null {
  return insides(pipe).findLast((inside) => flow / circleArea(inside) >= velocity) ?? null;
}

/** The narrowest size in which `flow` moves no faster than `velocity`; null where none is that wide. */
export function narrowestWithin(pipe: PipeId, flow: number, velocity: number): number | null {
  return insides(pipe).find((inside) => flow / circleArea(inside) <= velocity) ?? null;
}
