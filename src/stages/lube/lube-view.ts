import { gatesOf, planOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { Lubricant } from "@/core/grease/lubricant";
import { howAt, type PointKindName, pointKind } from "@/core/grease/point-kinds";
import type { Chamber } from "@/core/job/chamber";
import type { Job } from "@/core/job/job";
import { greaseKey, serviceKey } from "@/core/job/keys";
import { type Part, partName, partNamed } from "@/core/job/part";
import type { WeighedPoint } from "@/core/job/service";
import { stepThing } from "@/core/job/step-named";
import { greaseStatesIn } from "@/core/judge/failure-modes";
import { answersOf } from "@/core/lube/answers";
import { cleaningMoments, howFar, keepDry, stillToClean } from "@/core/lube/cleaning";
import { type CleaningRow, cleaningList } from "@/core/lube/cleaning-list";
import { isFoodAsked } from "@/core/lube/food";
import { holdsLubricant } from "@/core/lube/holds-lubricant";
import { askedBeforeLube, placeKindOf } from "@/core/lube/places";
import type { ChamberPlan } from "@/core/lube/plan";
import { bearingsAsked, proposedChambers } from "@/core/lube/propose";
import { type Moment, momentsFor, type Reach, reachOf } from "@/core/lube/reach";
import { freeVolumeOf } from "@/core/lube/rooms";
import { lubricatedWheels } from "@/core/lube/wheels";
import { solveTrain, type TrainAnswer } from "@/core/train/solve";
import type { TrainInput, TrainWheel } from "@/core/train/train";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { offered } from "@/store/settle-lube";
import { wholeShelf } from "@/store/shelf";
import { type FramedPicture, framed } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pocketsToLubricate } from "../job-view/mat-pockets";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";
import { type LastJob, modelsLastJob } from "./last-time";

const SHOWN = ["stage", "foodContact", "washed", "fillSchool", "noGrease"] as const;

/** A point of a chamber, and when it comes. */
export interface PointView
  extends Pick<
    WeighedPoint,
    | "id"
    | "kind"
    | "where"
    | "how"
    | "lubricant"
    | "lubricantId"
    | "lubricantSaid"
    | "when"
    | "grams"
    | "gramsSaid"
    | "weighedGrams"
    | "spot"
    | "load"
    | "rpm"
    | "pitchLineMPerS"
  > {
  readonly kindSays: string;
  readonly part?: string;
  readonly onPartOff: boolean;
  readonly reach: Reach;
  readonly before?: string;
  readonly moments: readonly Moment[];
}

/** A lubricant of the shelf as it is shown beside its verdict. */
export type ShelfItem = Pick<
  Lubricant,
  | "id"
  | "name"
  | "sort"
  | "thickener"
  | "nlgi"
  | "baseOil"
  | "viscosityMm2s"
  | "densityGPerMl"
  | "lot"
  | "pricePer100G"
>;

export interface ChamberView {
  readonly chamber: Chamber;
  readonly plan: Pick<ChamberPlan, "answer" | "assumed" | "missing" | "fault"> | null;
  readonly freeMl: number | null;
  readonly points: readonly PointView[];
  /** the answer in a sentence; left out: something is asked first */
  readonly says?: string;
  /** its teeth run and nobody has said how fast */
  readonly isSpeedAsked: boolean;
  /** nobody has said what its teeth are of */
  readonly areTeethAsked: boolean;
  /** some of the old lubricant stays, and nobody has said how much */
  readonly isStayAsked: boolean;
  /** what went into the same chamber of the model's last unit */
  readonly lastUnit?: NonNullable<Chamber["lastUnit"]>;
  /** what was said of the same chamber in the model's last job, as far as it is open here */
  readonly lastTime?: {
    readonly number: string;
    readonly says: string;
    readonly facts: Pick<Chamber, "volume" | "makersGrams" | "coldestC" | "hottestC">;
  };
}

/** A part that can be pointed at or cleaned. */
export interface LubePart {
  readonly id: string;
  readonly name: string;
  readonly material?: string;
  readonly kind?: string;
  /** the step that took it off */
  readonly step?: string;
  /** what kind of place it would be */
  readonly place?: PointKindName;
}

