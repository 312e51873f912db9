import { standAssembly } from '../assembly/stand-assembly';
import { SEPARATOR_KINDS, type SeparatorKind } from '../catalogue/ids';
import { SEPARATORS } from '../collector/separator';
import { withCandidate } from '../design/edit-candidates';
import type { Separator, Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import type { View } from '../network/assemble/setting';
import { collectorLoad } from './collector-load';
import { judgeDrops } from './judge-drops';
import { byMargin } from './worst-drop';

/** What a kind of separator costs this shop in air, and saves in filter. SI. */
export interface SeparatorMethod {
  readonly kind: SeparatorKind;
  /** It is the one the collector has, by its own figures; the others by usual ones, estimates. */
  readonly isOwn: boolean;
  /** At the drop that does worst with none; null without an answer. */
  readonly flow: number | null;
  /** Share of the air without any separator that it leaves. */
  readonly share: number | null;
  readonly caught: number;
  /** Running time until the filter is due, s; null: no filter, or no dust reaches it. */
  readonly timeToDue: number | null;
  readonly height: number;
}

const usual = (own: Separator, kind: SeparatorKind): Separator =>
  kind === own.kind
    ? own
    : {
        ...own,
        kind,
        lossCoefficient: SEPARATORS[kind].lossCoefficient,
        caught: SEPARATORS[kind].caught,
        proportions: null,
        origin: { kind: 'assumed' },
      };

/**
 * Each kind of separator in the collector's place, everything else as it is: none, cyclone, slotted
 * baffle, lid. The same drop is read in all, the worst one of the shop without a separator.
 *
 * @param shop with the collector that is asked about standing in it
 */
export function separatorMethods(shop: Shop, tree: DuctTree, view: View): SeparatorMethod[] {
  const { collector } = shop;
  const tried = SEPARATOR_KINDS.map((kind) => {
    const separator = usual(collector.separator, kind);
    const parts = { ...collector, separator };
    const changed = withCandidate(shop, { id: '', name: '', cost: null, ...parts });
    const drops = byMargin(judgeDrops(changed, tree, view, 'one'));
    return { kind, separator, changed, drops };
  });
  const bare = tried.find(({ kind }) => kind === 'none')?.drops ?? [];
  const worst = bare[0] ?? null;
  return tried.map(({ kind, separator, changed, drops }) => {
    const at = drops.find(({ drop }) => drop.id === worst?.drop.id) ?? null;
    const load = at && collectorLoad(changed, at.solution, view);
    return {
      kind,
      isOwn: kind === collector.separator.kind,
      flow: at?.flow ?? null,
      share: at && worst && worst.flow > 0 ? at.flow / worst.flow : null,
      caught: load?.separator.caught ?? separator.caught,
      timeToDue: load?.filter?.timeToDue ?? null,
      height: standAssembly(changed.collector, shop.room.ceilingHeight).height,
    };
  });
}
