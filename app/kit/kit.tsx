import { useKeptReply } from "../ui/use-kept-reply";
import type { KitReply } from "./kit-reply";
import { Link } from "react-router";
import { kitchenSentence } from "./kitchen-words";
import { printMass, printNumber, printVolume, g } from "~/core/ground/quantity";
import { type Vessel, geometryOfVessel, limitsOf } from "~/core/things/vessel";
import type { Route } from "./+types/kit";
import { useKitchenWith } from "../kitchen/context";
import { buttonClass } from "../ui/button";
import { AirForm } from "./air-form";
import { HouseForm } from "./house-form";
import { HobPlan } from "./hob-plan";
import { NewBurner } from "./new-burner";
import { Instruments } from "./instruments";
import { Tools } from "./tools";
import { useBurnerMoves } from "./use-burner-moves";
import { VesselOutline } from "./vessel-outline";
import { liningCaution } from "~/core/kit";

export { action, loader } from "./kit.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = () => [{ title: "Kit · Hondaro" }];

export default function Kit({ loaderData, actionData }: Route.ComponentProps) {
  const { seen } = loaderData;
  const kitchen = useKitchenWith();
  const hob = useBurnerMoves(kitchen.burners);
  const reply = useKeptReply(actionData as KitReply | undefined);
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
      <Instruments devices={loaderData.devices} reply={reply} />
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
