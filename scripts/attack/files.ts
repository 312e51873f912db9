import { writeFileSync } from 'node:fs';
import {
  collectorLoad,
  findings,
  flowUncertainty,
  judgeDrops,
  pressureProfile,
  suctionStrength,
  systemCurve,
  worstDrop,
} from '@frank-gauge/core/analysis';
import { standAssembly } from '@frank-gauge/core/assembly';
import type { Shop } from '@frank-gauge/core/design';
import { sheetDxf } from '@frank-gauge/core/dxf';
import { readShopFile, writeShopFile } from '@frank-gauge/core/journal';
import { solveTree } from '@frank-gauge/core/network';
import {
  arrangeDucts,
  ductConflicts,
  elevationSheet,
  isometricSheet,
  planSheet,
} from '@frank-gauge/core/routing';
import { drawnShop, threeBranchShop } from '../../core/reference/sample-shops';
import heron from '../../demo/heron-slip.json';
import { type Attacked, Failures, faultOf, type Strength } from './attack';
import { broken, placesIn } from './break-json';
import { Chance } from './chance';

/** The longest all that a view shows of a small shop may take, ms: a busy machine, and nothing that loops. */
const LONGEST = 5000;

/** Everything the views work out of a shop. @throws whatever is wrong with it */
function everyView(shop: Shop): void {
  const arranged = arrangeDucts(shop);
  standAssembly(shop.collector, shop.room.ceilingHeight);
  ductConflicts(shop);
  const sheets = [planSheet(shop), isometricSheet(shop), elevationSheet(shop, 'front')];
  for (const sheet of sheets) {
    if (sheetDxf(sheet).includes('NaN')) throw new Error('a drawing says NaN');
  }
  if (!arranged.ok) return;
  const { tree } = arranged;
  for (const view of ['designed', 'found'] as const) {
    worstDrop(judgeDrops(shop, tree, view, 'one'));
    const solved = solveTree(shop, tree, { view });
    if (solved.kind !== 'solved') {
      // A blower too weak, a shop without a way for air: said in words. Not to converge is the program's fault.
      if (solved.reason.kind === 'no-convergence') throw new Error('its air is not found');
      continue;
    }
    if (!(solved.residual < 1e-6)) throw new Error(`a residual of ${solved.residual}`);
    if (!Number.isFinite(solved.blower.flow)) throw new Error('a flow that is no number');
    collectorLoad(shop, solved, view);
    suctionStrength(shop, shop.collector);
    systemCurve(shop, tree, view);
    for (const result of judgeDrops(shop, tree, view, 'now')) {
      if (result.kind === 'unsolved') continue;
      pressureProfile(solved, result.drop);
      findings(shop, result, view, 'now');
      if (!Number.isFinite(flowUncertainty(shop, view, result)))
        throw new Error('a doubt that is no number');
    }
  }
}

/** Shop files with random faults: each is refused with a sentence, or is one that every view can show. */
export function attackFiles({ count, seed }: Strength): Attacked {
  const chance = new Chance(seed);
  const failures = new Failures();
  const bases = [heron, threeBranchShop(), { ...drawnShop(2), journal: heron.journal }].map(
    (shop) => {
      const value: unknown = JSON.parse(JSON.stringify(shop));
      return { value, places: placesIn(value) };
    },
  );
  let accepted = 0;
  for (let i = 0; i < count; i++) {
    const base = bases[i % bases.length];
    if (!base) continue;
    const document = broken(base.value, base.places, 1 + chance.below(3), chance);
    const text = JSON.stringify(document);
    const fail = (why: string) => {
      failures.add(`file ${i} of seed ${seed}: ${why}`);
      if (process.env.FRANK_GAUGE_KEEP)
        writeFileSync(`${process.env.FRANK_GAUGE_KEEP}/${i}.json`, text);
    };
    const fault = faultOf(LONGEST, () => {
      const read = readShopFile(text);
      if (!read.ok) {
        if (read.faults.length > 20 || read.faults.some(({ message }) => message === '')) {
          throw new Error('it is refused without a sentence');
        }
        return;
      }
      accepted++;
      const again = readShopFile(writeShopFile(read.shop, read.journal));
      if (!again.ok) throw new Error(`what it wrote cannot be read: ${again.faults[0].message}`);
      if (JSON.stringify(again.shop) !== JSON.stringify(read.shop))
        throw new Error('it changed on its way');
      everyView({ ...read.shop });
    });
    if (fault) fail(fault);
  }
  if (accepted < count / 50) failures.add(`only ${accepted} of ${count} files were worth showing`);
  return { tried: count, failed: failures.list };
}
