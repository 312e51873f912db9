import type { Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { onWall, wallsOf } from '../../room/room-outline';
import { straightsOf } from '../../routing/derive-runs';
import { ductLines } from '../../routing/duct-lines';
import type { Projection } from '../../routing/sheets/duct-items';
import {
  ELEVATIONS,
  elevationSheet,
  isFaced,
  type Side,
  USUAL_CEILING,
} from '../../routing/sheets/elevation-sheet';
import { isometric, isometricSheet } from '../../routing/sheets/isometric-sheet';
import { planSheet } from '../../routing/sheets/plan-sheet';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import type { CutPiece } from '../cuts/cut-pieces';
import { pointAlong } from './along-line';
import { elevationDimensions, holeItems, planLengths } from './dimensions';
import { hangersOf } from './marks';

/** A sheet to build from. */
export type BuildSheet = 'isometric' | 'plan' | Side;

const ABOVE: Projection = ({ x, y }) => ({ x, y });
/** A piece's number stands in a circle so wide, past the middle, where no length stands; letters and arms, m. */
const BALLOON = 0.08;
const PAST_MIDDLE = 0.7;
const LETTERS = 0.08;
const ARM = 0.06;
/** A wall's number stands so far off it, and is so large, m. */
const WALL_OFF = 0.3;
const NUMBER_AT = 0.15;
/** On an elevation it stands over the dimensions. */
const WALL_OVER = 0.65;
const WALL_LETTERS = 0.12;

/**
 * A drawing of the ducts to build from: every piece of pipe with the number it has on the cut list, a cross where it is
 * hung, and what a tape measures: lengths on isometric and plan, heights and distances on an elevation.
 * @param pieces of the cut list; those of runs that are not drawn have no place
 */
export function buildSheet(
  shop: Shop,
  tree: DuctTree,
  sheet: BuildSheet,
  pieces: readonly CutPiece[],
): SheetItem[] {
  const project = projectionOf(sheet);
  const below =
    sheet === 'isometric'
      ? isometricSheet(shop)
      : sheet === 'plan'
        ? planSheet(shop)
        : elevationSheet(shop, sheet);
  return [
    ...below,
    ...wallNumbers(shop, sheet),
    ...hangersOf(shop, tree).flatMap(({ at, run }) => crossAt(project(at), run)),
    ...pieceItems(shop, pieces, project),
    ...sizeItems(shop, tree, sheet),
  ];
}

/** What is measured on a sheet: the isometric has its lengths by itself. */
function sizeItems(shop: Shop, tree: DuctTree, sheet: BuildSheet): SheetItem[] {
  if (sheet === 'isometric') return [];
  const sizes = sheet === 'plan' ? planLengths(shop) : elevationDimensions(shop, tree, sheet);
  return [...sizes, ...holeItems(shop, tree, sheet)];
}

/**
 * Walls by the numbers that the tables of points have, from 1 on: outside the room at their feet; on an elevation over
 * the wall one faces.
 */
function wallNumbers({ room }: Shop, sheet: BuildSheet): SheetItem[] {
  const project = projectionOf(sheet);
  const isElevation = sheet !== 'isometric' && sheet !== 'plan';
  return wallsOf(room).flatMap((wall, i): SheetItem[] => {
    if (isElevation && !isFaced(sheet, wall)) return [];
    const { x, y } = onWall(wall, NUMBER_AT * wall.length);
    const { inward } = wall;
    const at = isElevation
      ? { x, y, z: (room.ceilingHeight ?? USUAL_CEILING) + WALL_OVER }
      : { x: x - WALL_OFF * inward.x, y: y - WALL_OFF * inward.y, z: 0 };
    return [textOf('names', project(at), `wall ${i + 1}`, WALL_LETTERS)];
  });
}

const projectionOf = (sheet: BuildSheet): Projection =>
  sheet === 'isometric' ? isometric : sheet === 'plan' ? ABOVE : ELEVATIONS[sheet];

const crossAt = ({ x, y }: { readonly x: number; readonly y: number }, run: string): SheetItem[] =>
  [-1, 1].map((sign) =>
    lineOf(
      'hangers',
      [
        { x: x - ARM, y: y - sign * ARM },
        { x: x + ARM, y: y + sign * ARM },
      ],
      false,
      run,
    ),
  );

/** Each piece's number where the piece lies. */
function pieceItems(shop: Shop, pieces: readonly CutPiece[], project: Projection): SheetItem[] {
  const { lines } = ductLines(shop);
  const straights = straightsOf(shop);
  return pieces.flatMap(({ key, run, number }): SheetItem[] => {
    const line = lines.get(run);
    const straight = straights.get(run)?.[Number(key.slice(run.length + 1))];
    if (!line || !straight) return [];
    const { from, to } = straight;
    const point = pointAlong(line, from + PAST_MIDDLE * (to - from));
    if (!point) return [];
    const at = project(point);
    return [
      { kind: 'circle', layer: 'pieces', at, radius: BALLOON, run },
      textOf('pieces', { x: at.x, y: at.y - LETTERS / 2.6 }, `${number}`, LETTERS),
    ];
  });
}
