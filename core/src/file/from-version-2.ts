import { eachOf, type Json, within } from '../document/json-walk';
import type { Migration } from './migration';

/** How every collector was silently taken to stand when version 3 began. */
const stackOf = (separator: unknown): Json => ({
  order: 'pulled',
  bin: {
    shape: 'round',
    diameter: null,
    height: null,
    raised: 0.05,
    weight: null,
    isLined: false,
  },
  lid: { thickness: 0.036, lip: 0.02 },
  emptying: { kind: 'lift' },
  separator: { diameter: null, height: null, weight: null, hungAt: null },
  coupling: { kind: 'hose', length: 0.3 },
  blower: { housing: null, width: null, motorLength: null, weight: null },
  mount: separator === 'none' ? { kind: 'cart', height: 0.15 } : { kind: 'onSeparator' },
  cleat: {
    length: 0.6,
    studSpacing: 0.4064,
    screws: 4,
    screwDiameter: 0.008,
    screwDepth: 0.05,
    rise: 0.3,
  },
  transition: { kind: 'rigid', length: 0.3 },
  filter: { diameter: null, height: null, weight: null, hungAt: null },
  filterBin: { kind: 'bin', height: null },
  people: 1,
});

/** What a collector and a candidate share. */
function parts(before: Json): Json {
  let own = within(before, 'blower', (blower) => ({
    ...within(blower, 'motor', (motor) => ({ ...motor, startRatio: null })),
    trip: 'unknown',
    plug: null,
  }));
  own = within(own, 'exhaust', (exhaust) =>
    exhaust.kind === 'enclosure' ? { ...exhaust, box: null } : exhaust,
  );
  const { separator } = before;
  const kind = typeof separator === 'object' && separator ? (separator as Json).kind : undefined;
  return { ...own, stack: stackOf(kind) };
}

/** How collectors and machines stand, windows, plugs and starts, boxes, callipered joints, sound and curve tests. */
export const fromVersion2: Migration = {
  from: 2,
  what: 'how a collector stands, its plug and start, what an enclosure is built of, true diameters of joints, tape and bands, sound readings and field tests of the blower, windows, boards, machines’ sizes, ways of ducts on the floor and where they arrive',
  migrate: (document) => {
    const stood = eachOf(within(document, 'collector', parts), 'candidates', parts);
    const roomed = within(stood, 'room', (room) => ({ ...room, windows: [], boardLength: 2.4 }));
    const turned = within(roomed, 'collector', (collector) => ({
      ...collector,
      turn: 0,
      inlet: { side: 'left', height: null },
    }));
    const fed = eachOf(turned, 'machines', (machine) => ({ ...machine, size: null, feed: null }));
    const jointed = within(fed, 'ducts', (ducts) => ({
      ...eachOf(ducts, 'runs', (run) => ({ ...run, route: null })),
      measuredEnds: [],
      stock: { tape: 0.00018, bands: [] },
    }));
    return within(jointed, 'log', (log) => ({ ...log, sounds: [], curveTests: [] }));
  },
};
