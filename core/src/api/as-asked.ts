import { airAtSite } from '../air/air-at-site';
import type { BlowerPoint } from '../collector/blower';
import { readCurveFile } from '../collector/curve-file';
import {
  type BareTest,
  type CurveFromTests,
  curveFromTests,
  estimatedCurve,
  estimatedShutOff,
} from '../collector/estimated-curve';
import { bagArea, pleatedArea } from '../collector/filter';
import type { Shop } from '../design/schema';
import type { Fault } from '../document/fault';
import { taperedHoodLoss } from '../fittings/hood';
import { outletPressure } from '../network/outlet-pressure';
import type { SolveRequest } from './request';

export type Asked =
  | { readonly ok: true; readonly shop: Shop; readonly curve: readonly BlowerPoint[] | null }
  | { readonly ok: false; readonly error: string; readonly fault: Fault };

/**
 * The shop as a request wants it: gates, methods, blower curve, filter and hoods changed in a copy,
 * so that whatever is computed of it is computed of the same shop. `curve` is the one asked for.
 */
export function asAsked(document: Shop, request: SolveRequest): Asked {
  const shop: Shop = structuredCopy(document);
  const { rules } = shop.shop;
  rules.friction = request.friction ?? rules.friction;
  rules.junctions = request.junctions ?? rules.junctions;
  return (
    setGates(shop, request) ??
    setFilter(shop, request) ??
    setHoods(shop, request) ??
    withCurve(shop, request)
  );
}

const structuredCopy = (shop: Shop): Shop => JSON.parse(JSON.stringify(shop));

type Refusal = Extract<Asked, { ok: false }>;

const refuse = (error: string, path: string, message: string): Refusal => ({
  ok: false,
  error,
  fault: { path, message },
});

function setGates(shop: Shop, { openGates }: SolveRequest): Refusal | null {
  if (!openGates) return null;
  const gates = new Map(shop.ducts.runs.flatMap(({ id, gate }) => (gate ? [[id, gate]] : [])));
  const unknown = openGates.findIndex((run) => !gates.has(run));
  if (unknown >= 0) {
    const message = `no run '${openGates[unknown]}' with a gate`;
    return refuse('The gates are not the shop’s.', `openGates.${unknown}`, message);
  }
  for (const [id, gate] of gates) gate.open = openGates.includes(id);
  return null;
}

function setFilter(shop: Shop, { filterArea }: SolveRequest): Refusal | null {
  if (!filterArea) return null;
  const { exhaust } = shop.collector;
  if (exhaust.kind === 'outdoors' || !exhaust.filter) {
    const where = exhaust.kind === 'outdoors' ? 'the air goes outdoors' : 'there is none';
    return refuse('The shop has no filter to measure.', 'filterArea', where);
  }
  exhaust.filter.area =
    filterArea.kind === 'bag'
      ? bagArea(filterArea.diameter, filterArea.length)
      : pleatedArea(filterArea.depth, filterArea.height, filterArea.pleats);
  return null;
}

function setHoods(shop: Shop, { hoods }: SolveRequest): Refusal | null {
  for (const [i, { drop, shape, angle }] of hoods.entries()) {
    const kind = shop.ducts.nodes.find(({ id }) => id === drop)?.kind;
    const port =
      kind?.kind === 'port'
        ? shop.machines
            .find(({ id }) => id === kind.machine)
            ?.ports.find(({ id }) => id === kind.port)
        : undefined;
    if (!port) {
      const message = `there is no drop '${drop}'`;
      return refuse('The drop is not the shop’s.', `hoods.${i}.drop`, message);
    }
    port.entryLoss = taperedHoodLoss(shape, angle);
  }
  return null;
}

/** Tests and estimates are made in the shop's own air, with the wheel and speed that run here. */
function withCurve(shop: Shop, { curve }: SolveRequest): Asked {
  if (!curve) return { ok: true, shop, curve: null };
  const { blower } = shop.collector;
  const { wheelDiameter, speed } = blower;
  const { density } = airAtSite(shop.shop.site);
  const read = curveOf(shop, curve, density);
  if (!read.ok) return refuse('The curve is not one.', 'curve', read.reason);
  blower.curve = read.points;
  if (curve.kind !== 'csv') blower.measured = { density, speed, wheelDiameter };
  return { ok: true, shop, curve: read.points };
}

function curveOf(
  shop: Shop,
  curve: NonNullable<SolveRequest['curve']>,
  density: number,
): CurveFromTests {
  const { wheelDiameter, speed } = shop.collector.blower;
  switch (curve.kind) {
    case 'csv':
      return readCurveFile(curve.text, curve.units);
    case 'tests':
      return curveFromTests(curve.blocked, bareTest(shop, curve.open), density);
    case 'estimate':
      return {
        ok: true,
        points: estimatedCurve(wheelDiameter, speed, curve.freeFlow, density),
      };
    case 'bare': {
      const shutOff = estimatedShutOff(wheelDiameter, speed, density);
      return curveFromTests(shutOff, bareTest(shop, curve.open), density);
    }
  }
}

type Bare = Extract<NonNullable<SolveRequest['curve']>, { kind: 'bare' }>['open'];

const bareTest = (shop: Shop, { flow, inletDiameter, entryLoss, outlet }: Bare): BareTest => ({
  flow,
  inletDiameter: inletDiameter ?? shop.collector.separator.inletDiameter,
  entryLoss,
  outlet: outlet ?? outletPressure(shop, flow),
});
