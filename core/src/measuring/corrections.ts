import { type Air, STANDARD_DENSITY } from '../air/air-at-site';
import { circleArea } from '../air/velocity-pressure';
import { frictionFactor } from '../duct/colebrook';
import type { Instrument } from '../journal/instrument';
import type { Reading, Taken } from '../journal/reading';
import type { TestPoint } from '../journal/test-point';
import { calibrated, calibrationAt } from './calibrate';
import { centreToMean, profileUncertainty, SOMEWHERE, straightShare } from './centre-to-mean';
import { type Mean, meanOfRepeats, numberOf } from './repeats';
import { SWIRL_UNCERTAINTY, TRAVERSE_UNCERTAINTY } from './traverse';

/** Accuracy taken for a meter nobody described, as a share: an estimate. */
export const USUAL_ACCURACY = 0.03;
/** Share of the circle of a vane's head that its frame and hub close: an estimate. */
export const HEAD_SOLIDITY = 0.3;
/**
 * Mean over the highest value a meter held for a few seconds: air in a duct swings by some percent, and the
 * highest of many glances is two or three times that above the mean. An estimate.
 */
export const OF_MAXIMUM = { factor: 0.95, uncertainty: 0.04 } as const;

/** What a step of the way from the meter's number to the air is about. */
export type CorrectionKind =
  | 'calibration'
  | 'velocity pressure'
  | 'preset area'
  | 'blockage'
  | 'hold'
  | 'density'
  | 'profile'
  | 'inside area';

interface Quantified {
  readonly value: number;
  readonly quantity: Reading['quantity'];
}

/** One step: what the mean of the repeats was before and after it. SI. */
export interface Correction {
  readonly kind: CorrectionKind;
  readonly before: Quantified;
  readonly after: Quantified;
  /** How far the step itself may be off, as a share, 95 %. */
  readonly uncertainty: number;
}

/** A reading with every step from what the meter showed to what it measured. SI. */
export interface CorrectedReading {
  /** The mean of the repeats as they were shown. */
  readonly shown: Mean;
  readonly corrections: readonly Correction[];
  /** What is left in the end: of velocities and flows the flow. */
  readonly quantity: Reading['quantity'];
  readonly mean: Mean;
  /** The repeats behind that mean, of a traverse each the mean of its points. */
  readonly repeats: readonly Taken[];
  /** What one last digit of the meter comes to; null: not known. */
  readonly lastDigit: number | null;
  /** What all repeats share, as a share of the value, 95 %: the meter's own accuracy and the steps'. */
  readonly systematic: number;
  /** The meter's own part of it. */
  readonly meter: number;
}

export type ReadWith = Pick<
  Instrument,
  'kind' | 'accuracy' | 'digits' | 'resolution' | 'headDiameter' | 'hold' | 'calibrations'
>;

/** What a reading is corrected by besides itself. */
export interface Circumstances {
  /** Undefined: nobody described the meter. */
  readonly instrument: ReadWith | undefined;
  /** Undefined: the place is not known any more. */
  readonly point: Pick<TestPoint, 'straightAhead' | 'holding'> | undefined;
  readonly air: Air;
  /** Of the pipe at the meter, m. */
  readonly roughness: number;
}

type ReadingFields = Pick<
  Reading,
  | 'at'
  | 'method'
  | 'taken'
  | 'quantity'
  | 'spot'
  | 'traverse'
  | 'diameter'
  | 'hold'
  | 'presetDiameter'
>;

/**
 * Brings a reading from what the meter showed to the flow, step by step: calibration, velocity from velocity
 * pressure (V = √(2·VP/ρ), each point by itself: the mean of pressures is not the mean's), the preset area
 * undone, blockage by the head, highest value held, density, profile across the pipe, true inside area. A step
 * that does nothing is left out. Pressures, currents and bare numbers are calibrated and no more.
 */
