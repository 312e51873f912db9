import type { Run, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { toSI } from '../../quantity/units';
import { holdTyped } from '../../routing/edit-route';
import { type Improvement, runIn } from '../improvement';

type Hose = NonNullable<Run['hose']>;

/** Hose a machine needs so that it can be moved for cleaning and served, m: common practice, no source. */
const ENOUGH = toSI(2, 'ft');
/** A hose is worth changing from so much more than that on, m. */
const WORTH_CUTTING = toSI(1, 'ft');
/** A hose this much short of its stretched length is bunched up. */
const BUNCHED = 0.02;
const HOURS = 0.4;

/** A hose pulled straight, replaced by pipe but for its last feet, smooth inside, or as wide as its pipe. */
export function hoseImprovements(_: Shop, tree: DuctTree): Improvement[] {
  return tree.upstreamFirst.flatMap((run) => {
    const { hose } = run;
    if (!hose) return [];
    return [
      ...(hose.compression > BUNCHED ? [stretched(run)] : []),
      ...(hose.length > ENOUGH + WORTH_CUTTING ? [pipeFor(run, hose)] : []),
      ...(hose.kind === 'ribbed' ? [smooth(run, hose)] : []),
      ...(hose.diameter < run.diameter - 1e-4 ? [wider(run, hose)] : []),
    ];
  });
}

const edited = (shop: Shop, id: string, change: (hose: Hose, run: Run) => void): void => {
  const run = runIn(shop, id);
  if (run?.hose) change(run.hose, run);
};

const own = (run: Run, kind: string) => ({
  id: `${kind} ${run.id}`,
  price: null,
  changes: [`hose ${run.id}`],
});

function stretched(run: Run): Improvement {
  return {
    ...own(run, 'stretch the hose'),
    work: { kind: 'stretch the hose', run: run.id },
    change: (shop) =>
      edited(shop, run.id, (hose) => {
        hose.compression = 0;
      }),
    buys: [],
    hours: HOURS / 2,
  };
}

/** The machine stays where it is: what the hose is shorter by, pipe takes over. */
function pipeFor(run: Run, hose: Hose): Improvement {
  const piped = hose.length - ENOUGH;
  return {
    ...own(run, 'pipe for hose'),
    work: { kind: 'pipe for hose', run: run.id, from: hose.length, to: ENOUGH },
    change: (shop) => {
      // A drawn hose is as long as its first leg; from here on what is typed holds.
      holdTyped(shop, run.id);
      edited(shop, run.id, (changed, duct) => {
        changed.length = ENOUGH;
        changed.compression = 0;
        duct.length = (run.length ?? 0) + piped;
      });
    },
    buys: [
      { item: 'pipe', quantity: piped, diameter: run.diameter },
      { item: 'elbow', quantity: 1, diameter: run.diameter },
    ],
    hours: 2 * HOURS,
  };
}

function smooth(run: Run, hose: Hose): Improvement {
  return {
    ...own(run, 'smooth hose'),
    work: { kind: 'smooth hose', run: run.id },
    change: (shop) =>
      edited(shop, run.id, (changed) => {
        changed.kind = 'smooth';
        changed.compression = 0;
      }),
    buys: [{ item: 'smoothHose', quantity: hose.length, diameter: hose.diameter }],
    hours: HOURS,
  };
}

function wider(run: Run, hose: Hose): Improvement {
  return {
    ...own(run, 'wider hose'),
    work: { kind: 'wider hose', run: run.id, from: hose.diameter, to: run.diameter },
    change: (shop) =>
      edited(shop, run.id, (changed) => {
        changed.diameter = run.diameter;
      }),
    buys: [{ item: 'ribbedHose', quantity: hose.length, diameter: run.diameter }],
    hours: HOURS,
  };
}
