import { type GateAir, gateAir } from '@frank-gauge/core/analysis';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import type { ShopSolved, View } from '@frank-gauge/core/network';
import { arrangeDucts, type DuctLines, ductLines } from '@frank-gauge/core/routing';
import type { StoreApi } from 'zustand';
import type { Session } from '@/storage/session-state';
import { airPart } from './shop-parts';
import { WarmSolution } from './warm-solution';

type Readable<T> = Pick<StoreApi<T>, 'getState' | 'subscribe'>;

/** The ducts of a design as they lie, and the air of every gate combination that is asked for. */
export interface DesignAir {
  readonly lines: DuctLines;
  readonly tree: DuctTree;
  readonly gates: GateAir;
}

/**
 * The design that is open and what follows from it, worked out when it is asked for and kept until the
 * part of the design it follows from changes: a reading logged or a note written solves nothing anew. It
 * stores nothing and changes nothing, so that it may be asked while a view is drawn. Once its session has
 * closed it answers for the design that was open last, to whatever is still on the page.
 */
export class OpenDesign {
  private last: Shop | null = null;
  private worked: {
    readonly part: Shop;
    readonly view: View;
    readonly air: DesignAir | null;
  } | null = null;
  private readonly warm = new WarmSolution();

  constructor(
    private readonly session: Readable<Session>,
    private readonly choices: Readable<{ readonly view: View }>,
  ) {}

  /** Calls `notify` whenever anything here may have changed; answers what ends that. */
  readonly subscribe = (notify: () => void): (() => void) => {
    const ends = [this.session.subscribe(notify), this.choices.subscribe(notify)];
    return () => {
      for (const end of ends) end();
    };
  };

  /** @throws Error where no design has been open yet */
  get design(): Shop {
    const state = this.session.getState();
    if (state.status === 'open') this.last = state.shop;
    if (!this.last) throw new Error('no shop is open');
    return this.last;
  }

  /** Null where its ducts no longer lead to the blower. */
  get air(): DesignAir | null {
    const part = airPart(this.design);
    const { view } = this.choices.getState();
    if (this.worked?.part === part && this.worked.view === view) return this.worked.air;
    const lines = ductLines(part);
    const arranged = arrangeDucts(part, lines);
    const air = arranged.ok
      ? { lines, tree: arranged.tree, gates: gateAir(part, arranged.tree, view) }
      : null;
    this.worked = { part, view, air };
    return air;
  }

  /** The air with the gates open that the design has open; null where its ducts lead nowhere. */
  get solution(): ShopSolved | null {
    const { air } = this;
    return air && this.warm.of(air.gates);
  }
}
