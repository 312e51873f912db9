import type { PriceId } from '../catalogue/price-ids';
import type { Shop } from '../design/schema';
import type { UnitSystem } from '../quantity/unit-system';
import { toSI } from '../quantity/units';

/** What a price is for one of. */
export type PricedBy = 'length' | 'piece' | 'power' | 'energy' | 'hour';

export interface PriceLine {
  readonly name: string;
  readonly per: PricedBy;
  /** In the shop's money: for each m, piece, W of the motor, J, or hour. An estimate. */
  readonly estimate: number;
}

/** Units a price may be stated for, each with what it is a unit of and how many of the SI unit it is. */
export const PER = {
  foot: { of: 'length', times: toSI(1, 'ft') },
  meter: { of: 'length', times: 1 },
  hp: { of: 'power', times: toSI(1, 'hp') },
  kW: { of: 'power', times: 1000 },
  kWh: { of: 'energy', times: 3.6e6 },
  piece: { of: 'piece', times: 1 },
  hour: { of: 'hour', times: 1 },
} as const satisfies Record<string, { readonly of: PricedBy; readonly times: number }>;
export type PerUnit = keyof typeof PER;

/** The unit prices of a kind are stated for in a system. */
export function perUnit(per: PricedBy, system: UnitSystem): PerUnit {
  switch (per) {
    case 'length':
      return system === 'us' ? 'foot' : 'meter';
    case 'power':
      return system === 'us' ? 'hp' : 'kW';
    case 'energy':
      return 'kWh';
    case 'piece':
    case 'hour':
      return per;
  }
}

/** Diameter at which what is priced by size costs what its line says; else in proportion to its diameter, m. */
export const PRICED_DIAMETER = toSI(6, 'in');

const perFoot = (price: number) => price / toSI(1, 'ft');

/**
 * What things cost, invented and rounded, in dollars or euros alike: to be replaced by prices of the user's own.
 * Duct, elbows, wyes, gates and hose are for 6 in. (150 mm) and go in proportion to the diameter.
 */
export const PRICES = {
  pipe: { name: 'Pipe', per: 'length', estimate: perFoot(4) },
  elbow: { name: 'Elbow, long radius', per: 'piece', estimate: 22 },
  wye: { name: 'Wye', per: 'piece', estimate: 32 },
  gate: { name: 'Blast gate', per: 'piece', estimate: 24 },
  ribbedHose: { name: 'Hose, ribbed', per: 'length', estimate: perFoot(5) },
  smoothHose: { name: 'Hose, smooth bore', per: 'length', estimate: perFoot(9) },
  tape: { name: 'Foil tape or sealant, for one joint', per: 'piece', estimate: 0.6 },
  cartridge: { name: 'Filter cartridge', per: 'piece', estimate: 190 },
  bag: { name: 'Filter bag', per: 'piece', estimate: 60 },
  cyclone: { name: 'Cyclone', per: 'piece', estimate: 380 },
  baffle: { name: 'Slotted baffle, sheet goods and rod', per: 'piece', estimate: 60 },
  blower: {
    name: 'Blower with motor, for each horsepower',
    per: 'power',
    estimate: 320 / toSI(1, 'hp'),
  },
  circuit: { name: 'Circuit, by an electrician', per: 'piece', estimate: 350 },
  receptacle: { name: 'Plug and receptacle, by an electrician', per: 'piece', estimate: 120 },
  hood: { name: 'Hood or port, sheet metal', per: 'piece', estimate: 15 },
  outlet: { name: 'Outlet through a wall, with its hood', per: 'piece', estimate: 70 },
  grille: { name: 'Opening in a wall, with its grille or louver', per: 'piece', estimate: 90 },
  enclosure: {
    name: 'Enclosure, sheet goods, lining and return filter',
    per: 'piece',
    estimate: 240,
  },
  returnFilter: { name: 'Return filter, with its frame', per: 'piece', estimate: 45 },
  impeller: { name: 'Impeller', per: 'piece', estimate: 220 },
  ownCollector: {
    name: 'Small collector beside a machine, for each horsepower',
    per: 'power',
    estimate: 260 / toSI(1, 'hp'),
  },
  guard: { name: 'Overarm saw guard', per: 'piece', estimate: 160 },
  drive: { name: 'Drive or pulleys for another speed', per: 'piece', estimate: 240 },
  heat: { name: 'Heat', per: 'energy', estimate: 0.12 / 3.6e6 },
  hour: { name: 'Hour of work', per: 'hour', estimate: 0 },
} as const satisfies Record<PriceId, PriceLine>;

/** A shop's own price of something; else the estimate. */
export const priceOf = (id: PriceId, { prices }: Pick<Shop['advice'], 'prices'>): number =>
  prices[id] ?? PRICES[id].estimate;
