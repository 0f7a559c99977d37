import type { KitchenData } from "~/core/formula";
import { Button } from "../ui/button";
import type { KitReply } from "./kit-reply";
import { TextField } from "./text-field";
import { EditForm } from "../people/edit-form";

/** Altitude, barometer, air: what moves every boiling point and every evaporation. */
export function AirForm({
  kitchen,
  seen,
  reply,
}: {
  kitchen: KitchenData;
  /** What the fields were filled from. */
  seen: string;
  reply: KitReply | undefined;
}) {
  const asked = reply?.values.intent === "air" ? reply : undefined;
  const problemOf = (field: string) => asked?.problems.find(p => p.field === field);
  const value = (field: string, own: string) => asked?.values[field] ?? own;
  return (
    <section aria-label="Air of the kitchen">
      <h2 className="text-xl">Where it stands</h2>
      <EditForm className="mt-3 grid grid-cols-2 gap-3">
        <input type="hidden" name="intent" value="air" />
        <input type="hidden" name="seen" value={seen} />
        <TextField
          name="altitudeM"
          label="Altitude (m)"
          value={value("altitudeM", String(kitchen.altitudeM))}
          problem={problemOf("altitudeM")}
        />
        <TextField
          name="pressureHPa"
          label="Barometer (hPa)"
          value={value("pressureHPa", kitchen.pressurePa === null ? "" : String(kitchen.pressurePa / 100))}
          hint="empty: by the altitude"
          problem={problemOf("pressureHPa")}
        />
        <TextField
          name="ambientC"
          label="Kitchen air (°C)"
          value={value("ambientC", String(kitchen.ambientC))}
          problem={problemOf("ambientC")}
        />
        <TextField
          name="humidityPct"
          label="Humidity (%)"
          value={value("humidityPct", String(kitchen.humidity * 100))}
          problem={problemOf("humidityPct")}
        />
        <Button type="submit" className="col-span-2 justify-self-start">
          Keep these
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
