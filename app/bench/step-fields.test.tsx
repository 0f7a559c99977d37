import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { describe, expect, test, vi } from "vitest";
import {
  type Step,
  type StepKindName,
  type StepField,
  STEP_KINDS,
  fieldsOf,
  blankFormula,
  insertStep,
  openKitchen,
  readFormula,
  updateStep,
} from "~/core/formula";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { StepFieldInput, valueOf } from "./step-fields";

const { vessels } = openKitchen(DEMO_KITCHEN);
const KINDS = Object.keys(STEP_KINDS) as StepKindName[];

/** A formula of one step, as the Bench puts it in. */
const withStep = (kind: StepKindName) =>
  insertStep(blankFormula("One step", { name: "bones", massG: 5000 }), kind, "only");
const stepOf = (kind: StepKindName): Step => {
  const [step] = withStep(kind).steps;
  if (!step) throw new Error(`No step of kind ${kind} was put in.`);
  return step;
};

const everyField = KINDS.flatMap(kind =>
  fieldsOf(STEP_KINDS[kind]).map(field => [kind, field.key, field] as const),
);

function input(kind: StepKindName, field: StepField) {
  const onChange = vi.fn<(patch: Partial<Step>, tag: string) => void>();
  render(
    <StepFieldInput
      field={field}
      value={valueOf(stepOf(kind), field)}
      vessels={vessels}
      burners={DEMO_KITCHEN.burners}
      onChange={onChange}
    />,
  );
  const element = screen.getByLabelText<HTMLInputElement>(field.label);
  const type = (text: string) => {
    const told = element.tagName === "SELECT" ? "change" : "input";
    fireEvent[told](element, { target: { value: text } });
    return onChange.mock.calls.at(-1)?.[0];
  };
  return { onChange, element, type };
}

/** What a cook could type or choose in a field that differs from what stands in it, and what it must become. */
function otherValue(kind: StepKindName, field: StepField): [typed: string, meant: unknown] {
  switch (field.type) {
    case "minutes":
      return ["1 h 07", 67];
    case "temperature":
      return [`${field.min + 2} °C`, field.min + 2];
    case "number":
      return [`${field.max} ${field.unit}`, field.max];
    case "litres":
      return ["2.5", 2500];
    case "percent":
      return ["37 %", 0.37];
    case "flag":
      return ["", valueOf(stepOf(kind), field) !== true];
    case "choice": {
      const now = valueOf(stepOf(kind), field);
      const other = field.choices.find(([value]) => value !== now)?.[0];
      return [other ?? "", other];
    }
    case "burner":
      return ["open-1", "open-1"];
    case "vessel": {
      const id = vessels.find(v => v.use !== "tray" && v.use !== "container")?.id;
      return [id ?? "", id];
    }
    case "target":
      return ["to 1/3", { to: 1 / 3 }];
    case "text":
    case "pan":
      return ["as the house does it", "as the house does it"];
  }
}

describe("the fields of a step", () => {
  test.each(everyField)(
    "%s, %s: what is typed becomes part of a step that can be read",
    (kind, key, field) => {
      const [typed, meant] = otherValue(kind, field);
      const { element, onChange, type } = input(kind, field);
      const patch =
        field.type === "flag" ? (fireEvent.click(element), onChange.mock.calls[0]?.[0]) : type(typed);
      const said = (patch as Record<string, unknown> | undefined)?.[key];
      if (typeof meant === "object") expect(said).toMatchObject(meant as object);
      else if (typeof meant === "number") expect(said).toBeCloseTo(meant, 9);
      else expect(said).toBe(meant);
      expect(onChange.mock.calls.at(-1)?.[1]).toBe(key);
      const read = readFormula(updateStep(withStep(kind), "only", patch ?? {}));
      expect(read.ok ? [] : read.problems.map(p => p.message)).toEqual([]);
      expect(read.ok && valueOf(read.value.steps[0] as Step, field)).toEqual(said);
    },
  );
  test.each(
    everyField.filter(([, , f]) => f.type === "number" || f.type === "temperature" || f.type === "minutes"),
  )("%s, %s: what cannot be meant is refused in its field and changes nothing", (kind, _key, field) => {
    const { element, onChange, type } = input(kind, field);
    const tooMuch = "max" in field ? `${field.max * 10 + 1}` : "99999";
    for (const [typed, says] of [
      ["a good deal", /number|temperature|amount/i],
      [tooMuch, /at most|between|more than/i],
    ] as const) {
      type(typed);
      expect(onChange).not.toHaveBeenCalled();
      expect(element.getAttribute("aria-invalid")).toBe("true");
      expect(screen.getByRole("alert").textContent).toMatch(says);
    }
  });
  test("a pot chosen can be left to the kitchen again", () => {
    const field = fieldsOf(STEP_KINDS.reduce).find(f => f.type === "vessel");
    if (!field) throw new Error("A reduction has no pot to choose.");
    const { element, type } = input("reduce", field);
    expect(element.textContent).toContain("where it goes best");
    expect(type("")).toEqual({ vesselId: undefined });
  });
  test("only what ends in the cold may go into a container", () => {
    const inContainers = KINDS.filter(kind => {
      const field = fieldsOf(STEP_KINDS[kind]).find(f => f.type === "vessel");
      if (!field) return false;
      const { element } = input(kind, field);
      const offered = [...element.querySelectorAll("option")].map(option => option.value);
      cleanup();
      const trays = vessels.some(v => v.use === "tray" && offered.includes(v.id));
      expect(trays, kind).toBe(["roast", "set", "brown", "braise", "confit"].includes(kind));
      return vessels.some(v => v.use === "container" && offered.includes(v.id));
    });
    expect(inContainers).toContain("strain");
    expect(inContainers).not.toContain("reduce");
    expect(inContainers).not.toContain("sweat");
  });
  test("water measured to the bones may be left to the eye again", () => {
    const field = fieldsOf(STEP_KINDS.cover).find(f => f.type === "litres");
    if (!field) throw new Error("Covering has no measure.");
    const { onChange, type } = input("cover", field);
    expect(type("3 l")).toEqual({ toBonesMl: 3000 });
    expect(type("by eye")).toEqual({ toBonesMl: undefined });
    expect(onChange).toHaveBeenCalledTimes(2);
  });
});
