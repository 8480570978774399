import { z } from "zod";
import { Fault, readWith } from "../fault";
import type { Frozen } from "../frozen";
import { gotSchema } from "./got";
import { samePiece } from "./piece-ref";
import { ref, text, words } from "./written";

const number = z.string().max(60, "is longer than 60 characters");

/** Something that goes in beside a new part, and did not come out beside the old one. */
export const companionSchema = z.strictObject({
  /** its number; empty: it has none, and its name tells it */
  number,
  name: text,
  qty: z.int("must be a whole number").min(1, "must be 1 or more").max(500, "is more than 500"),
  why: text.optional(),
  /** the name of what it takes the place of, that is in the unit or came off it; empty: of nothing */
  replaces: words.optional(),
  /** where it comes from, if it is not ordered with the part */
  got: gotSchema.optional(),
  /** why it does not go in after all */
  without: words.optional(),
});
export type Companion = Frozen<z.infer<typeof companionSchema>>;

/** A piece that came out and stays out, because what goes in does without it. */
export const staysOutSchema = z.union([
  z.strictObject({ part: ref, why: words }),
  z.strictObject({ hardware: ref, why: words }),
]);
export type StaysOut = Frozen<z.infer<typeof staysOutSchema>>;

/**
 * What goes in in a part's place, as far as it is made up otherwise than what came out. Kept as it was on the
 * day it was chosen: a catalogue that changes later does not change a unit on the bench.
 */
export const goesInSchema = z.strictObject({
  number,
  name: text,
  /** how it faces, if not as the old one */
  facing: words.optional(),
  /** how it lies on its neighbours, the lowest first, if not as the old one */
  stack: z.array(words).max(20, "is more than 20 pieces").default([]),
  with: z.array(companionSchema).max(50, "is more than 50 pieces").default([]),
  /** what it makes superfluous, in the catalogue's words */
  leavesOut: z.array(text).max(20).default([]),
  /** what must not stay beside it */
  notBeside: z
    .array(z.strictObject({ number, name: text, why: text.optional() }))
    .max(50)
    .default([]),
  note: text.optional(),
  staysOut: z.array(staysOutSchema).max(50).default([]),
});
export type GoesIn = Frozen<z.infer<typeof goesInSchema>>;

/** By what a companion is told from the others of its part. */
export const companionKey = (c: Pick<Companion, "number" | "name">): string => c.number || c.name;
/** @example companionSays({ qty: 2, name: "Cross pin", number: "P-3" }) // "2 × Cross pin, P-3" */
export const companionSays = (c: Pick<Companion, "qty" | "name" | "number">): string =>
  `${c.qty > 1 ? `${c.qty} × ` : ""}${[c.name, c.number].filter(Boolean).join(", ")}`;

/** Whether a companion takes the place of a part that came off. */
export const takesThePlaceOf = (
  { replaces }: Pick<Companion, "replaces">,
  part: { readonly name?: string | undefined },
): boolean =>
  Boolean(replaces?.trim()) && replaces?.trim().toLowerCase() === (part.name ?? "").trim().toLowerCase();

/** One thing that is said of what goes in. */
export const goesInChange = z.discriminatedUnion("what", [
  z.strictObject({ what: z.literal("facing"), says: words }),
  /** with semicolons between the pieces */
  z.strictObject({ what: z.literal("stack"), says: text }),
  /** `2 x washer 8 mm` */
  z.strictObject({ what: z.literal("also"), says: words }),
  z.strictObject({ what: z.literal("companion"), companion: text, got: gotSchema }),
  /** what it takes the place of; empty: of nothing */
  z.strictObject({ what: z.literal("replaces"), companion: text, old: words }),
  z.strictObject({ what: z.literal("without"), companion: text, why: words }),
  /** open again; one that was added by hand is struck */
  z.strictObject({ what: z.literal("open"), companion: text }),
  z.strictObject({ what: z.literal("stays-out"), piece: staysOutSchema }),
  z.strictObject({
    what: z.literal("goes-back"),
    piece: z.union([z.strictObject({ part: ref }), z.strictObject({ hardware: ref })]),
  }),
]);
export type GoesInChange = Frozen<z.infer<typeof goesInChange>>;

/** `2 x washer 8 mm`: so many, and what. */
function companionFrom(says: string): Companion {
  const [, qty, name] = /^(?:(\d{1,4})\s*[x×]\s+)?(.+)$/i.exec(says.trim()) ?? [];
  if (!name) throw new Fault("says", "say what goes in with it, like 2 x washer 8 mm");
  const read = companionSchema.safeParse({ number: "", name, qty: qty ? Number(qty) : 1 });
  if (!read.success) throw new Fault("says", `the count ${read.error.issues[0]?.message ?? "is not read"}`);
  return read.data;
}

/**
 * What goes in, after something more was said of it. Throws a Fault for a companion that is not there, one
 * that is there already, and a reason that is left out.
 */
export function changeGoesIn(was: GoesIn, said: GoesInChange): GoesIn {
  const toCompanion = (key: string, change: (c: Companion) => Companion | null): GoesIn => {
    if (!was.with.some((c) => companionKey(c) === key))
      throw new Fault("companion", `${key} does not go in with it any more`);
    return { ...was, with: was.with.flatMap((c) => (companionKey(c) === key ? (change(c) ?? []) : [c])) };
  };
  const because = (why: string): string => {
    if (why.trim().length < 3) throw new Fault("why", "say in a few words why");
    return why.trim();
  };
  switch (said.what) {
    case "facing": {
      const { facing: _, ...rest } = was;
      return said.says.trim() ? { ...rest, facing: said.says.trim() } : rest;
    }
    case "stack":
      return readWith(goesInSchema, { ...was, stack: said.says.split(";").map((s) => s.trim()).filter(Boolean) }); // biome-ignore format: one call
    case "also": {
      const more = companionFrom(said.says);
      if (was.with.some((c) => companionKey(c) === companionKey(more)))
        throw new Fault("says", `${more.name} goes in with it already`);
      return readWith(goesInSchema, { ...was, with: [...was.with, more] });
    }
    case "companion":
      return toCompanion(said.companion, ({ without: _, ...c }) => ({ ...c, got: said.got }));
    case "replaces":
      return toCompanion(said.companion, (c) => ({ ...c, replaces: said.old.trim() }));
    case "without":
      return toCompanion(said.companion, ({ got: _, ...c }) => ({ ...c, without: because(said.why) }));
    case "open":
      return toCompanion(said.companion, ({ got, without, ...c }) => (got || without || c.number ? c : null));
    case "stays-out": {
      const piece = { ...said.piece, why: because(said.piece.why) };
      return { ...was, staysOut: [...was.staysOut.filter((p) => !samePiece(p, piece)), piece] };
    }
    case "goes-back":
      return { ...was, staysOut: was.staysOut.filter((p) => !samePiece(p, said.piece)) };
  }
}
