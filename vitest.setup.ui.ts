import { cleanup, configure } from "@testing-library/react";
import { type MockInstance, afterEach, beforeEach, expect, vi } from "vitest";

// Not how fast it must be: how long a busy machine may take before what is waited for counts as missing.
configure({ asyncUtilTimeout: 20_000 });

/** There is no canvas under these tests; the browser's own draw the charts. */
const WITHOUT_CANVAS = /^Failed to create chart/;

// Two rows of one key, a paragraph in a paragraph: React complains of what it will draw wrongly, and goes on.
let complaints: MockInstance<typeof console.error>;
beforeEach(() => {
  complaints = vi.spyOn(console, "error");
});
// The files share one page: what one has drawn is no other's to find.
afterEach(cleanup);
afterEach(() => {
  const said = complaints.mock.calls.map(words => words.map(String).join(" "));
  complaints.mockRestore();
  expect(said.filter(complaint => !WITHOUT_CANVAS.test(complaint))).toEqual([]);
});
