/** The two doors of psychrolib 1.1.1 that the reference tests use; the package ships no types. */
declare module "psychrolib" {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    /** °C → Pa. */
    GetSatVapPres(temperature: number): number;
    /** m → Pa. */
    GetStandardAtmPressure(altitude: number): number;
  };
  export default psychrolib;
}
