import AxeBuilder from "@axe-core/playwright";
import { type Page, expect } from "@playwright/test";

/** How a screen is seen: by everybody, and whole. */

/**
 * Nothing serious, nothing critical. The findings are put together in the page itself, which has no frames of other
 * origins: the other way opens a second page in front of it, and a busy browser may forget to draw the first one again.
 */
export async function accessible(page: Page, what: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).setLegacyMode().analyze();
  const grave = violations.filter(v => v.impact === "serious" || v.impact === "critical");
  expect(grave.map(v => `${what}: ${v.id} ${v.nodes.map(n => n.html.slice(0, 120)).join(" | ")}`)).toEqual(
    [],
  );
}

/** Charts follow a new width only after the next look at their box; so it is asked until it holds. */
export async function fits(page: Page, what: string): Promise<void> {
  const over = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  await expect.poll(over, { message: `${what} is wider than the screen` }).toBeLessThanOrEqual(0);
}
