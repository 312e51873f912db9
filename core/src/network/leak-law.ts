/** Below this suction (Pa) a leak's law is led smoothly through zero instead of rising upright. */
const LEAK_SMOOTH_BELOW = 0.05;

/** Air drawn in by a leak, m³/s, with its slope by suction. */
export interface LeakFlow {
  flow: number;
  slope: number;
}

/**
 * Writes into `out` what a leak of `seam`·P^`exponent` + `hole`·P^0.5 draws in at `suction` in Pa. Odd
 * about zero (pressure blows out what suction draws in) and smooth through it, where the powers'
 * own slopes are infinite.
 */
export function leakInto(
  out: LeakFlow,
  seam: number,
  exponent: number,
  hole: number,
  suction: number,
): void {
  out.flow = out.slope = 0;
  addPower(out, seam, exponent, suction);
  addPower(out, hole, 0.5, suction);
}

function addPower(out: LeakFlow, coefficient: number, exponent: number, suction: number): void {
  if (coefficient === 0) return;
  const size = Math.abs(suction);
  if (size >= LEAK_SMOOTH_BELOW) {
    const flow = coefficient * size ** exponent;
    out.flow += Math.sign(suction) * flow;
    out.slope += (exponent * flow) / size;
    return;
  }
  // The odd cubic a·t + b·t³ that meets the power law with its slope at t = 1.
  const edge = coefficient * LEAK_SMOOTH_BELOW ** exponent;
  const t = suction / LEAK_SMOOTH_BELOW;
  const a = (3 - exponent) / 2;
  const b = (exponent - 1) / 2;
  out.flow += edge * (a * t + b * t ** 3);
  out.slope += (edge * (a + 3 * b * t * t)) / LEAK_SMOOTH_BELOW;
}