export function correctReading(reading: ReadingFields, by: Circumstances): CorrectedReading {
  const { quantity } = reading;
  const points = pointsOf(reading);
  const isPressure = quantity === 'velocity pressure';
  const resolution = by.instrument?.resolution ?? null;
  const toMean = (repeats: readonly Taken[], lastDigit: number | null) =>
    meanOfRepeats(repeats, { resolution: lastDigit, points });

  // Step by step, each value by itself: calibration, and velocity from its pressure.
  const changes: [CorrectionKind, Reading['quantity'], (shown: number) => number][] = [];
  const calibration = by.instrument ? calibrationAt(by.instrument, reading.at) : null;
  if (calibration) {
    changes.push(['calibration', quantity, (shown) => calibrated(shown, calibration)]);
  }
  if (isPressure) {
    const { density } = by.air;
    changes.push(['velocity pressure', 'velocity', (shown) => Math.sqrt((2 * shown) / density)]);
  }
  let values: readonly Taken[] = reading.taken;
  let lastDigit = resolution;
  let repeats = inRepeats(values, points);
  const shown = toMean(repeats, lastDigit);
  let at: Quantified = { value: numberIn(shown), quantity };
  const corrections: Correction[] = [];
  for (const [kind, to, change] of changes) {
    if (lastDigit !== null) lastDigit *= slopeAt(change, meanOf(values));
    values = values.map((one) => changed(one, change));
    repeats = inRepeats(values, points);
    const after = { value: numberIn(toMean(repeats, lastDigit)), quantity: to };
    corrections.push({ kind, before: at, after, uncertainty: 0 });
    at = after;
  }
  // What multiplies all of them alike.
  for (const { kind, factor, uncertainty, to } of factorsOf(reading, by, at)) {
    repeats = repeats.map((one) => changed(one, (value) => factor * value));
    if (lastDigit !== null) lastDigit *= factor;
    const after = { value: factor * at.value, quantity: to };
    corrections.push({ kind, before: at, after, uncertainty });
    at = after;
  }

  const meter = meterUncertainty(by.instrument, numberIn(shown), isPressure);
  return {
    shown,
    corrections,
    quantity: at.quantity,
    mean: toMean(repeats, lastDigit),
    repeats,
    lastDigit,
    meter,
    systematic: Math.hypot(meter, ...corrections.map(({ uncertainty }) => uncertainty)),
  };
}

/** Values that each repeat is the mean of. */
export const pointsOf = ({ traverse }: Pick<Reading, 'traverse'>): number =>
  traverse ? traverse.points * traverse.diameters : 1;

const numberIn = (mean: Mean) => (mean.kind === 'nothing' ? Number.NaN : mean.mean);
const meanOf = (values: readonly Taken[]) =>
  values.reduce((sum, one) => sum + numberOf(one), 0) / values.length;

const changed = (one: Taken, change: (value: number) => number): Taken =>
  one.kind === 'value'
    ? { kind: 'value', value: change(one.value) }
    : { kind: one.kind, limit: change(one.limit) };

interface Factor {
  readonly kind: CorrectionKind;
  readonly factor: number;
  readonly uncertainty: number;
  readonly to: Reading['quantity'];
}

/** What a velocity or a flow is multiplied by, in order. */
function factorsOf(reading: ReadingFields, by: Circumstances, at: Quantified): Factor[] {
  const { instrument, air } = by;
  const { diameter, presetDiameter } = reading;
  if (at.quantity !== 'velocity' && at.quantity !== 'flow') return [];
  const factors: Factor[] = [];
  let to: Reading['quantity'] = at.quantity;
  if (to === 'flow' && presetDiameter !== null) {
    to = 'velocity';
    factors.push({
      kind: 'preset area',
      factor: 1 / circleArea(presetDiameter),
      uncertainty: 0,
      to,
    });
  }
  const head = instrument?.kind === 'vane' ? instrument.headDiameter : null;
  if (head !== null) {
    const closed = HEAD_SOLIDITY * Math.min(1, (head / diameter) ** 2);
    factors.push({ kind: 'blockage', factor: 1 - closed, uncertainty: closed, to });
  }
  if ((reading.hold ?? instrument?.hold) === 'maximum') {
    factors.push({ kind: 'hold', ...OF_MAXIMUM, to });
  }
  const isPressure = reading.quantity === 'velocity pressure';
  const byDensity = densityFactor(instrument, isPressure, air.density);
  if (byDensity !== 1) factors.push({ kind: 'density', factor: byDensity, uncertainty: 0, to });
  if (to === 'flow') return factors;

  const velocity = factors.reduce((value, { factor }) => value * factor, at.value);
  const profile = profileOf(reading, by, velocity);
  if (profile.factor !== 1 || profile.uncertainty > 0) {
    factors.push({ kind: 'profile', ...profile, to });
  }
  factors.push({ kind: 'inside area', factor: circleArea(diameter), uncertainty: 0, to: 'flow' });
  return factors;
}

