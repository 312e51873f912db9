import type { Air } from '../air/air-at-site';
import { frictionLoss } from '../duct/friction-law';
import { openingInto } from './leak-law';
import type { Exhaust } from './network';

/** Static pressure at the blower's outlet with its slope by the blower's flow. */
export interface ExhaustPressure {
  pressure: number;
  slope: number;
  /** What blows out between blower and filter, m³/s. */
  leak: number;
}

/** Share of the flow by which the duct's friction is differenced. */
const STEP = 1e-4;
const MAX_STEPS = 100;

const blown = new Float64Array(2);

/**
 * Writes into `out` the static pressure (Pa) a blower at `flow` (m³/s) needs behind it. Where
 * something leaks out ahead of the filter, the filter sees only the rest: its flow q is found from
 * q + leak(P(q)) = flow, both terms rising, by Newton's method kept between nothing and `flow`.
 */
export function exhaustInto(out: ExhaustPressure, exhaust: Exhaust, flow: number, air: Air): void {
  throughInto(out, exhaust, flow, air);
  out.leak = 0;
  if (exhaust.hole === 0 || flow === 0) return;
  let low = Math.min(0, flow);
  let high = Math.max(0, flow);
  let through = flow;
  for (let step = 0; step < MAX_STEPS; step++) {
    throughInto(out, exhaust, through, air);
    openingInto(blown, exhaust.hole, out.pressure);
    out.leak = blown[0] as number;
    const lacking = flow - through - out.leak;
    if (lacking > 0) low = through;
    else high = through;
    const change = lacking / (1 + (blown[1] as number) * out.slope);
    if (Math.abs(change) <= 1e-14 * Math.abs(flow)) break;
    const next = through + change;
    through = next > low && next < high ? next : (low + high) / 2;
    if (through === low || through === high) break;
  }
  out.slope /= 1 + (blown[1] as number) * out.slope;
}

/** What filter, duct and cap take at `flow`, none of it leaking. */
function throughInto(out: ExhaustPressure, exhaust: Exhaust, flow: number, air: Air): void {
  const { linear, quadratic, duct } = exhaust;
  const size = Math.abs(flow);
  out.pressure = (linear + quadratic * size) * flow;
  out.slope = linear + 2 * quadratic * size;
  if (!duct || size === 0) return;
  const here = frictionLoss(duct.friction, flow, duct.diameter, air);
  out.pressure += here;
  const beyond = frictionLoss(duct.friction, flow * (1 + STEP), duct.diameter, air);
  out.slope += (beyond - here) / (flow * STEP);
}