export interface LubeView {
  readonly frame: FrameView;
  readonly job: Pick<Job, (typeof SHOWN)[number]>;
  readonly chambers: readonly ChamberView[];
  /** points that lie in no chamber: another program's, or of before there were any */
  readonly loose: readonly PointView[];
  /** lubricants by their id */
  readonly shelf: readonly ShelfItem[];
  /** chambers that could be taken over from train and strip */
  readonly proposed: readonly string[];
  /** parts that may take a lubricant, once it is said what they are */
  readonly asked: readonly Pick<Part, "id" | "name">[];
  /** bearings of which nobody has said whether they are sealed */
  readonly bearings: readonly { readonly id: string; readonly name: string }[];
  /** its kind mostly touches food, and nobody has said whether it does */
  readonly foodAsked: boolean;
  readonly kind: string;
  /** nothing was opened that holds a lubricant: none is asked for */
  readonly nothingOpened: boolean;
  readonly states: readonly { readonly state: string; readonly says: string; readonly implies: string }[];
  readonly far: { readonly all: boolean; readonly says: string };
  /** the unit's own chambers and parts, with how each is cleaned */
  readonly cleaning: readonly (CleaningRow & {
    /** at the latest before this */
    readonly last?: string;
    /** of a chamber: when it can be cleaned as well, and when it is */
    readonly moments: readonly Moment[];
    readonly before?: string;
  })[];
  /** what crumbs ask to be cleaned and no line does yet */
  readonly unclean: readonly string[];
  readonly dry: readonly string[];
  readonly steps: readonly { readonly id: string; readonly says: string }[];
  readonly parts: readonly LubePart[];
  readonly wheels: readonly (Pick<TrainWheel, "mesh" | "role" | "part"> & {
    readonly says: string;
    readonly worm: boolean;
  })[];
  /** the train that the wheels are pressed in, and how its shafts turn */
  readonly train?: TrainInput;
  readonly shafts: TrainAnswer["shafts"];
  /** `after`: the steps that were done when it was taken */
  readonly pictures: readonly (FramedPicture & {
    readonly name: string;
    readonly says: string;
    readonly after: readonly string[];
  })[];
  readonly gates: readonly Gate[];
  readonly draft: unknown;
  readonly gunGramsPerStroke: number;
  readonly currency: string;
  /** the Mat, to be pointed at */
  readonly pockets: readonly Pocket[];
}

/**
 * The moments that are offered: the last ones before it is closed over, and the one it has. A long strip has
 * hundreds.
 */
function nearest<M extends { readonly step: string }>(moments: readonly M[], own: string | undefined): M[] {
  const from = Math.max(0, moments.length - MOMENTS);
  return moments.filter((m, i) => i >= from || m.step === own);
}
const MOMENTS = 15;

/** What the model's last job says of the same chamber that nobody has said here. */
function lastTimeOf(chamber: Chamber, before: LastJob | undefined): Pick<ChamberView, "lastTime"> {
  const same = before?.chambers.find((c) => c.kind === chamber.kind && c.name === chamber.name);
  if (!before || !same) return {};
  const open = (["volume", "makersGrams", "coldestC", "hottestC"] as const).filter(
    (k) => chamber[k] === undefined && same[k] !== undefined,
  );
  if (!open.length) return {};
  const { volume, makersGrams } = same;
  const says = [
    open.includes("volume") && volume
      ? volume.by === "filling"
        ? `${volume.ml} ml`
        : `${volume.lengthMm} × ${volume.widthMm} × ${volume.depthMm} mm${volume.shafts ? ` less shafts ${volume.shafts}` : ""}`
      : "",
    open.includes("makersGrams") && makersGrams !== undefined ? `maker’s ${makersGrams} g` : "",
    open.includes("coldestC") ? `from ${same.coldestC} °C` : "",
    open.includes("hottestC") ? `to ${same.hottestC} °C` : "",
  ];
  return {
    lastTime: { number: before.number, says: says.filter(Boolean).join(", "), facts: only(same, open) },
  };
}

/** What went into the same chamber of the model's last unit, where all of it was weighed in. */
function lastUnitOf(chamber: Chamber, before: LastJob | undefined): Pick<ChamberView, "lastUnit"> {
  const same = before?.chambers.find((c) => c.kind === chamber.kind && c.name === chamber.name);
  const grams = same && before?.wentIn.get(same.id);
  return before && grams ? { lastUnit: { number: before.number, grams } } : {};
}

