/**
 * Units the compiler checks. A quantity is a plain number at run time; its unit exists only in the type.
 *
 * The brand holds a function so that the unit is invariant: with a plain property the compiler would infer
 * `"g" | "s"` for a mixed call and accept it.
 */
declare const unit: unique symbol;

export type Quantity<U extends string> = number & { readonly [unit]: (u: U) => U };

export type Grams = Quantity<"g">;
export type Millilitres = Quantity<"ml">;
export type Millimetres = Quantity<"mm">;
/** A point on the scale, not an amount: it cannot be added. Differences are `DeltaC`. */
export type Celsius = Quantity<"°C">;
export type DeltaC = Quantity<"K">;
export type Seconds = Quantity<"s">;
export type Watts = Quantity<"W">;
export type Pascals = Quantity<"Pa">;
/** Density in g/ml. */
export type Density = Quantity<"g/ml">;

export const g = (n: number) => n as Grams;
export const ml = (n: number) => n as Millilitres;
export const mm = (n: number) => n as Millimetres;
export const degC = (n: number) => n as Celsius;
export const s = (n: number) => n as Seconds;
export const watts = (n: number) => n as Watts;
export const pascals = (n: number) => n as Pascals;
export const gPerMl = (n: number) => n as Density;

type Amount = "g" | "ml" | "mm" | "K" | "s" | "W" | "Pa";

export const add = <U extends Amount>(a: Quantity<U>, b: Quantity<U>) => (a + b) as Quantity<U>;
export const sub = <U extends Amount>(a: Quantity<U>, b: Quantity<U>) => (a - b) as Quantity<U>;
export const scale = <U extends Amount>(a: Quantity<U>, factor: number) => (a * factor) as Quantity<U>;
export const ratio = <U extends Amount>(a: Quantity<U>, b: Quantity<U>): number => a / b;
export const sum = <U extends Amount>(amounts: readonly Quantity<U>[]) =>
  amounts.reduce((total: number, a) => total + a, 0) as Quantity<U>;

export const massOf = (volume: Millilitres, density: Density): Grams => g(volume * density);
export const volumeOf = (mass: Grams, density: Density): Millilitres => ml(mass / density);
export const minutes = (n: number): Seconds => s(n * 60);
export const inMinutes = (t: Seconds): number => t / 60;
export const differenceC = (a: Celsius, b: Celsius): DeltaC => (a - b) as DeltaC;

/** °F → °C, exact: (F − 32) / 1.8. */
export const celsiusOfFahrenheit = (fahrenheit: number): Celsius => degC((fahrenheit - 32) / 1.8);
/** °C → °F, exact. */
export const fahrenheitOfCelsius = (t: Celsius): number => t * 1.8 + 32;
