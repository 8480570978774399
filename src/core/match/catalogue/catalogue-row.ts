import { Fault, readWith } from "../../fault";
import {
  type Cells,
  flagFrom,
  heading,
  numberFrom,
  optional,
  required,
  type Table,
  under,
} from "../../table/cells";
import {
  type CataloguePart,
  cataloguePart,
  type PartFit,
  type Supplier,
  type SupplierOffer,
  supplier,
  supplierOffer,
} from "./catalogue-part";
import type { SoldKind } from "./part-spec";
import { SOLD_KINDS, SPEC_FIELDS, specValue } from "./spec-fields";

const SPEC_KEYS = [...new Set(SOLD_KINDS.flatMap((k) => SPEC_FIELDS[k].map((f) => f.key)))];
const OWN = [
  "number",
  "name",
  "kind",
  "price",
  "stock",
  "discontinued",
  "fits",
  "replaces",
  "needs_also",
  "incompatible_with",
  "contains",
  "note",
  "facing",
  "stack",
  "leaves_out",
] as const;

/** Splits where the sign stands without a backslash before it. */
function split(text: string, sign: string): string[] {
  const out: string[] = [];
  let here = "";
  for (let i = 0; i < text.length; i++) {
    if (text[i] === "\\" && i + 1 < text.length) {
      here += text.slice(i, i + 2);
      i++;
    } else if (text.startsWith(sign, i)) {
      out.push(here);
      here = "";
    } else here += text[i];
  }
  return [...out, here].map((s) => s.trim()).filter(Boolean);
}
const plain = (s: string): string => s.replace(/\\(.)/g, "$1");
const guard = (s: string): string => s.replace(/[\\;:,()/]/g, "\\$&");

/** What stands between semicolons and is read as it is. */
const guardEntry = (s: string): string => s.replace(/[\\;]/g, "\\$&");

/** Where the first of these signs stands without a backslash before it; the end where there is none. */
function reach(text: string, from: number, signs: string): number {
  for (let i = from; i < text.length; i++)
    if (text[i] === "\\") i++;
    else if (signs.includes(text[i] ?? "")) return i;
  return text.length;
}

/**
 * `2 x NUMBER (variant): words`: a count, a number, what is in brackets, what comes after the colon. Read
 * once from left to right: a cell may be as long as it likes.
 */
function entry(
  text: string,
  column: string,
): { number: string; qty: number; variants: string[]; words: string | undefined } {
  const [counted, qty] = /^(\d{1,6})\s*[x×]\s+/i.exec(text) ?? ["", "1"];
  const opens = reach(text, counted.length, ":()");
  const closes = text[opens] === "(" ? reach(text, opens + 1, ")") : -1;
  const number = plain(text.slice(counted.length, opens).trim());
  const after = closes < 0 ? text.slice(opens) : text.slice(closes + 1).trimStart();
  const isRead = number && closes < text.length && (after === "" || after.startsWith(":"));
  if (!isRead)
    throw new Fault(
      column,
      `"${text.length > 60 ? `${text.slice(0, 60)}…` : text}" is not read: write it as 2 x NUMBER: why`,
    );
  return {
    number,
    qty: Number(qty),
    variants: closes < 0 ? [] : split(text.slice(opens + 1, closes), ",").map(plain),
    words: plain(after.slice(1).trim()) || undefined,
  };
}
const entryText = (e: {
  number: string;
  qty?: number;
  variants?: readonly string[];
  words?: string;
}): string =>
  [
    e.qty && e.qty > 1 ? `${e.qty} x ` : "",
    guard(e.number),
    e.variants?.length ? ` (${e.variants.map(guard).join(", ")})` : "",
    e.words ? `: ${guard(e.words)}` : "",
  ].join("");
const entries = (cells: Cells, column: string): ReturnType<typeof entry>[] =>
  split(cells[column] ?? "", ";").map((t) => entry(t, column));

/** `maker / model / variant, variant / 1000 to 1999`. */
function fitFrom(text: string): PartFit {
  const [maker, model, ...rest] = split(text, "/");
  if (!maker || !model)
    throw new Fault("fits", `"${text}" is not read: write it as maker / model / variants / 1000 to 1999`);
  const out: { variants: string[]; fromSerial?: string; toSerial?: string } = { variants: [] };
  for (const part of rest) {
    const serial = /^(?:from\s+(\S.*)|to\s+(\S.*)|(\S+)\s+to\s+(\S+))$/is.exec(part);
    if (!serial) out.variants.push(...split(part, ",").map(plain));
    const [from, to] = [serial?.[1] ?? serial?.[3], serial?.[2] ?? serial?.[4]];
    if (from) out.fromSerial = plain(from);
    if (to) out.toSerial = plain(to);
  }
  return { maker: plain(maker), model: plain(model), ...out };
}
function fitText(f: PartFit): string {
  const [from, to] = [f.fromSerial && guard(f.fromSerial), f.toSerial && guard(f.toSerial)];
  // a serial with a blank in it is written on its own
  const both = from && to && !/\s/.test(from + to);
  return [
    guard(f.maker),
    guard(f.model),
    f.variants.map(guard).join(", "),
    both ? `${from} to ${to}` : from ? `from ${from}` : "",
    !both && to ? `to ${to}` : "",
  ]
    .filter(Boolean)
    .join(" / ");
}

function specFrom(cells: Cells, kind: SoldKind): Record<string, unknown> {
  const spec: Record<string, unknown> = { kind };
  for (const f of SPEC_FIELDS[kind]) {
    const column = heading(f.key);
    const text = cells[column];
    if (text === undefined || text === "") continue;
    const isNumber =
      f.unit !== undefined || f.tolerance !== undefined || f.key === "profileShift" || f.key === "amount";
    spec[f.key] = isNumber ? numberFrom(text, column) : text;
  }
  return spec;
}

