import { z } from "zod";

/** What to do about a failed part. */
export const FATES = [
  { fate: "renew", says: "Renew it" },
  { fate: "renew-pair", says: "Renew both of the pair" },
  { fate: "repair", says: "Repair it" },
  { fate: "make", says: "Make one" },
  { fate: "keep", says: "Keep it as it is" },
  { fate: "decline", says: "Not worth it" },
] as const;
export const fateName = z.enum(FATES.map((f) => f.fate));
export type Fate = z.infer<typeof fateName>;

/** The facts of this job that the schools argue with. */
export interface FateFacts {
  readonly kind?: string;
  readonly mode?: string;
  readonly plastic: boolean;
  readonly load: "light" | "daily" | "hard" | "unknown";
  /** pitch-line speed, m/s; undefined: not known */
  readonly speedMs?: number;
  /** somebody is hurt if it lets go: blades, lifting, brakes */
  readonly safety: boolean;
  readonly hot: boolean;
  readonly partToBeHad: boolean | undefined;
  readonly cost?: number;
  readonly limit?: number;
  readonly mateWorn?: boolean;
  /** false: nobody has said which gear it runs with */
  readonly mateNamed?: boolean;
}

export interface FateOption {
  readonly fate: Fate;
  readonly says: string;
  /** the school's advice for this job */
  readonly advised: boolean;
  /** something stands clearly against it */
  readonly barred: boolean;
  readonly reasons: readonly { readonly against: boolean; readonly says: string }[];
}

/**
 * Repair, replace or make: what speaks for and against each with this job's facts, the advised one first. The
 * technician decides; the reason is kept with the decision.
 *
 * The schools: a failed gear's mate is renewed with it unless it measures sound; a bond is a stopgap for
 * light, slow, cool drives that nobody is hurt by, where no part is available; what is made must carry what
 * the old one
 * carried.
 */
export function fateOptions(f: FateFacts): FateOption[] {
  if (f.mode === "sound" || f.mode === "not-looked")
    return [
      {
        fate: "keep",
        says: "Keep it as it is",
        advised: true,
        barred: false,
        reasons: [
          {
            against: false,
            says:
              f.mode === "sound"
                ? "it was found sound"
                : "it was left alone; look at it if the fault is not found elsewhere",
          },
        ],
      },
    ];
  const options = [
    renew(f),
    ...(f.kind === "gear" ? [renewPair(f)] : []),
    repair(f),
    make(f),
    keep(f),
    decline(f),
  ];
  const score = (o: Omit<FateOption, "advised">): number =>
    (o.barred ? -100 : 0) + BASE[o.fate] + o.reasons.reduce((s, r) => s + (r.against ? -2 : 2), 0);
  const sorted = [...options].sort((a, b) => score(b) - score(a));
  return sorted.map((o, i) => ({ ...o, advised: i === 0 && !o.barred }));
}

type Option = Omit<FateOption, "advised">;
const BASE: Readonly<Record<Fate, number>> = {
  renew: 2,
  "renew-pair": 2,
  repair: 0,
  make: -1,
  keep: -2,
  decline: -2,
};
const option = (
  fate: Fate,
  barred: boolean,
  reasons: readonly (readonly [against: boolean, says: string])[],
): Option => ({
  fate,
  says: FATES.find((x) => x.fate === fate)?.says ?? fate,
  barred,
  reasons: reasons.map(([against, says]) => ({ against, says })),
});

const over = (f: FateFacts): boolean => f.cost !== undefined && f.limit !== undefined && f.cost > f.limit;
const withinLimit = (f: FateFacts): (readonly [boolean, string])[] =>
  f.cost === undefined || f.limit === undefined
    ? []
    : over(f)
      ? [[true, `costs ${f.cost.toFixed(0)}, above the customer's limit of ${f.limit.toFixed(0)}: ask first`]]
      : [[false, `costs ${f.cost.toFixed(0)}, within the limit of ${f.limit.toFixed(0)}`]];

function renew(f: FateFacts): Option {
  return option("renew", f.partToBeHad === false, [
    ...(f.partToBeHad === true
      ? [[false, "the part is available"] as const]
      : f.partToBeHad === false
        ? [[true, "no part is available"] as const]
        : []),
    ...withinLimit(f),
    ...(f.kind === "gear" && f.mateWorn === true
      ? [[true, "its mate is worn: a worn gear ruins a new one within weeks"] as const]
      : []),
    ...(f.kind === "gear" && f.mateWorn === false
      ? [[false, "its mate measures sound: it may stay"] as const]
      : []),
  ]);
}

