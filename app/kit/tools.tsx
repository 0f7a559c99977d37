import type { ReactNode } from "react";
import {
  APPLIANCE_FIELDS,
  type Appliance,
  type ApplianceKind,
  LEAST_INSERTION_MM,
  checkAge,
  type Probe,
  holdsGrams,
  hotFill,
} from "~/core/kit";
import { printMass, printNumber, printVolume, g, ml } from "~/core/ground/quantity";
import { Button } from "../ui/button";
import type { KitReply } from "./kit-reply";
import { EditForm } from "../people/edit-form";

/** A light sauce, for what a ladle holds. */
const SAUCE_G_PER_ML = 1.03;

const HEADINGS: readonly (readonly [ApplianceKind, string])[] = [
  ["oven", "Ovens"],
  ["blender", "Blenders"],
  ["cold place", "Cold"],
  ["scale", "Scales"],
  ["probe", "Probes"],
  ["measure", "Ladles, spoons, bottles, inserts"],
];

/** Everything besides pots and burners. */
export function Tools({
  appliances,
  seen,
  reply,
  today,
}: {
  appliances: readonly Appliance[];
  /** Marks of all of them as they are shown. */
  seen: string;
  reply: KitReply | undefined;
  today: string;
}) {
  return (
    <section aria-label="Tools" className="mt-10 grid gap-x-12 gap-y-8 sm:grid-cols-2 lg:grid-cols-3">
      {HEADINGS.map(([kind, heading]) => {
        const own = appliances.filter(a => a.kind === kind);
        return (
          <div key={kind}>
            <h2 className="text-xl">{heading}</h2>
            {own.length === 0 && <p className="text-faded">None yet.</p>}
            <ul className="mt-2 divide-y divide-rule border-y border-rule">
              {own.map(a => (
                <li key={a.id} className="py-2">
                  <span className="font-semibold">{a.name}</span>
                  <span className="block text-sm text-faded">{wordsFor(a)}</span>
                  {a.kind === "probe" && <IceCheck probe={a} seen={seen} reply={reply} today={today} />}
                </li>
              ))}
            </ul>
            <NewTool kind={kind} seen={seen} reply={reply} />
          </div>
        );
      })}
    </section>
  );
}

/** One more of a kind; the same name again changes its figures. */
function NewTool({ kind, seen, reply }: { kind: ApplianceKind; seen: string; reply: KitReply | undefined }) {
  const mine = reply?.values.intent === "tool" && reply.values.kind === kind ? reply : undefined;
  return (
    <details className="mt-2 text-sm" open={mine !== undefined}>
      <summary className="text-faded hover:text-copper">Add or change one</summary>
      <EditForm className="mt-2 grid grid-cols-2 items-start gap-2">
        <input type="hidden" name="intent" value="tool" />
        <input type="hidden" name="seen" value={seen} />
        <input type="hidden" name="kind" value={kind} />
        {([["name", "name"], ...APPLIANCE_FIELDS[kind]] as const).map(([field, label]) => (
          <label key={field} className={`text-faded ${field === "name" ? "col-span-2" : ""}`}>
            {label}
            <input
              name={field}
              key={mine?.values[field] ?? ""}
              defaultValue={mine?.values[field] ?? ""}
              autoComplete="off"
              aria-invalid={mine?.problems.some(p => p.field === field) ? true : undefined}
              className="block w-full min-w-0 rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink aria-invalid:border-beet"
            />
          </label>
        ))}
        {mine?.problems.map(p => (
          <p key={p.field} role="alert" className="col-span-2 text-beet">
            ✕ {p.message}
          </p>
        ))}
        <Button type="submit" className="col-span-2 justify-self-start">
          Keep it
        </Button>
      </EditForm>
    </details>
  );
}

function wordsFor(a: Appliance): ReactNode {
  switch (a.kind) {
    case "oven":
      return `to ${printNumber(a.mostC)} °C, ${a.trays} trays`;
    case "blender":
      return `${printVolume(ml(a.jarMl))}; with something hot at most ${printVolume(hotFill(a))} (${printNumber(a.hotFillPct)} %), vent open, start slow`;
    case "cold place":
      return `${printNumber(a.temperatureC)} °C, takes ${printVolume(ml(a.holdsMl))}`;
    case "scale":
      return `to ${printMass(g(a.capacityG))} in steps of ${printMass(g(a.resolutionG))}; heavier pots are dipped, not weighed`;
    case "probe":
      return `${a.offsetC === 0 ? "read as it is" : `${printNumber(a.offsetC, 1)} °C added`}, steps of ${printNumber(a.resolutionC, 1)} °C`;
    case "measure":
      return `${printVolume(ml(a.holdsMl))}, ${printMass(holdsGrams(a.holdsMl, SAUCE_G_PER_ML))} of sauce`;
  }
}

function IceCheck({
  probe,
  seen,
  reply,
  today,
}: {
  probe: Probe;
  seen: string;
  reply: KitReply | undefined;
  today: string;
}) {
  const mine = reply?.values.intent === "ice-check" && reply.values.id === probe.id ? reply : undefined;
  const [problem] = mine?.problems ?? [];
  const { days: age, due } = checkAge(probe, today);
  return (
    <EditForm className="mt-1 text-sm">
      <input type="hidden" name="intent" value="ice-check" />
      <input type="hidden" name="seen" value={seen} />
      <input type="hidden" name="id" value={probe.id} />
      <p className={due ? "text-saffron-ink" : "text-faded"}>
        {age === null
          ? "▲ never checked in ice"
          : due
            ? `▲ checked in ice ${age} days ago`
            : `checked in ice ${age === 0 ? "today" : `${age} days ago`}`}
      </p>
      <label className="mt-1 flex flex-wrap items-center gap-2">
        <span className="text-faded">In melting ice, {LEAST_INSERTION_MM / 10} cm deep, it reads</span>
        <input
          name="readC"
          key={mine?.values.readC ?? ""}
          defaultValue={mine?.values.readC ?? ""}
          inputMode="decimal"
          autoComplete="off"
          aria-label={`${probe.name}: reading in ice, °C`}
          aria-invalid={problem ? true : undefined}
          className={`w-16 rounded-md border bg-enamel px-2 py-0.5 ${problem ? "border-beet" : "border-rule"}`}
        />
        <span className="text-faded">°C</span>
        <Button type="submit" look="quiet" className="py-0.5">
          Keep
        </Button>
      </label>
      {problem && (
        <p role="alert" className="mt-1 text-beet">
          ✕ {problem.message}
        </p>
      )}
      {mine?.said && (
        <p role="status" className="mt-1 text-sorrel">
          ✓ {mine.said}
        </p>
      )}
    </EditForm>
  );
}
