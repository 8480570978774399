import { z } from "zod";
import { readWith } from "../../fault";
import { BEVEL_TEETH, GEAR_KINDS } from "../../gear/gear-kind";
import { measuredInput } from "../../quantity/measured";
import { renamed } from "../../renamed";
import { cataloguePart } from "../catalogue/catalogue-part";
import { CAGES, CLEARANCES, HEAT_TREATMENTS, HUB_SIDES } from "../catalogue/part-spec";
import { SOLD_KINDS } from "../catalogue/spec-fields";
import { rankCandidates } from "./rank";
import { type PartVerdict, VERDICT_SAYS } from "./verdict";

const text = z.string().trim().min(1).max(120);

/** What `match rank` takes: what is wanted, as far as it is known, and the parts to look among. */
const input = z.strictObject({
  wanted: z
    .strictObject({
      number: text.optional(),
      unit: z
        .strictObject({ maker: text, model: text, variant: text.optional(), serial: text.optional() })
        .optional(),
      kind: z.enum(SOLD_KINDS).optional(),
      name: text.optional(),
      gear: z
        .strictObject({
          form: z.enum(GEAR_KINDS).optional(),
          teeth: measuredInput,
          moduleMm: measuredInput,
          pressureAngleDeg: z.number().min(10).max(35).default(20),
          helixAngleDeg: measuredInput.default(0),
          hand: z.enum(["left", "right"]).optional(),
          bevelTeeth: z.enum(BEVEL_TEETH).optional(),
          profileShift: measuredInput.default(0),
          wormDiameterMm: measuredInput.optional(),
          profile: text.optional(),
          faceWidthMm: measuredInput.optional(),
          boreMm: measuredInput.optional(),
          boreForm: text.optional(),
          pressed: z.boolean().optional(),
          acrossMm: measuredInput.optional(),
          keyMm: measuredInput.optional(),
          hub: z.enum(HUB_SIDES).optional(),
          hubMm: measuredInput.optional(),
          overallMm: measuredInput.optional(),
          offsetMm: measuredInput.optional(),
          mountingMm: measuredInput.optional(),
          secondTeeth: z.int().min(1).optional(),
          secondModuleMm: measuredInput.optional(),
          heat: z.enum(HEAT_TREATMENTS).optional(),
          material: text.optional(),
          mate: z
            .strictObject({
              teeth: z.int().min(1),
              willBe: z.int().min(1).optional(),
              profileShift: z.number().optional(),
              hand: z.enum(["left", "right"]).optional(),
              drives: z.boolean().optional(),
            })
            .optional(),
          centreMm: measuredInput.optional(),
          outputRpm: z.number().positive().optional(),
        })
        .optional(),
      ring: z
        .strictObject({
          kind: z.enum(["bearing", "bush", "seal"]),
          insideMm: measuredInput,
          outsideMm: measuredInput,
          widthMm: measuredInput,
          closure: z.enum(["open", "Z", "2Z", "RS", "2RS"]).optional(),
          facesGrease: z.boolean().optional(),
          clearance: z.enum(CLEARANCES).optional(),
          cage: z.enum(CAGES).optional(),
          rpm: z.number().positive().optional(),
          material: text.optional(),
        })
        .optional(),
      sizes: z
        .strictObject({
          kind: z.enum(SOLD_KINDS),
          sizes: z.record(z.string().max(40), measuredInput),
          seen: z.record(z.string().max(40), text).default({}),
        })
        .optional(),
    })
    .refine(
      (w) => w.number || w.gear || w.ring || w.sizes || w.name || (w.unit && w.kind),
      "says nothing to look for: a number, a gear, a ring's size, sizes, a name, or a unit and a kind",
    ),
  parts: z.array(z.preprocess(renamed({ spoils: "incompatibleWith" }), cataloguePart)).max(200_000),
  max: z.int().min(1).max(1000).default(20),
});
export const rankInput = z.preprocess(renamed({ most: "max" }), input);

/** What `match rank` answers. See docs/formats.md. */
export interface RankAnswer {
  readonly candidates: readonly {
    readonly number: string;
    readonly name: string;
    readonly verdict: PartVerdict;
    readonly says: string;
    readonly criteria: readonly {
      readonly criterion: string;
      readonly wanted: string;
      readonly offered: string;
      readonly tolerance: string;
      readonly verdict: string;
      readonly says: string;
    }[];
  }[];
}

/** @throws Fault where the input cannot be read */
export function rankAnswer(raw: unknown): RankAnswer {
  const input = readWith(rankInput, raw);
  return {
    candidates: rankCandidates(input.wanted, input.parts)
      .slice(0, input.max)
      .map(({ part, verdict, criteria }) => ({
        number: part.number,
        name: part.name,
        verdict,
        says: VERDICT_SAYS[verdict],
        criteria: criteria.map(({ unknown: _, ...c }) => c),
      })),
  };
}

/** A wheel of 41 teeth that is no more made; the number was read off a worn mould. */
export const EXAMPLE_RANK: z.input<typeof rankInput> = {
  wanted: {
    number: "W-4I",
    unit: { maker: "Example", model: "Press", variant: "B" },
    gear: {
      teeth: 41,
      moduleMm: 1,
      helixAngleDeg: { value: 18, u: 0.4 },
      hand: "right",
      boreMm: { value: 7.99, u: 0.02 },
      faceWidthMm: 11,
      mate: { teeth: 9 },
      outputRpm: 68,
    },
  },
  parts: [
    {
      number: "W-41",
      name: "Second-stage wheel",
      spec: {
        kind: "gear",
        teeth: 41,
        moduleMm: 1,
        profileShift: 0,
        helixAngleDeg: 18,
        hand: "right",
        boreMm: 8,
        faceWidthMm: 11,
      },
      discontinued: true,
    },
    {
      number: "W-43",
      name: "Second-stage wheel, 43 teeth",
      spec: {
        kind: "gear",
        teeth: 43,
        moduleMm: 1,
        profileShift: 0,
        helixAngleDeg: 18,
        hand: "right",
        boreMm: 8,
        faceWidthMm: 11,
      },
      fits: [{ maker: "Example", model: "Press" }],
      replaces: [{ number: "W-41", when: "together with pinion P-7" }],
      needsAlso: [{ number: "P-7", why: "the tooth sum must stay 50" }],
      incompatibleWith: [{ number: "P-9", why: "its teeth do not reach" }],
    },
    {
      number: "P-7",
      name: "Motor pinion, 7 teeth",
      spec: {
        kind: "gear",
        teeth: 7,
        moduleMm: 1,
        helixAngleDeg: 18,
        hand: "left",
        boreMm: 6,
        faceWidthMm: 14,
      },
    },
  ],
};
