import { besides } from "./as-typed";
import { fieldsOf } from "./field";
import { type Spoken, readSpoken } from "./spoken";
import type { SumWorld } from "./sum";
import { runSum } from "./registry";

/** A sum as it was said, with what stands on an example until somebody says it. */
export interface Said extends Spoken {
  /** The whole input, what was said and what was taken from the example. */
  readonly whole: Readonly<Record<string, unknown>>;
  /** Fields that stand on the example. */
  readonly examples: readonly string[];
}

/**
 * A phrase with its gaps filled from the sum's example, each told: a sum that is complete as it was said needs none. Two
 * fields that exclude each other are never both there.
 */
export function saidWhole(text: string, world: SumWorld): Said | null {
  const spoken = readSpoken(text, world);
  if (!spoken) return null;
  const { sum, input } = spoken;
  if (Object.keys(input).length > 0 && runSum(sum.name, input, world).ok)
    return { ...spoken, whole: input, examples: [] };
  const whole = besides(fieldsOf(sum.input), exampleIn(sum.example, world), input);
  return { ...spoken, whole, examples: Object.keys(whole).filter(name => !(name in input)) };
}

/** An example begins in the kitchen's own pots, where it has some. */
export function exampleIn(
  example: Readonly<Record<string, unknown>>,
  world: SumWorld,
): Record<string, unknown> {
  const pot = world.vessels.find(v => v.use === "pot") ?? world.vessels[0];
  if (!pot || !("vessel" in example)) return { ...example };
  return { ...example, vessel: { id: pot.id } };
}
