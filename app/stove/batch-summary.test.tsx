import { fireEvent, render, screen, within } from "@testing-library/react";
import { MemoryRouter } from "react-router";
import { describe, expect, test, vi } from "vitest";
import { openKitchen } from "~/core/formula";
import { type RunEvent, fold } from "~/core/run";
import type { Person } from "~/data";
import { GLACE_ID } from "~/demo/formulas";
import { DEMO_KITCHEN } from "~/demo/kitchen";
import { words } from "../bench/panels/testing";
import { batchOf, logged, stepsBefore } from "../range/testing";
import { BatchSummary } from "./batch-summary";

const NOOR = { id: "noor", name: "Noor Adeyi" } as Person;
const ZONE = "Europe/Zurich";

describe("a batch that is done", () => {
  const summary = (after: readonly RunEvent[], formulaId = GLACE_ID, waiting = 0) => {
    const live = batchOf(formulaId, after);
    const state = fold(live.events, live.document, openKitchen(DEMO_KITCHEN, {}, live.run.burnerId));
    const onReopen = vi.fn();
    render(
      <MemoryRouter>
        <BatchSummary
          state={state}
          live={live}
          people={[NOOR]}
          timeZone={ZONE}
          demo
          onReopen={onReopen}
          waiting={waiting}
        />
      </MemoryRouter>,
    );
    return { onReopen, live };
  };
  const glace = batchOf(GLACE_ID).document;
  const all = stepsBefore(glace, glace.steps.length);

  test("planned and actual stand side by side; what nobody weighed or read says so", () => {
    summary([...all, logged(200, { kind: "finished" })]);
    const rows = within(screen.getByRole("table")).getAllByRole("row").slice(1);
    expect(rows.length).toBeGreaterThan(0);
    for (const tr of rows) expect(words(tr.children[2] ?? null)).toMatch(/\d/);
    expect(screen.getByText("not weighed")).toBeTruthy();
    expect(screen.getByText("no jug read")).toBeTruthy();
  });
  test("a reading is set against its plan, with how far it is off", () => {
    const last = glace.steps.at(-1)?.id ?? "";
    const before = stepsBefore(glace, glace.steps.length - 1);
    summary([
      ...before,
      logged(150, { kind: "step-begun", stepId: last }),
      logged(170, { kind: "weighed", stepId: last, netG: 2000 }),
      logged(171, { kind: "step-done", stepId: last }),
      logged(172, { kind: "finished" }),
    ]);
    expect(words(screen.getByRole("table"))).toMatch(/2 ?000 g[+−]?[\d.]+ ?%|2 ?000 g.*%/);
  });
  test("who finished it when, what still waits for the network, and the way to its card", () => {
    const { live } = summary([...all, logged(200, { kind: "finished" })], GLACE_ID, 2);
    expect(screen.getByText(/finished .* at 12:20/)).toBeTruthy();
    expect(screen.getByText(/2 readings wait for the network/)).toBeTruthy();
    expect(screen.getByRole("link", { name: "The card of this batch" }).getAttribute("href")).toBe(
      `/book/version?base=${live.document.base.massG}%20g`,
    );
  });
  test("“finished” can be undone", () => {
    const { onReopen } = summary([...all, logged(200, { kind: "finished" })]);
    fireEvent.click(screen.getByRole("button", { name: /Undo “finished”/ }));
    expect(onReopen).toHaveBeenCalledOnce();
  });
  test("a skipped step says so, and a note stands with who wrote it", () => {
    const [first, second] = glace.steps;
    summary([
      logged(1, { kind: "skipped", stepId: first?.id ?? "" }),
      logged(2, { kind: "step-begun", stepId: second?.id ?? "" }),
      logged(3, { kind: "noted", stepId: second?.id ?? "", text: "pale" }),
      logged(9, { kind: "step-done", stepId: second?.id ?? "" }),
      logged(10, { kind: "finished" }),
    ]);
    expect(screen.getByText("(skipped)")).toBeTruthy();
    expect(screen.getByText(/“pale” Noor/)).toBeTruthy();
  });
});
