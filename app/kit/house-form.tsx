import type { KitchenData } from "~/core/formula";
import { PROFILES, PROFILE_IDS } from "~/core/laws/cooling";
import { USUAL_HOURS, letDown } from "~/core/things/house";
import { printNumber } from "~/core/ground/quantity";
import { Button } from "../ui/button";
import type { KitReply } from "./kit-reply";
import { TextField } from "./text-field";
import { EditForm } from "../people/edit-form";

const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, "0")}:${String(minutes % 60).padStart(2, "0")}`;

/** What this house has settled: its words, its rates, its limits and its hours. */
export function HouseForm({
  kitchen,
  seen,
  reply,
}: {
  kitchen: KitchenData;
  /** What the fields were filled from. */
  seen: string;
  reply: KitReply | undefined;
}) {
  const asked = reply?.values.intent === "house" ? reply : undefined;
  const problemOf = (field: string) => asked?.problems.find(p => p.field === field);
  const value = (field: string, own: string) => (asked?.problems.length ? (asked.values[field] ?? "") : own);
  const { demiGlace, labourPerH, flamePerH } = kitchen.house;
  const hours = kitchen.house.hours ?? USUAL_HOURS;
  const { times, waterParts } = letDown(demiGlace.to);
  const bound = asked?.problems.length ? asked.values.bound === "on" : demiGlace.bound;
  return (
    <section aria-label="Words and rates of the house">
      <h2 className="text-xl">Words and rates of the house</h2>
      <EditForm className="mt-3 grid grid-cols-2 gap-3">
        <input type="hidden" name="intent" value="house" />
        <input type="hidden" name="seen" value={seen} />
        <TextField
          name="demiPct"
          label="Demi-glace, of stock (%)"
          value={value("demiPct", String(Math.round(demiGlace.to * 1000) / 10))}
          hint={`× ${printNumber(times, 1)}: 1 part and ${printNumber(waterParts, 1)} of water give the stock back`}
          problem={problemOf("demiPct")}
        />
        <label className="flex items-center gap-2 self-start pt-7">
          <input
            type="checkbox"
            name="bound"
            key={String(bound)}
            defaultChecked={bound}
            className="size-4 accent-copper"
          />
          bound with flour
        </label>
        <TextField
          name="labourPerH"
          label="An hour of hands"
          value={value("labourPerH", labourPerH ? String(labourPerH) : "")}
          hint="in the currency of the prices; empty: not counted"
          problem={problemOf("labourPerH")}
        />
        <TextField
          name="flamePerH"
          label="An hour of one flame"
          value={value("flamePerH", flamePerH ? String(flamePerH) : "")}
          problem={problemOf("flamePerH")}
        />
        <label className="text-sm text-faded">
          cools by
          <select
            name="coolingProfile"
            defaultValue={kitchen.house.coolingProfile ?? "fda"}
            className="block h-9 w-full rounded-md border border-rule bg-enamel px-2 text-ink"
          >
            {PROFILE_IDS.map(id => (
              <option key={id} value={id}>
                {PROFILES[id].stages.map(stage => `${stage.name} in ${stage.allowedMin / 60} h`).join(", ")}
              </option>
            ))}
          </select>
        </label>
        <div className="grid grid-cols-2 gap-3">
          <TextField
            name="opens"
            label="the first is in at"
            value={value("opens", clock(hours.opensMin))}
            problem={problemOf("opens")}
          />
          <TextField
            name="closes"
            label="the last leaves at"
            value={value("closes", clock(hours.closesMin))}
            problem={problemOf("closes")}
          />
        </div>
        <Button type="submit" className="col-span-2 justify-self-start">
          Keep words and rates
        </Button>
        {asked?.said && (
          <p role="status" className="col-span-2 text-sm text-sorrel">
            ✓ {asked.said}
          </p>
        )}
      </EditForm>
    </section>
  );
}
