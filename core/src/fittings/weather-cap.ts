import type { DuctEndId } from '../catalogue/ids';
import { lookUp, type Table } from '../quantity/look-up';
import type { Origin } from '../quantity/origin';
import type { ValidRange } from '../quantity/valid-range';

/**
 * Loss of a weather cap beyond an open end's, by its clear height in duct diameters, on the duct's
 * velocity pressure. Source: ACGIH Industrial Ventilation, weather cap losses (from memory).
 */
export const WEATHER_CAP: Table = [
  [0.45, 1],
  [0.5, 0.73],
  [0.55, 0.56],
  [0.6, 0.41],
  [0.65, 0.3],
  [0.7, 0.22],
  [0.75, 0.18],
  [1, 0.1],
];

export const WEATHER_CAP_HEIGHTS: ValidRange = {
  what: 'height of the cap over diameter',
  kind: 'number',
  least: 0.45,
  most: 1,
};

/** @example weatherCapLoss(0.75) // 0.18 */
export const weatherCapLoss = (heightRatio: number): number => lookUp(WEATHER_CAP, heightRatio);

/**
 * The velocity pressure of a duct that ends outdoors is lost with the air that leaves it. A blower's
 * static curve counts none of the velocity at its own outlet (AMCA), which is spent in whatever widens
 * or bends ahead of the duct; with a duct just as wide as the outlet, and straight on, this is up to one
 * velocity pressure too cautious.
 */
export const EXIT_LOSS = 1;

/** Ends of a duct outdoors with their loss beyond the velocity pressure every open end loses. */
export const DUCT_ENDS = {
  open: { name: 'Open end', loss: 0, origin: 'standard' },
  cap: { name: 'Weather cap, ¾ diameter clear', loss: weatherCapLoss(0.75), origin: 'standard' },
  lowCap: { name: 'Weather cap, ½ diameter clear', loss: weatherCapLoss(0.5), origin: 'standard' },
  flap: { name: 'Wall hood with a flap', loss: 1, origin: 'estimate' },
  louvre: { name: 'Louvre with a screen', loss: 2, origin: 'estimate' },
} as const satisfies Record<DuctEndId, { name: string; loss: number; origin: Origin }>;
