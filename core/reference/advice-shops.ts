import { blowerOfClass } from '../src/collector/blower-classes';
import { addDrop } from '../src/design/edit-ducts';
import type { Shop } from '../src/design/schema';
import { SLIP_JOINT_GAP } from '../src/duct/leakage';
import { toSI } from '../src/quantity/units';
import { counter } from './sample-shops';
import { bareMachine, tenDrops } from './shop-facts';

/** Shops of which every builder says the same; invented. */

/** A 2 hp machine with its stock bag, rolled to the planer on eight feet of ribbed hose. */
export function bagMachineOnHose(): Shop {
  const shop: Shop = structuredClone(bareMachine('two', 'cloth'));
  Object.assign(shop, { machines: [] });
  shop.ducts.runs = [];
  shop.ducts.nodes = shop.ducts.nodes.filter(({ kind }) => kind.kind === 'inlet');
  addDrop(shop, 'inlet', 'planer', counter());
  const diameter = toSI(5, 'in');
  const [run] = shop.ducts.runs;
  if (run) {
    Object.assign(run, { name: 'Planer hose', length: 0.1, diameter, gate: null });
    run.hose = { kind: 'ribbed', length: toSI(8, 'ft'), diameter, compression: 0 };
  }
  for (const port of shop.machines.flatMap(({ ports }) => ports)) {
    Object.assign(port, { diameter, need: { kind: 'flow', flow: toSI(700, 'cfm') } });
  }
  return shop;
}

/** Five horsepower, ten drops and 95 joints pushed together and left so; every drop asks for 450 CFM. */
export function untapedShop(): Shop {
  const shop = tenDrops();
  shop.condition.joints.usual = SLIP_JOINT_GAP;
  for (const port of shop.machines.flatMap(({ ports }) => ports)) {
    port.need = { kind: 'flow', flow: toSI(450, 'cfm') };
  }
  return shop;
}

/** A strong collector on sealed 4-in. duct throughout, where every drop asks for 500 CFM. */
export function strongOnFourInch(): Shop {
  const shop = tenDrops();
  const diameter = toSI(4, 'in');
  shop.collector.blower = blowerOfClass('five', 'us');
  shop.condition.sealing.usual = 9;
  for (const run of shop.ducts.runs) {
    run.diameter = diameter;
    if (run.hose) run.hose.diameter = diameter;
  }
  for (const port of shop.machines.flatMap(({ ports }) => ports)) {
    Object.assign(port, { diameter, need: { kind: 'flow', flow: toSI(500, 'cfm') } });
  }
  return shop;
}
