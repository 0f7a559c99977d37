import { fireEvent, render, screen, waitFor, within } from "@testing-library/react";
import { createRoutesStub } from "react-router";
import { expect, it } from "vitest";
import { FACTS, type FactId } from "~/core/ground/facts";
import Figures from "./figures";
import { readFactForm } from "./kitchen-forms.server";

/** The screen of figures over a kitchen that keeps its own in memory. */
async function screenOver(own: Partial<Record<FactId, number>>) {
  const facts = new Map(Object.entries(own));
  const Stub = createRoutesStub([
    {
      path: "/",
      HydrateFallback: () => null,
      loader: ({ request }) => {
        const id = new URL(request.url).searchParams.get("figure");
        return { facts: Object.fromEntries(facts), open: id ? { id, seen: "" } : null };
      },
      action: async ({ request }) => {
        const form = await request.formData();
        const values = Object.fromEntries([...form.entries()].map(([k, v]) => [k, v as string]));
        const read = readFactForm(form);
        if (!read.ok) return { problems: read.problems, values };
        const { id, value } = read.value;
        if (value === null) facts.delete(id);
        else facts.set(id, value);
        return { problems: [], values: { id }, said: value === null ? "Back to the usual." : "Kept." };
      },
      // The screen's own loader and action need a database; these keep to their types.
      Component: Figures as unknown as React.ComponentType,
    },
  ]);
  render(<Stub />);
  await screen.findByRole("heading", { level: 1 });
  return facts;
}

const ID: FactId = "starchThreshold";
const row = (id: FactId) => {
  const found = screen.getByText(FACTS[id].label).closest("li");
  if (!found) throw new Error(`${FACTS[id].label} stands in no list.`);
  return found;
};
const type = async (id: FactId, text: string) => {
  const link = within(row(id)).getByRole("link");
  if (link.ariaExpanded !== "true") fireEvent.click(link);
  fireEvent.change(await within(row(id)).findByRole("textbox"), { target: { value: text } });
  fireEvent.click(within(row(id)).getByRole("button", { name: "Keep" }));
};

it("finds a figure by words of its name and tells its usual value, its range and where it comes from", async () => {
  await screenOver({});
  const fact = FACTS[ID];
  fireEvent.change(screen.getByRole("searchbox"), { target: { value: fact.label.toUpperCase() } });
  fireEvent.click(within(row(ID)).getByRole("link"));
  await within(row(ID)).findByRole("textbox");
  expect(row(ID).textContent).toContain(`Usually ${String(Number(fact.value.toPrecision(4)))}`);
  expect(screen.getAllByRole("listitem").length).toBeLessThan(Object.keys(FACTS).length);
  fireEvent.change(screen.getByRole("searchbox"), { target: { value: "unicorn" } });
  expect(screen.getByText("No figure is called that here.")).toBeDefined();
});

it("keeps a figure of the kitchen's own, and refuses one out of reason without losing it", async () => {
  const facts = await screenOver({});
  await type(ID, "a lot");
  await waitFor(() => expect(within(row(ID)).getByRole("alert")).toBeDefined());
  expect(within(row(ID)).getByRole<HTMLInputElement>("textbox").value).toBe("a lot");
  expect(facts.get(ID)).toBeUndefined();
  await type(ID, String(FACTS[ID].hi));
  await waitFor(() => expect(within(row(ID)).getByRole("status").textContent).toContain("Kept."));
  expect(facts.get(ID)).toBeCloseTo(FACTS[ID].hi);
});

it("still says what became of a figure that is the usual one again while only the kitchen's own are shown", async () => {
  const facts = await screenOver({ [ID]: FACTS[ID].hi });
  fireEvent.click(screen.getByRole("checkbox"));
  expect(screen.getAllByRole("listitem")).toHaveLength(1);
  await type(ID, "");
  await waitFor(() => expect(facts.get(ID)).toBeUndefined());
  await screen.findByText("So far all are the usual ones.", { exact: false });
  expect(within(row(ID)).getByRole("status").textContent).toContain("Back to the usual.");
});
