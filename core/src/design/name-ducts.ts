import { LONGEST_NAME } from '../document/atoms';
import { isStraight } from '../fittings/joins/joins';
import type { Run, Shop } from './schema';

/** A name no other has: 'Main', 'Main 2', 'Main 3'; one that is too long for its number is cut. */
export function freeName(wanted: string, taken: readonly string[]): string {
  const numbered = (number: number) => {
    const end = number === 1 ? '' : ` ${number}`;
    return wanted.slice(0, LONGEST_NAME - end.length).trimEnd() + end;
  };
  let number = 1;
  while (taken.includes(numbered(number))) number++;
  return numbered(number);
}

/** The names runs have. */
export const runNames = (shop: Shop) => shop.ducts.runs.map((run) => run.name);

/** A trunk's name, before its number. */
export const MAIN = 'Main';

/**
 * The name of the downstream part when a run is cut: `MAIN`, for `nameDucts` to number, below a drop or in a run that
 * the program named; otherwise the user's own name with a number.
 */
export function nameBelow(shop: Shop, run: Run): string {
  const start = shop.ducts.nodes.find(({ id }) => id === run.from);
  const machines = new Map(shop.machines.map(({ id, name }) => [id, name]));
  const isNamedAnew = start?.kind.kind === 'port' || isGivenName(run.name, machines);
  return isNamedAnew ? MAIN : freeName(run.name, runNames(shop));
}

/**
 * Names the shared ducts anew after the tree has changed. The trunk, which goes straight through at
 * every joint from the collector on, is numbered from the blower out: 'Main', 'Main 2', 'Main 3'. What
 * joins it from the side is named by what it serves: 'Main to Planer and Jointer', 'Branch to Planer'.
 * Drops, and whatever the user named, keep their names.
 */
export function nameDucts(shop: Shop): void {
  const { nodes, runs } = shop.ducts;
  const into = new Map<string, Run[]>();
  for (const run of runs) into.set(run.to, [...(into.get(run.to) ?? []), run]);
  const machineAt = new Map(
    nodes.flatMap(({ id, kind }) => (kind.kind === 'port' ? [[id, kind.machine] as const] : [])),
  );
  const machines = new Map(shop.machines.map(({ id, name }) => [id, name]));
  const isGiven = ({ name, from }: Run) => !machineAt.has(from) && isGivenName(name, machines);
  const taken = runs.filter((run) => !isGiven(run)).map(({ name }) => name);

  const inlet = nodes.find(({ kind }) => kind.kind === 'inlet')?.id ?? '';
  const waiting = (into.get(inlet) ?? []).map((run) => ({ run, isTrunk: true }));
  const seen = new Set<Run>();
  for (let next = waiting.shift(); next; next = waiting.shift()) {
    const { run, isTrunk } = next;
    if (seen.has(run)) continue;
    seen.add(run);
    const joining = into.get(run.from) ?? [];
    for (const each of joining) {
      const goesOn = joining.length === 1 || isStraight(each.joins);
      waiting.push({ run: each, isTrunk: isTrunk && goesOn });
    }
    if (!isGiven(run)) continue;
    const wanted = isTrunk ? MAIN : nameOfSide(servedBy(run, into, machineAt, machines));
    const name = freeName(wanted, taken);
    taken.push(name);
    run.name = name;
  }
}

/** Whether a name is one the program gives, with what a machine there is called where it names one. */
function isGivenName(name: string, machines: ReadonlyMap<string, string>): boolean {
  if (/^(Main|Branch)( \d+)?$/.test(name)) return true;
  const served = /^(?:Main|Branch) to (.+)$/.exec(name)?.[1];
  return (
    served !== undefined &&
    [...machines.values()].some((machine) => served === machine || served.startsWith(`${machine} `))
  );
}

function nameOfSide(served: readonly string[]): string {
  const [first, second] = served;
  if (!first) return 'Branch';
  if (!second) return `Branch to ${first}`;
  return `Main to ${first} and ${served.length > 2 ? `${served.length - 1} more` : second}`;
}

/** The machines whose air comes through a run, by name and in the order their ducts were made. */
function servedBy(
  run: Run,
  into: ReadonlyMap<string, readonly Run[]>,
  machineAt: ReadonlyMap<string, string>,
  machines: ReadonlyMap<string, string>,
): string[] {
  const served = new Set<string>();
  const waiting = [run];
  const seen = new Set<Run>();
  for (let next = waiting.pop(); next; next = waiting.pop()) {
    if (seen.has(next)) continue;
    seen.add(next);
    const name = machines.get(machineAt.get(next.from) ?? '');
    if (name !== undefined) served.add(name);
    waiting.push(...(into.get(next.from) ?? []).toReversed());
  }
  return [...served];
}
