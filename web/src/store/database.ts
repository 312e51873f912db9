import type { Shop } from '@frank-gauge/core';
import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Patch } from 'immer';

/** A stored shop. `revision` counts its writes, so that tabs know whose news is newer. */
export interface ShopRow {
  id: string;
  document: Shop;
  revision: number;
  /** How many of its changes are in effect; those beyond were undone. */
  cursor: number;
  /** How many of its changes are remembered. */
  changes: number;
  changed: string;
  /** When it was thrown away; null: it wasn't. */
  deleted: string | null;
}

/** One change of a shop: enough to undo it and to do it again. */
export interface ChangeRow {
  shop: string;
  position: number;
  label: string;
  patches: Patch[];
  inverse: Patch[];
  /** Changes of the same thing in quick succession are one. */
  merge: string | null;
  at: number;
}

export class Database extends Dexie {
  readonly shops!: EntityTable<ShopRow, 'id'>;
  readonly changes!: Table<ChangeRow, [string, number]>;

  constructor(name = 'frank-gauge') {
    super(name);
    this.version(1).stores({ shops: 'id, changed', changes: '[shop+position], shop' });
  }
}

export const database = new Database();
