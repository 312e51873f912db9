import type { Run, Shop } from '@frank-gauge/core/design';
import { addMachine, inletMouth, routeDuct, routeUsual } from '@frank-gauge/core/routing';

/** A machine of an invented shop: where it stands, and how wide its port and the duct to it are. */
export interface Placed {
  readonly kind: Parameters<typeof addMachine>[1];
  readonly name: string;
  readonly at: { readonly x: number; readonly y: number };
  /** Quarter turns. */
  readonly quarters: number;
  /** m */
  readonly diameter: number;
  /** What it needs, m³/s; undefined: as such a machine usually does. */
  readonly need?: number;
}

/** Puts a machine down and leads its port the usual way to a node or a run. Answers its drop. */
export function addPlaced(
  shop: Shop,
  { kind, name, at, quarters, diameter, need }: Placed,
  goal: Parameters<typeof routeUsual>[3],
  newId: () => string,
): Run {
  const id = addMachine(shop, kind, newId);
  const machine = shop.machines.at(-1);
  const [port] = machine?.ports ?? [];
  if (!machine || !port) throw new Error('no machine');
  Object.assign(machine, { name, place: at, turn: (quarters * Math.PI) / 2 });
  port.diameter = diameter;
  if (need !== undefined) port.need = { kind: 'flow', flow: need };
  const made = routeUsual(shop, id, port.id, goal, newId);
  if (!made.ok) throw new Error(`${name}: ${made.why}`);
  const run = shop.ducts.runs.find((each) => each.id === made.run);
  if (!run) throw new Error(`no duct to ${name}`);
  Object.assign(run, { name: `${name} drop`, diameter });
  if (run.hose) run.hose.diameter = diameter;
  return run;
}

/**
 * A main along x from the collector's inlet to `end`, hung so high: straight out of the inlet, up, and along. Answers
 * the node at its far end.
 */
export function addMain(
  shop: Shop,
  { end, height, straight, diameter }: MainWay,
  newId: () => string,
): string {
  const mouth = inletMouth(shop);
  if (!mouth) throw new Error('no inlet');
  const { at, out } = mouth;
  const away = { ...at, x: at.x + straight * out.x, y: at.y + straight * out.y };
  const free = { kind: 'free', at: { x: end, y: away.y, z: height } } as const;
  const between = [{ ...away, z: height }, away];
  const made = routeDuct(shop, free, { kind: 'inlet' }, { between, hasHose: false }, newId);
  if (!made.ok) throw new Error(made.why);
  const run = shop.ducts.runs.find(({ id }) => id === made.run);
  if (!run) throw new Error('no main');
  Object.assign(run, { name: 'Main', diameter });
  return run.from;
}

export interface MainWay {
  /** Where it ends along x, how high it hangs, how far straight it goes out of the inlet, m. */
  readonly end: number;
  readonly height: number;
  readonly straight: number;
  readonly diameter: number;
}

/** The run of a main, between joints or up to the inlet, that passes so far along x or y. */
export function mainAt(shop: Shop, axis: 'x' | 'y', along: number): string {
  const at = (id: string) => {
    const node = shop.ducts.nodes.find((each) => each.id === id);
    return node?.kind.kind === 'inlet' ? Number.POSITIVE_INFINITY : node?.at?.[axis];
  };
  const isJoint = (id: string) =>
    shop.ducts.nodes.some((node) => node.id === id && node.kind.kind === 'joint');
  const found = shop.ducts.runs.find(({ from, to }) => {
    const ends = [at(from), at(to)].filter((end) => end !== undefined);
    return (
      isJoint(from) && ends.length === 2 && Math.min(...ends) < along && along < Math.max(...ends)
    );
  });
  if (!found) throw new Error(`no main at ${along}`);
  return found.id;
}
