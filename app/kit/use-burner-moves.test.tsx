import { act, render, screen, waitFor } from "@testing-library/react";
import { createRoutesStub, useLoaderData } from "react-router";
import { expect, it } from "vitest";
import type { Burner } from "~/core/laws/reduction";
import { type BurnerMoves, useBurnerMoves } from "./use-burner-moves";

const burner = (id: string, xMm: number): Burner => ({
  id,
  name: id,
  kind: "gas-pro",
  xMm,
  yMm: 0,
  widthMm: 300,
  depthMm: 300,
});

/** A kitchen that answers each move when it is told to, and keeps what it accepts. */
function kitchen(refuse: (xMm: number) => string | null = () => null) {
  const places = new Map([
    ["one", 0],
    ["two", 400],
  ]);
  const came: string[] = [];
  const answers: (() => void)[] = [];
  let hob: BurnerMoves | undefined;
  function Hob() {
    const kept = useLoaderData<Burner[]>();
    // The test moves what the page would move.
    hob = useBurnerMoves(kept);
    return <output>{hob.burners.map(b => `${b.id} ${b.xMm}`).join(", ")}</output>;
  }
  const Stub = createRoutesStub([
    {
      path: "/",
      HydrateFallback: () => null,
      loader: () => [...places].map(([id, xMm]) => burner(id, xMm)),
      action: async ({ request }) => {
        const form = await request.formData();
        const [id, xMm] = [form.get("id") as string, Number(form.get("xMm"))];
        came.push(`${id} ${xMm}`);
        await new Promise<void>(resolve => answers.push(resolve));
        const message = refuse(xMm);
        if (message) return { problems: [{ code: "OVERLAP", field: "xMm", message }], values: {} };
        places.set(id, xMm);
        return { problems: [], values: {} };
      },
      Component: Hob,
    },
  ]);
  render(<Stub />);
  return {
    came,
    move: (id: string, xMm: number) => act(() => hob?.move(id, { xMm, yMm: 0 })),
    answer: async () => {
      await waitFor(() => expect(answers.length).toBeGreaterThan(0));
      await act(async () => answers.shift()?.());
    },
    state: () => hob?.state,
    refused: () => hob?.refused,
  };
}

it("sends one move after the other and leaves out what a later one overtook", async () => {
  const hob = kitchen();
  await screen.findByText("one 0, two 400");
  expect(hob.state()).toBe("unmoved");
  hob.move("one", 10);
  await waitFor(() => expect(hob.came).toEqual(["one 10"]));
  hob.move("one", 20);
  hob.move("two", 500);
  hob.move("one", 30);
  expect(screen.getByText("one 30, two 500")).toBeDefined();
  expect(hob.came).toEqual(["one 10"]);
  await hob.answer();
  await waitFor(() => expect(hob.came).toEqual(["one 10", "two 500"]));
  // The first answer is of a place left long ago: nothing jumps back.
  expect(screen.getByText("one 30, two 500")).toBeDefined();
  expect(hob.state()).toBe("keeping");
  await hob.answer();
  await hob.answer();
  await waitFor(() => expect(hob.state()).toBe("kept"));
  expect(hob.came).toEqual(["one 10", "two 500", "one 30"]);
  expect(screen.getByText("one 30, two 500")).toBeDefined();
});

it("puts back what the kitchen refuses, with its reason, until the next move", async () => {
  const hob = kitchen(xMm => (xMm > 600 ? "It would stand outside of the kitchen." : null));
  await screen.findByText("one 0, two 400");
  hob.move("two", 700);
  expect(screen.getByText("one 0, two 700")).toBeDefined();
  await hob.answer();
  await screen.findByText("one 0, two 400");
  expect(hob.refused()).toBe("It would stand outside of the kitchen.");
  hob.move("two", 600);
  expect(hob.refused()).toBeNull();
  await hob.answer();
  await waitFor(() => expect(hob.state()).toBe("kept"));
  expect(hob.refused()).toBeNull();
  expect(screen.getByText("one 0, two 600")).toBeDefined();
});
