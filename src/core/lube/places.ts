import type { PointKindName } from "../grease/point-kinds";
import { bearingNamed, sharesTheGrease } from "../hardware/bench/bearings";
import type { Job } from "../job/job";
import { askedKinds, kindOf, type Part } from "../job/part";

/** Kinds of parts that take a lubricant, and what kind of place they are. */
const BY_KIND: Readonly<Record<string, PointKindName>> = {
  gear: "gear-teeth",
  bearing: "rolling-bearing",
  bush: "plain-bush",
  seal: "seal-lip",
  "o-ring": "o-ring",
  ratchet: "ratchet",
  spline: "spline",
  "dog-clutch": "spline",
};
/** Places that are no kind of part of their own: a name that ends in one of these says what it is. */
const BY_NAME: readonly (readonly [PointKindName, RegExp])[] = [
  ["mainspring", /\b(?:main ?springs?|spring barrels?)$/i],
  ["governor-pad", /\bgovernor (?:pads?|felts?|leathers?)$/i],
  ["felt-wick", /\b(?:(?:oil(?:ing)? )?wicks?|oil(?:ing)? felts?|felt wicks?)$/i],
  ["hook-race", /\b(?:(?:hook|shuttle) races?|rotary hooks?)$/i],
  ["lead-screw", /\b(?:lead|feed) ?screws?$/i],
  ["striker", /\b(?:strikers?|(?:impact|hammer) mechanisms?|(?:hammer|flying|impact) pistons?)$/i],
  ["slide", /\b(?:slides?|slideways?|gibs?)$/i],
];

type Facing = Pick<Part, "kind" | "name" | "material">;

/** What kind of place a part would be, by what it was said to be; undefined: none, or nobody has said. */
export function placeKindOf(part: Facing): PointKindName | undefined {
  const named = part.name && BY_NAME.find(([, ends]) => ends.test(part.name as string));
  // somebody who said another kind knows better than the name
  if (named && (part.kind === undefined || !(part.kind in BY_KIND))) return named[0];
  const kind = kindOf(part);
  if (kind === "bush" && part.material !== undefined && /^sinter/i.test(part.material))
    return "sintered-bush";
  return kind === undefined ? undefined : BY_KIND[kind];
}

/** A worm, or the wheel that runs on one, by its name. */
export const isWormByName = ({ name = "" }: Pick<Part, "name">): boolean =>
  /\bworms?\b(?: (?:shafts?|wheels?|gears?))?$/i.test(name);

/** What closes a room: a cover or a housing, or what its name says may be one: "gear cover". */
export const mayClose = (part: Pick<Part, "kind" | "name">): boolean =>
  [kindOf(part), ...askedKinds(part)].some((kind) => kind === "cover" || kind === "housing");

/** Whatever else stands in such a name, it closes something and is not greased itself. */
const CLOSES_BY_NAME = /\b(?:covers?|lids?|housings?|casings?|cases?|plates?|guards?)$/i;

type Told = Pick<Job, "parts" | "findings" | "steps">;

/**
 * Parts that came off and would take a lubricant by one of the kinds that their names hint at, and nobody said
 * which. A bearing whose number says that it is sealed takes none, whatever else it may be.
 */
export function askedBeforeLube(job: Told): Part[] {
  const off = new Set(job.steps.flatMap((s) => s.parts ?? []));
  return job.parts.filter(
    (p) =>
      off.has(p.id) &&
      !placeKindOf(p) &&
      !CLOSES_BY_NAME.test(p.name ?? "") &&
      askedKinds(p).some((kind) => BY_KIND[kind] !== undefined) &&
      !(askedKinds(p).includes("bearing") && bearingClosure(job, p.id) === "sealed"),
  );
}

/** How a bearing takes grease: sealed for life, open to a packing or to the case's grease, or not known. */
export type BearingClosure = "sealed" | "open" | "unknown";

/** What was written of a part: its name, its finding, the line of the step it came off in, what goes in. */
function toldOf(job: Told, part: string): string {
  const step = job.steps.find((s) => s.parts?.includes(part));
  const finding = job.findings.find((f) => f.part === part);
  return [
    finding?.chosen,
    job.parts.find((p) => p.id === part)?.name,
    finding?.extent,
    step?.note,
    ...(step?.remarks ?? []).map((r) => r.says),
  ]
    .filter(Boolean)
    .join("; ");
}

/** Whether a bearing is sealed, by its number or by what was said of it. */
export function bearingClosure(job: Pick<Job, "parts" | "findings" | "steps">, part: string): BearingClosure {
  const told = toldOf(job, part);
  if (sharesTheGrease(told) || /\bopen bearings?\b|\bbearings? open\b/i.test(told)) return "open";
  const closure = bearingNamed(told)?.closure;
  if (closure) return closure === "2RS" || closure === "2Z" ? "sealed" : "open";
  return /\b(?:sealed|shielded|2 ?RS|2 ?Z|ZZ|LLU|DDU)\b/i.test(told) ? "sealed" : "unknown";
}

/** Kinds of unit that a spring or a train of clock wheels drives. */
const CLOCKWORK = /\b(?:clocks?|metronomes?|music(?:al)? box(?:es)?|clockwork|spring motors?|wind-?up)\b/i;
/** Parts that only a clockwork has. */
const OF_A_CLOCKWORK =
  /\b(?:main ?springs?|spring barrels?|governors?|escapements?|escape wheels?|fly fans?)$/i;

/** Whether a unit runs on clockwork: by its kind, or by a part that only such a one has. */
export const isClockwork = (job: Pick<Job, "parts"> & Partial<Pick<Job, "kind">>): boolean =>
  CLOCKWORK.test(job.kind ?? "") || job.parts.some((p) => OF_A_CLOCKWORK.test(p.name ?? ""));
