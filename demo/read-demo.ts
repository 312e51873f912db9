import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { DuctTree, Shop } from '@frank-gauge/core/design';
import { type Journal, type Reading, readShopFile } from '@frank-gauge/core/journal';
import { circumstancesOf, indexOf, worthOfEvents } from '@frank-gauge/core/reading';
import { arrangeDucts } from '@frank-gauge/core/routing';

/** A demo shop's file as it is kept, read and arranged. */
export function readDemo(name: string) {
  const kept = readFileSync(fileURLToPath(new URL(`./${name}.json`, import.meta.url)), 'utf8');
  const read = readShopFile(kept);
  if (!read.ok) throw new Error(read.faults[0].message);
  const arranged = arrangeDucts(read.shop);
  if (!arranged.ok) throw new Error(arranged.problems[0]?.message);
  return { kept, shop: read.shop, journal: read.journal, tree: arranged.tree };
}

/** What every change was worth, by the readings around it. */
export function worthsOf(of: {
  readonly shop: Shop;
  readonly journal: Journal;
  readonly tree: DuctTree;
}) {
  const { shop, journal, tree } = of;
  const by = (reading: Reading) => circumstancesOf(reading, shop, tree, journal);
  return worthOfEvents(journal.events, indexOf(journal.readings).byPoint, by);
}
