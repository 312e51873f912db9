import { circle, lying, type PlacedBoard, rectangle } from '../boards/board';
import { check, count, height, made, maker, pieces, refuse, size } from './maker';
import { insideBin, usualIn } from './maker-place';
import { says } from './sayings';

/** Room for the liner between cage and drum, and around a tube, m: estimates. */
const LINER = 0.003;
const TUBE_PLAY = 0.001;
/** A liner bows in between two slats farther apart than this, m: an estimate. */
export const WIDEST_GAP = 0.16;
/** Hoops leave at least this share of the drum's area open for chips to fall through: an estimate. */
const LEAST_OPEN = 0.5;

/**
 * A cage of hoops and slats that stands in a drum's liner and holds it to the wall, and tubes outside the liner that
 * let air under it: neither is it sucked up, nor does it stick when it is pulled out.
 */
export const linerCage = maker({
  fields: {
    drum: size(0.15, 1.5),
    drumHeight: height(0.15, 2),
    hoops: count(2, 6),
    hoop: size(0.01, 0.1),
    board: size(0.006, 0.03),
    slats: count(4, 40),
    slat: size(0.01, 0.1),
    slatThickness: size(0.002, 0.02),
    tubes: count(1, 6),
    tube: size(0.004, 0.05),
  },
  usual: (place) => {
    const { bin } = place.stands.sizes;
    return {
      drum: insideBin(place),
      drumHeight: bin.height,
      hoops: 3,
      hoop: usualIn(place, 1, 0.025),
      board: usualIn(place, 0.5, 0.012),
      slats: Math.ceil((Math.PI * bin.diameter) / WIDEST_GAP),
      slat: usualIn(place, 1, 0.025),
      slatThickness: place.thin,
      tubes: 2,
      tube: usualIn(place, 0.625, 0.016),
    };
  },
  make: (sizes) => {
    const { drum, drumHeight, hoops, hoop, board, slats, slat, slatThickness, tubes, tube } = sizes;
    const radius = drum / 2 - LINER;
    if (tubes > slats) {
      return refuse('tubes', says('more tubes than slats', { most: slats }));
    }
    // A slat's outer corners touch the liner first; a tube stands beside the hoops, between two slats.
    const bySlat = Math.sqrt(Math.max(0, radius ** 2 - (slat / 2) ** 2)) - slatThickness;
    const byTube = drum / 2 - tube - 2 * TUBE_PLAY - LINER;
    const outside = Math.min(bySlat, byTube);
    if (outside - hoop < 0.03) {
      return refuse(
        'hoop',
        says('hoops leave no opening', { hoop, most: Math.max(0, outside - 0.03) }),
      );
    }
    const every = (2 * Math.PI * outside) / slats;
    if (every < slat + tube + 2 * TUBE_PLAY) {
      return refuse(
        'slats',
        says('no room for tubes', {
          slats,
          slat,
          most: Math.floor((2 * Math.PI * outside) / (slat + tube + 2 * TUBE_PLAY)),
        }),
      );
    }
    if (hoops * board > drumHeight / 2) {
      return refuse('hoops', says('too many hoops', { hoops, board, drum: drumHeight }));
    }
    const ring = {
      name: 'hoop',
      material: 'sheet' as const,
      outline: circle(outside),
      holes: [circle(outside - hoop)],
      thickness: board,
    };
    const slatBoard = {
      name: 'slat',
      material: 'sheet' as const,
      outline: rectangle(slat, drumHeight, { x: -slat / 2, y: 0 }),
      holes: [],
      thickness: slatThickness,
    };
    const pipe = {
      name: 'breather tube',
      material: 'pipe' as const,
      outline: circle(tube / 2),
      holes: [circle(0.4 * tube)],
      thickness: drumHeight,
      note: says('slanted ends'),
    };
    const turned = (angle: number): PlacedBoard => {
      const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
      return {
        board: slatBoard,
        at: { x: outside * cos, y: outside * sin, z: 0 },
        // Its thickness grows outward.
        x: { x: -sin, y: cos, z: 0 },
        y: { x: 0, y: 0, z: 1 },
        apart: { x: 0, y: 0, z: 0 },
      };
    };
    const step = (2 * Math.PI) / slats;
    const gaps = Array.from(
      { length: tubes },
      (_, i) => (Math.floor((i * slats) / tubes) + 0.5) * step,
    );
    const tubeRadius = drum / 2 - tube / 2 - TUBE_PLAY;
    const open = ((outside - hoop) / (drum / 2)) ** 2;
    return made({
      parts: [
        ...Array.from({ length: hoops }, (_, i) =>
          lying(ring, { x: 0, y: 0, z: (i * (drumHeight - board)) / (hoops - 1) }),
        ),
        ...Array.from({ length: slats }, (_, i) => turned(i * step)),
        ...gaps.map((angle) =>
          lying(
            pipe,
            { x: tubeRadius * Math.cos(angle), y: tubeRadius * Math.sin(angle), z: 0 },
            {
              x: 0.12 * Math.cos(angle),
              y: 0.12 * Math.sin(angle),
              z: 0.1,
            },
          ),
        ),
      ],
      bought: [pieces(says('slat screws'), slats * hoops)],
      checks: [
        check('clear', says('gap between slats'), every - slat, 'at most', WIDEST_GAP),
        check('clear', says('opening through the hoops'), open, 'at least', LEAST_OPEN, 'ratio'),
      ],
      steps: [
        says('screw the slats'),
        says('stand tubes and liner'),
        says('fold the liner'),
        says('take the cage out'),
      ],
    });
  },
});
