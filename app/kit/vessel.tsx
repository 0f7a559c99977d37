import type { Refused } from "./vessel.server";
import { useState } from "react";
import { Link } from "react-router";
import { printNumber, printVolume } from "~/core/ground/quantity";
import { CLOSED, LININGS, METALS, type Vessel, geometryOfVessel, limitsOf } from "~/core/things/vessel";
import type { Route } from "./+types/vessel";
import { Button } from "../ui/button";
import { TextField } from "./text-field";
import { VesselOutline } from "./vessel-outline";
import { EditForm } from "../people/edit-form";
import { useKeptReply } from "../ui/use-kept-reply";

export { action, loader } from "./vessel.server";
export { PageError as ErrorBoundary } from "../ui/page-error";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: `${(loaderData as { stored?: { vessel: Vessel } } | undefined)?.stored?.vessel.name ?? "New vessel"} · Hondaro`,
  },
];

const SHAPES = [
  ["cylinder", "straight"],
  ["frustum", "flared"],
  ["bowl", "round-bottomed"],
  ["rect", "four-cornered"],
  ["table", "measured by pouring"],
] as const;

const FIELDS: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  cylinder: [
    ["diameterMm", "Inside across (mm)"],
    ["heightMm", "Inside deep (mm)"],
  ],
  frustum: [
    ["baseMm", "Across the bottom (mm)"],
    ["rimMm", "Across the rim (mm)"],
    ["heightMm", "Inside deep (mm)"],
  ],
  bowl: [
    ["diameterMm", "Inside across (mm)"],
    ["bottomDepthMm", "Depth of the round bottom (mm)"],
    ["heightMm", "Inside deep (mm)"],
  ],
  rect: [
    ["baseLengthMm", "Bottom, long side (mm)"],
    ["baseWidthMm", "Bottom, short side (mm)"],
    ["rimLengthMm", "Rim, long side (mm)"],
    ["rimWidthMm", "Rim, short side (mm)"],
    ["heightMm", "Inside deep (mm)"],
    ["cornerMm", "Rounding of the corners (mm)"],
  ],
};

const MOST_POURS = 8;

/** Room for the drawing, px. */
const DRAWING = { width: 380, height: 340 } as const;

export default function VesselSheet({ loaderData, actionData }: Route.ComponentProps) {
  const { stored, bath } = loaderData;
  const refused = useKeptReply(actionData as Refused | undefined);
  const vessel = stored?.vessel ?? null;
  const shapeNow = refused?.values.shape?.[0] ?? vessel?.shape.shape ?? "cylinder";
  const [shape, setShape] = useState<string>(shapeNow);
  const own = vessel ? (vessel.shape as unknown as Record<string, unknown>) : {};
  const one = (name: string, fallback: string) => refused?.values[name]?.[0] ?? fallback;
  const problemOf = (name: string) => refused?.problems.find(p => p.field === name);
  const pours =
    refused?.values.pourL?.map((l, i) => [l, refused.values.pourMm?.[i] ?? ""] as const) ??
    (vessel?.shape.shape === "table"
      ? vessel.shape.points.slice(1).map(([mm, v]) => [String(v / 1000), String(mm)] as const)
      : []);
  const general = refused?.problems.filter(p => p.field === "shape" || p.field === "pours") ?? [];
  const limits = vessel && limitsOf(vessel);
  return (
    <main className="mx-auto max-w-6xl px-4 py-6 sm:px-6">
      <p>
        <Link to="/kit" className="text-faded hover:text-copper">
          ← Kit
        </Link>
      </p>
      <h1 className="mt-1 text-3xl">{vessel?.name ?? "New vessel"}</h1>
      <div className="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
        <div>
          {vessel ? (
            <>
              <VesselOutline vessel={vessel} pxPerMm={scaleFor(vessel)} marks />
              <p className="mt-2">
                Holds {printVolume(geometryOfVessel(vessel).capacityMl)} to the brim; weighs{" "}
                {printNumber(vessel.tareG)} g empty.
              </p>
              {bath && <p className="mt-1 text-faded">{bath}</p>}
              {limits && <p className="mt-1 text-saffron-ink">▲ {limits}</p>}
            </>
          ) : (
            <p className="rounded-xl border border-dashed border-rule p-6 text-faded">
              Measure its inside, or pour litres in and read the stick. It then stands here to scale with its
              marks.
            </p>
          )}
        </div>
        <EditForm className="rounded-xl border border-rule bg-enamel p-5">
          <input type="hidden" name="rowVersion" value={stored?.rowVersion ?? 0} />
          <div className="grid grid-cols-2 gap-3">
            <TextField
              name="name"
              label="Name"
              value={one("name", vessel?.name ?? "")}
              problem={problemOf("name")}
              wide
            />
            <Pick
              name="use"
              label="It is a"
              value={one("use", vessel?.use ?? "pot")}
              options={["pot", "pan", "tray", "container"]}
            />
            <TextField
              name="tareG"
              label="Empty (g)"
              value={one("tareG", vessel ? String(vessel.tareG) : "")}
              problem={problemOf("tareG")}
            />
            <Pick
              name="metal"
              label="Metal"
              value={one("metal", vessel?.metal ?? "steel")}
              options={METALS}
            />
            <Pick
              name="lining"
              label="Inside"
              value={one("lining", vessel?.lining ?? "none")}
              options={LININGS}
            />
            <Pick
              name="handles"
              label="Handles"
              value={one("handles", vessel?.handles ?? "two")}
              options={["two", "long", "none"]}
            />
            <Pick
              name="closed"
              label="Open or closed"
              value={one("closed", vessel?.closed ?? "open")}
              options={["open", ...CLOSED]}
            />
          </div>
          <fieldset className="mt-5">
            <legend className="text-sm text-faded">Its inside is</legend>
            <div className="mt-1 flex flex-wrap gap-2">
              {SHAPES.map(([id, label]) => (
                <label
                  key={id}
                  className={`cursor-pointer rounded-full border px-3 py-1 text-sm has-focus-visible:outline-3 has-focus-visible:outline-copper ${shape === id ? "border-copper bg-copper text-enamel" : "border-rule text-faded hover:border-copper"}`}
                >
                  <input
                    type="radio"
                    name="shape"
                    value={id}
                    checked={shape === id}
                    onChange={() => setShape(id)}
                    className="sr-only"
                  />
                  {label}
                </label>
              ))}
            </div>
            {shape === "table" ? (
              <Pours pours={pours} />
            ) : (
              <div className="mt-3 grid grid-cols-2 gap-3">
                {(FIELDS[shape] ?? []).map(([name, label]) => (
                  <TextField
                    key={name}
                    name={name}
                    label={label}
                    value={one(name, own[name] === undefined ? "" : String(own[name] as number))}
                    problem={problemOf(name)}
                  />
                ))}
              </div>
            )}
            {general.map(p => (
              <p key={p.message} role="alert" className="mt-2 text-sm text-beet">
                ✕ {p.message}
              </p>
            ))}
          </fieldset>
          <Button type="submit" look="act" className="mt-5">
            {vessel ? "Save" : "Put it in the kit"}
          </Button>
        </EditForm>
      </div>
    </main>
  );
}

