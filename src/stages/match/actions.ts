"use server";

import { addBusinessDays, differenceInCalendarDays, format, parseISO } from "date-fns";
import { z } from "zod";
import { practiceCaliper } from "@/bench/caliper";
import { Fault } from "@/core/fault";
import { reworkList, type StoredNews } from "@/core/job/bought";
import { goesInChange } from "@/core/job/goes-in";
import { type Got, gotSchema, STAYS } from "@/core/job/got";
import type { Job } from "@/core/job/job";
import { mateOf } from "@/core/job/mate-of";
import { note, ref, text, words } from "@/core/job/written";
import { comparedValue, whatToCompare } from "@/core/match/arrival/arrival";
import { type BasketNumbers, basketNumbers } from "@/core/match/basket/basket";
import { type BasketInput, basketInput } from "@/core/match/basket/basket-input";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { mustAskAgain } from "@/core/match/quote/quote";
import { partsNumbered } from "@/store/catalogue";
import { currentJob, thereIs } from "@/store/job";
import { setFinding } from "@/store/judge";
import { takeKit } from "@/store/kit";
import { choosePart, sayOfWhatGoesIn, setGot } from "@/store/match";
import {
  decideArrival,
  noteFound,
  placeBasket,
  takeNews,
  takeOrderBack,
  whatLiesThere,
} from "@/store/orders";
import { answerQuote, makeQuote, setNewUnit } from "@/store/quotes";
import { orderDay, shopSettings } from "@/store/settings";
import { type ActionResult, act, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";
import { amountFrom } from "../saving/amount-from";
import { basketGroundOf, supplierLink } from "./basket-ground";
import { type JobBasket, jobBasketProven } from "./job-basket";

const jobNumbered = async (number: string): Promise<Job> => thereIs(await currentJob(number), number);

const choice = z.object({ ...onJob, part: ref, chosen: words.nullable() });

/** Chooses the catalogue part that replaces a failed one; null takes the choice back. */
export async function choose(raw: z.infer<typeof choice>): Promise<ActionResult> {
  return act(choice, raw, async ({ number, version, part, chosen }) => {
    const [found] = chosen === null ? [] : await partsNumbered([chosen]);
    if (chosen !== null && !found) throw new Fault("chosen", `there is no part ${chosen} in the catalogue`);
    const job = await jobNumbered(number);
    if (job.orders.length || job.arrivals.length)
      throw new Fault(
        "chosen",
        "the parts are ordered: take the order back first, or send back what is not wanted",
      );
    return choosePart(number, version, part, chosen, await mateWith(job, part, found));
  });
}

/**
 * The mate's place, if a gear that comes with the chosen one goes there; or if one did, and the choice is
 * taken back.
 */
async function mateWith(
  job: Job,
  part: string,
  chosen: CataloguePart | undefined,
): Promise<{ part: string; chosen: string | null } | undefined> {
  const mate = mateOf(job, part);
  if (!mate) return undefined;
  const gears = async (p: CataloguePart | undefined): Promise<string[]> =>
    (await partsNumbered(p?.needsAlso.map((n) => n.number) ?? []))
      .filter((c) => c.spec.kind === "gear")
      .map((c) => c.number);
  const [goes] = await gears(chosen);
  if (goes) return { part: mate, chosen: goes };
  const before = job.findings.find((f) => f.part === part)?.chosen;
  const [went] = before ? await gears((await partsNumbered([before]))[0]) : [];
  return went && job.findings.find((f) => f.part === mate)?.chosen === went
    ? { part: mate, chosen: null }
    : undefined;
}

const gotFields = z.object({ ...gotSchema.shape, says: words, number: words, price: words, differs: words });
const getting = z.object({ ...onJob, part: ref, got: gotFields.nullable() });

/** Where something comes from, as it is typed. */
function gotAsTyped({ from, says, number, price, differs }: z.infer<typeof gotFields>): Got {
  const amount = amountFrom("price", price);
  return {
    from,
    ...(says.trim() ? { says: says.trim() } : {}),
    ...(number.trim() ? { number: number.trim() } : {}),
    ...(amount === null ? {} : { price: amount }),
    ...(differs.trim() ? { differs: differs.trim() } : {}),
  };
}

/**
 * Says where a part comes from that is not ordered out of the catalogue, as it is typed; null: that is open
 * again.
 */
export async function takeGot(raw: z.infer<typeof getting>): Promise<ActionResult> {
  return act(getting, raw, ({ number, version, part, got }) =>
    setGot(number, version, part, got && gotAsTyped(got)),
  );
}

const kitInput = z.object({
  ...onJob,
  says: words,
  kitNumber: words,
  price: words,
  renews: z.array(ref).max(200),
  staysOut: z.array(ref).max(200),
});
/** Says what a kit in hand renews, and what it does without. */
export async function takeKitInHand(raw: z.infer<typeof kitInput>): Promise<ActionResult> {
  return act(kitInput, raw, ({ number, version, says, kitNumber, price, renews, staysOut }) => {
    const amount = amountFrom("price", price);
    return takeKit(number, version, {
      says,
      ...(kitNumber.trim() && { number: kitNumber.trim() }),
      ...(amount !== null && { price: amount }),
      renews,
      staysOut,
    });
  });
}

const goingIn = z.object({ ...onJob, part: ref, said: goesInChange });

const companionGot = z.object({ ...onJob, part: ref, companion: text, got: gotFields });

/** Says where something comes from that goes in with a new part, as it is typed. */
export async function takeCompanionGot(raw: z.infer<typeof companionGot>): Promise<ActionResult> {
  return act(companionGot, raw, ({ number, version, part, companion, got }) =>
    sayOfWhatGoesIn(number, version, part, { what: "companion", companion, got: gotAsTyped(got) }),
  );
}

/** Says something of what goes in in a part's place. */
export async function sayGoesIn(raw: z.infer<typeof goingIn>): Promise<ActionResult> {
  return act(goingIn, raw, ({ number, version, part, said }) => sayOfWhatGoesIn(number, version, part, said));
}

const staying = z.object({
  ...onJob,
  part: ref,
  fate: z.enum(STAYS.map((s) => s.fate)),
  says: note.min(3, "say in a few words why, or what is done to it"),
});

/** Nothing new goes in: the part is mended, or left as it is with the reason. */
export async function takeStaying(raw: z.infer<typeof staying>): Promise<ActionResult> {
  return act(staying, raw, ({ number, version, part, fate, says }) =>
    setFinding(number, version, part, { fate, fateWhy: says, renew: false, got: null }),
  );
}

const buying = z.object({ ...onJob, aim: basketInput.shape.aim.unwrap(), found: basketNumbers });

/** The basket that a screen found, made again with the offers of the day. */
async function basketAsFound(job: Job, aim: BasketInput["aim"], found: BasketNumbers): Promise<JobBasket> {
  const ground = await basketGroundOf(job, await shopSettings());
  if (ground.open[0]) throw new Fault("basket", `${ground.open[0].name}: ${ground.open[0].why}`);
  return jobBasketProven(ground, aim, found);
}

/** Orders the basket as it is now, if the customer has agreed to what it comes to. */
export async function order(raw: z.infer<typeof buying>): Promise<ActionResult> {
  return act(buying, raw, async ({ number, version, aim, found }) => {
    const job = await jobNumbered(number);
    const settings = await shopSettings();
    const { answer, toFit, quote, orders } = await basketAsFound(job, aim, found);
    if (!answer.basket || !quote) throw new Fault("basket", "there is nothing to order");
    const ask = mustAskAgain(quote.total, job.quotes, job.priceLimit, settings.currency);
    if (ask) throw new Fault("quote", ask);
    return placeBasket(number, version, {
      orders,
      fromShelf: answer.basket.fromShelf.map((s) => ({ number: s.part, qty: s.qty })),
      toFit,
      aim,
      day: orderDay(settings),
    });
  });
}

const back = z.object(onJob);

/** Takes the order back, while nothing of it is on its way. */
export async function takeBack(raw: z.infer<typeof back>): Promise<ActionResult> {
  return act(back, raw, ({ number, version }) => takeOrderBack(number, version));
}

const looking = z.object({ ...onJob, dayPasses: z.boolean() });

/** Asks the suppliers for news; in practice a working day can be let pass first. */
export async function news(raw: z.infer<typeof looking>): Promise<ActionResult> {
  return act(looking, raw, async ({ number, version, dayPasses }) => {
    let settings = await shopSettings();
    if (dayPasses) {
      const today = parseISO(orderDay(settings));
      settings = {
        ...settings,
        practiceDays: settings.practiceDays + differenceInCalendarDays(addBusinessDays(today, 1), today),
      };
    }
    const day = orderDay(settings);
    const job = await jobNumbered(number);
    const told: { reference: string; news: readonly StoredNews[] }[] = [];
    for (const o of job.orders) {
      const link = await supplierLink(
        o.supplier,
        settings,
        o.lines.map((l) => l.number),
      );
      told.push({
        reference: o.reference,
        news: await link.follow(
          { reference: o.reference, placedOn: o.placedOn, lines: o.lines, replacement: o.replacement },
          day,
        ),
      });
    }
    return takeNews(number, version, told, dayPasses ? settings.practiceDays : undefined);
  });
}

/** Makes a quote of the basket as it is now. */
export async function quote(raw: z.infer<typeof buying>): Promise<ActionResult> {
  return actAtDesk(buying, raw, async ({ number, version, aim, found }) => {
    const { quote: made } = await basketAsFound(await jobNumbered(number), aim, found);
    if (!made) throw new Fault("basket", "there is nothing to quote: choose the parts first");
    return makeQuote(number, version, made);
  });
}

const answered = z.object({
  ...onJob,
  quote: z.int(),
  answer: z.enum(["accepted", "declined"]),
  byWhom: words,
  note: note.optional(),
});

/** What the customer said to a quote. */
export async function answer(raw: z.infer<typeof answered>): Promise<ActionResult> {
  return actAtDesk(answered, raw, ({ number, version, quote: id, answer: says, byWhom, note }) =>
    answerQuote(number, version, id, says, byWhom, format(new Date(), "yyyy-MM-dd"), note),
  );
}

const price = z.object({ ...onJob, price: words });

/** What a new unit costs, as it is typed. */
export async function newUnit(raw: z.infer<typeof price>): Promise<ActionResult> {
  return act(price, raw, ({ number, version, price: typed }) => {
    return setNewUnit(number, version, amountFrom("price", typed));
  });
}

const found = z.object({
  ...onJob,
  arrival: z.int(),
  key: ref,
  value: comparedValue.nullable(),
});

/** What was measured or seen on a part that came. */
export async function noteWhatCame(raw: z.infer<typeof found>): Promise<ActionResult> {
  return act(found, raw, ({ number, version, arrival, key, value }) =>
    noteFound(number, version, arrival, key, value),
  );
}

const measuring = z.object({ ...onJob, arrival: z.int(), key: ref });

/**
 * The practice instruments: what really lies in the practice supplier's parcel, counted or measured with a
 * caliper's own noise.
 */
export async function practiceMeasure(raw: z.infer<typeof measuring>): Promise<ActionResult> {
  return act(measuring, raw, async ({ number, version, arrival, key }) => {
    const job = await jobNumbered(number);
    const sent = await whatLiesThere(job.id, arrival);
    const [part] = sent ? await partsNumbered([sent]) : [];
    const size = part && whatToCompare(part.spec).find((i) => i.key === key)?.expected;
    if (typeof size !== "number")
      throw new Fault("key", "the practice caliper cannot measure this: look at the part");
    return noteFound(
      number,
      version,
      arrival,
      key,
      key === "teeth" ? size : practiceCaliper(Math.random).read(size),
    );
  });
}

const decided = z.object({
  ...onJob,
  arrival: z.int(),
  decision: z.enum(["accepted", "rework", "sent-back"]).nullable(),
  reason: note.optional(),
  rework: reworkList.optional(),
});

/** Decides about a part that came. */
export async function decide(raw: z.infer<typeof decided>): Promise<ActionResult> {
  return act(decided, raw, async ({ number, version, arrival, decision, reason, rework }) =>
    decideArrival(number, version, arrival, decision, {
      reason,
      rework,
      day: orderDay(await shopSettings()),
    }),
  );
}
