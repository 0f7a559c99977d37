import { Form, Link } from "react-router";
import type { Route } from "./+types/changes";
import { useKitchen } from "../kitchen/context";
import { clockTime, dayOf } from "../text/format";
import { Button, buttonClass } from "../ui/button";

export { loader } from "./changes.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Who changed what · Hondaro" }];

export default function Changes({ loaderData }: Route.ComponentProps) {
  const { changes, people, by, earlier } = loaderData;
  const { timeZone } = useKitchen();
  return (
    <main className="mx-auto max-w-5xl px-4 py-8 sm:px-6">
      <h1 className="text-4xl">Who changed what</h1>
      <Form className="mt-4 flex items-center gap-2">
        <select
          name="by"
          aria-label="By whom"
          defaultValue={by ?? ""}
          className="h-11 rounded-lg border border-ink bg-enamel px-2"
        >
          <option value="">everybody</option>
          {people.map(p => (
            <option key={p.id} value={p.id}>
              {p.name}
            </option>
          ))}
        </select>
        <Button type="submit" className="min-h-11">
          Show
        </Button>
      </Form>
      {changes.length === 0 ? (
        <p className="mt-6 text-faded">Nothing was changed yet.</p>
      ) : (
        <div className="mt-6 overflow-x-auto">
          <table className="w-full text-left">
            <thead className="text-sm text-faded">
              <tr>
                <th className="py-2 pr-4 font-normal">When</th>
                <th className="pr-4 font-normal">Who</th>
                <th className="pr-4 font-normal">What</th>
                <th className="font-normal">Of what, and how</th>
              </tr>
            </thead>
            <tbody className="divide-y divide-rule border-y border-rule">
              {changes.map(change => (
                <tr key={change.id} className="align-top">
                  <td className="py-2 pr-4 text-sm whitespace-nowrap text-faded">
                    {dayOf(change.at, timeZone)} {clockTime(change.at.getTime(), timeZone)}
                  </td>
                  <td className="py-2 pr-4 whitespace-nowrap">{change.by}</td>
                  <td className="py-2 pr-4 font-semibold whitespace-nowrap">{change.what}</td>
                  <td className="py-2 text-sm wrap-anywhere">
                    {change.subject} <span className="text-faded">{change.detail}</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {earlier && (
        <Link
          to={`?${new URLSearchParams({ ...(by && { by }), before: earlier })}`}
          className={buttonClass("plain", "mt-4")}
        >
          Earlier
        </Link>
      )}
    </main>
  );
}
