import type { Knex } from "knex";
import { bearingNamed } from "@/core/hardware/bench/bearings";
import type { Wanted } from "@/core/match/candidates/rank";
import { looked, type WantedSizes } from "@/core/match/candidates/sizes-verdict";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import type { FoundParts } from "@/core/match/catalogue/found-parts";
import { bareNumber, foldedNumber, LONGEST_NUMBER } from "@/core/match/catalogue/part-number";
import { SPEC_FIELDS } from "@/core/match/catalogue/spec-fields";
import { measured } from "@/core/quantity/measured";
import { partFromRow, unitKey } from "./catalogue-index";
import { database } from "./database";

export async function partsNumbered(numbers: readonly string[], at?: Knex): Promise<CataloguePart[]> {
  const db = at ?? (await database());
  return (
    await db("catalogue")
      .whereIn("number", [...new Set(numbers)])
      .orderBy("number")
  ).map(partFromRow);
}

/** As many as a screen can show, and more than anybody reads. */
const MOST_FOUND = 50;
/** Gears of so many teeth more or fewer are looked at whatever they come with. */
const NEAR_TEETH = 2;
/** As many as are looked through for the best of them. */
const MOST_LOOKED_AT = 400;

/** Of more than so many it is not counted how many more: another word finds better than another page. */
const MOST_COUNTED = 1000;

/**
 * Parts found as somebody types: every word, or the beginning of one, in the number, the name, the
 * specification or what it is for. Numbers come first that begin so; where
 * nothing is found, the number as a blurred eye sees it. Of up to a thousand the nearest in words come first;
 * among more of them it would take longer than a stroke to tell.
 */
export async function searchParts(typed: string, max = MOST_FOUND, at?: Knex): Promise<FoundParts> {
  const db = at ?? (await database());
  const words = typed.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  if (!words.length)
    return {
      parts: (await db("catalogue").orderBy("number").limit(max)).map(partFromRow),
      total: await countParts(db),
      more: false,
    };
  const bare = bareNumber(typed);
  const query = words.map((w) => `"${w}"*`).join(" ");
  const starts = (column: "bare" | "folded", text: string) =>
    db("catalogue").where(column, ">=", text).where(column, "<", `${text}\u{10ffff}`);
  const saying = () =>
    db("catalogue_words").select("rowid as id").whereRaw("catalogue_words match ?", [query]);
  const some = (rows: Knex.QueryBuilder): Knex.QueryBuilder =>
    db.select("id").from(rows.limit(MOST_COUNTED + 1).as("some"));
  const count = async (
    first: Knex.QueryBuilder,
    ...others: readonly Knex.QueryBuilder[]
  ): Promise<number> => {
    const found = some(first).union(others.map(some)).as("found");
    return Number((await db.count({ n: "*" }).from(found).first())?.n ?? 0);
  };
  let total = await count(starts("bare", bare), saying());
  const ofWords = total > MOST_COUNTED ? saying() : saying().orderBy("rank");
  const best = ofWords.limit(Math.max(MOST_LOOKED_AT, max)).as("found");
  const rows = [
    ...(await starts("bare", bare).orderBy("bare").limit(max)),
    ...(await db("catalogue").whereIn("id", db.from(best).select("id"))),
  ];
  if (!rows.length) {
    const slipped = () => starts("folded", foldedNumber(typed));
    total = await count(slipped());
    rows.push(...(await slipped().orderBy("folded").limit(max)));
  }
  const parts = [...new Map(rows.map((r) => [r.id as number, r])).values()];
  const rank = (r: { bare: string; name: string }): number =>
    r.bare === bare
      ? 0
      : r.bare.startsWith(bare)
        ? 1
        : r.name.toLowerCase().startsWith(words[0] as string)
          ? 2
          : 3;
  const sorted = parts
    .sort((a, b) => rank(a) - rank(b) || b.stock - a.stock || (a.number < b.number ? -1 : 1))
    .slice(0, max)
    .map(partFromRow);
  return { parts: sorted, total: Math.min(total, MOST_COUNTED), more: total > MOST_COUNTED };
}

