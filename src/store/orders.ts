import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import { cameFor, notHereYet, type ToFit } from "@/core/match/arrival/parcel";
import type { Service } from "@/core/order/strip";
import { partsNumbered } from "./catalogue";
import { type Change, changeJob, nextRef } from "./change";
import { arrivalsOf, type Order, type OrderedLine, ordersOf, type StoredNews } from "./order-records";
import { fromRow, toRow } from "./rows";

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
  }: { orders: readonly OrderOut[]; fromShelf: readonly { number: string; qty: number }[]; toFit: readonly ToFit[]; aim: string; day: string },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    if ((await c.trx("orders").where({ job_id: c.job.id }).first()) || (await c.trx("arrivals").where({ job_id: c.job.id }).first()))
      throw new Fault("basket", "this job’s parts are ordered already");
    await c
      .trx("jobs")
      .where({ id: c.job.id })
      .update(toRow({ toFit, basketAim: aim }));
    for (const f of toFit.filter((t) => t.part))
      await c.trx("findings").insert({ job_id: c.job.id, part: f.part, chosen: f.number }).onConflict(["job_id", "part"]).merge(["chosen"]);
    for (const o of orders) await insertOrder(c, o, day, false);
    await takeFromDrawer(c, fromShelf, toFit, day);
    const from = [
      ...orders.map((o) => `${o.lines.length} ${o.lines.length === 1 ? "line" : "lines"} from ${o.supplier}`),
      ...(fromShelf.length ? ["the rest from the drawer"] : []),
    ];
    return `parts ordered: ${from.join(", ")}`;
  });
}

/** Takes an order back, as long as nothing of it is on its way: what came out of the drawer lies there again. */
export async function takeOrderBack(number: string, version: number): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const orders = await ordersOf(trx, job.id);
    if (orders.some((o) => o.news.some((n) => n.what === "shipped" || n.what === "received")))
      throw new Fault("order", "is on its way already: send back what is not wanted");
    for (const a of await arrivalsOf(trx, job.id)) await trx("catalogue").where({ number: a.number }).increment("stock", a.qty);
    await trx("arrivals").where({ job_id: job.id }).delete();
    await trx("orders").where({ job_id: job.id }).delete();
    await trx("jobs").where({ id: job.id }).update({ to_fit: "[]" });
    return "order taken back";
  });
}

async function insertOrder({ trx, job }: Change, o: OrderOut, day: string, replacement: boolean): Promise<void> {
  const { n } = (await trx("orders").where({ job_id: job.id }).count({ n: "*" }).first()) as { n: number };
  await trx("orders").insert(
    toRow({ jobId: job.id, supplier: o.supplier, reference: `${job.number}/${n + 1}`, placedOn: day, replacement, lines: o.lines, shipping: o.shipping }),
  );
}

async function takeFromDrawer(
  { trx, job }: Change,
  fromShelf: readonly { number: string; qty: number }[],
  toFit: readonly ToFit[],
  day: string,
): Promise<void> {
  for (const { number, qty } of fromShelf) {
    const taken = await trx("catalogue").where({ number }).andWhere("stock", ">=", qty).decrement("stock", qty);
    if (!taken) throw new Fault("basket", `there are no ${qty} of ${number} in the drawer any more: look at the basket again`);
    const [part] = await partsNumbered(trx, [number]);
    for (const came of cameFor([{ number, qty }], new Map(), toFit))
      await trx("arrivals").insert(toRow({ jobId: job.id, day, supplier: "the drawer", number, qty: came.qty, part: came.part, price: part?.price }));
  }
}

/** Adds what suppliers told since, and lays out what came in their parcels to be compared. */
export async function takeNews(
  number: string,
  version: number | "any",
  news: readonly { readonly reference: string; readonly news: readonly StoredNews[] }[],
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const told: string[] = [];
    for (const { reference, news: all } of news) {
      const row = await c.trx("orders").where({ job_id: c.job.id, reference }).first();
      if (!row) continue;
      const order = fromRow<Order>(row, ["lines", "news"], ["replacement"]);
      const fresh = all.slice(order.news.length);
      if (!fresh.length) continue;
      await c
        .trx("orders")
        .where({ id: order.id })
        .update({ news: JSON.stringify(all) });
      for (const n of fresh) {
        told.push(n.says);
        if (n.what === "received") await layOut(c, order, n);
      }
    }
    return told.length ? told.join(" ") : "no news of the orders";
  });
}

