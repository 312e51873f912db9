/**
 * Velocity pressure in Pa of air at `velocity` in m/s and `density` in kg/m³: ρV²/2.
 * @example velocityPressure(20.345, 1.2014) // 248.6 Pa, one inch of water: the 4005 fpm rule
 */
export const velocityPressure = (velocity: number, density: number): number =>
  (density * velocity * velocity) / 2;

/**
 * Cross-section in m² of a round duct of true inside `diameter` in m.
 * @example circleArea(0.12065) // 0.011433 m²: 4 3/4 in.
 */
export const circleArea = (diameter: number): number => (Math.PI * diameter * diameter) / 4;
