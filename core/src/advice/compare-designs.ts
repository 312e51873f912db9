import { judgeDrops } from '../analysis/judge-drops';
import { type ProfileStep, pressureProfile } from '../analysis/pressure-profile';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { SEPARATOR_RUN } from '../network/assemble/separator-segment';
import { arrangeDucts } from '../routing/arrange-ducts';
import { type Evaluation, evaluateTree } from './evaluate';
import { type DropGain, gainsOf } from './judge-improvement';

/** A stretch of a drop's way: a run with its hood, hose, gate and fittings, or a part of the collector. */
export interface Stretch {
  /** A run's id, or what of the collector it is: the same in every design that has it. */
  readonly id: string;
  readonly kind: 'run' | 'separator' | 'blower' | 'exhaust';
  /** The run's name; null: it is part of the collector. */
  readonly name: string | null;
  /** Total pressure it takes, Pa; the blower's is negative. */
  readonly loss: number;
  /** Static pressure where it ends, Pa relative to the room. */
  readonly staticAfter: number;
}

/** Designs of one shop side by side. */
export interface ComparedDesigns {
  /** Whose way is shown; null: no design has a drop with an answer. */
  readonly drop: string | null;
  /** In the order they were given. */
  readonly designs: readonly ComparedDesign[];
}

/** A design beside others of the same shop. */
export interface ComparedDesign {
  /** Null: its ducts are no tree, or no drop has an answer. */
  readonly evaluation: Evaluation | null;
  /** What each drop gets more or less than in the first design, the greatest gain first. */
  readonly gains: readonly DropGain[];
  /** The way of the drop that is looked at, with its own gate open; empty where the design has no such drop. */
  readonly way: readonly Stretch[];
}

/**
 * Designs of one shop side by side, as found, each against the first: every one is evaluated in all of its own
 * combinations of gates.
 * @param drop whose way is looked at; null: that of the first design's worst drop
 */
export function compareDesigns(designs: readonly Shop[], drop: string | null): ComparedDesigns {
  const found = designs.map((shop) => {
    const arranged = arrangeDucts(shop);
    return arranged.ok
      ? { shop, tree: arranged.tree, evaluation: evaluateTree(shop, arranged.tree) }
      : null;
  });
  const first = found[0]?.evaluation ?? null;
  const worst = first?.drops.toSorted((a, b) => a.flow / a.need - b.flow / b.need)[0];
  const asked = drop ?? worst?.drop ?? null;
  const compared = found.map((each) => ({
    evaluation: each?.evaluation ?? null,
    gains: first && each?.evaluation ? gainsOf(first, each.evaluation) : [],
    way: each ? wayOf(each.shop, each.tree, asked) : [],
  }));
  return { drop: asked, designs: compared };
}

function wayOf(shop: Shop, tree: DuctTree, drop: string | null): Stretch[] {
  const judged = judgeDrops(shop, tree, 'found', 'one').find((each) => each.drop.id === drop);
  if (judged?.kind !== 'judged') return [];
  const names = new Map(tree.upstreamFirst.map(({ id, name }) => [id, name]));
  const way: Stretch[] = [];
  for (const step of pressureProfile(judged.solution, judged.drop)) {
    const { id, kind } = placeOf(step);
    const last = way.at(-1);
    const { loss, staticAfter } = step;
    if (last?.id === id) way[way.length - 1] = { ...last, loss: last.loss + loss, staticAfter };
    else way.push({ id, kind, name: names.get(id) ?? null, loss, staticAfter });
  }
  return way;
}

const placeOf = ({ run, kind }: ProfileStep): Pick<Stretch, 'id' | 'kind'> => {
  if (run === SEPARATOR_RUN || kind === 'separator') return { id: 'separator', kind: 'separator' };
  if (kind === 'blower' || kind === 'exhaust') return { id: kind, kind };
  return { id: run, kind: 'run' };
};
