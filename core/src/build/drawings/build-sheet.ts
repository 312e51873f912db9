import type { Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { straightsOf } from '../../routing/derive-runs';
import { ductLines } from '../../routing/duct-lines';
import type { Projection } from '../../routing/sheets/duct-items';
import { ELEVATIONS, elevationSheet, type Side } from '../../routing/sheets/elevation-sheet';
import { isometric, isometricSheet } from '../../routing/sheets/isometric-sheet';
import { planSheet } from '../../routing/sheets/plan-sheet';
import { lineOf, type SheetItem, textOf } from '../../routing/sheets/sheet';
import type { CutPiece } from '../cuts/cut-pieces';
import { pointAlong } from './along-line';
import { hangersOf } from './marks';

/** A sheet to build from. */
export type BuildSheet = 'isometric' | 'plan' | Side;

const ABOVE: Projection = ({ x, y }) => ({ x, y });
/** A piece's number stands in a circle so wide, past the middle, where no length stands; letters and arms, m. */
const BALLOON = 0.08;
const PAST_MIDDLE = 0.7;
const LETTERS = 0.08;
const ARM = 0.06;

/**
 * A drawing of the ducts to build from: every piece of pipe with the number it has on the cut list, and a cross where
 * it is hung.
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
    ...hangersOf(shop, tree).flatMap(({ at, run }) => crossAt(project(at), run)),
    ...pieceItems(shop, pieces, project),
  ];
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
