import type { KitReply } from "./kit-reply";
import { data } from "react-router";
import { randomBytes } from "node:crypto";
import { DEVICE_KINDS, LONGEST_TOOL_NAME, placeBurner } from "~/core/kit";
import { idFor } from "~/core/ground/names";
import type { Problem } from "~/core/ground/result";
import {
  addBurner,
  connectDevice,
  database,
  disconnectDevice,
  figuresOf,
  listDevices,
  markOf,
  moveBurner,
  saveAppliance,
  saveHouse,
  saveKitchenFigures,
} from "~/data";
import type { Route } from "./+types/kit";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import {
  airInWords,
  changedMeanwhile,
  houseInWords,
  placeInWords,
  seenOfTool,
  toolInWords,
} from "./meanwhile.server";
import { calledBy, must, number, oneOf, readForm, words } from "../form.server";
import { hashOf } from "../api/device-readings.server";
import { readAirForm, readHouseForm, readIceCheck } from "./kitchen-forms.server";
import { readBurnerForm, readToolForm } from "./tool-forms.server";
import { fieldsOf, formOf } from "../request.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const kitchen = await snapshotOf(requirePerson(context, request));
  return {
    devices: await listDevices(database().db, kitchen.id),
    today: new Date().toISOString().slice(0, 10),
    seen: {
      air: markOf(figuresOf(kitchen)),
      house: markOf(kitchen.house),
      tools: kitchen.appliances.map(a => `${a.id}:${markOf(a)}`).join(" "),
    },
  };
}

export async function action({ context, request }: Route.ActionArgs) {
  const section = requirePerson(context, request);
  const { kitchenId, person } = section;
  const { db } = database();
  const form = await formOf(request);
  const change = { kitchenId, personId: person.id, now: new Date() };
  const values = fieldsOf(form);
  const back = (problems: readonly Problem[]) => data<KitReply>({ problems, values }, { status: 422 });
  const kitchen = await snapshotOf(section);
  const seen = String(form.get("seen") ?? "");
  const meanwhile = (field: string, theirs: string, mine: string) =>
    data<KitReply>({ problems: [changedMeanwhile(field, theirs, mine)], values }, { status: 409 });
  switch (form.get("intent")) {
    case "move": {
      const read = readForm(form, {
        id: words("The burner"),
        xMm: must(number("Its place"), "Where does it go?"),
        yMm: must(number("Its place"), "Where does it go?"),
        fromXMm: number("Its place"),
        fromYMm: number("Its place"),
      });
      if (!read.ok) return back(read.problems);
      const { id, xMm, yMm, fromXMm, fromYMm } = read.value;
      const placed = placeBurner(kitchen.burners, id, { xMm, yMm });
      if (!placed.ok) return back(placed.problems);
      const from = fromXMm === null ? undefined : markOf({ xMm: fromXMm, yMm: fromYMm });
      const moved = await moveBurner(db, change, id, placed.value, from);
      if (moved && !moved.kept)
        return meanwhile("id", placeInWords(moved.theirs), placeInWords(placed.value));
      return data<KitReply>({ problems: [], values: {} });
    }
    case "air": {
      const read = readAirForm(form);
      if (!read.ok) return back(read.problems);
      const kept = await saveKitchenFigures(db, change, read.value, seen);
      if (!kept.kept) return meanwhile("altitudeM", airInWords(kept.theirs), airInWords(read.value));
      return data<KitReply>({
        problems: [],
        values: { intent: "air" },
        said: "Kept. Every sum counts with it from now on.",
      });
    }
    case "house": {
      const house = readHouseForm(form);
      if (!house.ok) return back(house.problems);
      const kept = await saveHouse(db, change, house.value, seen);
      if (!kept.kept) return meanwhile("demiPct", houseInWords(kept.theirs), houseInWords(house.value));
      return data<KitReply>({
        problems: [],
        values: { intent: "house" },
        said: "Kept. New formulas and costs go by it.",
      });
    }
    case "ice-check": {
      const checked = readIceCheck(form, kitchen.appliances, change.now);
      if (!checked.ok) return back(checked.problems);
      const { probe } = checked.value;
      const kept = await saveAppliance(db, change, probe, seenOfTool(seen, probe.id));
      if (!kept.kept) return meanwhile("readC", toolInWords(kept.theirs), toolInWords(probe));
      return data<KitReply>({
        problems: [],
        values: { intent: "ice-check", id: checked.value.probe.id },
        said: checked.value.words,
      });
    }
    case "tool": {
      const tool = readToolForm(form, kitchen.appliances);
      if (!tool.ok) return back(tool.problems);
      const kept = await saveAppliance(db, change, tool.value, seenOfTool(seen, tool.value.id));
      if (!kept.kept) return meanwhile("name", toolInWords(kept.theirs), toolInWords(tool.value));
      return data<KitReply>({ problems: [], values: {} });
    }
    case "burner": {
      const burner = readBurnerForm(form, kitchen.burners);
      if (!burner.ok) return back(burner.problems);
      if ((await addBurner(db, change, burner.value)) === "stale")
        return back([
          {
            code: "DUPLICATE",
            field: "name",
            message: `Somebody has just set a burner called ${burner.value.name} down.`,
          },
        ]);
      return data<KitReply>({ problems: [], values: {} });
    }
    case "connect": {
      const read = readForm(form, {
        name: calledBy(LONGEST_TOOL_NAME),
        kind: must(oneOf(DEVICE_KINDS), "What kind of instrument is it?"),
      });
      if (!read.ok) return back(read.problems);
      const { name, kind } = read.value;
      const key = idFor(name);
      const secret = randomBytes(24).toString("base64url");
      if (!(await connectDevice(db, change, { key, name, kind, secretHash: hashOf(secret) })))
        return back([
          { code: "DUPLICATE", field: "name", message: `An instrument called ${name} is connected already.` },
        ]);
      return data<KitReply>({
        problems: [],
        values: { intent: "connect" },
        said: `Connected. Its bridge sends to /api/devices/${key}/readings with “Authorization: Bearer ${secret}”. The secret is shown this once.`,
      });
    }
    case "disconnect": {
      await disconnectDevice(db, change, String(form.get("key") ?? ""));
      return data<KitReply>({ problems: [], values: {} });
    }
    default:
      return back([
        { code: "NOT_UNDERSTOOD", field: "intent", message: "The kit does not know what to do with this." },
      ]);
  }
}
