import { addDrop, addRun } from '../src/design/edit-ducts';
import { MACHINE_KIND_IDS } from '../src/design/machine-kinds';
import { newShop } from '../src/design/new-shop';
import type { Run, Shop } from '../src/design/schema';
import { toSI } from '../src/quantity/units';
import { setRoomSize } from '../src/room/edit-floor';
import { addMachine, routeUsual } from '../src/routing/edit-machines';
import { routeDuct } from '../src/routing/route-duct';

/** Shops for checks; invented. Ids count up, so that every call gives the same document. */
export const counter = () => {
  let next = 0;
  return () => `id${next++}`;
};

/** A blower on a straight line, which both engines interpolate alike, big enough for anything. */
const straightBlower = (shutOff: number, freeFlow: number) =>
  [0, 1 / 3, 2 / 3, 1].map((share) => ({
    flow: share * freeFlow,
    pressure: shutOff * (1 - share),
  }));

/** No kind of loss but constant coefficients, an exhaust outdoors, and gates that shut airtight. */
function comparableShop(shutOff: number, freeFlow: number): Shop {
  const shop = newShop('shop', 'Check', 'us', straightBlower(shutOff, freeFlow));
  shop.shop.rules.junctions = 'handbook';
  shop.shop.site.humidity = 0;
  shop.collector.exhaust = {
    kind: 'outdoors',
    diameter: 0.2,
    length: 0,
    pipe: 'galvanised',
    lossCoefficient: 1.5,
    end: 'open',
    heating: null,
    makeUp: null,
  };
  shop.condition.sealing.usual = 30;
  return shop;
}

function withAirtightGate(run: Run | undefined): void {
  if (run?.gate) run.gate.closedGap = 0;
}

/** A curve that falls from shut-off into a stall, rises out of it to a peak, and falls; m³/s and Pa. */
export const STALLING_CURVE = (
  [
    [0, 900],
    [0.08, 200],
    [0.16, 200],
    [0.24, 1800],
    [0.4, 1500],
    [0.6, 0],
  ] as const
).map(([flow, pressure]) => ({ flow, pressure }));

/** Saw, planer and sander on one main; ids `saw`, `planer`, `sander` are their runs. */
export function threeBranchShop(): Shop {
  const shop = comparableShop(2500, 0.6);
  const newId = counter();
  const main = addRun(shop, 'inlet', newId);
  const joint = shop.ducts.runs.find(({ id }) => id === main)?.from ?? '';
  const names = ['saw', 'planer', 'sander'] as const;
  const kinds = ['tableSaw', 'planer', 'drumSander'] as const;
  names.forEach((name, i) => {
    const id = addDrop(shop, joint, kinds[i] ?? 'tableSaw', newId);
    const run = shop.ducts.runs.find((candidate) => candidate.id === id);
    if (run) run.id = name;
    withAirtightGate(run);
  });
  return shop;
}

/**
 * A main with a drop every three metres or so, branches of branches, all by rule, no chance. With
 * `risers` every drop hangs on a run of its own from the main: three runs a drop.
 */
export function generatedShop(drops: number, { risers = false } = {}): Shop {
  const shop = comparableShop(3000, 0.4 + 0.12 * drops);
  const newId = counter();
  const runOf = (id: string) => shop.ducts.runs.find((candidate) => candidate.id === id);
  const mainDiameter = toSI(drops > 12 ? 16 : 10, 'in');
  shop.collector.separator.inletDiameter = mainDiameter;
  let joint = 'inlet';
  for (let i = 0; i < drops; i++) {
    if (i % 4 !== 3 || risers) {
      const run = runOf(addRun(shop, joint, newId));
      if (run) {
        joint = run.from;
        run.length = 2 + (i % 5) * 0.7;
        run.diameter = Math.max(toSI(8, 'in'), mainDiameter * (1 - i / (2 * drops)));
      }
    }
    let hangsOn = joint;
    if (risers) {
      const riser = runOf(addRun(shop, joint, newId));
      if (riser) Object.assign(riser, { length: 1 + (i % 3) * 0.5, diameter: toSI(6, 'in') });
      hangsOn = riser?.from ?? joint;
    }
    const kind = MACHINE_KIND_IDS[i % MACHINE_KIND_IDS.length] ?? 'tableSaw';
    const drop = runOf(addDrop(shop, hangsOn, kind, newId));
    withAirtightGate(drop);
    if (drop) drop.length = 1.5 + (i % 7) * 0.6;
    if (drop && i % 3 === 2) drop.hose = null;
  }
  return shop;
}

/** A document's copy, as a file would give it back. */
export const copyOf = (shop: Shop): Shop => JSON.parse(JSON.stringify(shop));

/**
 * A hall with a main along its middle and a machine every two metres on both sides of it, each routed to
 * the main the usual way, all by rule, no chance: what a drag is measured on.
 */
export function drawnShop(drops: number): Shop {
  const shop = comparableShop(3000, 0.4 + 0.12 * drops);
  const newId = counter();
  const length = 4 + drops * 1.1;
  setRoomSize(shop, length + 4, 10);
  shop.room.ceilingHeight = 4;
  shop.room.boardLength = 0.8;
  shop.collector.separator.inletDiameter = toSI(16, 'in');
  shop.collector.place = { x: length + 2, y: 5, z: 0 };
  shop.collector.inlet = { side: 'left', height: 3 };
  const end = { kind: 'free', at: { x: 1, y: 5, z: 3 } } as const;
  const main = routeDuct(shop, end, { kind: 'inlet' }, { between: [], hasHose: false }, newId);
  let run = main.ok ? main.run : '';
  const first = shop.ducts.runs[0];
  if (first) first.diameter = toSI(16, 'in');
  // From the collector outward, so that every drop joins what is left of the main.
  for (let i = 0; i < drops; i++) {
    const kind = MACHINE_KIND_IDS[i % MACHINE_KIND_IDS.length] ?? 'tableSaw';
    const id = addMachine(shop, kind, newId);
    const machine = shop.machines.find((each) => each.id === id);
    if (!machine) continue;
    machine.place = { x: length - 1 - i * 1.1, y: i % 2 === 0 ? 2.2 : 7.8 };
    const port = machine.ports[0]?.id ?? '';
    const routed = routeUsual(shop, id, port, { kind: 'run', run }, newId);
    const joint = routed.ok
      ? shop.ducts.runs.find((each) => each.id === routed.run)?.to
      : undefined;
    run =
      shop.ducts.runs.find(({ to, name }) => to === joint && name.startsWith('Main'))?.id ?? run;
  }
  return shop;
}
