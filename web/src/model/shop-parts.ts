import { type Shop, usualAdvice, usualBuild, usualUpkeep } from '@frank-gauge/core/design';
import { createSelector } from 'reselect';

/** What improvements are ranked by says nothing of the air, nor what is ticked off while building, nor how it is looked after. */
const ADVICE = usualAdvice();
const BUILD = usualBuild();
const UPKEEP = usualUpkeep();

/**
 * What the air of a shop depends on, one object by identity: it stays the same object until one of these
 * parts does not, whatever is noted or renamed meanwhile. Whoever works something out from the air
 * depends on this alone. It is a shop, so that the core takes it; what is not the air's business is empty.
 */
export const airPart = createSelector(
  [
    ({ id }: Shop) => id,
    ({ shop }: Shop) => shop.units,
    ({ shop }: Shop) => shop.site,
    ({ shop }: Shop) => shop.rules,
    ({ room }: Shop) => room,
    ({ machines }: Shop) => machines,
    ({ collector }: Shop) => collector,
    ({ ducts }: Shop) => ducts,
    ({ condition }: Shop) => condition,
    ({ format }: Shop) => format,
    ({ version }: Shop) => version,
  ],
  (id, units, site, rules, room, machines, collector, ducts, condition, format, version): Shop => ({
    format,
    version,
    id,
    shop: { name: '', note: '', units, site, rules, money: { currency: '' } },
    room,
    machines,
    collector,
    candidates: [],
    ducts,
    condition,
    advice: ADVICE,
    setAside: [],
    build: BUILD,
    upkeep: UPKEEP,
  }),
);

/** What stands on the floor and in which room, one object by identity. */
export const standingPart = createSelector(
  [({ machines }: Shop) => machines, ({ collector }: Shop) => collector, ({ room }: Shop) => room],
  (machines, collector, room): Pick<Shop, 'machines' | 'collector' | 'room'> => ({
    machines,
    collector,
    room,
  }),
);
