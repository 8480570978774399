import { EVEN_TEMPER, practiceSupplier, type SupplierLink } from "@/bench/supplier";
import { planOf } from "@/core/gates/job-facts";
import { gotPieces } from "@/core/job/going-in";
import { gotInWords } from "@/core/job/got";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { UNTIMED_MINUTES } from "@/core/job/step";
import { type ChamberPlan, lubePlan } from "@/core/lube/plan";
import { lubricantsUsed } from "@/core/lube/used";
import { basketGround, type Place } from "@/core/match/basket/basket-needs";
import { kitsWith, partsNumbered } from "@/store/catalogue";
import { allSuppliers, offersFor, offersOf } from "@/store/offers";
import { orderDay, type ShopSettings } from "@/store/settings";
import { greasesOnShelf, wholeShelf } from "@/store/shelf";
import { candidatesOf, type PartCandidates } from "../job-view/job-candidates";
import { only } from "../job-view/only";
import type { BasketGround, Beside } from "./job-basket";

/**
 * The way to a supplier, for what concerns these parts. All of them are for practice until one of them has
 * another.
 */
export async function supplierLink(
  name: string,
  settings: Pick<ShopSettings, "practiceTempers">,
  numbers: readonly string[],
): Promise<SupplierLink> {
  return practiceSupplier(name, await offersOf(name, numbers), settings.practiceTempers[name] ?? EVEN_TEMPER);
}

/** What can be taken for a job's places, with the offers of the day, and what the repair costs besides. */
export async function basketGroundOf(job: Job, settings: ShopSettings): Promise<BasketGround> {
  // what is got elsewhere is not bought
  const elsewhere = new Set(job.findings.filter((f) => f.got).map((f) => f.part));
  const places = (await candidatesOf(job)).filter((p) => !elsewhere.has(p.id)).map((p) => placeOf(job, p));
  const mentioned = places.flatMap((p) => [
    ...(p.chosen ? [p.chosen] : []),
    ...p.candidates.map((c) => c.part),
  ]);
  const companions = await partsNumbered(mentioned.flatMap((p) => p.needsAlso.map((n) => n.number)));
  const single = [...new Map([...mentioned, ...companions].map((p) => [p.number, p])).values()];
  const kits = await kitsWith(single.map((p) => p.number));
  const known = [...new Map([...single, ...kits].map((p) => [p.number, p])).values()];
  const numbers = known.map((p) => p.number);
  const suppliers = await allSuppliers();
  const sold = new Set((await offersFor(numbers)).map((o) => o.supplier));
  const day = orderDay(settings);
  const offers = [];
  for (const s of suppliers)
    if (sold.has(s.name))
      offers.push(...(await (await supplierLink(s.name, settings, numbers)).offers(numbers, day)));
  const { input, open, cut } = basketGround(places, known, offers, suppliers);
  const inKits = await partsNumbered(kits.flatMap((k) => k.contains.map((c) => c.number)));
  const toBuy = lubePlan(job, await greasesOnShelf()).filter((p) => p.missing.length > 0);
  return {
    input: input.needs.length ? input : null,
    open,
    cut,
    names: Object.fromEntries([...inKits, ...known].map((p) => [p.number, p.name])),
    toBuy: toBuy.map((p) => ({ chamber: only(p.chamber, ["id", "name", "getting"]), says: p.missing })),
    beside: await otherCosts(job, settings, toBuy),
    // what is done again within the warranty is not charged for its work
    rates: job.warrantyOf ? { ...settings.rates, perHour: 0, minMinutes: 0, ifDeclined: 0 } : settings.rates,
    limit: job.priceLimit,
    newUnit: job.newUnit,
    currency: settings.currency,
  };
}

function placeOf(job: Job, p: PartCandidates): Place {
  const { gear, goesIn } = job.findings.find((f) => f.part === p.id) ?? {};
  const mate = gear?.mate;
  // what goes in with it and is got elsewhere, or left out, is not bought
  const settled = new Set(
    goesIn?.number === p.chosen?.number
      ? goesIn?.with.flatMap((c) => (c.got || c.without ? [c.number] : []))
      : [],
  );
  return {
    id: p.id,
    name: partNamed(job, p.id),
    candidates: p.candidates,
    chosen: p.chosen && { ...p.chosen, needsAlso: p.chosen.needsAlso.filter((n) => !settled.has(n.number)) },
    ...("missing" in p.wanted ? { missing: p.wanted.missing } : {}),
    ...(mate ? { mate } : {}),
  };
}

async function otherCosts(job: Job, settings: ShopSettings, toBuy: readonly ChamberPlan[]): Promise<Beside> {
  const shelf = await wholeShelf();
  const strip = job.steps.reduce((t, s) => t + (s.minutes ?? UNTIMED_MINUTES), 0);
  return {
    parts: gotPieces(job).map((g) => ({
      says: `${g.for ?? g.says}, ${gotInWords(g.got)}`,
      qty: 1,
      price: g.got.price ?? 0,
    })),
    consumables: [
      ...(settings.cleaningCost > 0
        ? [{ says: "Cleaning: solvent, wipes", qty: "1", cost: settings.cleaningCost }]
        : []),
      ...lubricantsUsed(job).flatMap((u) => {
        const price = shelf.find((l) => l.id === u.lubricantId)?.pricePer100G;
        return price && u.grams > 0
          ? [{ says: u.name, qty: `${u.grams.toFixed(1)} g`, cost: (u.grams * price) / 100 }]
          : [];
      }),
      // what is got for this job alone is paid whole
      ...toBuy.flatMap(({ chamber: { name, getting } }) =>
        getting?.price
          ? [
              {
                says: `Lubricant for the ${name}${getting.from ? `, from ${getting.from}` : ""}`,
                qty: "1",
                cost: getting.price,
              },
            ]
          : [],
      ),
    ],
    work: [
      { says: "Strip and diagnosis", minutes: strip },
      { says: "Clean and rebuild, by the plan", minutes: planOf(job).minutes },
      { says: "Testing and hand back", minutes: settings.testMinutes },
    ],
  };
}