async function layOut({ trx, job }: Change, order: Order, news: StoredNews): Promise<void> {
  const toFit = JSON.parse((await trx("jobs").where({ id: job.id }).first("to_fit")).to_fit) as ToFit[];
  for (const p of news.parcel ?? []) {
    const line = order.lines.find((l) => l.number === p.number);
    const pieces = p.packs * (line?.pack ?? 1);
    const [kit] = await partsNumbered(trx, [p.number]);
    const kits = new Map(kit?.contains.length ? [[kit.number, kit.contains]] : []);
    const inKit = kit?.contains.reduce((t, c) => t + c.qty, 0) || 1;
    // a kit's price is shared among its pieces: what one of them is worth alone is not known
    const price = line ? Math.round((line.price / line.pack / inKit) * 100) / 100 : undefined;
    for (const came of cameFor([{ number: p.number, qty: pieces }], kits, notHereYet(toFit, await arrivalsOf(trx, job.id)))) {
      const sent = kits.size ? (p.swapped?.[came.number] ?? came.number) : p.sent;
      await trx("arrivals").insert(
        toRow({
          jobId: job.id,
          orderId: order.id,
          day: news.day,
          supplier: order.supplier,
          number: came.number,
          sent,
          qty: came.qty,
          part: came.part,
          lot: p.lot,
          price,
          ...(came.spare ? { decision: "stock", decidedAt: news.day } : {}),
        }),
      );
      if (came.spare) await trx("catalogue").where({ number: came.number }).increment("stock", came.qty);
    }
  }
}

/** Keeps what was measured or seen on a part that came. */
export async function noteFound(number: string, version: number, arrival: number, key: string, value: number | "yes" | "no" | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const row = await trx("arrivals").where({ job_id: job.id, id: arrival }).first();
    if (!row) throw new Fault("arrival", "is not there any more");
    const found = JSON.parse(row.found) as Record<string, number | string>;
    if (value === null) delete found[key];
    else found[key] = value;
    await trx("arrivals")
      .where({ id: arrival })
      .update({ found: JSON.stringify(found) });
    return `${row.number} compared: ${key} ${value ?? "struck"}`;
  });
}

/**
 * Decides about a part that came. Rework becomes services of the rebuild plan, before the part goes in. What is sent back is ordered again from the same supplier. Null takes the decision back, as long as nothing follows from it.
 */
export async function decideArrival(
  number: string,
  version: number,
  arrival: number,
  decision: "accepted" | "rework" | "sent-back" | null,
  { reason, rework = [], day }: { reason?: string | undefined; rework?: readonly { do: Service["do"]; note: string }[]; day: string },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job, at } = c;
    const row = await trx("arrivals").where({ job_id: job.id, id: arrival }).first();
    if (!row) throw new Fault("arrival", "is not there any more");
    if (row.decision === "sent-back") throw new Fault("decision", "it is on its way back; what comes in its place is decided anew");
    if (decision === "sent-back" && !reason?.trim()) throw new Fault("reason", "say why it goes back: the supplier will ask");
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
        toRow({
          decision: decision ?? undefined,
          reason: reason?.trim() || undefined,
          rework: decision === "rework" ? rework : [],
          decidedAt: decision ? at : undefined,
        }),
      );
    if (decision === "rework" && row.part)
      for (const r of rework)
        await trx("services").insert(
          toRow({
            jobId: job.id,
            ...(await nextRef(trx, "services", job.id, "v")),
            part: row.part,
            what: r.do,
            note: `${row.number}: ${r.note}`,
            x: { arrival },
          }),
        );
    if (decision === "sent-back") await orderAgain(c, row, day);
    const says = { accepted: "accepted", rework: `accepted with rework: ${rework.map((r) => r.note).join("; ")}`, "sent-back": `sent back: ${reason}` };
    return `${row.number} ${decision ? says[decision] : "to be compared again"}`;
  });
}

async function orderAgain(c: Change, arrival: { order_id: number | null; number: string; qty: number; supplier: string }, day: string): Promise<void> {
  if (arrival.order_id === null) return;
  const row = await c.trx("orders").where({ id: arrival.order_id }).first();
  const order = fromRow<Order>(row, ["lines", "news"], ["replacement"]);
  const line = order.lines.find((l) => l.number === arrival.number);
  const packs = Math.ceil(arrival.qty / (line?.pack ?? 1));
  await insertOrder(
    c,
    {
      supplier: order.supplier,
      lines: [{ number: arrival.number, packs, pack: line?.pack ?? 1, price: 0, leadDays: line?.leadDays ?? Math.max(...order.lines.map((l) => l.leadDays)) }],
      shipping: 0,
    },
    day,
    true,
  );
}

/** What really lies in a parcel of the practice supplier: for the practice instruments, which measure it. */
export async function whatLiesThere(db: Knex, jobId: number, arrival: number): Promise<string | undefined> {
  const row = await db("arrivals").where({ job_id: jobId, id: arrival }).first("number", "sent");
  return row ? (row.sent ?? row.number) : undefined;
}
