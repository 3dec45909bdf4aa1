/** The psychrometrics library ships no types; these are the parts the checks use. */
declare module 'psychrolib' {
  export const SI: number;
  export function SetUnitSystem(system: number): void;
  /** Pa, from °C */
  export function GetSatVapPres(celsius: number): number;
  /** Pa, from m */
  export function GetStandardAtmPressure(metres: number): number;
}
