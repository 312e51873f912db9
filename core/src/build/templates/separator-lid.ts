import type { Spot } from '../../room/plane';
import { NO_SIZE, refusing, type TemplateRefused } from './template-fault';

/** A flat lid with an elbow that blows in along the wall and another that draws out of the middle; m. */
export interface SeparatorLid {
  /** Outside diameter of the lid, and inside diameter of the drum below it. */
  readonly lid: number;
  readonly drum: number;
  /** Outside diameters of both elbows where they go through. */
  readonly inlet: number;
  readonly outlet: number;
}

export interface Hole {
  readonly at: Spot;
  readonly radius: number;
}

export interface LidHoles {
  readonly inlet: Hole;
  readonly outlet: Hole;
}

export type MadeLid =
  | { readonly ok: true; readonly holes: LidHoles }
  | TemplateRefused<keyof SeparatorLid>;

/** Between the inlet elbow and the drum's wall, m: an estimate. */
export const WALL_GAP = 0.01;
/** Lid that is left between the two holes at least, m: an estimate. */
export const LEAST_LAND = 0.02;

/**
 * Where the holes of a lid separator go, from the middle of the lid: the outlet in the middle, the inlet as near to the
 * wall as its elbow stands, to blow along it. Fails, naming the field, where they meet, or the lid falls into its drum.
 * @example separatorLid({ lid: 0.6, drum: 0.57, inlet: 0.11, outlet: 0.11 })
 */
export function separatorLid({ lid, drum, inlet, outlet }: SeparatorLid): MadeLid {
  const refuse = refusing<keyof SeparatorLid>();
  if (!(drum > 0)) return refuse('drum', NO_SIZE);
  if (!(lid > drum)) return refuse('lid', { kind: 'lid falls in', over: drum });
  if (!(inlet > 0)) return refuse('inlet', NO_SIZE);
  if (!(outlet > 0)) return refuse('outlet', NO_SIZE);
  const x = drum / 2 - WALL_GAP - inlet / 2;
  const least = (inlet + outlet) / 2 + LEAST_LAND;
  if (x < least) {
    const room = drum / 2 - WALL_GAP - LEAST_LAND;
    const [field, most] =
      inlet >= outlet
        ? (['inlet', room - outlet / 2] as const)
        : (['outlet', 2 * (room - inlet)] as const);
    return refuse(field, { kind: 'holes meet', most: most > 0 ? most : null });
  }
  return {
    ok: true,
    holes: {
      inlet: { at: { x, y: 0 }, radius: inlet / 2 },
      outlet: { at: { x: 0, y: 0 }, radius: outlet / 2 },
    },
  };
}
