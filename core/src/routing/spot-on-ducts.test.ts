import { describe, expect, it } from 'vitest';
import { drawnShop } from '../../reference/sample-shops';
import { ductLines } from './duct-lines';
import { placeInRun, runAtSpot } from './spot-on-ducts';

const lines = ductLines(drawnShop(6));
const drawn = [...lines.lines.entries()].filter(([, { legs }]) => legs.length > 0);

describe('a spot of the plan', () => {
  it('on a run is as far down it as the run’s own place there says', () => {
    expect(drawn.length).toBeGreaterThan(6);
    for (const [run, { legs }] of drawn) {
      for (const { start, length, direction } of legs) {
        if (Math.abs(direction.z) > 0.5) continue;
        const at = placeInRun(lines, run, start + 0.5 * length);
        const found = at && runAtSpot(lines, at, 0.01);
        const back = found && placeInRun(lines, found.run, found.along);
        // Another run may lie above or below it: then that one's place is at the same spot.
        expect(
          Math.hypot((back?.x ?? 9) - (at?.x ?? 0), (back?.y ?? 9) - (at?.y ?? 0)),
        ).toBeLessThan(0.01);
      }
    }
  });

  it('away from every duct is in none', () => {
    expect(runAtSpot(lines, { x: -50, y: -50 }, 0.3)).toBeNull();
  });

  it('beyond a run’s end is its end, and of a run that is gone nowhere', () => {
    for (const [run, { points }] of drawn)
      expect(placeInRun(lines, run, 1e4)).toEqual(points.at(-1));
    expect(placeInRun(lines, 'gone', 1)).toBeNull();
  });
});
