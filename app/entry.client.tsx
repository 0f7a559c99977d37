import { StrictMode, startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { toast } from "sonner";
import { patientFetch } from "./offline/patient-fetch";

const NETWORK = "network";
window.fetch = patientFetch(window.fetch.bind(window), waiting =>
  waiting
    ? toast.loading("No connection. It goes on as soon as there is one; nothing is lost.", { id: NETWORK })
    : toast.dismiss(NETWORK),
);

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <HydratedRouter />
    </StrictMode>,
  );
});
