import "./styles.css";
import { type ReactNode, useContext, useEffect } from "react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration, useRouteLoaderData } from "react-router";
import { Toaster } from "sonner";
import { z } from "zod";
import type { Route } from "./+types/root";
import { carryFor, startCourier } from "./offline/courier";
import { useSentForms } from "./offline/use-sent-forms";
import { type Heads, fetchKitchen, kitchenAtHand } from "./kitchen/at-hand";
import { FirstKitchen, KitchenContext } from "./kitchen/context";

// Zod would try `eval` once, which the content policy reports.
z.config({ jitless: true });

export { loader, middleware } from "./root.server";

export const meta: Route.MetaFunction = () => [{ title: "Hondaro" }];

export const links: Route.LinksFunction = () => [
  { rel: "icon", href: "/favicon.svg", type: "image/svg+xml" },
];

/** The kitchen a page is made of is at hand before the page is. */
export async function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const heads = await serverLoader();
  await fetchKitchen(heads);
  return heads;
}

export { shouldRevalidate } from "./saving";

export function Layout({ children }: { children: ReactNode }) {
  const heads = useRouteLoaderData<Heads>("root");
  return (
    <html
      lang="en"
      // The keeper marks a page that it kept.
      suppressHydrationWarning
      data-kitchen={heads?.revision ?? undefined}
      data-names={heads?.namesRevision ?? undefined}
      data-plain={heads?.plain ? "" : undefined}
    >
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <Toaster position="bottom-center" toastOptions={{ style: { fontFamily: "var(--font-sans)" } }} />
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export default function Root({ loaderData }: Route.ComponentProps) {
  const { owner } = loaderData;
  const [kitchenId, personId] = [owner?.kitchenId, owner?.personId];
  // Readings that wait on this device leave from any page, not only from the pot they belong to; each under the name of
  // the cook who logged it.
  useEffect(() => {
    if (!kitchenId || !personId) return;
    carryFor({ kitchenId, personId });
    return startCourier();
  }, [kitchenId, personId]);
  useSentForms(owner);
  const first = useContext(FirstKitchen);
  return (
    <KitchenContext value={kitchenAtHand() ?? first}>
      <Outlet />
    </KitchenContext>
  );
}

export { PageError as ErrorBoundary } from "./ui/page-error";
