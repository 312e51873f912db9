import type { HoldMode, Instrument, InstrumentKind, Reading } from '@frank-gauge/core/journal';
import type { CorrectionKind } from '@frank-gauge/core/reading';

/** What a kind of meter is called. */
export const INSTRUMENT_NAMES: Readonly<Record<InstrumentKind, string>> = {
  vane: 'vane anemometer',
  'hot wire': 'hot-wire anemometer',
  pitot: 'pitot tube',
  manometer: 'manometer',
  'sound meter': 'sound level meter',
  ammeter: 'clamp ammeter',
  scale: 'scale',
  tachometer: 'tachometer',
  other: 'other meter',
};

/** What a meter can show, the usual first. */
export const SHOWN_BY: Readonly<Record<InstrumentKind, readonly Reading['quantity'][]>> = {
  vane: ['velocity', 'flow', 'number'],
  'hot wire': ['velocity', 'flow', 'number'],
  pitot: ['velocity pressure', 'velocity', 'flow'],
  manometer: ['pressure', 'velocity pressure'],
  'sound meter': ['number'],
  ammeter: ['current'],
  scale: ['number'],
  tachometer: ['rotation'],
  other: ['velocity', 'flow', 'velocity pressure', 'pressure', 'current', 'rotation', 'number'],
};

export const QUANTITY_NAMES: Readonly<Record<Reading['quantity'], string>> = {
  velocity: 'velocity',
  flow: 'flow',
  'velocity pressure': 'velocity pressure',
  pressure: 'static pressure',
  current: 'current',
  rotation: 'speed',
  number: 'a bare number',
};

export const HOLD_NAMES: Readonly<Record<HoldMode, string>> = {
  live: 'live value',
  average: 'average',
  maximum: 'maximum held',
};

/** What a step of the way from the meter's number to the airflow is called, and why it is taken. */
export const CORRECTION_WORDS: Readonly<
  Record<CorrectionKind, { readonly name: string; readonly why: string }>
> = {
  calibration: {
    name: 'Calibration',
    why: 'What the meter shows, brought to the true value by the calibration of that date.',
  },
  'velocity pressure': {
    name: 'Velocity from pressure',
    why: 'V = √(2·VP/ρ), each value by itself: the mean of pressures is not the pressure of the mean.',
  },
  'preset area': {
    name: 'Preset area undone',
    why: 'The meter multiplied the velocity by the area of the pipe it was set to.',
  },
  blockage: {
    name: 'Head blockage',
    why: 'The frame and hub of the vane narrow the pipe, so the air runs faster past it.',
  },
  hold: {
    name: 'Maximum hold',
    why: 'The highest of several seconds is a few percent above the mean.',
  },
  density: {
    name: 'Air density',
    why: 'The meter shows what the velocity would be in standard air.',
  },
  profile: {
    name: 'Velocity profile',
    why: 'The air is fastest at the center of the pipe; the mean across it is lower.',
  },
  'inside area': {
    name: 'True inside area',
    why: 'Mean velocity times the area of the true inside diameter.',
  },
};

/** A unit a meter may show, by what it shows. */
export const METER_UNITS: Readonly<Record<Reading['quantity'], readonly string[]>> = {
  velocity: ['fpm', 'm/s', 'mph', 'km/h', 'kn'],
  flow: ['CFM', 'm³/h', 'L/s'],
  'velocity pressure': ['in. w.g.', 'Pa', 'mm w.g.', 'hPa'],
  pressure: ['in. w.g.', 'Pa', 'mm w.g.', 'hPa', 'kPa'],
  current: ['A'],
  rotation: ['rpm'],
  number: [],
};

/** What a meter shows first, as a rule. */
export const usualQuantity = ({ kind }: Pick<Instrument, 'kind'>): Reading['quantity'] =>
  SHOWN_BY[kind][0] ?? 'velocity';
