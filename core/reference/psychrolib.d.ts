declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetStandardAtmPressure(altitude: number): number;
    GetHumRatioFromRelHum(temperature: number, humidity: number, pressure: number): number;
    GetSatVapPres(temperature: number): number;
    GetMoistAirDensity(temperature: number, ratio: number, pressure: number): number;
  };
  export default psychrolib;
}
