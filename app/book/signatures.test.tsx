import { cleanup, render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { createRoutesStub } from "react-router";
import { afterEach, describe, expect, test } from "vitest";
import { readiness } from "~/core/standard";
import type { Signature } from "~/data";
import { Signatures } from "./signatures";

afterEach(cleanup);

const readyAfter = (n: number) => {
  const found = readiness([{ name: "yield", deviations: Array<number>(n).fill(0), tolerance: 0.08 }]);
  return found.ok ? found.value : null;
};
const early: Signature = {
  state: "standard",
  by: "Ilse Varga",
  at: new Date("2026-11-22T10:00:00Z"),
  reason: "one way is better than three",
  score: 36,
};

/** The place to sign, and what was sent from it. */
function shown(props: Partial<Parameters<typeof Signatures>[0]>, problem: string | null = null) {
  const sent: Record<string, string>[] = [];
  const Stub = createRoutesStub([
    {
      path: "/",
      Component: () => (
        <Signatures state="draft" signatures={[]} ready={null} maySign timeZone="UTC" {...props} />
      ),
      action: async ({ request }) => {
        sent.push(Object.fromEntries(await request.formData()) as Record<string, string>);
        return { problem };
      },
    },
  ]);
  render(<Stub />);
  return sent;
}
const text = () => screen.getByRole("region", { name: "What it is" }).textContent.replace(/\s+/g, " ");

describe("what a version is", () => {
  test("a cook sees it, and signs nothing", () => {
    shown({ maySign: false, state: "standard", signatures: [early], ready: readyAfter(9) });
    expect(text()).toContain("Readiness 89 of 100: 1 more batch inside, and it is.");
    expect(text()).toContain("yield: 9 of 9 inside");
    expect(text()).toContain("one way is better than three (readiness 36 of 100)");
    expect(text()).toContain("A chef signs it.");
    expect(screen.queryByRole("button")).toBeNull();
  });
  test("a chef signs with a reason; the same signature sent twice bears one id", async () => {
    const sent = shown({});
    expect(text()).toContain("signed early: nothing was measured");
    await userEvent.type(screen.getByLabelText("why"), "as it goes with the leeks");
    await userEvent.click(screen.getByRole("button", { name: "Make it the standard" }));
    await userEvent.click(screen.getByRole("button", { name: "Make it the standard" }));
    expect(sent[0]).toMatchObject({
      intent: "sign",
      state: "standard",
      reason: "as it goes with the leeks",
    });
    expect(sent[0]?.id).toMatch(/^[0-9A-HJKMNP-TV-Z]{26}$/);
    expect(new Set(sent.map(one => one.id)).size).toBe(1);
  });
  test("what its batches show is not early, and what it is already is not offered", () => {
    shown({ ready: readyAfter(10), state: "trial" });
    expect(text()).toContain("of 100: its batches show it.");
    expect(text()).not.toContain("early");
    expect(screen.getAllByRole("button").map(button => button.textContent)).toEqual([
      "Make it the standard",
      "Retire it",
    ]);
  });
  test("why it was not signed stands beside the button", async () => {
    shown({}, "Say why nobody is to cook it any more.");
    await userEvent.click(screen.getByRole("button", { name: "Retire it" }));
    expect((await screen.findByRole("alert")).textContent).toContain("Say why nobody");
  });
});
