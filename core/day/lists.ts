import { type Kitchen, type StateAfterStep, linesOf } from "../formula";
import { ICE_MARGIN, iceForBath } from "../laws/cooling";
import { toolOf } from "../run";
import { specificHeat } from "../things/pot";
import { vesselHeatCapacity } from "../things/vessel";
import type { Need } from "./needs";

/** What a day buys, weighs, peels and lays out: one list over all its pots. */

export interface BuyItem {
  readonly ingredientId: string;
  readonly name: string;
  readonly netG: number;
  /** Comes out of the tap. */
  readonly fromTap: boolean;
  /** As bought: trim and peel included. */
  readonly purchasedG: number;
  /** Whole ones of how it is sold, and what is in one; `null` where nobody has entered how. */
  readonly packs: { readonly name: string; readonly count: number; readonly massG: number } | null;
  /** In the kitchen’s currency, of whole packs where it is sold in them; `null` without a price, or where who asks sees none. */
  readonly cost: number | null;
  /** Which pot takes how much, ready to weigh. */
  readonly uses: readonly { readonly name: string; readonly massG: number }[];
}

export interface IceItem {
  readonly name: string;
  readonly massG: number;
  readonly iceG: number;
}

export interface DayLists {
  readonly buy: readonly BuyItem[];
  readonly tools: readonly { readonly what: string; readonly for: readonly string[] }[];
  readonly ice: readonly IceItem[];
  readonly currency: string;
}

/** Ice comes out of its box as cold as this, °C, and the room melts a tenth of it. Our estimate. */
const ICE = { iceC: -5, lossShare: 0.1 } as const;

const WATER = "water";

/** A pack is not opened for what no balance shows, g. */
const NEGLIGIBLE_G = 0.5;

/** Whole packs that hold a mass, g of each. */
const packsFor = (massG: number, packG: number): number =>
  massG <= NEGLIGIBLE_G ? 0 : Math.max(1, Math.ceil((massG - NEGLIGIBLE_G) / packG));

export function listsOf(needs: readonly Need[], kitchen: Kitchen): DayLists {
  const buy = new Map<
    string,
    { name: string; netG: number; purchasedG: number; uses: Map<string, number> }
  >();
  const tools = new Map<string, Set<string>>();
  const ice: IceItem[] = [];
  for (const need of needs)
    for (const batch of need.batches) {
      const sourceOf = new Map(linesOf(batch.document).map(line => [line.id, line.of]));
      const put = (id: string, name: string, netG: number, purchasedG: number): void => {
        const item = buy.get(id) ?? { name, netG: 0, purchasedG: 0, uses: new Map<string, number>() };
        item.netG += netG;
        item.purchasedG += purchasedG;
        item.uses.set(need.name, (item.uses.get(need.name) ?? 0) + netG);
        buy.set(id, item);
      };
      batch.walked.states.forEach((state, i) => {
        for (const line of state.lines) {
          const of = sourceOf.get(line.lineId);
          // What the kitchen makes itself is made, not bought.
          if (of && "formula" in of) continue;
          if (line.massG > 0) put(line.ingredientId, line.name, line.massG, line.purchasedG);
        }
        for (const computed of state.computed)
          if (computed.way === "in" && computed.ingredientId && computed.ingredientId !== WATER)
            put(computed.ingredientId, computed.what, computed.massG, computed.massG);
        for (const what of [state.vessel?.name, toolOf(state)?.what])
          if (what) tools.set(what, (tools.get(what) ?? new Set()).add(need.name));
        const cold = iceOf(state, batch.walked.states[i - 1]);
        if (cold !== null) ice.push({ name: need.name, massG: state.massG, iceG: cold });
      });
    }
  const soldAs = new Map(kitchen.data.ingredients.map(i => [i.id, i]));
  return {
    buy: [...buy]
      .map(([ingredientId, item]) => {
        const { price, pack } = soldAs.get(ingredientId) ?? {};
        const packs = pack ? { ...pack, count: packsFor(item.purchasedG, pack.massG) } : null;
        const orderedG = packs ? packs.count * packs.massG : item.purchasedG;
        return {
          ...item,
          ingredientId,
          fromTap: ingredientId === WATER,
          packs,
          cost: price ? (price.perKg * orderedG) / 1000 : null,
          uses: [...item.uses].map(([name, massG]) => ({ name, massG })),
        };
      })
      .sort((a, b) => b.purchasedG - a.purchasedG || (a.name < b.name ? -1 : 1)),
    tools: [...tools]
      .map(([what, names]) => ({ what, for: [...names] }))
      .sort((a, b) => (a.what < b.what ? -1 : 1)),
    ice,
    currency: kitchen.data.ingredients.find(i => i.price)?.price?.currency ?? "",
  };
}

/** Ice for a pot that goes into the ice sink, with what is kept in hand; `null` where none is asked for. */
function iceOf(state: StateAfterStep, before: StateAfterStep | undefined): number | null {
  const { step } = state;
  if (step.kind !== "cool" || !step.method.startsWith("ice-bath") || !before) return null;
  const fromC = before.temperatureC;
  if (!(fromC > step.toC)) return null;
  const need = iceForBath({
    heatJPerK:
      state.massG * specificHeat(state.pot.liquor, (fromC + step.toC) / 2) +
      (state.vessel ? vesselHeatCapacity(state.vessel) : 0),
    fromC,
    toC: step.toC,
    bathC: Math.min(3, step.toC),
    ...ICE,
  });
  return need.ok ? need.value * ICE_MARGIN : null;
}
