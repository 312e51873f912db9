import { toSI } from '../../quantity/units';
import {
  blankOf,
  facingFront,
  facingRight,
  lying,
  type PlacedBoard,
  rectangle,
} from '../boards/board';
import { dividedBoard, seamsOf } from '../boards/divide-board';
import { check, count, height, made, maker, metersOf, pieces, refuse, size } from './maker';
import { usualIn } from './maker-place';
import { type MakerSaying, says } from './sayings';

/** Through a furnace-grade return filter no faster than this: common practice, no source. m/s */
export const MOST_RETURN = toSI(300, 'fpm');
/** Frame that holds a filter at its edge, and wood between two openings, m: estimates. */
const HOLD = 0.012;
const FRAME = 0.04;
/** Room around what stands inside, m: an estimate. */
const ROOM = 0.1;
/** Its top and lining take so much under the ceiling, m. */
const UNDER = 0.05;
/** Wood left between a return filter and the seam of a panel, m. */
const LEFT = 0.01;
/** A filter's play in its frame, m. */
const PLAY = 0.002;

/**
 * A box around the collector against its noise: lined panels, a front that opens, and return filters in one side.
 * Panels larger than a sheet are made of pieces that meet over battens.
 */
export const collectorEnclosure = maker({
  fields: {
    width: height(0.3, 6),
    depth: height(0.3, 6),
    height: height(0.3, 6),
    board: size(0.006, 0.04),
    lining: size(0, 0.15),
    filters: count(1, 12),
    filterWidth: size(0.15, 1),
    filterHeight: size(0.15, 1.2),
    filterDepth: size(0.01, 0.3),
    airflow: { kind: 'flow', min: 0.01, max: 10 },
    pieceWidth: size(0.3, 6),
    pieceHeight: size(0.3, 6),
  },
  usual: (place) => {
    const { stands, airflow } = place;
    const nominal = { width: usualIn(place, 20, 0.5), height: usualIn(place, 20, 0.5) };
    const face = (nominal.width - 2 * HOLD) * (nominal.height - 2 * HOLD);
    const filters = Math.min(12, Math.max(1, Math.ceil(airflow / (MOST_RETURN * face))));
    const depth = stands.floor.depth + 2 * ROOM;
    const most = Math.max(stands.height, (stands.ceiling ?? Number.POSITIVE_INFINITY) - UNDER);
    return {
      width: stands.floor.width + 2 * ROOM,
      depth: Math.max(depth, nominal.width + 2 * FRAME),
      height: Math.max(
        Math.min(stands.height + ROOM, most),
        filters * (nominal.height + FRAME) + FRAME,
      ),
      board: usualIn(place, 0.5, 0.012),
      lining: usualIn(place, 1, 0.025),
      filters,
      filterWidth: nominal.width,
      filterHeight: nominal.height,
      filterDepth: usualIn(place, 1, 0.025),
      airflow,
      pieceWidth: usualIn(place, 48, 1.22),
      pieceHeight: usualIn(place, 96, 2.44),
    };
  },
  make: (sizes, place) => {
    const { board, lining, filters, filterWidth, filterHeight, filterDepth } = sizes;
    const wall = board + lining;
    // Clear inside the lining; each panel's own size outside of it.
    const clear = { across: sizes.width, deep: sizes.depth, high: sizes.height };
    const frame = { across: filterWidth + 2 * FRAME, high: filterHeight + FRAME };
    if (frame.across > clear.deep) {
      return refuse(
        'filterWidth',
        says('return filter wider than the side', {
          filter: filterWidth,
          most: clear.deep - 2 * FRAME,
        }),
      );
    }
    const most = Math.floor((clear.high - FRAME) / frame.high);
    if (filters > most) {
      return refuse(
        'filters',
        says('too many return filters', { filters, filter: filterHeight, side: clear.high, most }),
      );
    }
    for (const [field, filter, piece] of [
      ['pieceWidth', filterWidth, sizes.pieceWidth],
      ['pieceHeight', filterHeight, sizes.pieceHeight],
    ] as const) {
      const least = filter + 2 * LEFT;
      if (piece < least)
        return refuse(field, says('piece cuts through a filter', { filter, least }));
    }
    const outside = { across: clear.across + 2 * wall, deep: clear.deep + 2 * wall };
    const panel = (
      name: string,
      width: number,
      tall: number,
      holes = [] as ReturnType<typeof rectangle>[],
      note?: MakerSaying,
    ) => ({
      name,
      material: 'sheet' as const,
      outline: rectangle(width, tall),
      holes,
      thickness: board,
      ...(note && { note }),
    });
    const padding = (
      name: string,
      width: number,
      tall: number,
      holes = [] as ReturnType<typeof rectangle>[],
    ) => ({
      name,
      material: 'lining' as const,
      outline: rectangle(width, tall),
      holes,
      thickness: lining,
    });
    const pitch = (clear.high - filters * filterHeight) / (filters + 1);
    const openings = Array.from({ length: filters }, (_, i) => pitch + i * (filterHeight + pitch));
    const middle = clear.deep / 2;
    const onSide = (inset: number, grow: number) =>
      openings.map((z) =>
        rectangle(filterWidth - 2 * inset, filterHeight - 2 * inset, {
          x: middle - filterWidth / 2 + inset + grow,
          y: z + inset,
        }),
      );
    const tall = clear.high + wall;
    // Sides stand between front and back; the top lies on all four.
    const sideDepth = outside.deep - 2 * board;
    const shift = lining;
    const sideHoles = onSide(HOLD, shift);
    const x1 = outside.across - board;
    const low = -outside.deep;
    const front = { width: outside.across, height: tall - board };
    const isLiftedOff = front.width > sizes.pieceWidth || front.height > sizes.pieceHeight;
    const panels: PlacedBoard[] = [
      facingRight(
        panel('side', sideDepth, tall - board),
        { x: 0, y: low + board, z: 0 },
        { x: -0.35, y: 0, z: 0 },
      ),
      facingRight(
        panel(
          'side with the return',
          sideDepth,
          tall - board,
          sideHoles,
          says('return openings', {
            width: filterWidth - 2 * HOLD,
            height: filterHeight - 2 * HOLD,
          }),
        ),
        { x: x1, y: low + board, z: 0 },
        { x: 0.5, y: 0, z: 0 },
      ),
      facingFront(
        panel('back', outside.across, tall - board),
        { x: 0, y: 0, z: 0 },
        { x: 0, y: 0.35, z: 0 },
      ),
      facingFront(
        isLiftedOff
          ? panel('front', front.width, front.height)
          : panel('door, front', front.width, front.height, [], says('hinged door')),
        { x: 0, y: low + board, z: 0 },
        { x: 0, y: -0.5, z: 0 },
      ),
      lying(
        panel('top', outside.across, outside.deep),
        { x: 0, y: low, z: tall - board },
        { x: 0, y: 0, z: 0.4 },
      ),
    ];
    if (lining > 0) {
      const inner = { across: outside.across - 2 * board, deep: sideDepth };
      panels.push(
        facingFront(
          padding('lining, back', inner.across, clear.high),
          { x: board, y: -board, z: 0 },
          { x: 0, y: 0.2, z: 0 },
        ),
        facingFront(
          padding(isLiftedOff ? 'lining, front' : 'lining, door', inner.across, clear.high),
          { x: board, y: low + board + lining, z: 0 },
          { x: 0, y: -0.3, z: 0 },
        ),
        facingRight(
          padding('lining, side', clear.deep, clear.high),
          { x: board, y: low + wall, z: 0 },
          { x: -0.2, y: 0, z: 0 },
        ),
        facingRight(
          padding('lining, side with the return', clear.deep, clear.high, onSide(0, 0)),
          { x: x1 - lining, y: low + wall, z: 0 },
          { x: 0.25, y: 0, z: 0 },
        ),
        lying(
          padding('lining, top', inner.across, inner.deep),
          { x: board, y: low + board, z: tall - wall },
          { x: 0, y: 0, z: 0.2 },
        ),
      );
    }
    const sawn = panels.map((placed) => ({ of: placed.board.name, ...inPieces(placed, sizes) }));
    const parts = sawn.flatMap(({ pieces: own }) => own);
    const fronts = sawn.flatMap(({ of, pieces: own }) => (of === 'front' ? own : []));
    const battens = sawn.reduce((sum, { battens: own }) => sum + own, 0);
    // A filter stands on the outside of its opening, in a frame of four strips.
    const outer = outside.across;
    const strip = (name: string, long: number) => ({
      name,
      material: 'sheet' as const,
      outline: rectangle(long, filterDepth),
      holes: [],
      thickness: board,
    });
    for (const z of openings) {
      const y = low + wall + middle - filterWidth / 2;
      const foot = z - PLAY;
      const long = filterWidth + 2 * PLAY;
      for (const at of [y - PLAY - board, y + filterWidth + PLAY]) {
        parts.push({
          board: strip('frame strip, upright', filterHeight + 2 * PLAY),
          at: { x: outer, y: at, z: foot },
          x: { x: 0, y: 0, z: 1 },
          y: { x: 1, y: 0, z: 0 },
          apart: { x: 0.6, y: 0, z: 0 },
        });
      }
      for (const at of [foot - board, foot + filterHeight + 2 * PLAY]) {
        parts.push({
          board: strip('frame strip, level', long),
          at: { x: outer, y: y - PLAY, z: at + board },
          x: { x: 0, y: 1, z: 0 },
          y: { x: 1, y: 0, z: 0 },
          apart: { x: 0.6, y: 0, z: 0 },
        });
      }
    }
    const face = filters * (filterWidth - 2 * HOLD) * (filterHeight - 2 * HOLD);
    const { stands } = place;
    return made({
      parts,
      bought: [
        pieces(
          says('return filters', { width: filterWidth, height: filterHeight, depth: filterDepth }),
          filters,
        ),
        pieces(says('turn buttons'), 4 * filters),
        ...(isLiftedOff
          ? [
              metersOf(says('front gasket'), lengthAround(fronts)),
              pieces(says('front latches'), 4 * fronts.length),
            ]
          : [
              metersOf(says('door gasket'), 2 * (outside.across + tall)),
              pieces(says('door hinges'), 3),
              pieces(says('door latches'), 2),
            ]),
        ...(battens > 0 ? [metersOf(says('battens over the seams'), battens)] : []),
      ],
      checks: [
        check(
          'clear',
          says('width inside'),
          clear.across,
          'at least',
          stands.floor.width,
          'length',
        ),
        check('clear', says('depth inside'), clear.deep, 'at least', stands.floor.depth, 'length'),
        check('clear', says('height inside'), clear.high, 'at least', stands.height, 'length'),
        ...(stands.ceiling === null
          ? []
          : [
              check(
                'clear',
                says('top of the enclosure'),
                tall,
                'at most',
                stands.ceiling,
                'length',
              ),
            ]),
        check(
          'carry',
          says('air through the return'),
          sizes.airflow / face,
          'at most',
          MOST_RETURN,
          'faceVelocity',
        ),
      ],
      steps: [
        ...(battens > 0 ? [says('join the pieces')] : []),
        says('stand up the panels'),
        ...(isLiftedOff ? [says('latch on the front')] : []),
        says('glue the lining'),
        says('frame the filters'),
        says('cool the motor'),
      ],
    });
  },
});

