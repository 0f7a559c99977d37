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
