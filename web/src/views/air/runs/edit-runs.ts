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
  splitRun,
} from '@frank-gauge/core';
import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { chooseDrop, choosePart } from '@/store/choices';
import { edit, useSession } from '@/store/shop-session';
import { undoAloud } from '../../frame/undo-aloud';

const newId = () => nanoid(10);

const openShopId = () => {
  const session = useSession.getState();
  return session.status === 'open' ? session.id : '';
};

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
  const session = useSession.getState();
  if (session.status !== 'open') return;
  const { shop, id } = session;
  const from = shop.ducts.runs.find((run) => run.id === added)?.from;
  const isDrop = shop.ducts.nodes.some((node) => node.id === from && node.kind.kind === 'port');
  choosePart(id, added);
  if (from && isDrop) chooseDrop(id, from);
}

/** Lays a main from the collector's inlet. */
export function addMain(): void {
  addAndOpen('lay the main', (shop) => addRun(shop, inletOf(shop), newId));
}

/** Lays a further run from a node outward. */
export function addRunAt(node: string): void {
  addAndOpen('add a run', (shop) => addRun(shop, node, newId));
}

/** Hangs a machine with its drop on a node, or in the middle of a run where `splitting` names one. */
export function addDropAt(node: string, kind: MachineKindId, splitting?: string): void {
  addAndOpen('add a machine', (shop) => {
    const at = splitting ? (splitRun(shop, splitting, newId) ?? node) : node;
    return addDrop(shop, at, kind, newId);
  });
}

export function removeRunAloud(run: Run, count: number): void {
  edit(`remove ${run.name}`, (shop) => removeRun(shop, run.id));
  choosePart(openShopId(), '');
  const what = count > 1 ? `${run.name} and ${count - 1} behind it` : run.name;
  toast(`Removed ${what}`, { action: { label: 'Undo', onClick: () => void undoAloud() } });
}

/** A 90° elbow as the shop usually makes them, to be changed. */
export const usualElbow = (like: Fitting | undefined): Fitting => ({
  kind: 'elbow',
  id: newId(),
  style: like?.kind === 'elbow' ? like.style : 'fivePiece',
  angle: Math.PI / 2,
  radiusRatio: like?.kind === 'elbow' ? like.radiusRatio : 1.5,
  count: 1,
  after: null,
});

/** Two 45° elbows with a short spacer, as the shop usually makes its elbows. */
export const usualPair = (like: Fitting | undefined, diameter: number): Fitting => ({
  kind: 'pair',
  id: newId(),
  style: like && like.kind !== 'other' ? like.style : 'fivePiece',
  radiusRatio: like && like.kind !== 'other' ? like.radiusRatio : 1.5,
  spacer: diameter,
  count: 1,
});
