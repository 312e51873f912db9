import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import version1 from '../../../core/src/shop/kept/version-1.json';
import { Database } from './database';

/** A database as version 1 of this program left it. */
async function leftBehind(name: string): Promise<void> {
  const old = new Dexie(name);
  old.version(1).stores({ shops: 'id, changed', changes: '[shop+position], shop' });
  const row = {
    revision: 4,
    cursor: 1,
    changes: 1,
    changed: '2026-10-01T10:00:00Z',
    deleted: null,
  };
  await old.table('shops').bulkPut([
    { ...row, id: 'heron-slip', document: version1 },
    { ...row, id: 'torn', document: { format: 'frank-gauge', version: 1, id: 'torn' } },
  ]);
  await old.table('changes').put({
    shop: 'heron-slip',
    position: 0,
    label: 'filter area',
    patches: [{ op: 'replace', path: ['collector', 'exhaust', 'area'], value: 12 }],
    inverse: [{ op: 'replace', path: ['collector', 'exhaust', 'area'], value: 13 }],
    merge: null,
    at: 0,
  });
  old.close();
}

describe('shops stored by an older version', () => {
  it('are brought to the present one, whole; what cannot be read is left as it lies', async () => {
    await leftBehind('renewed');
    const database = new Database('renewed');
    const row = await database.shops.get('heron-slip');
    expect(row?.document.version).toBe(4);
    // Its cyclone and its cartridge were the program's own estimates.
    expect(row?.renewed).toEqual([
      { kind: 'separator', candidate: null },
      { kind: 'filter', candidate: null },
    ]);
    expect(row?.document.log).toEqual({ ...version1.log, sounds: [], curveTests: [] });
    expect(row?.document.collector.exhaust).toMatchObject({
      kind: 'filter',
      filter: { area: version1.collector.exhaust.area },
    });
    // An undo of the old shape would write where nothing is any more.
    expect(row).toMatchObject({ revision: 5, cursor: 0, changes: 0 });
    expect(await database.changes.count()).toBe(0);
    const torn = await database.shops.get('torn');
    expect(torn?.document).toEqual({ format: 'frank-gauge', version: 1, id: 'torn' });
    database.close();
  });
});