/** Repeats as they are; of a traverse each the mean of its points. */
function inRepeats(values: readonly Taken[], points: number): readonly Taken[] {
  if (points === 1) return values;
  const repeats: Taken[] = [];
  for (let i = 0; i + points <= values.length; i += points) {
    const mean = meanOfRepeats(values.slice(i, i + points));
    if (mean.kind === 'value') repeats.push({ kind: 'value', value: mean.mean });
    else if (mean.kind === 'at least') repeats.push({ kind: 'over', limit: mean.mean });
    else if (mean.kind === 'at most') repeats.push({ kind: 'under', limit: mean.mean });
    // Some points over and some under: the repeat says nothing, and so does the whole.
    else repeats.push({ kind: 'over', limit: 0 }, { kind: 'under', limit: 0 });
  }
  return repeats;
}

/** How much a change makes of a small step at a value. */
function slopeAt(change: (shown: number) => number, at: number): number {
  const step = Math.max(1e-9, 1e-3 * at);
  return (
    (change(at + step) - change(Math.max(0, at - step))) / (at + step - Math.max(0, at - step))
  );
}

/**
 * True velocity over the one shown, by the density of the air: a hot wire feels mass, and shows what it would
 * be in standard air; a pitot tube's meter that works out the velocity does so for standard air too.
 */
function densityFactor(
  instrument: ReadWith | undefined,
  isPressure: boolean,
  density: number,
): number {
  if (instrument?.kind === 'hot wire') return STANDARD_DENSITY / density;
  if (instrument?.kind === 'pitot' && !isPressure) return Math.sqrt(STANDARD_DENSITY / density);
  return 1;
}

/** Mean velocity across the pipe over the one read, and how far that may be off. */
function profileOf(
  { spot, traverse, diameter, method }: ReadingFields,
  { point, air, roughness }: Circumstances,
  velocity: number,
): { readonly factor: number; readonly uncertainty: number } {
  const straight = point?.straightAhead ?? null;
  const diameters = straight === null ? null : straight / diameter;
  switch (spot) {
    case 'average':
      // How unevenly a hand moves across the pipe is in the scatter of the repeats.
      return { factor: 1, uncertainty: 0 };
    case 'point':
      return method === 'relative' ? { factor: 1, uncertainty: 0 } : SOMEWHERE;
    case 'centre': {
      const reynolds = (air.density * velocity * diameter) / air.viscosity;
      const factor =
        velocity > 0 ? centreToMean(frictionFactor(reynolds, roughness / diameter)) : 1;
      return { factor, uncertainty: profileUncertainty(diameters) };
    }
    case 'traverse': {
      const own = TRAVERSE_UNCERTAINTY[traverse?.diameters ?? 1];
      const swirl = SWIRL_UNCERTAINTY * (1 - straightShare(diameters));
      return { factor: 1, uncertainty: Math.hypot(own, swirl) };
    }
  }
}

/** How far the meter itself may be off, as a share of what it shows, 95 %: its accuracy and its digits. */
function meterUncertainty(
  instrument: ReadWith | undefined,
  shown: number,
  isPressure: boolean,
): number {
  const accuracy = instrument?.accuracy ?? USUAL_ACCURACY;
  const digits = (instrument?.digits ?? 0) * (instrument?.resolution ?? 0);
  const share = shown > 0 ? accuracy + digits / shown : 0;
  // A velocity is the root of its pressure: half as far off.
  return isPressure ? share / 2 : share;
}
