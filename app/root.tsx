import "./styles.css";
import { type ReactNode, useEffect } from "react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration, isRouteErrorResponse } from "react-router";
import { Toaster } from "sonner";
import { z } from "zod";
import { database, listPeople, onlyKitchenId } from "~/data";
import type { Route } from "./+types/root";
import { databaseAwayContext, sectionContext } from "./context.server";
import { later } from "./later.server";
import { startCourier } from "./offline/courier";
import { personCookie } from "./people/person.server";

// Zod would try `eval` once, which the content policy reports.
z.config({ jitless: true });

/** Finds the kitchen and who is cooking, for every request. */
const findSection: Route.MiddlewareFunction = async ({ request, context }) => {
  const { db } = database();
  const kitchenId = await onlyKitchenId(db);
  if (!kitchenId)
    throw new Response(
      "No kitchen has been set up yet. Start Hondaro without --no-demo to load the demo kitchen.",
      { status: 404 },
    );
  const people = await listPeople(db, kitchenId);
  const id: unknown = await personCookie.parse(request.headers.get("Cookie"));
  context.set(sectionContext, { kitchenId, people, person: people.find(p => p.id === id) ?? null });
};

/** A database that is away for a moment breaks no page: whoever asked is told to ask again. */
const whileDatabaseIsAway: Route.MiddlewareFunction = async ({ request, context }, next) => {
  const response = await next();
  return context.get(databaseAwayContext).away ? later(request) : response;
};

export const middleware: Route.MiddlewareFunction[] = [whileDatabaseIsAway, findSection];

export const meta: Route.MetaFunction = () => [{ title: "Hondaro" }];

export const links: Route.LinksFunction = () => [
  { rel: "icon", href: "/favicon.svg", type: "image/svg+xml" },
];

export function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <Meta />
        <Links />
      </head>
      <body>
        {children}
        <Toaster position="bottom-center" />
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export default function Root() {
  // Readings that wait on this device leave from any page, not only from the pot they belong to.
  useEffect(startCourier, []);
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const known = isRouteErrorResponse(error);
  return (
    <main className="mx-auto max-w-xl px-6 py-24">
      <h1 className="text-3xl">
        {known && error.status === 404 ? "That is not here" : "Something broke on our side"}
      </h1>
      <p className="mt-4 text-lg text-faded">
        {known && typeof error.data === "string" && error.data
          ? error.data
          : known && error.status === 404
            ? "The page, formula or pot you asked for does not exist in this kitchen."
            : "Nothing you logged is lost. Load the page again; if it stays, tell whoever looks after Hondaro here."}
      </p>
      <p className="mt-6">
        <a className="text-copper underline underline-offset-4" href="/">
          Back to the Range
        </a>
      </p>
    </main>
  );
}