/**
 * Every part that could take part in a ranking: what `rankCandidates` looks among, with what is sold together
 * with it.
 */
export async function partsFor(wanted: Wanted, at?: Knex): Promise<CataloguePart[]> {
  const db = at ?? (await database());
  const found = new Map<string, CataloguePart>();
  const take = (rows: readonly Record<string, unknown>[]): CataloguePart[] =>
    rows.map((r) => {
      const part = partFromRow(r);
      found.set(part.number, part);
      return part;
    });
  if (wanted.number) {
    const [bare, folded] = [bareNumber(wanted.number), foldedNumber(wanted.number)];
    take(await db("catalogue").where("folded", folded));
    if (bare.length >= 6 && bare.length <= LONGEST_NUMBER)
      take(await db("catalogue").whereIn("bare", slipsOf(bare)));
    const standard = bearingNamed(wanted.number);
    if (standard)
      take(
        await db("catalogue").where({
          kind: "bearing",
          inside_mm: standard.boreMm,
          outside_mm: standard.outsideMm,
        }),
      );
    // what takes its place, and what replaces that
    for (let edge = [bare, ...[...found.keys()].map(bareNumber)]; edge.length; ) {
      const next = await db("catalogue").whereIn(
        "id",
        db("catalogue_replaces").select("part").whereIn("old", edge),
      );
      edge = next.filter((r) => !found.has(r.number)).map((r) => r.bare as string);
      take(next);
    }
  }
  if (wanted.gear) {
    const { value: teeth, u } = measured(wanted.gear.teeth, 0);
    // of other counts only those that come with their mate, or that a mate which was chosen asks for, can
    // take its place; the nearest are looked at all the same, to say why they do not
    const near = NEAR_TEETH + 2 * u;
    const alone = wanted.gear.mate?.willBe === undefined;
    // another tooth never meshes: what is further from the module than its spread and the hob's own tolerance
    // is no candidate
    const module = measured(wanted.gear.moduleMm, 0);
    const away = 0.06 * module.value + 3 * module.u;
    take(
      await db("catalogue")
        .where("kind", "gear")
        .whereBetween("teeth", [Math.floor(teeth * 0.85), Math.ceil(teeth * 1.15)])
        .andWhere((q) =>
          q.whereBetween("module_mm", [module.value - away, module.value + away]).orWhereNull("module_mm"),
        )
        .andWhere((q) => {
          if (alone) q.whereBetween("teeth", [teeth - near, teeth + near]).orWhereNot("needs_also", "[]");
        })
        .orderBy("number"),
    );
  }
  if (wanted.ring) {
    const [inside, outside] = [measured(wanted.ring.insideMm, 0.05), measured(wanted.ring.outsideMm, 0.05)];
    take(
      await db("catalogue")
        .where("kind", wanted.ring.kind)
        .whereBetween("inside_mm", [inside.value - 2, inside.value + 2])
        .whereBetween("outside_mm", [outside.value - 4, outside.value + 4])
        .orderBy("number"),
    );
  }
  if (wanted.sizes) take(await sizedRows(db, wanted.sizes));
  if (wanted.unit)
    take(
      await db("catalogue").whereIn(
        "id",
        db("catalogue_fits").select("part").where("unit", unitKey(wanted.unit.maker, wanted.unit.model)),
      ),
    );
  if (wanted.name) {
    const words = wanted.name.toLowerCase().match(/\p{L}{3,}/gu) ?? [];
    if (words.length)
      take(
        await db("catalogue").whereIn(
          "id",
          db
            .from(
              db("catalogue_words")
                .select("rowid")
                .whereRaw("catalogue_words match ?", [words.map((w) => `name : "${w}"`).join(" AND ")])
                .orderBy("rank")
                .limit(MOST_LOOKED_AT)
                .as("found"),
            )
            .select("rowid"),
        ),
      );
  }
  // what is sold together with it, and what a kit holds, with what those need
  for (
    let more = togetherWith(found.values(), found);
    more.length;
    more = togetherWith(take(await db("catalogue").whereIn("number", more)), found)
  );
  return [...found.values()];
}