function renewPair(f: FateFacts): Option {
  if (f.kind === "gear" && f.mateNamed === false)
    return option("renew-pair", true, [
      [true, "which gear it runs with is not said: on the gear bench, under Mate, or in the train"],
    ]);
  return option("renew-pair", f.partToBeHad === false, [
    ...(f.mateWorn === true ? [[false, "the mate is worn beyond its limit"] as const] : []),
    ...(f.mateWorn === undefined
      ? [[false, "the mate is not measured, or cannot be told worn: one school renews both, always"] as const]
      : []),
    ...(f.mateWorn === false
      ? [[true, "the mate measures sound: money for nothing, says the other school"] as const]
      : []),
    ...(f.partToBeHad === true
      ? [[false, "the part is available"] as const]
      : f.partToBeHad === false
        ? [[true, "no part is available"] as const]
        : []),
    ...withinLimit(f),
  ]);
}

function repair(f: FateFacts): Option {
  const teeth =
    f.mode === "missing-teeth" || f.mode === "chipped" || f.mode === "knife-edged" || f.mode === "worn";
  const bondable = f.mode === "cracked-hub" || f.mode === "cracked";
  const reasons: (readonly [boolean, string])[] = [];
  if (f.kind === "gear" && teeth)
    reasons.push([true, "teeth are not mended: what is built up does not carry"]);
  if (bondable) reasons.push([false, "a crack can be bonded: roughen, degrease, fill, press; a stopgap"]);
  if (f.kind === "gear" && f.mode === "melted") reasons.push([true, "melted plastic has lost its strength"]);
  if (["bearing", "seal", "gasket", "o-ring"].includes(f.kind ?? ""))
    reasons.push([true, "renewed, never mended: it costs little and decides much"]);
  if (f.kind === "shaft" && f.mode === "rusted")
    reasons.push([false, "polish the rust off where no seal or bearing runs"]);
  if (f.kind === "shaft" && f.mode === "scored")
    reasons.push([false, "a repair sleeve over the track of the seal"]);
  if (f.kind === "bush" && f.mode === "swollen") reasons.push([false, "ream it to its shaft"]);
  if (bondable && f.load === "hard") reasons.push([true, "it works hard: a bond gives way"]);
  if (bondable && f.load === "light") reasons.push([false, "it works lightly"]);
  if (bondable && f.speedMs !== undefined && f.speedMs > 3)
    reasons.push([true, `it runs fast, ${f.speedMs.toFixed(1)} m/s at the teeth`]);
  if (f.hot) reasons.push([true, "it runs hot: glue softens"]);
  if (f.safety) reasons.push([true, "somebody is hurt if it lets go"]);
  if (f.partToBeHad === false && bondable) reasons.push([false, "no part is available"]);
  return option(
    "repair",
    f.safety ||
      (f.kind === "gear" && (teeth || f.mode === "melted")) ||
      ["bearing", "seal"].includes(f.kind ?? ""),
    reasons,
  );
}

function make(f: FateFacts): Option {
  const reasons: (readonly [boolean, string])[] = [];
  if (f.partToBeHad === false)
    reasons.push(
      [false, "no part is available, and its shape is known from the gear bench"],
      [false, "better made than scrapped"],
    );
  if (f.partToBeHad === true) reasons.push([true, "the part is available: cheaper and surer"]);
  if (f.load === "hard") reasons.push([true, "printed or milled plastic carries less than moulded"]);
  if (f.safety) reasons.push([true, "nobody vouches for a made part where somebody can be hurt"]);
  if (f.hot && f.plastic) reasons.push([true, "heat: printed plastic softens sooner"]);
  if (["bearing", "seal"].includes(f.kind ?? ""))
    reasons.push([true, "a standard part is bought by its number"]);
  return option("make", f.safety || ["bearing", "seal", "o-ring"].includes(f.kind ?? ""), reasons);
}

/** What was found bad goes back as it is: for what is found beside the fault and will do for a while. */
function keep(f: FateFacts): Option {
  const mild =
    f.mode === "worn" ||
    f.mode === "hardened" ||
    f.mode === "corroded" ||
    f.mode === "blunt" ||
    f.mode === "chipped" ||
    f.mode === "scored";
  const gone =
    f.mode === "lost" ||
    f.mode === "sheared" ||
    f.mode === "broken" ||
    f.mode === "missing-teeth" ||
    f.mode === "dead" ||
    f.mode === "torn";
  const reasons: (readonly [boolean, string])[] = [];
  if (gone) reasons.push([true, "it cannot do its work as it is"]);
  if (mild && f.load === "light") reasons.push([false, "it works lightly: it may do for a while yet"]);
  if (mild && f.load === "hard") reasons.push([true, "it works hard: it comes back soon"]);
  if (f.partToBeHad === false && !gone) reasons.push([false, "no part is available: say so on the sheet"]);
  if (f.safety) reasons.push([true, "somebody is hurt if it lets go"]);
  return option("keep", f.safety, reasons);
}

function decline(f: FateFacts): Option {
  return option("decline", false, [
    ...(over(f) ? [[false, "it costs more than the customer wants to spend"] as const] : []),
    ...(f.partToBeHad === false && f.safety ? [[false, "no part, and it must not be mended"] as const] : []),
  ]);
}
