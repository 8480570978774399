import type { Beside } from "@/core/charge/beside";
import type { Chamber } from "@/core/job/chamber";
import type { ToFit } from "@/core/match/arrival/parcel";
import {
  type Basket,
  type BasketAnswer,
  type BasketNumbers,
  type FoundBasket,
  provenBasket,
} from "@/core/match/basket/basket";
import type { BasketInput } from "@/core/match/basket/basket-input";
import { type Quote, quoteOf, type ShopRates } from "@/core/match/quote/quote";
import { money } from "@/core/quantity/money";
import type { OrderOut } from "@/store/orders";

type Aim = BasketInput["aim"];
type Ground = Omit<BasketInput, "aim" | "limit" | "runnersUp" | "markupPercent">;

/** Everything that a basket and its quote are worked out from, by the shop or by a browser. */
export interface BasketGround {
  /** null: nothing is to be bought */
  readonly input: Ground | null;
  /** places that must be settled before they can be bought for */
  readonly open: readonly { readonly id: string; readonly name: string; readonly why: string }[];
  /** places into which more fits than is weighed */
  readonly cut: readonly { readonly name: string; readonly of: number; readonly weighed: number }[];
  /** chambers for which the shelf has nothing, or too little, with what to ask for over a counter */
  readonly toBuy: readonly {
    readonly chamber: Pick<Chamber, "id" | "name" | "getting">;
    readonly says: readonly string[];
  }[];
  /** names of everything that comes up */
  readonly names: Readonly<Record<string, string>>;
  readonly beside: Beside;
  readonly rates: ShopRates;
  /** it came back within its warranty: nothing is charged */
  readonly free: boolean;
  /** what the customer said it may cost */
  readonly limit: number | undefined;
  readonly newUnit: number | undefined;
  readonly currency: string;
}

/** What is to be bought for a job, and what the customer pays for all of it. */
export interface JobBasket {
  readonly aim: Aim;
  readonly answer: BasketAnswer;
  readonly found: BasketNumbers;
  /** what goes in, and where */
  readonly toFit: readonly ToFit[];
  readonly quote: Quote | null;
  /** what is ordered from whom */
  readonly orders: readonly OrderOut[];
}

/** What is left for parts of the customer's limit, where the aim asks for it. */
const budgetOf = (ground: BasketGround, aim: Aim): number | undefined =>
  aim === "soonest within limit" ? partsBudget(ground) : undefined;

/** What the solver is asked; null: nothing is to be bought. */
export function basketQuestion(ground: BasketGround, aim: Aim): BasketInput | null {
  if (!ground.input) return null;
  const limit = budgetOf(ground, aim);
  return {
    ...ground.input,
    aim: limit === undefined && aim === "soonest within limit" ? "soonest" : aim,
    ...(limit === undefined ? {} : { limit }),
    markupPercent: ground.rates.markupPercent,
    currency: ground.currency,
    runnersUp: 2,
  };
}

/** The basket with what follows from it. */
export function jobBasketFrom(
  ground: BasketGround,
  aim: Aim,
  { answer: bare, found }: FoundBasket,
): JobBasket {
  const budget = budgetOf(ground, aim);
  // the limit is for everything: what it leaves for parts is said with it
  const answer =
    budget !== undefined && !bare.basket && ground.limit !== undefined
      ? {
          ...bare,
          says: `After work, tax and consumables the limit of ${money(ground.limit, ground.currency)} leaves ${money(budget, ground.currency)} for parts. ${bare.says}`,
        }
      : bare;
  const { basket } = answer;
  return {
    aim,
    answer,
    found,
    toFit: basket && ground.input ? toFitFrom(basket, ground.input) : [],
    quote: basket && quoteFor(ground, basket),
    orders: basket && ground.input ? ordersFrom(basket, ground.input.offers) : [],
  };
}

/** Nothing is to be bought, and nothing is open: what is left is work. */
const NOTHING_TO_BUY: FoundBasket = {
  answer: {
    basket: { cost: 0, days: 0, choices: [], lines: [], shipping: [], fromShelf: [], leftOver: [] },
    runnersUp: [],
  },
  found: {},
};
export const foundWithoutSearch = (ground: BasketGround): FoundBasket | null =>
  ground.input === null && ground.open.length === 0 ? NOTHING_TO_BUY : null;

/**
 * The same basket made again by the shop, from numbers that a browser found: every law is looked at anew,
 * with the offers of the day.
 *
 * Throws a Fault where it does not hold any more.
 */
export function jobBasketProven(ground: BasketGround, aim: Aim, found: BasketNumbers): JobBasket {
  const without = foundWithoutSearch(ground);
  if (without) return jobBasketFrom(ground, aim, without);
  const question = basketQuestion(ground, aim);
  const basket = question && provenBasket(question, found);
  return jobBasketFrom(ground, aim, { answer: { basket, runnersUp: [] }, found });
}

function toFitFrom(
  basket: Basket,
  input: Omit<BasketInput, "aim" | "limit" | "runnersUp" | "markupPercent">,
): ToFit[] {
  const out: ToFit[] = [];
  const add = (number: string, qty: number): void => {
    const there = out.findIndex((t) => t.number === number && t.part === undefined);
    const before = out[there];
    if (before) out[there] = { ...before, qty: before.qty + qty };
    else out.push({ number, qty });
  };
  for (const c of basket.choices) if (!c.keep) out.push({ number: c.part, qty: 1, part: c.need });
  for (const c of basket.choices)
    for (const w of input.needs.find((n) => n.id === c.need)?.options.find((o) => o.part === c.part)?.with ??
      [])
      add(w.part, w.qty);
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
        return {
          number: l.part,
          packs: l.packs,
          pack: l.pack,
          price: l.price / l.packs,
          leadDays: offer?.leadDays ?? 0,
          had: offer?.stock,
        };
      }),
  }));
}

/** What is left for parts of a limit that tax, work and consumables are within. */
function partsBudget({ limit, beside, rates, free }: BasketGround): number | undefined {
  if (limit === undefined || free) return undefined;
  const without = quoteOf({ shipping: [], ...beside, rates, free });
  return Math.max(0, Math.floor((100 * limit) / (1 + rates.taxPercent / 100) - 100 * without.net) / 100);
}

function quoteFor(
  { names, input, beside, rates, free, limit, newUnit, currency }: BasketGround,
  basket: Basket,
): Quote {
  const named = (number: string): string => `${names[number] ?? ""}, ${number}`;
  const price = (number: string): number => input?.shelf.find((s) => s.part === number)?.price ?? 0;
  return quoteOf({
    ...beside,
    parts: [
      ...beside.parts,
      ...basket.lines.map((l) => ({ says: named(l.part), number: l.part, qty: l.packs, cost: l.price })),
      ...basket.fromShelf.map((s) => ({
        says: named(s.part),
        number: s.part,
        qty: s.qty,
        price: price(s.part) * s.qty,
      })),
    ],
    shipping: basket.shipping,
    rates,
    free,
    limit,
    newUnit,
    currency,
  });
}
