import { StrictMode, startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { toast } from "sonner";
import { fetchKitchen } from "./kitchen/at-hand";
import { FirstKitchen, type KitchenAtHand } from "./kitchen/context";
import { personHere } from "./offline/courier";
import { startKeeper } from "./offline/keep-pages";
import { patientFetch } from "./offline/patient-fetch";

const NETWORK = "network";
window.fetch = patientFetch(
  window.fetch.bind(window),
  waiting =>
    waiting
      ? toast.loading("No connection. It goes on as soon as there is one; nothing is lost.", { id: NETWORK })
      : toast.dismiss(NETWORK),
  personHere,
);

startKeeper();

const AGAIN_MS = 2000;

/** Says which kitchen the page was drawn from. */
const { kitchen, names, plain } = document.documentElement.dataset;
const heads = {
  revision: kitchen === undefined ? null : Number(kitchen),
  namesRevision: names === undefined ? null : Number(names),
  plain: plain !== undefined,
};

// The page comes to life in the kitchen it was drawn from.
const fetched = (): Promise<KitchenAtHand | null> =>
  fetchKitchen(heads).catch(() => new Promise(done => setTimeout(done, AGAIN_MS)).then(fetched));

void fetched().then(first =>
  startTransition(() => {
    hydrateRoot(
      document,
      <StrictMode>
        <FirstKitchen value={first}>
          <HydratedRouter />
        </FirstKitchen>
      </StrictMode>,
    );
  }),
);
