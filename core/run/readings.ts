import { type Kitchen, displacedIn } from "../formula";
import { type Grams, g, mm } from "../ground/quantity";
import { type PotState, liquorMass, potMass, volumeMlOf } from "../things/pot";
import { type Vessel, geometryOfVessel } from "../things/vessel";
import { type RunEvent, timeOf } from "./events";
import type { Reading } from "./progress";

/** Where a reading was taken: what stood in which vessel, and what was foreseen to weigh. */
export interface Where {
  readonly pot: PotState;
  readonly vessel: Vessel | null;
  readonly foreseenG: Grams | undefined;
}

/** Mass of a pot filled to a level with this liquor, as hot as it is. */
export function massAtLevel(levelMm: number, pot: PotState, vessel: Vessel, kitchen: Kitchen): Grams {
  const filled = geometryOfVessel(vessel).volumeAtLevel(mm(levelMm));
  const liquor = Math.max(0, filled - displacedIn(pot, kitchen.facts));
  const here = liquorMass(pot);
  const density = here > 0 ? here / (volumeMlOf(pot.liquor, pot.temperatureC) + pot.natures.airMl) : 1;
  return g(potMass(pot) - here + liquor * density);
}

/** What was read in a step, as masses, temperatures and words. */
export function readingsOf(
  own: readonly RunEvent[],
  whereAt: (at: number) => Where,
  kitchen: Kitchen,
): Reading[] {
  return own.flatMap((event): Reading[] => {
    const { payload } = event;
    const at = timeOf(event);
    const common = { eventId: event.id, at, personId: event.personId };
    switch (payload.kind) {
      case "weighed":
        return [{ ...common, kind: "weighed", massG: g(payload.netG), plannedG: whereAt(at).foreseenG }];
      case "dipped": {
        const { pot, vessel, foreseenG } = whereAt(at);
        return [
          {
            ...common,
            kind: "dipped",
            levelMm: payload.levelMm,
            ...(vessel && { massG: massAtLevel(payload.levelMm, pot, vessel, kitchen) }),
            plannedG: foreseenG,
          },
        ];
      }
      case "probed":
        return [{ ...common, kind: "probed", temperatureC: payload.temperatureC, where: payload.where }];
      case "jugged":
        return [{ ...common, kind: "jugged", volumeMl: payload.volumeMl }];
      case "noted":
        return [{ ...common, kind: "noted", text: payload.text }];
      case "added":
        return [{ ...common, kind: "added", massG: g(payload.massG), lineId: payload.lineId }];
      case "measured":
        return [
          {
            ...common,
            kind: "measured",
            what: payload.what,
            value: payload.value,
            temperatureC: payload.temperatureC,
          },
        ];
      case "looked": {
        const { gloss, clarity, colour, photoId } = payload;
        return [{ ...common, kind: "looked", gloss, clarity, colour, photoId }];
      }
      default:
        return [];
    }
  });
}