export async function lubeView(number: string): Promise<LubeView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const shelf = offered(await wholeShelf(), job);
  const rebuild = planOf(job);
  const off = new Set(job.steps.flatMap((s) => s.parts ?? []));
  const stepsOf = job.steps.filter((s) => s.action !== "note" && s.action !== "block");
  const pointView = (g: WeighedPoint): PointView => {
    const part = g.part ?? g.onPart;
    return {
      ...only(g, [
        "id",
        "kind",
        "where",
        "how",
        "lubricant",
        "lubricantId",
        "lubricantSaid",
        "when",
        "grams",
        "gramsSaid",
        "weighedGrams",
        "spot",
        "load",
        "rpm",
        "pitchLineMPerS",
      ]),
      how:
        g.how ??
        (g.kind &&
          howAt(
            g.kind,
            job.chambers?.find((c) => c.id === g.chamber),
          )),
      kindSays: g.kind ? pointKind(g.kind).says : "not said",
      ...(part && { part: partNamed(job, part) }),
      onPartOff: part !== undefined && off.has(part),
      reach: reachOf(job, rebuild, greaseKey(g.id), g),
      ...(g.reachedBy && { before: g.reachedBy }),
      moments: nearest(momentsFor(job, rebuild, g), g.reachedBy),
    };
  };
  const { gunGramsPerStroke, currency } = await shopSettings();
  const before = job.chambers?.length ? await modelsLastJob(job) : undefined;
  return {
    frame: frameOf(job),
    job: only(job, SHOWN),
    nothingOpened: !holdsLubricant(job),
    chambers: answersOf(job, shelf, rebuild).map(
      ({ chamber, plan, says, isSpeedAsked, areTeethAsked, isStayAsked }): ChamberView => ({
        chamber,
        plan: plan && only(plan, ["answer", "assumed", "missing", "fault"]),
        freeMl: freeVolumeOf(job, chamber),
        points: job.lubePoints.filter((g) => g.chamber === chamber.id).map(pointView),
        ...(says && { says }),
        isSpeedAsked,
        areTeethAsked,
        isStayAsked,
        ...lastTimeOf(chamber, before),
        ...lastUnitOf(chamber, before),
      }),
    ),
    loose: job.lubePoints.filter((g) => !job.chambers?.some((c) => c.id === g.chamber)).map(pointView),
    shelf: shelf.map((l) =>
      only(l, [
        "id",
        "name",
        "sort",
        "thickener",
        "nlgi",
        "baseOil",
        "viscosityMm2s",
        "densityGPerMl",
        "lot",
        "pricePer100G",
      ]),
    ),
    proposed: proposedChambers(job).map(
      (p) =>
        `${p.isThere ? "more in the " : ""}${p.chamber.name}, ${p.points.length === 1 ? "one point" : `${p.points.length} points`}`,
    ),
    bearings: bearingsAsked(job).map((p) => ({ id: p.id, name: partName(p) })),
    foodAsked: isFoodAsked(job),
    kind: job.kind,
    asked: askedBeforeLube(job).map((p) => only(p, ["id", "name"])),
    states: greaseStatesIn(job.greaseStates),
    far: howFar(job.greaseStates, job.chambers),
    cleaning: cleaningList(job, rebuild).map((row) => {
      const v = job.services.find((x) => x.id === row.planned?.service);
      const reach = v && reachOf(job, rebuild, serviceKey(v.id), v);
      const chamber = job.chambers?.find((c) => c.id === v?.chamber);
      return {
        ...row,
        ...(reach?.last && { last: `line ${reach.last.line}: ${reach.last.says}` }),
        moments: v && chamber ? nearest(cleaningMoments(job, rebuild, chamber), v.reachedBy) : [],
        ...(v?.reachedBy && { before: v.reachedBy }),
      };
    }),
    unclean: stillToClean(job, rebuild),
    dry: keepDry(job).map((d) => d.says),
    steps: stepsOf.map((s) => ({ id: s.id, says: stepThing(job, s.id) })),
    parts: job.parts
      .filter((p) => off.has(p.id))
      .map((p) => ({
        ...only(p, ["id", "material", "kind"]),
        name: partName(p),
        step: job.steps.find((s) => s.parts?.includes(p.id))?.id,
        ...(placeKindOf(p) && { place: placeKindOf(p) }),
      })),
    wheels: lubricatedWheels(job.train).map((w) => ({
      mesh: w.mesh,
      role: w.role,
      says: w.part ? partNamed(job, w.part) : w.says,
      ...(w.part && { part: w.part }),
      worm: job.train?.meshes.find((m) => m.id === w.mesh)?.kind === "worm",
    })),
    ...(job.train && { train: job.train }),
    shafts: job.train ? solveTrain(job.train).shafts : [],
    pictures: job.pictures
      .filter((p) => p.step || p.role === "intake")
      .map((p) => {
        const n = job.steps.findIndex((s) => s.id === p.step) + 1;
        return {
          ...framed(p),
          name: p.name,
          says: n ? `before step ${n} came off` : "as it came in",
          after: job.steps.slice(0, Math.max(0, n - 1)).map((s) => s.id),
        };
      }),
    gates: gatesOf(job, "lube"),
    pockets: pocketsToLubricate(job),
    gunGramsPerStroke,
    currency,
    draft: (await loadDrafts(job.id))["lube.facts"],
  };
}
