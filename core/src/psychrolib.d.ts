declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetTDewPointFromRelHum(tDryBulb: number, relHum: number): number;
  };
  export default psychrolib;
}
