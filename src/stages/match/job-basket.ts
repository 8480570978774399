import type { Knex } from "knex";
import { EVEN_TEMPER, practiceSupplier, type SupplierLink } from "@/bench/supplier";
import { planOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import type { ToFit } from "@/core/match/arrival/parcel";
import { type Basket, type BasketAnswer, cheapestBasket } from "@/core/match/basket/basket";
import type { BasketInput } from "@/core/match/basket/basket-input";
import { basketGround, type Place } from "@/core/match/basket/basket-needs";
import { solver } from "@/core/match/basket/solver";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { type Quote, quoteOf, type ShopRates } from "@/core/match/quote/quote";
import { kitsWith, partsNumbered } from "@/store/catalogue";
import { lubricants } from "@/store/lube";
import { allSuppliers, offersFor, offersOf } from "@/store/offers";
import type { OrderOut } from "@/store/orders";
import { orderDay, type ShopSettings } from "@/store/settings";
import { candidatesOf, type PartCandidates } from "../job-view/job-candidates";

/** What is to be bought for a job, and what the customer pays for all of it. */
export interface JobBasket {
  readonly aim: BasketInput["aim"];
  readonly answer: BasketAnswer;
  /** places that must be settled before they can be bought for */
  readonly open: readonly { readonly id: string; readonly name: string; readonly why: string }[];
  /** names of everything that comes up */
  readonly names: Readonly<Record<string, string>>;
  /** what goes in, and where */
  readonly toFit: readonly ToFit[];
  readonly quote: Quote | null;
  /** what is ordered from whom */
  readonly orders: readonly OrderOut[];
}

/** The way to a supplier. All of them are for practice until one of them has another. */
export async function supplierLink(db: Knex, name: string, settings: Pick<ShopSettings, "practiceTempers">): Promise<SupplierLink> {
  return practiceSupplier(name, await offersOf(db, name), settings.practiceTempers[name] ?? EVEN_TEMPER);
}

/** What can be taken for a job's places, with the offers of the day. */
export async function jobBasket(db: Knex, job: Job, aim: BasketInput["aim"], settings: ShopSettings): Promise<JobBasket> {
  const places = (await candidatesOf(db, job)).map((p) => placeOf(job, p));
  const mentioned = places.flatMap((p) => [...(p.chosen ? [p.chosen] : []), ...p.candidates.map((c) => c.part)]);
  const companions = await partsNumbered(
    db,
    mentioned.flatMap((p) => p.needsAlso.map((n) => n.number)),
  );
  const single = [...new Map([...mentioned, ...companions].map((p) => [p.number, p])).values()];
  const kits = await kitsWith(
    db,
    single.map((p) => p.number),
  );
  const known = [...new Map([...single, ...kits].map((p) => [p.number, p])).values()];
  const suppliers = await allSuppliers(db);
  const day = orderDay(settings);
  const offers = [];
  const sold = await offersFor(
    db,
    known.map((p) => p.number),
  );
  for (const s of suppliers.filter((x) => sold.some((o) => o.supplier === x.name)))
    offers.push(
      ...(await (
        await supplierLink(db, s.name, settings)
      ).offers(
        known.map((p) => p.number),
        day,
      )),
    );
  const { input, open } = basketGround(places, known, offers, suppliers);
  const inKits = await partsNumbered(
    db,
    kits.flatMap((k) => k.contains.map((c) => c.number)),
  );
  const names = Object.fromEntries([...inKits, ...known].map((p) => [p.number, p.name]));
  if (!input.needs.length) return { aim, answer: { basket: null, runnersUp: [] }, open, names, toFit: [], quote: null, orders: [] };
  const beside = await otherCosts(db, job, settings);
  const limit = aim === "soonest within limit" ? partsBudget(job.priceLimit, beside, settings.rates) : undefined;
  const found = cheapestBasket(
    {
      ...input,
      aim: limit === undefined && aim === "soonest within limit" ? "soonest" : aim,
      limit,
      markupPercent: settings.rates.markupPercent,
      runnersUp: 2,
    },
    await solver(),
  );
  // the limit is for everything: what it leaves for parts is said with it
  const answer =
    limit !== undefined && !found.basket && job.priceLimit !== undefined
      ? { ...found, says: `Of the limit of ${job.priceLimit.toFixed(2)}, work, tax and what is used up leave ${limit.toFixed(2)} for parts. ${found.says}` }
      : found;
  const quote = answer.basket && quoteFor(job, answer.basket, known, beside, settings);
  return {
    aim,
    answer,
    open,
    names,
    toFit: answer.basket ? toFitFrom(answer.basket, input) : [],
    quote,
    orders: answer.basket ? ordersFrom(answer.basket, input.offers) : [],
  };
}

function placeOf(job: Job, p: PartCandidates): Place {
  const mate = job.findings.find((f) => f.part === p.id)?.gear.mate;
  return {
    id: p.id,
    name: job.parts.find((x) => x.id === p.id)?.name ?? p.id,
    candidates: p.candidates,
    chosen: p.chosen,
    ...("missing" in p.wanted ? { missing: p.wanted.missing } : {}),
    ...(mate ? { mate } : {}),
  };
}

function toFitFrom(basket: Basket, input: Omit<BasketInput, "aim" | "limit" | "runnersUp" | "markupPercent">): ToFit[] {
  const out: ToFit[] = [];
  const add = (number: string, qty: number): void => {
    const there = out.findIndex((t) => t.number === number && t.part === undefined);
    const before = out[there];
    if (before) out[there] = { ...before, qty: before.qty + qty };
    else out.push({ number, qty });
  };
  for (const c of basket.choices) if (!c.keep) out.push({ number: c.part, qty: 1, part: c.need });
  for (const c of basket.choices)
    for (const w of input.needs.find((n) => n.id === c.need)?.options.find((o) => o.part === c.part)?.with ?? []) add(w.part, w.qty);
  return out;
}

/** An order for each supplier, with what it offered on the day. */
function ordersFrom(basket: Basket, offers: BasketInput["offers"]): OrderOut[] {
  return basket.shipping.map(({ supplier, cost }) => ({
    supplier,
    shipping: cost,
    lines: basket.lines
      .filter((l) => l.supplier === supplier)
      .map((l) => {
        const offer = offers.find((o) => o.id === l.offer);
        return { number: l.part, packs: l.packs, pack: l.pack, price: l.price / l.packs, leadDays: offer?.leadDays ?? 0, had: offer?.stock };
      }),
  }));
}

/** What a repair costs besides its parts. */
interface Beside {
  readonly consumables: readonly { says: string; qty: string; cost: number }[];
  readonly work: readonly { says: string; minutes: number }[];
}

/** A strip that was not timed: two minutes a step, as the plan reckons. */
const UNTIMED_MINUTES = 2;

async function otherCosts(db: Knex, job: Job, settings: ShopSettings): Promise<Beside> {
  const lubricant = (await lubricants(db)).find((l) => l.id === job.lubricant);
  const grams = job.lubePoints.reduce((s, g) => s + (g.grams ?? 0), 0);
  const strip = job.steps.reduce((t, s) => t + (s.minutes ?? UNTIMED_MINUTES), 0);
  return {
    consumables: [
      ...(settings.cleaningCost > 0 ? [{ says: "Cleaning: solvent, wipes", qty: "1", cost: settings.cleaningCost }] : []),
      ...(lubricant?.pricePer100G && grams > 0
        ? [{ says: `Grease, ${lubricant.name}`, qty: `${grams.toFixed(1)} g`, cost: (grams * lubricant.pricePer100G) / 100 }]
        : []),
    ],
    work: [
      { says: "Taking apart and finding the fault", minutes: strip },
      { says: "Cleaning and putting together, by the plan", minutes: planOf(job).minutes },
      { says: "Testing and handing back", minutes: settings.testMinutes },
    ],
  };
}

/** What is left for parts of a limit that tax, work and consumables are within. */
function partsBudget(limit: number | undefined, beside: Beside, rates: ShopRates): number | undefined {
  if (limit === undefined) return undefined;
  const without = quoteOf({ parts: [], shipping: [], ...beside, rates });
  return Math.max(0, Math.floor((100 * limit) / (1 + rates.taxPercent / 100) - 100 * without.net) / 100);
}

function quoteFor(job: Job, basket: Basket, known: readonly CataloguePart[], beside: Beside, settings: ShopSettings): Quote {
  const named = (number: string): string => `${known.find((p) => p.number === number)?.name ?? ""}, ${number}`;
  return quoteOf({
    parts: [
      ...basket.lines.map((l) => ({ says: named(l.part), qty: l.packs, cost: l.price })),
      ...basket.fromShelf.map((s) => ({ says: named(s.part), qty: s.qty, price: (known.find((p) => p.number === s.part)?.price ?? 0) * s.qty })),
    ],
    shipping: basket.shipping,
    ...beside,
    rates: settings.rates,
    limit: job.priceLimit,
    newUnit: job.newUnit,
  });
}
