// Reference: psychrolib 1.1 (ASHRAE Fundamentals 2017, chapter 1), the registry's moist-air library.
import psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import {
  airAtSite,
  airViscosity,
  atmosphericPressure,
  moistAirDensity,
} from '../src/air/air-at-site';

psychrolib.SetUnitSystem(psychrolib.SI);

describe('moist air', () => {
  it('has psychrolib’s density over a grid of weather, within 0.05 %', () => {
    for (let celsius = -20; celsius <= 45; celsius += 5) {
      for (const humidity of [0, 0.25, 0.5, 0.75, 1]) {
        for (const elevation of [0, 500, 1500, 3000]) {
          const pressure = psychrolib.GetStandardAtmPressure(elevation);
          const ratio = psychrolib.GetHumRatioFromRelHum(celsius, humidity, pressure);
          // psychrolib gives the dry part's density; the vapour's mass comes on top.
          const theirs = psychrolib.GetMoistAirDensity(celsius, ratio, pressure);
          const ours = moistAirDensity(pressure, celsius + 273.15, humidity);
          expect(Math.abs(ours / theirs - 1)).toBeLessThan(5e-4);
          expect(Math.abs(atmosphericPressure(elevation) / pressure - 1)).toBeLessThan(5e-4);
        }
      }
    }
  });

  it('has psychrolib’s saturation pressure over ice and over water, within 0.1 %', () => {
    for (const celsius of [-40, -20, -5, -0.1, 0.5, 5, 20, 45]) {
      const temperature = celsius + 273.15;
      // How much lighter moist air is than dry air gives the vapour's pressure by the two gas constants.
      const lighter =
        moistAirDensity(101325, temperature, 0) - moistAirDensity(101325, temperature, 1);
      const pressure = (lighter * temperature) / (1 / 287.042 - 1 / 461.524);
      expect(Math.abs(pressure / psychrolib.GetSatVapPres(celsius) - 1)).toBeLessThan(1e-3);
    }
  });

  it('is near standard density at standard conditions', () => {
    const air = airAtSite({ elevation: 0, temperature: 294.25, humidity: 0 });
    expect(air.density).toBeCloseTo(1.2, 2);
  });

  it('has the viscosity of the tables: 1.81e-5 at 20 °C (from memory)', () => {
    expect(airViscosity(293.15)).toBeCloseTo(1.81e-5, 7);
  });
});
