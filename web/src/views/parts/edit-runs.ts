import { FITTING_KINDS, isBend, usualFitting } from '@frank-gauge/core/catalogue';
import {
  addDrop,
  addRun,
  type Fitting,
  type Machine,
  type MachineKindId,
  type Port,
  type Run,
  removeRun,
  type Shop,
  setJoins,
} from '@frank-gauge/core/design';
import { holdTyped, setBendStyle, splitInHalf } from '@frank-gauge/core/routing';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { chooseDrop, choosePart } from '@/storage/choices';
import { edit, openShopId, shopSession } from '@/storage/session';
import { undoAction } from '../frame/undo-aloud';

const newId = () => nanoid(10);

/** Edits one field of a run; quick edits of the same field are one step to undo. */
export function editRun(run: Run, field: string, change: (run: Run) => void): void {
  edit(
    `${field} of ${run.name}`,
    (shop) => {
      const own = shop.ducts.runs.find(({ id }) => id === run.id);
      if (own) change(own);
    },
    { merge: `${run.id} ${field}` },
  );
}

/**
 * As `editRun`, of something the drawing on the Floor says of a drawn run: from now on what is typed
 * holds for it, which is said aloud.
 */
export function editTyped(run: Run, field: string, change: (run: Run) => void): void {
  edit(
    `${field} of ${run.name}`,
    (shop) => {
      holdTyped(shop, run.id);
      const own = shop.ducts.runs.find(({ id }) => id === run.id);
      if (own) change(own);
    },
    { merge: `${run.id} ${field}` },
  );
  if (run.route?.isFollowed) noteTyped(run.name);
}

const noteTyped = (name: string) =>
  toast(`${name} now uses the typed values instead of its drawing on the Floor.`, {
    action: undoAction(),
  });

/** Edits one field of a fitting that is no turn; quick edits of it are one step to undo. */
export function editFitting(
  run: Run,
  { id, kind }: Fitting,
  field: string,
  change: (own: Fitting) => void,
): void {
  edit(
    `${FITTING_KINDS[kind].name.toLowerCase()} in ${run.name}: ${field}`,
    (shop) => {
      const own = shop.ducts.runs.find((each) => each.id === run.id);
      const found = own?.fittings.find((each) => each.id === id);
      if (found) change(found);
    },
    { merge: `${run.id} ${id} ${field}` },
  );
}

/** Puts a fitting at a run's end, or takes one out: each a step to undo of its own. */
export function changeFittings(
  run: Run,
  label: string,
  change: (fittings: Fitting[]) => Fitting[],
): void {
  edit(label, (shop) => {
    const own = shop.ducts.runs.find(({ id }) => id === run.id);
    if (own) own.fittings = change(own.fittings);
  });
}

/** Changes how a run joins others. */
export function editJoins(run: Run, joins: Run['joins']): void {
  edit(`how ${run.name} joins`, (shop) => {
    holdTyped(shop, run.id);
    setJoins(shop, run.id, joins);
  });
  if (run.route?.isFollowed) noteTyped(run.name);
}

/** Changes how a bend is made: on the drawing, where that says the run's bends. */
export function editMade(run: Run, fitting: string, change: (made: Made) => void): void {
  edit(
    `bend of ${run.name}`,
    (shop) => {
      const derived = run.fittings.find(({ id }) => id === fitting);
      if (run.route?.isFollowed && derived?.kind === 'elbow') {
        const made = { style: derived.style, radiusRatio: derived.radiusRatio };
        change(made);
        const half = /-[ab]$/.exec(fitting);
        setBendStyle(shop, half ? fitting.slice(0, -2) : fitting, {
          elbow: made.style,
          radiusRatio: made.radiusRatio,
          pair: half ? spacerOf(run, fitting) : null,
        });
        return;
      }
      const own = shop.ducts.runs.find(({ id }) => id === run.id);
      const found = own?.fittings.find(({ id }) => id === fitting);
      if (found && isBend(found)) change(found);
    },
    { merge: `${run.id} bend ${fitting}` },
  );
}

/** What can be said of how a bend is made. */
export interface Made {
  style: Extract<Fitting, { kind: 'elbow' }>['style'];
  radiusRatio: number;
}

/** The spacer of a drawn pair: the straight behind its first elbow. */
function spacerOf({ fittings }: Run, half: string): number {
  const first = fittings.find(({ id }) => id === `${half.slice(0, -2)}-a`);
  return first?.kind === 'elbow' ? (first.after ?? 0) : 0;
}

/** Edits one field of the port a drop ends at. */
export function editPort(
  nodeId: string,
  field: string,
  change: (port: Port, machine: Machine) => void,
): void {
  edit(
    field,
    (shop) => {
      const node = shop.ducts.nodes.find(({ id }) => id === nodeId);
      if (node?.kind.kind !== 'port') return;
      const { kind } = node;
      const machine = shop.machines.find(({ id }) => id === kind.machine);
      const port = machine?.ports.find(({ id }) => id === kind.port);
      if (machine && port) change(port, machine);
    },
    { merge: `${nodeId} ${field}` },
  );
}

const inletOf = (shop: Shop) =>
  shop.ducts.nodes.find((node) => node.kind.kind === 'inlet')?.id ?? 'inlet';

/** Adds a run by a recipe that answers its id, opens its details, and explains it if it is a drop. */
function addAndOpen(label: string, add: (shop: Shop) => string): void {
  let added = '';
  edit(label, (shop) => {
    added = add(shop);
  });
  const session = shopSession.state.getState();
  if (session.status !== 'open') return;
  const { shop, id } = session;
  const from = shop.ducts.runs.find((run) => run.id === added)?.from;
  const isDrop = shop.ducts.nodes.some((node) => node.id === from && node.kind.kind === 'port');
  choosePart(id, added);
  if (from && isDrop) chooseDrop(id, from);
}

/** Lays a main from the collector's inlet. */
export function addMain(): void {
  addAndOpen('add the main', (shop) => addRun(shop, inletOf(shop), newId));
}

/** Lays a further run from a node outward. */
export function addRunAt(node: string): void {
  addAndOpen('add a run', (shop) => addRun(shop, node, newId));
}

/** Hangs a machine with its drop on a node, or in the middle of a run where `splitting` names one. */
export function addDropAt(node: string, kind: MachineKindId, splitting?: string): void {
  addAndOpen('add a machine', (shop) => {
    const at = splitting ? (splitInHalf(shop, splitting, newId) ?? node) : node;
    return addDrop(shop, at, kind, newId);
  });
}

export function removeRunAloud(run: Run, count: number): void {
  edit(`remove ${run.name}`, (shop) => removeRun(shop, run.id));
  choosePart(openShopId(), '');
  const what = count > 1 ? `${run.name} and ${count - 1} upstream of it` : run.name;
  toast(`Removed ${what}`, { action: undoAction() });
}

/** A 90° elbow as the shop usually makes them, to be changed. */
export function usualElbow(like: Fitting | undefined): Fitting {
  const usual = usualFitting('elbow', newId());
  if (usual.kind !== 'elbow' || like?.kind !== 'elbow') return usual;
  return { ...usual, style: like.style, radiusRatio: like.radiusRatio };
}

/** Two 45° elbows with a short spacer, as the shop usually makes its elbows. */
export function usualPair(like: Fitting | undefined, diameter: number): Fitting {
  const usual = usualFitting('pair', newId());
  if (usual.kind !== 'pair') return usual;
  const made = like && isBend(like) ? like : usual;
  return { ...usual, style: made.style, radiusRatio: made.radiusRatio, spacer: diameter };
}
