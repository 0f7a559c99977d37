import { Link, data } from "react-router";
import { kitchenSentence } from "./kitchen-words";
import { placeBurner } from "~/core/kit";
import { printMass, printNumber, printVolume, g } from "~/core/quantity";
import type { Problem } from "~/core/result";
import { type Vessel, geometryOfVessel, limitsOf } from "~/core/vessel";
import {
  addBurner,
  database,
  figuresOf,
  markOf,
  moveBurner,
  saveAppliance,
  saveHouse,
  saveKitchenFigures,
} from "~/data";
import type { Route } from "./+types/kit";
import { useKitchenWith } from "../kitchen/context";
import { snapshotOf } from "../kitchen/kitchen.server";
import { requirePerson } from "../people/person.server";
import { buttonClass } from "../ui/button";
import { AirForm } from "./air-form";
import { airInWords, changedMeanwhile, houseInWords, seenOfTool, toolInWords } from "./meanwhile.server";
import { readAirForm, readBurnerForm, readHouseForm, readIceCheck, readToolForm } from "./forms.server";
import { HouseForm } from "./house-form";
import { HobPlan } from "./hob-plan";
import { NewBurner } from "./new-burner";
import { Tools } from "./tools";
import { useBurnerMoves } from "./use-burner-moves";
import { VesselOutline } from "./vessel-outline";
import { liningCaution } from "~/core/kit";
import { fieldsOf, formOf } from "../request.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  const kitchen = await snapshotOf(requirePerson(context, request));
  return {
    today: new Date().toISOString().slice(0, 10),
    seen: {
      air: markOf(figuresOf(kitchen)),
      house: markOf(kitchen.house),
      tools: kitchen.appliances.map(a => `${a.id}:${markOf(a)}`).join(" "),
    },
  };
}

export interface KitReply {
  readonly problems: readonly Problem[];
  readonly values: Readonly<Record<string, string>>;
  readonly said?: string;
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
      const id = String(form.get("id"));
      const placed = placeBurner(kitchen.burners, id, {
        xMm: Number(form.get("xMm")),
        yMm: Number(form.get("yMm")),
      });
      if (!placed.ok) return back(placed.problems);
      await moveBurner(db, change, id, placed.value);
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
    default:
      return back([
        { code: "NOT_UNDERSTOOD", field: "intent", message: "The kit does not know what to do with this." },
      ]);
  }
}

export const meta: Route.MetaFunction = () => [{ title: "Kit · Hondaro" }];

export default function Kit({ loaderData, actionData }: Route.ComponentProps) {
  const { seen } = loaderData;
  const kitchen = useKitchenWith();
  const hob = useBurnerMoves(kitchen.burners);
  const reply = actionData as KitReply | undefined;
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-3xl">Kit</h1>
          <p className="mt-1 text-faded">{kitchenSentence(kitchen)}</p>
        </div>
        <Link to="/kit/figures" className={buttonClass("plain")}>
          Figures the sums rest on
        </Link>
      </div>
      <div className="mt-6 grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1.6fr)_minmax(18rem,1fr)]">
        <section aria-label="Hob">
          <h2 className="text-xl">The hob</h2>
          <div className="mt-3">
            <HobPlan {...hob} />
          </div>
        </section>
        <div className="space-y-8">
          <AirForm kitchen={kitchen} seen={seen.air} reply={reply} />
          <HouseForm kitchen={kitchen} seen={seen.house} reply={reply} />
          <NewBurner reply={reply} />
        </div>
      </div>
      <section aria-label="Vessels" className="mt-10">
        <div className="flex items-end gap-4">
          <h2 className="text-xl">Pots, pans, trays, containers</h2>
          <span className="text-sm text-faded">drawn to one scale</span>
          <Link to="/kit/new" className={`${buttonClass("plain")} ml-auto`}>
            New vessel
          </Link>
        </div>
        <ul className="mt-4 flex flex-wrap items-end gap-x-8 gap-y-6">
          {kitchen.vessels.map(vessel => (
            <VesselPiece key={vessel.id} vessel={vessel} />
          ))}
        </ul>
      </section>
      <Tools appliances={kitchen.appliances} seen={seen.tools} reply={reply} today={loaderData.today} />
    </main>
  );
}

/** Half a metre of tray in a hand's breadth of screen. */
const PX_PER_MM = 0.36;

function VesselPiece({ vessel }: { vessel: Vessel }) {
  const geometry = geometryOfVessel(vessel);
  const caution = liningCaution(vessel.metal, vessel.lining);
  const limits = limitsOf(vessel);
  return (
    <li className="max-w-72">
      <Link to={`/kit/${vessel.id}`} className="group block">
        <VesselOutline vessel={vessel} pxPerMm={PX_PER_MM} />
        <span className="block font-semibold group-hover:text-copper">{vessel.name}</span>
        <span className="block text-sm text-faded">
          {printVolume(geometry.capacityMl)} to the brim, {printMass(g(vessel.tareG))} empty, {vessel.metal}
          {vessel.lining && vessel.lining !== "none" && `, ${vessel.lining} inside`}
        </span>
        {vessel.shape.shape === "table" && (
          <span className="block text-sm text-sorrel">
            ✓ measured by pouring, {printNumber(vessel.shape.points.length - 1)} marks
          </span>
        )}
        {caution && <span className="block text-sm text-saffron-ink">▲ {caution}</span>}
        {limits && <span className="block text-sm text-saffron-ink">▲ {limits}</span>}
      </Link>
    </li>
  );
}
