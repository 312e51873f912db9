import { type BlowerClassId, blowerOfClass } from '../collector/blower-classes';
import type { MachineKindId } from '../design/machine-kinds';
import { newShop } from '../design/new-shop';
import type { Collector, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { routeDucts } from '../improve/route-ducts';
import type { RouteStyle } from '../improve/route-weighing';
import type { UnitSystem } from '../quantity/unit-system';
import { toSI } from '../quantity/units';
import type { Spot } from '../room/plane';
import { arrangeDucts } from '../routing/arrange-ducts';
import { addMachine } from '../routing/edit-machines';

/** A shop before its ducts: a room, a collector and machines. Lengths in m. */
export interface Layout {
  readonly id: string;
  readonly name: string;
  readonly units: UnitSystem;
  readonly room: { readonly width: number; readonly depth: number; readonly height: number };
  readonly blower: BlowerClassId;
  readonly collector: Spot & { readonly inlet: Collector['inlet']['side'] };
  readonly machines: readonly PlacedKind[];
  readonly style: RouteStyle;
  /** Leakage class its joints are believed to have, CFM per 100 ft² at 1 in. w.g.; how loaded its filter is believed to be. */
  readonly leakageClass: number;
  readonly loading: number;
}

export interface PlacedKind {
  readonly kind: MachineKindId;
  /** Null: where there is room. */
  readonly at: Spot | null;
  /** Quarter turns to the left. */
  readonly turned: number;
}

export interface LaidOut {
  readonly shop: Shop;
  readonly tree: DuctTree;
}

/** The shop of a layout, with ducts as the program would lay them; null: there is no way to lay them. */
export function layOut(layout: Layout): LaidOut | null {
  const { units, room, collector, leakageClass, loading } = layout;
  const count = { ids: 0 };
  const newId = () => `p${count.ids++}`;
  const blower = blowerOfClass(layout.blower, units);
  const shop = newShop(layout.id, layout.name, units, blower.curve);
  shop.collector.blower = blower;
  shop.collector.separator.inletDiameter = inletOf(layout);
  shop.collector.place = { x: collector.x, y: collector.y, z: 0 };
  shop.collector.inlet.side = collector.inlet;
  shop.condition.sealing.usual = leakageClass;
  shop.condition.filterLoading.value = loading;
  shop.room.outline = [
    { x: 0, y: 0 },
    { x: room.width, y: 0 },
    { x: room.width, y: room.depth },
    { x: 0, y: room.depth },
  ];
  shop.room.walls = shop.room.outline.map(() => ({ studSpacing: null }));
  shop.room.ceilingHeight = room.height;
  for (const { kind, at, turned } of layout.machines) {
    const id = addMachine(shop, kind, newId);
    const machine = shop.machines.find((each) => each.id === id);
    if (machine && at) Object.assign(machine, { place: { ...at }, turn: (turned * Math.PI) / 2 });
  }
  const routed = routeDucts(shop, 'found', newId);
  if (!routed.ok) return null;
  const proposal =
    routed.proposals.find(({ style }) => style === layout.style) ?? routed.proposals[0];
  if (!proposal) return null;
  const laid: Shop = { ...shop, ducts: proposal.ducts };
  const arranged = arrangeDucts(laid);
  return arranged.ok ? { shop: laid, tree: arranged.tree } : null;
}

/** A cyclone as wide at its inlet as its blower asks for. */
function inletOf({ blower, units }: Layout): number {
  const [inches, millimeters] =
    blower === 'five' ? [8, 200] : blower === 'three' ? [7, 180] : [6, 150];
  return units === 'us' ? toSI(inches, 'in') : toSI(millimeters, 'mm');
}
