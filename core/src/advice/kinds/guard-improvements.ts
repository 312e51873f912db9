import { addDrop, newGate, splitRun } from '../../design/edit-ducts';
import { MACHINE_KINDS } from '../../design/machine-kinds';
import type { Machine, Shop } from '../../design/schema';
import type { DuctTree } from '../../design/topology';
import { toSI } from '../../quantity/units';
import { routeUsual } from '../../routing/edit-machines';
import { runFromPort } from '../../routing/route-duct';
import { type Improvement, newIdsIn } from '../improvement';

/** Work to make a guard and hang it, h: an estimate. */
const HOURS = 3;
/** Pipe and hose of its own duct, m: an estimate. */
const DUCT = { pipe: toSI(6, 'ft'), hose: toSI(3, 'ft') };

/**
 * Table saws whose blades throw dust above the table where nothing catches it: those with one port, as far as no
 * overarm guards stand among the machines.
 */
export function unguardedSaws({ machines }: Pick<Shop, 'machines'>): readonly Machine[] {
  const guards = machines.filter(({ kind }) => kind === 'sawGuard').length;
  return machines
    .filter(({ kind, ports }) => kind === 'tableSaw' && ports.length < 2)
    .slice(guards);
}

/** An overarm guard over a table saw, on a branch of the saw's own drop and behind the same gate. */
export function guardImprovements(shop: Shop, { drops }: DuctTree): Improvement[] {
  const { diameter } = MACHINE_KINDS.sawGuard;
  return unguardedSaws(shop).flatMap((saw): Improvement[] => {
    const drop = drops.find(({ machine }) => machine.id === saw.id);
    const own = drop?.path[0];
    if (!own || !hasGuard(structuredClone(shop), saw.id)) return [];
    return [
      {
        id: `saw guard ${saw.id}`,
        work: { kind: 'saw guard', machine: saw.id, diameter },
        change: (changed) => void hasGuard(changed, saw.id),
        buys: [
          { item: 'guard', quantity: 1, diameter: null },
          { item: 'pipe', quantity: DUCT.pipe, diameter },
          { item: 'ribbedHose', quantity: DUCT.hose, diameter },
          { item: 'wye', quantity: 1, diameter: own.diameter },
          { item: 'elbow', quantity: 1, diameter },
        ],
        price: null,
        hours: HOURS,
        changes: [
          `guard ${saw.id}`,
          ...['size', 'hose', 'gate', 'joins'].map((of) => `${of} ${own.id}`),
        ],
      },
    ];
  });
}

/** Hangs a guard over a saw; false, and the shop to be thrown away, where no duct finds its way to it. */
function hasGuard(shop: Shop, sawId: string): boolean {
  const saw = shop.machines.find(({ id }) => id === sawId);
  const [first] = saw?.ports ?? [];
  const own = saw && first && runFromPort(shop, sawId, first.id);
  if (!saw || !own) return false;
  // With two ports each needs a name to be told from the other.
  first.name ||= 'cabinet';
  const newId = newIdsIn(shop, 'guard');
  const isDrawn = own.route !== null && saw.place !== null;
  const guard = isDrawn ? drawn(shop, saw, own.id, newId) : typed(shop, saw, own.id, newId);
  const above = shop.ducts.runs.find(({ id }) => id === own.id);
  const below = shop.ducts.runs.find(({ from }) => from === above?.to);
  const branch = shop.ducts.runs.find(({ id }) => id === guard);
  if (!above || !below || !branch) return false;
  // One gate opens both, as one switch does.
  if (above.gate) below.gate = { ...above.gate, end: 'upstream' };
  else if (branch.gate) below.gate ??= newGate(branch.gate.open);
  above.gate = null;
  branch.gate = null;
  return true;
}

/** The guard's own port, over the middle of the table. */
function portOver(saw: Machine, id: string): Machine['ports'][number] {
  const { flow, diameter, entryLoss, portHeight } = MACHINE_KINDS.sawGuard;
  return {
    id,
    name: 'overarm guard',
    at: { x: 0, y: 0, z: portHeight },
    diameter,
    need: { kind: 'flow', flow },
    entryLoss,
    openTime: saw.ports[0]?.openTime ?? null,
    servedBy: 'ducts',
  };
}

function drawn(shop: Shop, saw: Machine, run: string, newId: () => string): string | null {
  const port = portOver(saw, newId());
  saw.ports.push(port);
  const routed = routeUsual(shop, saw.id, port.id, { kind: 'run', run }, newId);
  return routed.ok ? routed.run : null;
}

function typed(shop: Shop, saw: Machine, run: string, newId: () => string): string | null {
  // A run that is cut where it lies has no drawing any more; what was typed holds.
  const node = splitRun(shop, run, newId);
  if (node === null) return null;
  const guard = addDrop(shop, node, 'sawGuard', newId);
  const added = shop.machines.pop();
  const [port] = added?.ports ?? [];
  const branch = shop.ducts.runs.find(({ id }) => id === guard);
  const end = shop.ducts.nodes.find(({ id }) => id === branch?.from);
  if (!port || !branch || !end) return null;
  saw.ports.push({ ...portOver(saw, port.id), at: null });
  end.kind = { kind: 'port', machine: saw.id, port: port.id };
  Object.assign(branch, { length: DUCT.pipe });
  if (branch.hose) branch.hose.length = DUCT.hose;
  return guard;
}