const scaleFor = (vessel: Vessel): number => {
  const geometry = geometryOfVessel(vessel);
  const wide = Math.max(
    geometry.baseDiameterMm,
    "rimMm" in vessel.shape ? vessel.shape.rimMm : 0,
    "rimLengthMm" in vessel.shape ? vessel.shape.rimLengthMm : 0,
  );
  return Math.min(DRAWING.height / geometry.heightMm, (DRAWING.width - 110) / wide);
};

/** "Measure my pot": litres poured in all, and the level at each. */
function Pours({ pours }: { pours: readonly (readonly [string, string])[] }) {
  return (
    <div className="mt-3">
      <p className="text-sm text-faded">
        Stand it level. Pour a known volume of cold water in, read the stick from the bottom, and again until
        it is nearly full. Count the litres in all.
      </p>
      <ol className="mt-2 grid grid-cols-[2rem_7rem_7rem] gap-2">
        {Array.from({ length: MOST_POURS }, (_, i) => (
          <li key={i} className="contents">
            <span className="self-center text-sm text-faded">{i + 1}</span>
            {(["pourL", "pourMm"] as const).map((name, j) => (
              <label key={name} className="flex items-center gap-1.5 text-sm text-faded">
                <input
                  name={name}
                  key={pours[i]?.[j] ?? ""}
                  defaultValue={pours[i]?.[j] ?? ""}
                  inputMode="decimal"
                  autoComplete="off"
                  aria-label={`Pour ${i + 1}, ${j === 0 ? "litres in all" : "millimetres"}`}
                  className="w-full min-w-0 rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
                />
                {j === 0 ? "l" : "mm"}
              </label>
            ))}
          </li>
        ))}
      </ol>
    </div>
  );
}

function Pick({
  name,
  label,
  value,
  options,
}: {
  name: string;
  label: string;
  value: string;
  options: readonly string[];
}) {
  return (
    <label className="text-sm text-faded">
      {label}
      <select
        name={name}
        key={value}
        defaultValue={value}
        className="block w-full rounded-md border border-rule bg-enamel px-2 py-1 text-base text-ink"
      >
        {options.map(option => (
          <option key={option}>{option}</option>
        ))}
      </select>
    </label>
  );
}
