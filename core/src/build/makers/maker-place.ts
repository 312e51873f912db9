import { assemblyMasses } from '../../assembly/assembly-masses';
import type { Elevation } from '../../assembly/elevation';
import { standAssembly } from '../../assembly/stand-assembly';
import type { Collector, Shop } from '../../design/schema';
import { pipeOutside } from '../../duct/pipes';
import type { UnitSystem } from '../../quantity/unit-system';
import { toSI } from '../../quantity/units';
import { wallsOf } from '../../room/room-outline';
import { byWall, fromLeft } from '../drawings/marks';

/** What makers take from the shop: how its collector stands, what its blower can do, where its studs are. */
export interface MakerPlace {
  readonly units: UnitSystem;
  readonly collector: Collector;
  readonly stands: Elevation;
  /** The most its blower can draw, Pa, and the most air it can move, m³/s; by its curve. */
  readonly suction: number;
  readonly airflow: number;
  /** The bin when full, kg. */
  readonly fullBin: number;
  /** Outside diameter of the widest run, m. */
  readonly widestPipe: number;
  /** Walls by their number from 1 on; studs as m from the corner on the left of whoever faces the wall. */
  readonly walls: readonly { readonly length: number; readonly studs: readonly number[] }[];
  /** The wall nearest to the collector, and how far along it that stands; null: nothing is placed. */
  readonly nearest: { readonly wall: number; readonly along: number } | null;
  /** Board, in this shop's units: ¾ in. or 18 mm; and sheet for blades, ¼ in. or 6 mm. */
  readonly board: number;
  readonly thin: number;
}

/** The wall of a bin nobody has measured, m: an estimate. */
const BIN_WALL = 0.001;
/** A lift that lifts less is none, m. */
const LEAST_TRAVEL = 0.005;
/** A pipe nobody has drawn yet, m. */
const USUAL_PIPE = { us: toSI(6, 'in'), metric: 0.15 } as const;

export function makerPlace(shop: Pick<Shop, 'shop' | 'collector' | 'room' | 'ducts'>): MakerPlace {
  const { collector, room } = shop;
  const { units } = shop.shop;
  const { curve } = collector.blower;
  const { place } = collector;
  const byNearest = place && byWall(shop, { ...place, z: 0 });
  return {
    units,
    collector,
    stands: standAssembly(collector, room.ceilingHeight),
    suction: Math.max(...curve.map(({ pressure }) => pressure)),
    airflow: Math.max(...curve.map(({ flow }) => flow)),
    fullBin: assemblyMasses(collector).fullBin,
    widestPipe:
      Math.max(0, ...shop.ducts.runs.map(({ pipe, diameter }) => pipeOutside(pipe, diameter))) ||
      USUAL_PIPE[units],
    walls: wallsOf(room).map((wall) => ({
      length: wall.length,
      studs: wall.studs.map((stud) => fromLeft(wall, stud)).toSorted((a, b) => a - b),
    })),
    nearest: byNearest && { wall: byNearest.wall + 1, along: byNearest.fromLeft },
    board: units === 'us' ? toSI(0.75, 'in') : 0.018,
    thin: units === 'us' ? toSI(0.25, 'in') : 0.006,
  };
}

/** A size as people of this shop would choose it: in inches, or in m. */
export const usualIn = ({ units }: Pick<MakerPlace, 'units'>, inches: number, meters: number) =>
  units === 'us' ? toSI(inches, 'in') : meters;

/** How far a bin is let down to be freed, m: as the assembly has it, else its lid's lip and something more. */
export function usualTravel({ collector }: Pick<MakerPlace, 'collector'>, more: number): number {
  const { emptying, lid } = collector.assembly;
  return emptying.kind === 'lower' ? Math.max(LEAST_TRAVEL, emptying.travel) : lid.lip + more;
}

/** Inside diameter of the bin, m. */
export const insideBin = ({ stands }: Pick<MakerPlace, 'stands'>): number =>
  stands.sizes.bin.diameter - 2 * BIN_WALL;