/** Parts of a kind of which no size is far from what was measured, the nearest first. */
async function sizedRows(db: Knex, wanted: WantedSizes): Promise<Record<string, unknown>[]> {
  const query = db("catalogue").where("kind", wanted.kind);
  const away: string[] = [];
  const of: (string | number)[] = [];
  for (const f of SPEC_FIELDS[wanted.kind]) {
    const size = wanted.sizes[f.key];
    if (f.tolerance === undefined || size === undefined) continue;
    const { value, most } = looked(f, size);
    const at = `$.${f.key}`;
    query.andWhere((q) =>
      q
        .whereRaw("json_extract(spec, ?) is null", [at])
        .orWhereRaw("json_extract(spec, ?) between ? and ?", [at, value - most, value + most]),
    );
    away.push("abs(coalesce(json_extract(spec, ?), ?) / ? - 1)");
    of.push(at, value * 1.1, Math.max(value, 1e-9));
  }
  // what has ratings only is told apart by its verdict
  if (!away.length) return query.orderBy("number").limit(MOST_LOOKED_AT);
  return query.orderByRaw(`${away.join(" + ")}, number`, of).limit(MOST_LOOKED_AT);
}

/** Numbers that these parts come with or hold, and that are not there yet. */
const togetherWith = (parts: Iterable<CataloguePart>, found: ReadonlyMap<string, CataloguePart>): string[] =>
  [...new Set([...parts].flatMap((p) => [...p.needsAlso, ...p.contains].map((n) => n.number)))].filter(
    (n) => !found.has(n),
  );

/** Every number one sign away: what the index can be asked for. */
function slipsOf(bare: string): string[] {
  const out = new Set<string>();
  for (let i = 0; i < bare.length; i++) {
    out.add(bare.slice(0, i) + bare.slice(i + 1));
    out.add(bare.slice(0, i) + (bare[i + 1] ?? "") + (bare[i] ?? "") + bare.slice(i + 2));
    for (const c of "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ") {
      out.add(bare.slice(0, i) + c + bare.slice(i + 1));
      out.add(bare.slice(0, i) + c + bare.slice(i));
    }
  }
  return [...out];
}

/** Kits that hold any of these parts. */
export async function kitsWith(numbers: readonly string[], at?: Knex): Promise<CataloguePart[]> {
  const db = at ?? (await database());
  const within = db("catalogue_contains")
    .select("part")
    .whereIn("inside", [...new Set(numbers)]);
  return (await db("catalogue").whereIn("id", within).orderBy("number")).map(partFromRow);
}

/** Parts that say they take the place of this one. */
export async function replacedBy(number: string, at?: Knex): Promise<CataloguePart[]> {
  const db = at ?? (await database());
  const within = db("catalogue_replaces").select("part").where("old", bareNumber(number));
  return (await db("catalogue").whereIn("id", within).orderBy("number")).map(partFromRow);
}

export async function countParts(at?: Knex): Promise<number> {
  const db = at ?? (await database());
  const { n } = (await db("catalogue").count({ n: "*" }).first()) ?? {};
  return Number(n ?? 0);
}

/** Every part, some hundred at a time. */
export async function* everyPart(at?: Knex): AsyncGenerator<CataloguePart> {
  const db = at ?? (await database());
  for (let after = 0; ; ) {
    const rows = await db("catalogue").where("id", ">", after).orderBy("id").limit(500);
    if (!rows.length) return;
    for (const r of rows) yield partFromRow(r);
    after = rows.at(-1).id;
  }
}
