import { assemblyConflicts, type Conflict } from '../assembly/assembly-conflicts';
import type { Elevation } from '../assembly/elevation';
import { standAssembly } from '../assembly/stand-assembly';
import { greatestAirPower } from '../collector/shaft-power';
import { withCandidate } from '../design/edit-candidates';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { SoundReading } from '../journal/sound';
import type { View } from '../network/assemble/setting';
import { type CollectorLoad, collectorLoad } from './collector-load';
import { type BlowerAtWork, estimatedLevel, foundLouder } from './collector-noise';
import { type DropAir, judgeDrops, neededFlow } from './judge-drops';
import { byMargin } from './worst-drop';

/** What one drop gets with a collector, its own gate alone open. SI. */
export interface DropWith {
  readonly drop: string;
  readonly name: string;
  /** m³/s; null where the blower has no answer. */
  readonly flow: number | null;
  readonly need: number;
}

/** How a collector does on these ducts. */
export interface CollectorOption {
  /** Null for the collector that stands there. */
  readonly id: string | null;
  readonly drops: readonly DropWith[];
  /** The drops that fall furthest short of, or have most over, their need, as shares of it. */
  readonly worst: DropWith | null;
  readonly best: DropWith | null;
  /** Where it works while the worst drop draws. */
  readonly atWorst: BlowerAtWork | null;
  /** At the drop that asks most of its shaft; null without an answer. */
  readonly load: CollectorLoad | null;
  /** How it stands, and what about that does not fit. */
  readonly elevation: Elevation;
  readonly conflicts: readonly Conflict[];
  /** dB(A) at 3 m while the worst drop draws; null without an answer. */
  readonly noise: number | null;
  /** What the worst drop gains over the present collector, m³/s. */
  readonly gain: number | null;
  readonly cost: number | null;
  /** Money for each m³/s the worst drop gains; null where either is not known or nothing is gained. */
  readonly costOfGain: number | null;
}

/**
 * The present collector and every candidate on the same ducts, each drop with its own gate open.
 * Filters are as loaded as the shop's is in this view, whichever filter it is: what a filter costs
 * when new says little. Noise is the estimate, moved by as much
 * as a sound meter found it off.
 */
export function compareCandidates(
  shop: Shop,
  tree: DuctTree,
  view: View,
  sounds: readonly SoundReading[],
): CollectorOption[] {
  const present = option(shop, tree, view, null, null, null);
  const louder = foundLouder(sounds);
  const options = [
    present,
    ...shop.candidates.map((candidate) =>
      option(withCandidate(shop, candidate), tree, view, candidate.id, candidate.cost, present),
    ),
  ];
  return options.map((each) => ({
    ...each,
    noise: each.noise === null ? null : each.noise + louder,
  }));
}

function option(
  shop: Shop,
  tree: DuctTree,
  view: View,
  id: string | null,
  cost: number | null,
  present: CollectorOption | null,
): CollectorOption {
  const results = judgeDrops(shop, tree, view, 'one');
  const judged = byMargin(results);
  const drops = results.map((result): DropWith => {
    const { drop } = result;
    return result.kind === 'judged'
      ? dropWith(result)
      : { drop: drop.id, name: drop.name, flow: null, need: neededFlow(drop.port) };
  });
  const [first] = judged;
  const last = judged.at(-1);
  const loads = judged.map(({ solution }) => collectorLoad(shop, solution, view));
  const worst = first ? dropWith(first) : null;
  const before = present?.drops.find(({ drop }) => drop === worst?.drop)?.flow;
  const gain = worst?.flow != null && before != null ? worst.flow - before : null;
  const atWorst = first
    ? {
        flow: first.solution.blower.flow,
        pressure: first.solution.blower.rise,
        bestFlow: greatestAirPower(first.solution.network.blower).flow,
      }
    : null;
  const elevation = standAssembly(shop.collector, shop.room.ceilingHeight);
  return {
    id,
    drops,
    worst,
    best: last ? dropWith(last) : null,
    atWorst,
    elevation,
    conflicts: assemblyConflicts(shop.collector, elevation),
    noise: atWorst && estimatedLevel(shop.collector, atWorst),
    load: loads.reduce<CollectorLoad | null>(
      (most, next) => (most && most.shaftPower >= next.shaftPower ? most : next),
      null,
    ),
    gain,
    cost,
    costOfGain: cost !== null && gain !== null && gain > 0 ? cost / gain : null,
  };
}

const dropWith = ({ drop, flow, need }: DropAir): DropWith => ({
  drop: drop.id,
  name: drop.name,
  flow,
  need,
});
