import { isStraight, type Joins, joinAngle } from '../fittings/joins/joins';
import { toSI } from '../quantity/units';
import { MACHINE_KINDS, type MachineKindId } from './machine-kinds';
import { freeName, MAIN, nameBelow, nameDucts, runNames } from './name-ducts';
import type { Gate, Machine, Run, Shop } from './schema';

/**
 * Changes to a shop's ducts. Each is a recipe: it changes the draft it is given (an immer draft, or
 * a copy) and keeps the ducts a tree. Identifiers come from the caller: the core has no chance in it.
 */
export type NewId = () => string;

const DEFAULT_BRANCH_ANGLE = Math.PI / 4;
const RIGHT_ANGLE = Math.PI / 2;

const runsInto = (shop: Shop, node: string) => shop.ducts.runs.filter((run) => run.to === node);

const branchAt = (angle = DEFAULT_BRANCH_ANGLE): Joins => ({ kind: 'branch', angle });
const STRAIGHT: Joins = { kind: 'straight' };

/**
 * How one more run joins at `node` beside all but `own`: straight through where none does so yet, as the
 * second leg of a Y that has one, else as a 45° branch.
 */
export function joinsAt(shop: Shop, node: string, own?: string): Joins {
  const others = runsInto(shop, node).filter((run) => run.id !== own);
  const [first, ...more] = others.map(({ joins }) => joins);
  if (first?.kind === 'symmetric') return more.length === 0 ? { ...first } : branchAt();
  return others.some(({ joins }) => isStraight(joins)) ? branchAt() : { ...STRAIGHT };
}

/** Metric ports and ducts come in steps of 25 mm. */
const METRIC_STEP = toSI(25, 'mm');
const roundTo = (value: number, step: number) => Math.round(value / step) * step;

/** Diameter of what leaves `node` towards the blower. */
export function diameterAt(shop: Shop, node: string): number {
  const out = shop.ducts.runs.find((run) => run.from === node);
  return out?.diameter ?? shop.collector.separator.inletDiameter;
}

/** What a shop's first run is made of, to be changed. */
export const usualPipe = ({ shop }: Shop): Run['pipe'] =>
  shop.units === 'us' ? 'galvanised' : 'spiralMetric';

/** Adds a run that ends at `node`, with a free end to go on from. Returns its id. */
export function addRun(shop: Shop, node: string, newId: NewId): string {
  const from = newId();
  const id = newId();
  const sibling = runsInto(shop, node)[0];
  const outgoing = shop.ducts.runs.find((run) => run.from === node);
  shop.ducts.nodes.push({ id: from, kind: { kind: 'joint' }, at: null, style: {} });
  shop.ducts.runs.push({
    id,
    name: MAIN,
    from,
    to: node,
    joins: joinsAt(shop, node),
    pipe: (sibling ?? outgoing)?.pipe ?? usualPipe(shop),
    route: null,
    length: shop.shop.units === 'us' ? toSI(10, 'ft') : 3,
    diameter: diameterAt(shop, node),
    fittings: [],
    joints: null,
    hose: null,
    gate: null,
  });
  nameDucts(shop);
  return id;
}

/** A machine of a kind, not placed yet, with one port, by what such a machine usually needs. */
export function newMachine(shop: Shop, kindId: MachineKindId, newId: NewId): Machine {
  const kind = MACHINE_KINDS[kindId];
  const isUs = shop.shop.units === 'us';
  return {
    id: newId(),
    name: freeName(
      kind.name.split(',')[0] ?? kind.name,
      shop.machines.map((machine) => machine.name),
    ),
    kind: kindId,
    place: null,
    turn: 0,
    size: null,
    feed: null,
    chips: kind.chips,
    ports: [
      {
        id: newId(),
        name: '',
        at: null,
        diameter: isUs ? kind.diameter : roundTo(kind.diameter, METRIC_STEP),
        need: {
          kind: 'flow',
          flow: isUs ? kind.flow : roundTo(kind.flow, toSI(10, 'm3h')),
        },
        entryLoss: kind.entryLoss,
        openTime: null,
        servedBy: 'ducts',
      },
    ],
  };
}

/**
 * Adds a machine of a kind with the drop that serves it: pipe down, one elbow, a gate, a hose. The
 * drop ends at `node`. Returns the run's id.
 */
export function addDrop(shop: Shop, node: string, kindId: MachineKindId, newId: NewId): string {
  const isUs = shop.shop.units === 'us';
  const added = newMachine(shop, kindId, newId);
  const { id: machine, name } = added;
  const port = added.ports[0]?.id ?? '';
  const diameter = added.ports[0]?.diameter ?? MACHINE_KINDS[kindId].diameter;
  const from = newId();
  const id = newId();
  shop.machines.push(added);
  shop.ducts.nodes.push({ id: from, kind: { kind: 'port', machine, port }, at: null, style: {} });
  shop.ducts.runs.push({
    id,
    name: freeName(`${name} drop`, runNames(shop)),
    from,
    to: node,
    joins: joinsAt(shop, node),
    pipe: shop.ducts.runs[0]?.pipe ?? usualPipe(shop),
    route: null,
    length: isUs ? toSI(8, 'ft') : 2.5,
    diameter,
    fittings: [
      {
        kind: 'elbow',
        id: newId(),
        style: 'fivePiece',
        angle: RIGHT_ANGLE,
        radiusRatio: 1.5,
        count: 1,
        after: null,
      },
    ],
    joints: null,
    hose: { kind: 'ribbed', length: isUs ? toSI(3, 'ft') : 1, diameter, compression: 0 },
    gate: newGate(shop.ducts.runs.every((run) => !run.gate?.open)),
  });
  nameDucts(shop);
  return id;
}

