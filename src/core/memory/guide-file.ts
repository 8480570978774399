import { z } from "zod";
import { Fault, readWith } from "../fault";
import type { Frozen } from "../frozen";
import { type Assembly, assemblySchema } from "../job/assembly";
import { refuseMonster } from "../job/job-file-limits";
import { later } from "../job/written";
import { type Ghost, ghostSchema } from "./ghost";
import type { Failed } from "./guide";
import { type WrittenGuide, writtenGuide } from "./written-guide";

/** Strips in one file. */
const MOST_UNITS = 8;
const MOST_STEPS = 3000;
/** Larger than any guide: reading it would keep the shop waiting. */
export const MOST_GUIDE_BYTES = 4 * 2 ** 20;

/** A unit of the model that was taken apart: how, and what failed in it. */
export const guideUnit = z.strictObject({
  strip: ghostSchema,
  failed: z
    .array(z.strictObject({ part: z.string().max(400), how: z.string().max(400) }))
    .max(500, "are more than 500"),
});
export type GuideUnit = Frozen<z.infer<typeof guideUnit>>;

const named = z.string().max(200, "is longer than 200 characters");
/**
 * The guide of a model as a file, docs/formats.md: the strips that it was learnt from, and what was written
 * into it. No picture and no customer is in it.
 */
export const guideFile = z.strictObject({
  format: z.literal("demontage-guide", 'is not "demontage-guide": this is no guide'),
  version: z.literal(1, "is no version that this program knows"),
  model: z.strictObject({ kind: named, maker: named, model: named.min(1, "a guide is of a model") }),
  units: z
    .array(guideUnit)
    .min(1, "holds no strip: a guide is learnt from one")
    .max(MOST_UNITS, `are more than ${MOST_UNITS}`),
  written: writtenGuide,
  /** the shop's own ways of going together that its units of the model call for */
  assemblies: z.array(assemblySchema).max(50, "are more than 50").optional(),
  x: later,
});
export type GuideFile = Frozen<z.infer<typeof guideFile>>;

/** A strip as it stands in a file. */
const asGiven = (g: Ghost): Ghost => needsBefore(withoutPictures(g));
/**
 * Whether two strips are the same unit's, whatever they are called: a guide that comes home brings nothing
 * new.
 */
export const isSameStrip = (a: Ghost, b: Ghost): boolean => inOneOrder(a) === inOneOrder(b);
/** Its steps as text, their fields in the schema's order. */
const inOneOrder = (g: Ghost): string => JSON.stringify(ghostSchema.parse(asGiven(g)).steps);

/** Two shops have jobs of one number: a strip says whose it is. */
const fromShop = (shop: string, from: string): string =>
  /^J-\d+$/.test(from) ? `${shop} ${from}`.trim() : from;

/** A guide as it is given away: no picture of this shop's is another's. */
export function writeGuideFile(
  model: GuideFile["model"],
  units: readonly { readonly strip: Ghost; readonly failed: readonly Failed[] }[],
  written: WrittenGuide,
  shop: string,
  assemblies: readonly Assembly[] = [],
): GuideFile {
  return {
    format: "demontage-guide",
    version: 1,
    model,
    units: units.slice(0, MOST_UNITS).map(({ strip, failed }) => ({
      strip: { ...asGiven(strip), from: fromShop(shop, strip.from) },
      failed: [...failed],
    })),
    written,
    ...(assemblies.length && { assemblies: [...assemblies] }),
  };
}

/**
 * Needs of a strip whose steps were slid may point forward: they tell no order, and are no part of a guide.
 */
function needsBefore(g: Ghost): Ghost {
  const seen = new Set<string>();
  return {
    ...g,
    steps: g.steps.map((s) => {
      const before = s.needs?.filter((n) => seen.has(n));
      seen.add(s.id);
      return before ? { ...s, needs: before } : s;
    }),
  };
}
const withoutPictures = (g: Ghost): Ghost => ({ ...g, steps: g.steps.map(({ picture: _, ...s }) => s) });

/**
 * Reads a guide.
 *
 * Throws a Fault with the place for what is none: another format, a step twice, a need for a step that is not
 * there or comes later.
 */
export function readGuideFile(json: unknown): GuideFile {
  refuseMonster(json);
  const file = readWith(guideFile, json);
  file.units.forEach(({ strip }, u) => {
    if (strip.steps.length > MOST_STEPS)
      throw new Fault(`units[${u}].strip.steps`, `are more than ${MOST_STEPS}`);
    const seen = new Set<string>();
    strip.steps.forEach((s, i) => {
      const at = `units[${u}].strip.steps[${i}]`;
      if (seen.has(s.id)) throw new Fault(`${at}.id`, `${s.id} is there twice`);
      for (const n of s.needs ?? [])
        if (!seen.has(n)) throw new Fault(`${at}.needs`, `${n} is no step before it`);
      seen.add(s.id);
    });
  });
  return { ...file, units: file.units.map((u) => ({ ...u, strip: withoutPictures(u.strip) })) };
}

/** Whether a guide is of a unit's model, however it is written. */
export function isOfModel(
  of: { readonly maker: string; readonly model: string },
  unit: { readonly maker: string; readonly model: string },
): boolean {
  const plain = (s: string): string => s.trim().toLowerCase().replace(/\s+/g, " ");
  return plain(of.maker) === plain(unit.maker) && plain(of.model) === plain(unit.model);
}
