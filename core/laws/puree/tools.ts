/** Which tool suits a vegetable, and which spoils it. Common practice, no source. */
export interface ToolAdvice {
  readonly tool: string;
  /** A blade is not to be used at all. */
  readonly bladeLocked: boolean;
  readonly why: string;
}

const FLOURY = /potato/i;
const SWEET = /sweet/i;
const STRINGS = /pea|bean|celery|asparagus|fennel|raspberr/i;

export const isFloury = (name: string): boolean => FLOURY.test(name) && !SWEET.test(name);

/** Tools that cut the cells open. */
export const BLADES: readonly string[] = ["jar blender", "stick blender", "food processor"];

/** Floury potato as a share of everything from which a blade makes glue of it; in a soup it only binds. Our estimate. */
const GLUEY_FROM = 0.4;

/** What of a pot turns to glue under a tool; `null` where nothing does. */
export function gluesUnder(
  tool: string,
  solids: readonly { readonly name: string; readonly massG: number }[],
  wholeG: number,
): string | null {
  if (!BLADES.includes(tool)) return null;
  const floury = solids.filter(part => isFloury(part.name) && !/waxy/i.test(part.name));
  const mass = floury.reduce((sum, part) => sum + part.massG, 0);
  return mass > GLUEY_FROM * wholeG ? (floury[0]?.name ?? null) : null;
}

/** Tool for a purée by the name of what it is made of. */
export function toolFor(name: string): ToolAdvice {
  if (isFloury(name))
    return {
      tool: "ricer or mill, above 70 °C; fold the fat in before the liquid, by hand",
      bladeLocked: true,
      why: "a blade breaks the cells and floury starch turns to glue",
    };
  if (STRINGS.test(name))
    return {
      tool: "blender, then the fine sieve",
      bladeLocked: false,
      why: "skins and strings stay whole under the blade; the sieve keeps twice as much",
    };
  return {
    tool: "blender, two minutes and more; the drum sieve for the finest",
    bladeLocked: false,
    why: "it holds little starch: the finer, the thicker and the smoother",
  };
}

/** Longest a floury potato is worked at all, s. Common practice, no source. */
export const POTATO_MOST_S = 60;
