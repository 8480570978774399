import type { Knex } from "knex";
import { fitInWords } from "@/core/match/candidates/fits-unit";
import { type CataloguePart, cataloguePart } from "@/core/match/catalogue/catalogue-part";
import { bareNumber, foldedNumber } from "@/core/match/catalogue/part-number";
import { specInWords } from "@/core/match/catalogue/spec-in-words";
import { inTurn } from "./in-turn";
import { isOneOf, writeMany } from "./many-rows";
import type { Keyed } from "./put-rows";
import { type Row, rowsOf } from "./rows";

const parts = rowsOf("catalogue", cataloguePart);
export const partFromRow = parts.read;

/** A maker and a model as they are compared. */
export const unitKey = (maker: string, model: string): string => `${bareNumber(maker)} ${bareNumber(model)}`;

function rowOf(p: CataloguePart): Row {
  const { spec } = p;
  return {
    ...parts.write({ note: undefined, facing: undefined, ...p }),
    bare: bareNumber(p.number),
    folded: foldedNumber(p.number),
    kind: spec.kind,
    teeth: "teeth" in spec ? (spec.teeth ?? null) : null,
    module_mm: "moduleMm" in spec ? (spec.moduleMm ?? null) : null,
    inside_mm: "insideMm" in spec ? (spec.insideMm ?? null) : null,
    outside_mm: "outsideMm" in spec ? (spec.outsideMm ?? null) : null,
  };
}

/** What the search reads of a part. */
function wordsOf(p: CataloguePart, id: number): Row {
  return {
    rowid: id,
    number: `${p.number} ${bareNumber(p.number)}`,
    name: p.name,
    spec: `${p.spec.kind} ${specInWords(p.spec).replace(/[·×]/g, " ")}`,
    fits: p.fits.map(fitInWords).join(" "),
  };
}

/** The catalogue's parts, with everything they are found by. */
export const partRows: Keyed<CataloguePart> = {
  keyOf: (p) => p.number,
  there: async (db, numbers) => (await db("catalogue").where(isOneOf("number", numbers))).map(partFromRow),
  write: writeRows,
  async drop(db, numbers) {
    const ids = (await db("catalogue").select("id").where(isOneOf("number", numbers))).map(
      (r) => r.id as number,
    );
    await unindex(db, ids);
    await db("catalogue").where(isOneOf("id", ids)).delete();
  },
};

/**
 * Columns that a part is found by. A new price or stock leaves the index as it is; most tables that come in
 * are of those.
 */
const INDEXED = ["bare", "name", "spec", "fits", "replaces", "contains"];

async function writeRows(db: Knex, parts: readonly CataloguePart[]): Promise<void> {
  const now = parts.map((p) => ({ part: p, row: rowOf(p) }));
  const numbers = parts.map((p) => p.number);
  const there = await db("catalogue")
    .select("number", ...INDEXED)
    .where(isOneOf("number", numbers));
  const before = new Map(there.map((r) => [r.number as string, r as Row]));
  const rows = now.map((n) => n.row);
  const written = await writeMany(db, "catalogue", rows, { over: ["number"], returning: ["id", "number"] });
  const ids = new Map(written.map((w) => [w.number as string, w.id as number]));
  const other = now.filter(({ part, row }) => {
    const old = before.get(part.number);
    return !old || INDEXED.some((c) => old[c] !== row[c]);
  });
  if (!other.length) return;
  const changed = other
    .filter(({ part }) => before.has(part.number))
    .map(({ part }) => ids.get(part.number) as number);
  if (changed.length) await unindex(db, changed);
  await index(
    db,
    other.map((o) => o.part),
    ids,
  );
}

async function index(
  db: Knex,
  parts: readonly CataloguePart[],
  ids: ReadonlyMap<string, number>,
): Promise<void> {
  const of = <T>(each: (p: CataloguePart, id: number) => readonly T[]): T[] =>
    parts.flatMap((p) => each(p, ids.get(p.number) as number));
  const units = (p: CataloguePart): string[] => [...new Set(p.fits.map((f) => unitKey(f.maker, f.model)))];
  const fits = of((p, part) => units(p).map((unit) => ({ part, unit })));
  const replaces = of((p, part) => p.replaces.map((r) => ({ part, old: bareNumber(r.number) })));
  const contains = of((p, part) => p.contains.map((c) => ({ part, inside: c.number })));
  const words = of((p, id) => [wordsOf(p, id)]);
  await writeMany(db, "catalogue_fits", fits);
  await writeMany(db, "catalogue_replaces", replaces);
  await writeMany(db, "catalogue_contains", contains);
  await writeMany(db, "catalogue_words", words);
}

async function unindex(db: Knex, ids: readonly number[]): Promise<void> {
  for (const table of ["catalogue_fits", "catalogue_replaces", "catalogue_contains"])
    await db(table).where(isOneOf("part", ids)).delete();
  await db("catalogue_words").where(isOneOf("rowid", ids)).delete();
}

/** Parts that came in without what they are found by (from an older form of the database) get it. */
export async function completeIndex(db: Knex): Promise<void> {
  const bare = await db("catalogue").where("bare", "");
  if (bare.length) await inTurn(db, (trx) => writeRows(trx, bare.map(partFromRow)));
}
