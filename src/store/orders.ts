import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import type { Arrival, ArrivalDecision, Order, OrderedLine, StoredNews } from "@/core/job/bought";
import type { GoesIn } from "@/core/job/goes-in";
import { whatToCompare } from "@/core/match/arrival/arrival";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import { cameFor, notHereYet, type ToFit } from "@/core/match/arrival/parcel";
import type { BasketInput } from "@/core/match/basket/basket-input";
import { contentsOf } from "@/core/match/catalogue/catalogue-part";
import { partsNumbered } from "./catalogue";
import { type Change, changeJob } from "./change";
import { database } from "./database";
import { findingOf, writeFinding } from "./findings";
import { newReference, newRefs } from "./ids";
import { madeUp } from "./match";
import type { Row } from "./rows";
import { setSetting } from "./settings";
import { records } from "./tables";

const ordersOf = async ({ trx, job }: Change): Promise<Order[]> => {
  const rows: Row[] = await trx("orders").where({ job_id: job.id }).orderBy("id");
  return rows.map(records.orders.read);
};
const arrivalsOf = async ({ trx, job }: Change): Promise<Arrival[]> => {
  const rows: Row[] = await trx("arrivals").where({ job_id: job.id }).orderBy("id");
  return rows.map(records.arrivals.read);
};
async function arrivalOf({ trx, job }: Change, id: number): Promise<Arrival> {
  const row: Row | undefined = await trx("arrivals").where({ job_id: job.id, id }).first();
  if (!row) throw new Fault("arrival", "is not there any more");
  return records.arrivals.read(row);
}
const addArrival = async (
  { trx, job }: Change,
  arrival: Omit<Arrival, "id" | "found" | "rework">,
  sent?: string,
): Promise<void> => {
  await trx("arrivals").insert({ job_id: job.id, sent: sent ?? null, ...records.arrivals.write(arrival) });
};

/** What is ordered of a basket from one supplier. */
export interface OrderOut {
  readonly supplier: string;
  readonly lines: readonly OrderedLine[];
  readonly shipping: number;
}

/**
 * Orders a basket: an order for each supplier, and what lies in the drawer is taken out of it.
 *
 * @param toFit everything that is to go in, and where
 */
export async function placeBasket(
  number: string,
  version: number,
  {
    orders,
    fromShelf,
    toFit,
    aim,
    day,
  }: {
    orders: readonly OrderOut[];
    fromShelf: readonly { number: string; qty: number }[];
    toFit: readonly ToFit[];
    aim: BasketInput["aim"];
    day: string;
  },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    if (
      (await c.trx("orders").where({ job_id: c.job.id }).first()) ||
      (await c.trx("arrivals").where({ job_id: c.job.id }).first())
    )
      throw new Fault("basket", "this job’s parts are ordered already");
    await c
      .trx("jobs")
      .where({ id: c.job.id })
      .update(records.jobs.write({ toFit, basketAim: aim }));
    for (const { part, number: chosen } of toFit)
      if (part) await writeFinding(c, part, { chosen, ...(await goesInAt(c, part, chosen)) });
    for (const o of orders) await insertOrder(c, o, day, false);
    await takeFromDrawer(c, fromShelf, toFit, day);
    const from = [
      ...orders.map((o) => `${o.lines.length} ${o.lines.length === 1 ? "line" : "lines"} from ${o.supplier}`),
      ...(fromShelf.length ? ["the rest from the drawer"] : []),
    ];
    return `parts ordered: ${from.join(", ")}`;
  });
}

/** What is known of what goes in at a place; what was said of it at the bench stays. */
async function goesInAt(c: Change, part: string, chosen: string): Promise<{ goesIn?: GoesIn | null }> {
  const { goesIn } = await findingOf(c, part);
  return goesIn?.number === chosen ? {} : { goesIn: await madeUp(c, chosen) };
}

/**
 * Takes an order back, as long as nothing of it is on its way: what came out of the drawer lies there again.
 */
