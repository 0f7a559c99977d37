import { useEffect } from "react";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import { kitchenAtHand } from "../kitchen/at-hand";
import { clockTime } from "../text/format";
import { onFormSent } from "./courier";
import {
  type SentForm,
  type WaitingForm,
  forgetForm,
  formsWaiting,
  pageOf,
  sectionOf,
  typedIn,
} from "./forms-waiting";
import type { Owner } from "./queue";

/** Tells what became of the forms that a closed page had left waiting. */
export function useSentForms(owner: Owner | null): void {
  const navigate = useNavigate();
  const [kitchenId, personId] = [owner?.kitchenId, owner?.personId];
  useEffect(() => {
    if (!kitchenId || !personId) return;
    const here = kitchenAtHand()?.snapshot.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
    const refused = (form: WaitingForm) =>
      toast.error(`${sectionOf(form)}: what you sent at ${clockTime(form.at, here)} was not kept.`, {
        id: form.id,
        description: `${form.refused ?? ""} You had typed ${typedIn(form)}.`,
        duration: Infinity,
        closeButton: true,
        action: { label: "Open it", onClick: () => void navigate(pageOf(form)) },
        onDismiss: () => forgetForm(form.id),
      });
    const hear = ({ kind, form }: SentForm) => {
      if (kind === "refused") refused(form);
      else
        toast.success(`${sectionOf(form)}: what waited since ${clockTime(form.at, here)} is kept now.`, {
          description: typedIn(form),
        });
    };
    for (const form of formsWaiting({ personId })) if (form.refused !== undefined) refused(form);
    return onFormSent(hear);
  }, [kitchenId, personId, navigate]);
}
