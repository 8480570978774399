import { z } from "zod";
import type { Frozen } from "../frozen";
import { gramsSpread, lastUnit, lubeRoom, oldLubricant } from "../grease/lube-ask";
import { shaftsMl } from "../quantity/typed-shafts";
import { pictureSpot } from "./picture-spot";
import { day, later, note, ref, text, words } from "./written";

/** What a chamber can be. */
export const CHAMBER_KINDS = [
  { kind: "gear-case", says: "Gear case" },
  { kind: "planetary", says: "Planetary set" },
  { kind: "worm-box", says: "Worm box" },
  { kind: "ratchet-head", says: "Ratchet head" },
  { kind: "bearing-seat", says: "Bearing seat" },
  { kind: "striker", says: "Striker" },
  { kind: "clockwork", says: "Clockwork" },
  { kind: "other", says: "Another place" },
] as const;
export const chamberKind = z.enum(CHAMBER_KINDS.map((k) => k.kind));
export type ChamberKind = z.infer<typeof chamberKind>;
export const chamberKindSays = (kind: ChamberKind): string =>
  CHAMBER_KINDS.find((k) => k.kind === kind)?.says ?? kind;

const side = z
  .number("must be a length in mm")
  .positive("must be above 0 mm")
  .max(2000, "is longer than 2 m");
const ml = z
  .number("must be a volume in ml")
  .positive("must be above 0 ml")
  .max(100_000, "is more than a hundred litres");

/** Shafts as they were typed: "10 x 80, 2 of 8 x 40". */
const shafts = text.max(200).superRefine((typed, c) => {
  const read = shaftsMl(typed);
  if (typeof read === "string") c.addIssue({ code: "custom", message: read });
});

/** How the free volume is known: what was filled in, or the inside less what lies in it. */
export const chamberVolume = z.discriminatedUnion("by", [
  z.strictObject({ by: z.literal("filling"), ml }),
  z.strictObject({
    by: z.literal("inside"),
    lengthMm: side,
    widthMm: side,
    depthMm: side,
    /** what lies in it besides its wheels; left out: nobody has said */
    shafts: shafts.optional(),
  }),
]);

/** Figures of a chamber that are kept letter by letter as well, where they were typed in another unit. */
const typedWords = text.max(60).optional();
export const chamberTyped = z.strictObject({
  makersGrams: typedWords,
  volume: typedWords,
  staysGrams: typedWords,
  oldGrams: typedWords,
  coldestC: typedWords,
  hottestC: typedWords,
});
export type ChamberTyped = Frozen<z.infer<typeof chamberTyped>>;

/** A place in or at a chamber that its lubricant must stay away from. */
export const dryPlace = z.strictObject({
  id: ref,
  says: words.trim().min(1, "say what stays dry"),
  /** the part that gets none: a sealed bearing */
  part: ref.optional(),
  spot: pictureSpot.optional(),
});
export type DryPlace = Frozen<z.infer<typeof dryPlace>>;

/**
 * How a lubricant is got that the shelf does not have: from whom, what its pack costs the shop, on which day
 * it was ordered.
 */
export const gettingLubricant = z.strictObject({
  from: words.trim().optional(),
  price: z.number().min(0).max(1_000_000).optional(),
  ordered: day.optional(),
});

const material = z.string().trim().min(1).max(60);

/** A room of the unit that a lubricant goes into. What nobody has said is left out, and asked. */
export const chamberSchema = z.strictObject({
  id: ref,
  kind: chamberKind,
  name: words.trim().min(1, "a chamber needs a name"),
  /** left out: grease */
  filling: lubeRoom.shape.filling.unwrap().optional(),
  /** the step that laid it open: it is closed when that one is undone */
  openedBy: ref.optional(),
  /** an oil bath that is filled up to a plug */
  levelPlug: z.boolean().optional(),
  /** nothing has to come off to reach it */
  outside: z.boolean().optional(),
  /** where it was pointed at in a picture */
  spot: pictureSpot.optional(),
  /** what was pointed at and stays dry */
  dry: z.array(dryPlace).max(30).optional(),
  volume: chamberVolume.optional(),
  makersGrams: z.number("must be a weight in grams").positive("must be above 0 g").max(100_000).optional(),
  /** where the maker names a spread: both ends, g */
  makersSpread: gramsSpread.optional(),
  /** what went into the same chamber of the model's last unit, where somebody took it for this one */
  lastUnit: lastUnit.optional(),
  /** what of the old lubricant stays in it, g */
  staysGrams: z.number("must be a weight in grams").min(0, "must not be negative").max(100_000).optional(),
  /** what came out of it, weighed */
  oldGrams: z.number("must be a weight in grams").positive("must be above 0 g").max(100_000).optional(),
  /** the lubricant of the shelf that the maker names */
  makersLubricant: text.optional(),
  /** figures as they were typed: "4 oz" */
  typed: chamberTyped.optional(),
  coldestC: lubeRoom.shape.coldestC.optional(),
  hottestC: lubeRoom.shape.hottestC.optional(),
  leaks: z.boolean().optional(),
  water: z.boolean().optional(),
  seals: z.array(material).max(20),
  materials: z.array(material).max(30),
  /** what is left of the old lubricant; left out: nobody has said */
  old: z.union([z.strictObject({ left: z.literal("none") }), oldLubricant]).optional(),
  /** the lubricant of the shelf that was taken for it */
  lubricant: text.optional(),
  /** why one that is not registered H1 goes in although the unit touches food */
  override: note.optional(),
  /** how one is got that the shelf does not have */
  getting: gettingLubricant.optional(),
  /** why it gets none */
  none: note.optional(),
  x: later,
});
export type Chamber = Frozen<z.infer<typeof chamberSchema>>;

/** A chamber as it is made: nothing is said of it yet. */
export const newChamber = (id: string, kind: ChamberKind, name?: string): Chamber => ({
  id,
  kind,
  name: name ?? chamberKindSays(kind).toLowerCase(),
  seals: [],
  materials: [],
});

/** The next free name: `c3` after c1 and c2. */
const nextId = (letter: string, things: readonly { readonly id: string }[]): string =>
  `${letter}${1 + things.reduce((n, t) => Math.max(n, t.id.startsWith(letter) ? Number(t.id.slice(1)) || 0 : 0), 0)}`;

/** The next free name of a chamber. */
export const nextChamberId = (chambers: readonly Pick<Chamber, "id">[]): string => nextId("c", chambers);

/** The next free name of a place that stays dry. */
export const nextDryId = (dry: readonly { readonly id: string }[] = []): string => nextId("d", dry);
