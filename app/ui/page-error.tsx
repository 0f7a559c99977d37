import { isRouteErrorResponse, useRouteError } from "react-router";

/** What stands in the place of a page that cannot be shown; whatever is around it stays. */
export function PageError() {
  const error = useRouteError();
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
