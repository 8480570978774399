import type { Knex } from "knex";
import type { Compared } from "@/core/match/arrival/arrival";
import type { Quote } from "@/core/match/quote/quote";
import { fromRow } from "./rows";

export interface OrderedLine {
  readonly number: string;
  readonly packs: number;
  readonly pack: number;
  /** of one pack */
  readonly price: number;
  /** as it was offered when it was ordered: working days, and packs that were there */
  readonly leadDays: number;
  readonly had?: number | undefined;
}

/** Something that a supplier told of an order. */
export interface StoredNews {
  readonly day: string;
  readonly what: "confirmed" | "short" | "shipped" | "received";
  readonly says: string;
  readonly parcel?: readonly {
    readonly number: string;
    readonly sent: string;
    readonly packs: number;
    readonly lot: string;
    readonly swapped?: Readonly<Record<string, string>>;
  }[];
}

export interface Order {
  readonly id: number;
  readonly supplier: string;
  readonly reference: string;
  readonly placedOn: string;
  readonly replacement: boolean;
  readonly lines: readonly OrderedLine[];
  readonly shipping: number;
  readonly news: readonly StoredNews[];
}

export type ArrivalDecision = "accepted" | "rework" | "sent-back" | "stock";

/** Pieces of one number that came, for one place. */
export interface Arrival {
  readonly id: number;
  readonly orderId?: number;
  readonly day: string;
  readonly supplier: string;
  /** as the slip says */
  readonly number: string;
  readonly qty: number;
  readonly part?: string;
  readonly lot?: string;
  /** of one piece */
  readonly price?: number;
  readonly found: Compared;
  readonly decision?: ArrivalDecision;
  readonly reason?: string;
  readonly rework: readonly { readonly do: string; readonly note: string }[];
  readonly decidedAt?: string;
}

const arrivalFromRow = (row: Record<string, unknown>): Arrival => {
  const { job_id: _, sent: _sent, ...own } = row;
  return fromRow<Arrival>(own, ["found", "rework"]);
};

export async function ordersOf(db: Knex, jobId: number): Promise<Order[]> {
  return (await db("orders").where({ job_id: jobId }).orderBy("id")).map((r) => {
    const { job_id: _, ...own } = r;
    return fromRow<Order>(own, ["lines", "news"], ["replacement"]);
  });
}

export async function arrivalsOf(db: Knex, jobId: number): Promise<Arrival[]> {
  return (await db("arrivals").where({ job_id: jobId }).orderBy("id")).map(arrivalFromRow);
}

/** A quote as it was made, with the customer's answer. */
export interface StoredQuote {
  readonly id: number;
  readonly madeAt: string;
  readonly quote: Quote;
  readonly total: number;
  readonly answer: "accepted" | "declined" | null;
  readonly answeredOn?: string;
  readonly byWhom?: string;
  readonly note?: string;
}

export async function quotesOf(db: Knex, jobId: number): Promise<StoredQuote[]> {
  return (await db("quotes").where({ job_id: jobId }).orderBy("id")).map((r) => {
    const { job_id: _, ...own } = r;
    const quote = fromRow<Omit<StoredQuote, "answer"> & { answer?: StoredQuote["answer"] }>(own, ["quote"]);
    return { ...quote, answer: quote.answer ?? null };
  });
}
