declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(tDryBulb: number): number;
    GetHumRatioFromRelHum(tDryBulb: number, relHum: number, pressure: number): number;
    GetMoistAirVolume(tDryBulb: number, humRatio: number, pressure: number): number;
    GetTDewPointFromRelHum(tDryBulb: number, relHum: number): number;
  };
  export default psychrolib;
}