export async function takeOrderBack(number: string, version: number): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const orders = await ordersOf(c);
    if (orders.some((o) => o.news.some((n) => n.what === "shipped" || n.what === "received")))
      throw new Fault("order", "is on its way already: send back what is not wanted");
    for (const a of await arrivalsOf(c))
      await trx("catalogue").where({ number: a.number }).increment("stock", a.qty);
    await trx("arrivals").where({ job_id: job.id }).delete();
    await trx("orders").where({ job_id: job.id }).delete();
    await trx("jobs").where({ id: job.id }).update({ to_fit: "[]" });
    return "order taken back";
  });
}

async function insertOrder(
  { trx, job }: Change,
  o: OrderOut,
  day: string,
  replacement: boolean,
): Promise<void> {
  await trx("orders").insert({
    job_id: job.id,
    ...records.orders.write({
      supplier: o.supplier,
      reference: await newReference(trx, job),
      placedOn: day,
      replacement,
      lines: o.lines,
      shipping: o.shipping,
    }),
  });
}

async function takeFromDrawer(
  c: Change,
  fromShelf: readonly { number: string; qty: number }[],
  toFit: readonly ToFit[],
  day: string,
): Promise<void> {
  const { trx } = c;
  for (const { number, qty } of fromShelf) {
    const taken = await trx("catalogue")
      .where({ number })
      .andWhere("stock", ">=", qty)
      .decrement("stock", qty);
    if (!taken)
      throw new Fault(
        "basket",
        `there are no ${qty} of ${number} in the drawer any more: look at the basket again`,
      );
    const [part] = await partsNumbered([number], trx);
    const inside = part ? contentsOf(part) : [];
    const pieces = inside.reduce((t, p) => t + p.qty, 0) || 1;
    for (const came of cameFor(
      [{ number, qty }],
      inside.length ? new Map([[number, inside]]) : new Map(),
      toFit,
    ))
      await addArrival(c, {
        day,
        supplier: "the drawer",
        number,
        qty: came.qty,
        part: came.part,
        price: part && Math.round((part.price / pieces) * 100) / 100,
      });
  }
}

/** Adds what suppliers told since, and lays out what came in their parcels to be compared. */
export async function takeNews(
  number: string,
  version: number | "any",
  news: readonly { readonly reference: string; readonly news: readonly StoredNews[] }[],
  practiceDays?: number,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    if (practiceDays !== undefined) await setSetting("practiceDays", practiceDays, c.trx);
    const told: string[] = [];
    for (const { reference, news: all } of news) {
      const row: Row | undefined = await c.trx("orders").where({ job_id: c.job.id, reference }).first();
      if (!row) continue;
      const order = records.orders.read(row);
      const fresh = all.slice(order.news.length);
      if (!fresh.length) continue;
      await c
        .trx("orders")
        .where({ id: order.id })
        .update(records.orders.write({ news: all }));
      for (const n of fresh) {
        told.push(n.says);
        if (n.what === "received") await layOut(c, order, n);
      }
    }
    return told.length ? told.join(" ") : "no news of the orders";
  });
}

async function layOut(c: Change, order: Order, news: StoredNews): Promise<void> {
  const { trx, job } = c;
  for (const p of news.parcel ?? []) {
    const line = order.lines.find((l) => l.number === p.number);
    const pieces = p.packs * (line?.pack ?? 1);
    const [kit] = await partsNumbered([p.number], trx);
    const inside = kit ? contentsOf(kit) : [];
    const kits = new Map(kit && inside.length ? [[kit.number, inside]] : []);
    const inKit = inside.reduce((t, c) => t + c.qty, 0) || 1;
    // a kit's price is shared among its pieces: what one of them is worth alone is not known
    const price = line ? Math.round((line.price / line.pack / inKit) * 100) / 100 : undefined;
    for (const came of cameFor(
      [{ number: p.number, qty: pieces }],
      kits,
      notHereYet(job.toFit, await arrivalsOf(c)),
    )) {
      const sent = kits.size ? (p.swapped?.[came.number] ?? came.number) : p.sent;
      await addArrival(
        c,
        {
          orderId: order.id,
          day: news.day,
          supplier: order.supplier,
          number: came.number,
          qty: came.qty,
          part: came.part,
          lot: p.lot,
          price,
          ...(came.spare ? { decision: "stock", decidedAt: news.day } : {}),
        },
        sent,
      );
      if (came.spare) await trx("catalogue").where({ number: came.number }).increment("stock", came.qty);
    }
  }
}

