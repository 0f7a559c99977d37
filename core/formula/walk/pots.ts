import { BURNER_CLASSES, type Burner } from "../../laws/reduction";
import { EMPTY_POT, type PotState, potMass } from "../../things/pot";
import type { Vessel } from "../../things/vessel";
import { kindOf } from "../steps";
import type { Step } from "../steps";
import { panOf } from "../steps/pan";
import type { OtherVessel, StepOutcome } from "../steps/kind";
import type { Kitchen } from "./kitchen";

/** The pots of a line: the main one and those that are worked beside it, each with its own vessel, burner and clock. */

interface Standing extends OtherVessel {
  readonly clockS: number;
  readonly burner: Burner | null;
}

/** What the main pot is called here. */
const MAIN = "";

/** Where a step works, and what it may use while the other pots stand where they stand. */
export interface Place {
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly elsewhere: OtherVessel | null;
  /** The kitchen less the pots and burners in use. */
  readonly kitchen: Kitchen;
  readonly taken: ReadonlyMap<string, string>;
  /** When the step can begin, s since the start of the line. */
  readonly clockS: number;
}

const NOTHING: Standing = { pot: EMPTY_POT, vessel: null, clockS: 0, burner: null };
const NONE_TAKEN: ReadonlyMap<string, string> = new Map();

export class Pots {
  readonly #pots = new Map<string, Standing>();
  readonly #kitchen: Kitchen;

  constructor(kitchen: Kitchen) {
    this.#kitchen = kitchen;
  }

  #at(name: string): Standing {
    return this.#pots.get(name) ?? NOTHING;
  }

  /** A vessel that nothing was in yet begins when the line comes to it; one that is filled from another, not before that. */
  place(step: Step): Place {
    const name = panOf(step);
    const own = this.#pots.get(name) ?? { ...NOTHING, clockS: this.#at(MAIN).clockS };
    const other = kindOf(step).touches?.(step) ?? null;
    const elsewhere = other === null || other === name ? null : this.#at(other);
    const taken = this.#takenBy(name);
    return {
      pot: own.pot,
      vessel: own.vessel,
      elsewhere,
      taken,
      kitchen: this.#left(name, taken, step),
      clockS: Math.max(own.clockS, elsewhere?.clockS ?? 0),
    };
  }

  /** What the line makes. */
  main(): OtherVessel {
    return this.#at(MAIN);
  }

  /** Puts down what a step did, and when it was through. */
  put(step: Step, done: Pick<StepOutcome, "pot" | "vessel" | "elsewhere" | "fire">, endS: number): void {
    const name = panOf(step);
    const burner = done.fire?.burner ?? this.#at(name).burner ?? this.#burnerFor(name);
    this.#pots.set(name, { pot: done.pot, vessel: done.vessel, clockS: endS, burner });
    const other = kindOf(step).touches?.(step) ?? null;
    if (done.elsewhere && other !== null)
      // What was lifted into a pan will be worked there: its burner is taken from now on.
      this.#pots.set(other, {
        ...done.elsewhere,
        clockS: endS,
        burner: this.#at(other).burner ?? this.#burnerFor(other),
      });
  }

  /** What is left in vessels that nothing was brought in from any more, by name. */
  leftOver(): { readonly name: string; readonly massG: number }[] {
    return [...this.#pots]
      .map(([name, { pot }]) => ({ name, massG: potMass(pot) as number }))
      .filter(({ name, massG }) => name !== MAIN && massG > 0);
  }

  #others(name: string): [string, Standing][] {
    return [...this.#pots].filter(([other, { pot }]) => other !== name && potMass(pot) > 0);
  }

  #takenBy(name: string): ReadonlyMap<string, string> {
    const others = this.#others(name).flatMap(([other, { vessel }]): [string, string][] =>
      vessel ? [[vessel.id, other || "main pot"]] : [],
    );
    return others.length ? new Map(others) : NONE_TAKEN;
  }

  /** The kitchen as this pot finds it: the same object as long as nothing else is in use. */
  #left(name: string, taken: ReadonlyMap<string, string>, step: Step): Kitchen {
    const kitchen = this.#kitchen;
    const others = this.#others(name);
    if (!others.length && name === MAIN) return kitchen;
    const inUse = new Set(others.flatMap(([, { burner }]) => (burner ? [burner.id] : [])));
    const named = "burnerId" in step ? step.burnerId : undefined;
    return without(kitchen, name === MAIN, new Set(taken.keys()), inUse, named);
  }

  #burnerFor(name: string): Burner | null {
    if (name === MAIN) return this.#kitchen.burner;
    const inUse = new Set(this.#others(name).map(([, { burner }]) => burner?.id));
    return beside(this.#kitchen, inUse as ReadonlySet<string>)[0] ?? this.#kitchen.burner;
  }
}

/** Burners for a second pan: none in use, the weaker first, for the strong ones are wanted by what reduces. */
const beside = (kitchen: Kitchen, inUse: ReadonlySet<string>): readonly Burner[] =>
  remembered(kitchen.data.burners, ["beside", kitchen.burner?.id, ...inUse], all => {
    const free = all.filter(b => !inUse.has(b.id) && b.id !== kitchen.burner?.id);
    return (free.length ? free : [...all]).sort((a, b) => powerOf(a) - powerOf(b));
  });

/** Zones of a solid top are as strong as the top is hot there: none of them counts as weak. */
const powerOf = ({ kind }: Burner): number =>
  kind in BURNER_CLASSES ? BURNER_CLASSES[kind as keyof typeof BURNER_CLASSES].powerW : Infinity;

/** Lists with something in use left out, so that a walk made again finds the same object. */
const known = new WeakMap<object, Map<string, unknown>>();
function remembered<T>(
  of: readonly T[],
  key: readonly (string | undefined)[],
  make: (of: readonly T[]) => readonly T[],
): readonly T[] {
  const lists = (known.get(of) ?? new Map<string, unknown>()) as Map<string, readonly T[]>;
  known.set(of, lists);
  const id = key.join("\n");
  const before = lists.get(id);
  if (before) return before;
  const made = make(of);
  lists.set(id, made);
  return made;
}

function without(
  kitchen: Kitchen,
  main: boolean,
  vessels: ReadonlySet<string>,
  burners: ReadonlySet<string>,
  named: string | undefined,
): Kitchen {
  const free = main
    ? remembered(kitchen.burners, ["main", named, ...burners], all => {
        const left = all.filter(b => !burners.has(b.id) || b.id === named);
        return left.length ? left : all;
      })
    : beside(kitchen, burners);
  const chosen = main ? undefined : kitchen.data.burners.find(b => b.id === named);
  return {
    ...kitchen,
    vessels: remembered(kitchen.vessels, [...vessels], all => all.filter(v => !vessels.has(v.id))),
    burner: main ? kitchen.burner : (chosen ?? free[0] ?? kitchen.burner),
    burners:
      chosen && !free.includes(chosen) ? remembered(free, ["and", chosen.id], all => [...all, chosen]) : free,
  };
}
