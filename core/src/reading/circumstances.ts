import {
  type Air,
  airAtSite,
  airViscosity,
  atmosphericPressure,
  moistAirDensity,
} from '../air/air-at-site';
import type { Shop } from '../design/schema';
import type { DuctTree } from '../design/topology';
import { PIPES } from '../duct/pipes';
import type { Journal } from '../journal/journal';
import type { Reading } from '../journal/reading';
import type { Circumstances } from '../measuring/corrections';

/** What a reading refers to: the meters, the places they were held at, and the rounds, where those are known. */
export type Meters = Pick<Journal, 'instruments' | 'testPoints'> & Partial<Pick<Journal, 'rounds'>>;

/** Node of the port a reading was taken at; null where its test point is elsewhere, or not known. */
function nodeOf(
  { testPoint }: Pick<Reading, 'testPoint'>,
  { testPoints }: Pick<Meters, 'testPoints'>,
): string | null {
  const at = testPoints.find(({ id }) => id === testPoint)?.at;
  return at?.kind === 'port' ? at.node : null;
}

/** What a reading is corrected by in a shop as it stands: its meter, its place, the air there and the pipe. */
export function circumstancesOf(
  reading: Pick<Reading, 'testPoint' | 'instrument'> & Partial<Pick<Reading, 'round'>>,
  shop: Pick<Shop, 'shop' | 'ducts'>,
  { drops }: Pick<DuctTree, 'drops'>,
  meters: Meters,
): Circumstances {
  const point = meters.testPoints.find(({ id }) => id === reading.testPoint);
  const at = point?.at;
  const run =
    at?.kind === 'run'
      ? shop.ducts.runs.find(({ id }) => id === at.run)
      : drops.find(({ id }) => id === nodeOf(reading, meters))?.path[0];
  return {
    instrument: meters.instruments.find(({ id }) => id === reading.instrument),
    point,
    air: airOf(reading.round ?? null, shop, meters),
    roughness: PIPES[run?.pipe ?? 'average'].roughness,
  };
}

/** The air a reading was taken in: as its round notes it, and for the rest as the site has it. */
function airOf(
  id: string | null,
  { shop: { site } }: Pick<Shop, 'shop'>,
  { rounds = [] }: Pick<Meters, 'rounds'>,
): Air {
  const round = id === null ? undefined : rounds.find((each) => each.id === id);
  if (!round) return airAtSite(site);
  const temperature = round.temperature ?? site.temperature;
  const humidity = round.humidity ?? site.humidity;
  const pressure = round.pressure ?? atmosphericPressure(site.elevation);
  return {
    density: moistAirDensity(pressure, temperature, humidity),
    viscosity: airViscosity(temperature),
  };
}