/** Keeps what was measured or seen on a part that came. */
export async function noteFound(
  number: string,
  version: number,
  arrival: number,
  key: string,
  value: number | "yes" | "no" | null,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const came = await arrivalOf(c, arrival);
    const { [key]: _before, ...others } = came.found;
    await c
      .trx("arrivals")
      .where({ id: arrival })
      .update(records.arrivals.write({ found: value === null ? others : { ...others, [key]: value } }));
    const [part] = await partsNumbered([came.number], c.trx);
    const item = part && whatToCompare(part.spec).find((i) => i.key === key);
    return `${came.number} compared: ${item?.label ?? key} ${value === null ? "struck" : `${value} ${item?.unit ?? ""}`.trim()}`;
  });
}

/**
 * Decides about a part that came. Rework becomes services of the rebuild plan, before the part goes in. What
 * is sent back is ordered again from the same supplier. Null takes the decision back, as long as nothing
 * follows from it.
 */
export async function decideArrival(
  number: string,
  version: number,
  arrival: number,
  decision: Exclude<ArrivalDecision, "stock"> | null,
  { reason, rework = [], day }: { reason?: string; rework?: Arrival["rework"]; day: string },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job, at } = c;
    const row = await arrivalOf(c, arrival);
    if (row.decision === "sent-back")
      throw new Fault("decision", "it is on its way back; what comes in its place is decided anew");
    if (decision === "sent-back" && !reason?.trim())
      throw new Fault("reason", "say why it goes back: the supplier will ask");
    if (
      decision === "sent-back" &&
      !(await trx("job_pictures")
        .where({ job_id: job.id, part: pictureOf({ id: arrival }) })
        .first())
    )
      throw new Fault("picture", "take its picture first: it goes back with the reason and a picture");
    await trx("services").where({ job_id: job.id }).whereLike("x", `%"arrival":${arrival}}%`).delete();
    await trx("arrivals")
      .where({ id: arrival })
      .update(
        records.arrivals.write({
          decision,
          reason: reason?.trim() || undefined,
          rework: decision === "rework" ? rework : [],
          decidedAt: decision ? at : undefined,
        }),
      );
    if (decision === "rework" && row.part) {
      const { refs, position } = await newRefs(trx, "services", job.id, rework.length);
      for (const [i, r] of rework.entries())
        await trx("services").insert({
          job_id: job.id,
          position: position + i,
          ...records.services.write({
            id: refs[i],
            part: row.part,
            do: r.do,
            note: `${row.number}: ${r.note}`,
            x: { arrival },
          }),
        });
    }
    if (decision === "sent-back") await orderAgain(c, row, day);
    const says = {
      accepted: "accepted",
      rework: `accepted with rework: ${rework.map((r) => r.note).join("; ")}`,
      "sent-back": `sent back: ${reason}`,
    };
    return `${row.number} ${decision ? says[decision] : "to be compared again"}`;
  });
}

async function orderAgain(c: Change, arrival: Arrival, day: string): Promise<void> {
  const row: Row | undefined =
    arrival.orderId === undefined ? undefined : await c.trx("orders").where({ id: arrival.orderId }).first();
  if (!row) return;
  const order = records.orders.read(row);
  const line = order.lines.find((l) => l.number === arrival.number);
  const packs = Math.ceil(arrival.qty / (line?.pack ?? 1));
  await insertOrder(
    c,
    {
      supplier: order.supplier,
      lines: [
        {
          number: arrival.number,
          packs,
          pack: line?.pack ?? 1,
          price: 0,
          leadDays: line?.leadDays ?? Math.max(...order.lines.map((l) => l.leadDays)),
        },
      ],
      shipping: 0,
    },
    day,
    true,
  );
}

/** What really lies in a parcel of the practice supplier: for the practice instruments, which measure it. */
export async function whatLiesThere(jobId: number, arrival: number, at?: Knex): Promise<string | undefined> {
  const db = at ?? (await database());
  const row = await db("arrivals").where({ job_id: jobId, id: arrival }).first("number", "sent");
  return row ? (row.sent ?? row.number) : undefined;
}