/**
 * Cuts a run in half so that something can join in its middle; the upstream half keeps the run's
 * identity with its fittings, hose and gate. Returns the new node's id, or null for no such run or
 * one that is drawn: that is cut where it lies.
 */
export function splitRun(shop: Shop, runId: string, newId: NewId): string | null {
  const run = shop.ducts.runs.find((candidate) => candidate.id === runId);
  if (!run || run.route) return null;
  const node = newId();
  const ends = [run.from, run.to].map((end) => shop.ducts.nodes.find(({ id }) => id === end)?.at);
  const [a, b] = ends;
  const at = a && b ? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, z: (a.z + b.z) / 2 } : null;
  const half = run.length === null ? null : run.length / 2;
  const isGateBelow = run.gate?.end === 'downstream';
  shop.ducts.nodes.push({ id: node, kind: { kind: 'joint' }, at, style: {} });
  shop.ducts.runs.push({
    ...run,
    id: newId(),
    name: nameBelow(shop, run),
    from: node,
    length: half,
    fittings: [],
    joints: null,
    hose: null,
    gate: isGateBelow ? run.gate : null,
  });
  if (isGateBelow) run.gate = null;
  run.to = node;
  run.length = half;
  run.joints = null;
  run.joins = { ...STRAIGHT };
  nameDucts(shop);
  return node;
}

/** The run and everything upstream of it. */
export function runsBehind(shop: Shop, runId: string): Run[] {
  const found: Run[] = [];
  const waiting = shop.ducts.runs.filter((run) => run.id === runId);
  for (let run = waiting.shift(); run; run = waiting.shift()) {
    if (found.includes(run)) continue;
    found.push(run);
    waiting.push(...runsInto(shop, run.from));
  }
  return found;
}

const served = (shop: Shop) =>
  new Set(shop.ducts.nodes.flatMap(({ kind }) => (kind.kind === 'port' ? [kind.machine] : [])));

/**
 * Removes a run with everything upstream of it: nodes, machines that lose their last duct by it, and
 * what is believed of their condition. Readings stay in the log.
 */
export function removeRun(shop: Shop, runId: string): void {
  const before = served(shop);
  removeDucts(shop, runId);
  const after = served(shop);
  shop.machines = shop.machines.filter(({ id }) => after.has(id) || !before.has(id));
}

/** Removes a run with everything upstream of it, and leaves the machines standing. */
export function removeDucts(shop: Shop, runId: string): void {
  const gone = runsBehind(shop, runId);
  const runIds = new Set(gone.map((run) => run.id));
  const nodeIds = new Set(gone.map((run) => run.from));
  const { ducts, condition } = shop;
  ducts.runs = ducts.runs.filter((run) => !runIds.has(run.id));
  ducts.nodes = ducts.nodes.filter((node) => !nodeIds.has(node.id));
  const { gates } = shop.shop.rules;
  if (gates.kind === 'chosen') {
    gates.sets = gates.sets
      .map((set) => set.filter((node) => !nodeIds.has(node)))
      .filter((set) => set.length > 0);
  }
  const { rules } = shop.shop;
  rules.bleeds = rules.bleeds.filter(({ drop, open }) => !nodeIds.has(drop) && !nodeIds.has(open));
  condition.sealing.runs = condition.sealing.runs.filter(({ run }) => !runIds.has(run));
  condition.joints.runs = condition.joints.runs.filter(({ run }) => !runIds.has(run));
  condition.holes = condition.holes.filter(({ run }) => !runIds.has(run));
  condition.estimates = condition.estimates.filter(
    ({ of }) => of.kind !== 'hood' || !nodeIds.has(of.node),
  );
  nameDucts(shop);
}

/**
 * Changes how a run joins, and with it the others there: where it goes straight through, none else does;
 * where it is a leg of a Y, the one other is its second leg. A Y has two legs: where more meet, a run that
 * was to be one stays as it is.
 */
export function setJoins(shop: Shop, runId: string, joins: Joins): void {
  const run = shop.ducts.runs.find((candidate) => candidate.id === runId);
  if (!run) return;
  const others = runsInto(shop, run.to).filter(({ id }) => id !== runId);
  if (joins.kind === 'symmetric' && others.length > 1) return;
  for (const other of others) other.joins = besides(joins, other.joins, others.length === 1);
  run.joins = joins;
  nameDucts(shop);
}

/** How another run joins once the one beside it joins so. */
function besides(joins: Joins, other: Joins, isOnly: boolean): Joins {
  if (joins.kind === 'symmetric') return { ...joins };
  if (joins.kind === 'branch') {
    if (other.kind !== 'symmetric') return other;
    return isOnly ? { ...STRAIGHT } : branchAt(other.angle);
  }
  return other.kind === 'branch' ? other : branchAt(joinAngle(other) ?? DEFAULT_BRANCH_ANGLE);
}

/** A gate at the machine's end of its run; shut, it leaks through 0.3 % of its area, an estimate. */
export const newGate = (open: boolean): Gate => ({
  opening: 1,
  open,
  closedGap: 0.003,
  end: 'upstream',
});

/** Opens or shuts a run's gate. */
export function setGate(shop: Shop, runId: string, open: boolean): void {
  const gate = shop.ducts.runs.find((run) => run.id === runId)?.gate;
  if (gate) gate.open = open;
}