/** Pieces of a panel no larger than those asked for, and the length of its seams that battens go over, m. */
function inPieces(
  placed: PlacedBoard,
  { pieceWidth, pieceHeight }: { readonly pieceWidth: number; readonly pieceHeight: number },
): { readonly pieces: readonly PlacedBoard[]; readonly battens: number } {
  const { width, height } = blankOf(placed.board);
  const kept = placed.board.holes.map((hole) => blankOf({ outline: hole }));
  // Openings stand one above another: across, all of them are one.
  const [first] = kept;
  const x = seamsOf(width, pieceWidth, first ? [around(first.x, first.width)] : []) ?? [];
  const y =
    seamsOf(
      height,
      pieceHeight,
      kept.map((each) => around(each.y, each.height)),
    ) ?? [];
  const isWood = placed.board.material === 'sheet';
  return {
    pieces: dividedBoard(placed, { x, y }),
    battens: isWood ? x.length * height + y.length * width : 0,
  };
}

/** A filter's opening with the wood that is left beside it, HOLD less than the filter on each side. */
const around = (from: number, length: number) => ({
  from: from - HOLD - LEFT,
  to: from + length + HOLD + LEFT,
});

const lengthAround = (placed: readonly PlacedBoard[]): number =>
  placed.reduce((sum, { board }) => {
    const { width, height } = blankOf(board);
    return sum + 2 * (width + height);
  }, 0);
