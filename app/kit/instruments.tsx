import { DEVICE_KINDS } from "~/core/kit";
import type { Device } from "~/data";
import { shownInWords } from "../stove/shown";
import { Button } from "../ui/button";
import type { KitReply } from "./kit-reply";
import { EditForm } from "../people/edit-form";

/** Instruments that send what they show: a reading appears at the Stove, and one tap takes it. */
export function Instruments({ devices, reply }: { devices: readonly Device[]; reply: KitReply | undefined }) {
  const mine = reply?.values.intent === "connect" ? reply : undefined;
  return (
    <section aria-label="Connected instruments" className="mt-10">
      <h2 className="text-xl">Connected instruments</h2>
      <p className="text-faded">
        A scale or probe with a bridge sends what it shows; at the Stove it stands in the field, and one tap
        takes it.
      </p>
      <ul className="mt-2 divide-y divide-rule border-y border-rule">
        {devices.map(({ key, name, kind, value, unit }) => (
          <li key={key} className="flex flex-wrap items-center gap-x-4 py-2">
            <span className="font-semibold">{name}</span>
            <span className="text-sm text-faded">
              {kind}, /api/devices/{key}/readings
              {value !== null &&
                `, showed ${shownInWords({ instrument: kind, name, value, unit: unit ?? "" })}`}
            </span>
            <EditForm className="ml-auto">
              <input type="hidden" name="intent" value="disconnect" />
              <input type="hidden" name="key" value={key} />
              <Button look="quiet" type="submit">
                Disconnect
              </Button>
            </EditForm>
          </li>
        ))}
      </ul>
      <EditForm className="mt-3 flex flex-wrap items-end gap-3">
        <input type="hidden" name="intent" value="connect" />
        <label className="text-sm text-faded">
          name
          <input
            name="name"
            autoComplete="off"
            defaultValue={mine?.problems.length ? mine.values.name : ""}
            className="block rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
          />
        </label>
        <label className="text-sm text-faded">
          what it is
          <select
            name="kind"
            className="block rounded-md border border-rule bg-enamel px-2 py-1.5 text-base text-ink"
          >
            {DEVICE_KINDS.map(kind => (
              <option key={kind}>{kind}</option>
            ))}
          </select>
        </label>
        <Button type="submit">Connect it</Button>
      </EditForm>
      {mine?.problems.map(problem => (
        <p key={problem.message} role="alert" className="mt-1 text-sm text-beet">
          ✕ {problem.message}
        </p>
      ))}
      {mine?.said && (
        <p role="status" className="mt-2 rounded-md bg-saffron-wash p-2 text-sm break-all">
          {mine.said}
        </p>
      )}
    </section>
  );
}
