import { EVEN_TEMPER, practiceSupplier, type SupplierLink } from "@/bench/supplier";
import { besideOf } from "@/core/charge/beside";
import { planOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { mateOf } from "@/core/job/mate-of";
import { partNamed } from "@/core/job/part";
import { lubePlan } from "@/core/lube/plan";
import { basketGround, type Place } from "@/core/match/basket/basket-needs";
import { takenFrom } from "@/core/match/candidates/rank";
import { kitsWith, partsNumbered } from "@/store/catalogue";
import { allSuppliers, offersFor, offersOf } from "@/store/offers";
import { orderDay, type ShopSettings } from "@/store/settings";
import { greasesOnShelf, wholeShelf } from "@/store/shelf";
import { candidatesOf, type PartCandidates } from "../job-view/job-candidates";
import { only } from "../job-view/only";
import type { BasketGround } from "./job-basket";

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
  const companions = await partsNumbered([
    ...mentioned.flatMap((p) => p.needsAlso.map((n) => n.number)),
    // what a kit that fits would put in
    ...places.flatMap((p) => p.candidates.map(takenFrom)),
  ]);
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
    beside: besideOf(job, {
      ...settings,
      pricePer100G: Object.fromEntries((await wholeShelf()).map((l) => [l.id, l.pricePer100G])),
      planMinutes: planOf(job).minutes,
    }),
    rates: settings.rates,
    free: job.warrantyOf !== undefined,
    limit: job.priceLimit,
    newUnit: job.newUnit,
    currency: settings.currency,
  };
}

function placeOf(job: Job, p: PartCandidates): Place {
  const { gear, goesIn } = job.findings.find((f) => f.part === p.id) ?? {};
  const mate = gear?.mate ?? mateOf(job, p.id);
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