/** Parts, one a row; what a kind does not have stays empty. */
export const partsTable: Table<CataloguePart> = {
  name: "parts",
  columns: [...OWN, ...SPEC_KEYS.map(heading)],
  must: ["number", "name", "kind"],
  keyOf: (p) => p.number,
  keyIn: (cells) => cells.number ?? "",
  read(cells) {
    const kind = SOLD_KINDS.find((k) => k === (cells.kind ?? "").toLowerCase());
    if (!kind) throw new Fault("kind", `"${cells.kind ?? ""}" is no kind of part: ${SOLD_KINDS.join(", ")}`);
    const spec = specFrom(cells, kind);
    const raw = {
      number: cells.number ?? "",
      name: cells.name ?? "",
      spec,
      ...(cells.price ? { price: numberFrom(cells.price, "price") } : {}),
      ...(cells.stock ? { stock: numberFrom(cells.stock, "stock") } : {}),
      discontinued: flagFrom(cells.discontinued ?? "", "discontinued"),
      fits: split(cells.fits ?? "", ";").map(fitFrom),
      replaces: entries(cells, "replaces").map((e) => ({
        number: e.number,
        variants: e.variants,
        ...(e.words ? { when: e.words } : {}),
      })),
      needsAlso: entries(cells, "needs_also").map((e) => ({
        number: e.number,
        qty: e.qty,
        why: e.words ?? "",
      })),
      incompatibleWith: entries(cells, "incompatible_with").map((e) => ({
        number: e.number,
        why: e.words ?? "",
      })),
      contains: entries(cells, "contains").map((e) => ({
        number: e.number,
        qty: e.qty,
        ...(e.variants[0] ? { variant: e.variants[0] } : {}),
      })),
      ...(cells.note ? { note: cells.note } : {}),
      ...(cells.facing ? { facing: cells.facing } : {}),
      stack: split(cells.stack ?? "", ";").map(plain),
      leavesOut: split(cells.leaves_out ?? "", ";").map(plain),
    };
    return under(
      () => readWith(cataloguePart, raw),
      (path) => {
        const [own, key] = path.split(/[.[]/);
        return heading((own === "spec" ? key : own) || "number");
      },
    );
  },
  write: (p) => {
    const out: Record<string, string> = {
      number: p.number,
      name: p.name,
      kind: p.spec.kind,
      price: String(p.price),
      stock: String(p.stock),
      discontinued: p.discontinued ? "yes" : "",
      fits: p.fits.map(fitText).join("; "),
      replaces: p.replaces
        .map((r) => entryText({ number: r.number, variants: r.variants, words: r.when }))
        .join("; "),
      needs_also: p.needsAlso
        .map((n) => entryText({ number: n.number, qty: n.qty, words: n.why }))
        .join("; "),
      incompatible_with: p.incompatibleWith
        .map((n) => entryText({ number: n.number, words: n.why }))
        .join("; "),
      contains: p.contains
        .map((c) => entryText({ number: c.number, qty: c.qty, variants: c.variant ? [c.variant] : [] }))
        .join("; "),
      note: p.note ?? "",
      facing: p.facing ?? "",
      stack: p.stack.map(guardEntry).join("; "),
      leaves_out: p.leavesOut.map(guardEntry).join("; "),
    };
    for (const f of SPEC_FIELDS[p.spec.kind]) out[heading(f.key)] = String(specValue(p.spec, f.key) ?? "");
    return out;
  },
};

/** What suppliers ask, one offer a row. */
export const offersTable: Table<SupplierOffer> = {
  name: "offers",
  columns: ["supplier", "number", "price", "pack", "stock", "min_packs", "lead_days"],
  must: ["supplier", "number", "price", "lead_days"],
  keyOf: (o) => JSON.stringify([o.supplier, o.number, o.pack]),
  keyIn: (cells) => JSON.stringify([cells.supplier ?? "", cells.number ?? "", Number(cells.pack || 1)]),
  read: (cells) =>
    under(
      () =>
        readWith(supplierOffer, {
          supplier: cells.supplier ?? "",
          number: cells.number ?? "",
          price: required(cells, "price"),
          leadDays: required(cells, "lead_days"),
          ...optional(cells, "pack", "pack"),
          ...optional(cells, "stock", "stock"),
          ...optional(cells, "min_packs", "minPacks"),
        }),
      heading,
    ),
  write: (o) => ({
    supplier: o.supplier,
    number: o.number,
    price: String(o.price),
    pack: String(o.pack),
    stock: o.stock === undefined ? "" : String(o.stock),
    min_packs: String(o.minPacks),
    lead_days: String(o.leadDays),
  }),
};

/** Suppliers, one a row. */
export const suppliersTable: Table<Supplier> = {
  name: "suppliers",
  columns: ["name", "shipping", "free_from", "minimum_order"],
  must: ["name", "shipping"],
  keyOf: (s) => s.name,
  keyIn: (cells) => cells.name ?? "",
  read: (cells) =>
    under(
      () =>
        readWith(supplier, {
          name: cells.name ?? "",
          ...optional(cells, "shipping", "shipping"),
          ...optional(cells, "free_from", "freeFrom"),
          ...optional(cells, "minimum_order", "minimumOrder"),
        }),
      heading,
    ),
  write: (s) => ({
    name: s.name,
    shipping: String(s.shipping),
    free_from: s.freeFrom === undefined ? "" : String(s.freeFrom),
    minimum_order: String(s.minimumOrder),
  }),
};
