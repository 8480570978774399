import { bearingNamed, sharesTheGrease } from "@/core/hardware/bench/bearings";
import type { GearIdentity, GearNotes } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import { mateOf } from "@/core/job/mate-of";
import { bodyAsked, sizesAsked } from "@/core/job/part-sizes";
import type { Wanted } from "@/core/match/candidates/rank";
import type { WantedRing } from "@/core/match/candidates/ring-verdict";
import { isMeasured, ratingPrinted, type WantedSizes } from "@/core/match/candidates/sizes-verdict";
import type { WantedGear, WantedMate } from "@/core/match/candidates/wanted-gear";
import type { UnitName } from "@/core/match/catalogue/catalogue-part";
import { HEAT_TREATMENTS, HUB_SIDES } from "@/core/match/catalogue/part-spec";
import { SOLD_KINDS, SPEC_FIELDS } from "@/core/match/catalogue/spec-fields";
import { CALIPER_U_MM } from "@/core/quantity/caliper";
import { type Measured, measured } from "@/core/quantity/measured";
import { solveTrain } from "@/core/train/solve";
import { isSmooth } from "@/core/train/train";
import { partMean, toldOf } from "./part-facts";

/** The unit of a job, as parts are sold by it. */
export function unitOf(job: Pick<Job, "maker" | "model" | "variant" | "serial">): UnitName | undefined {
  if (!job.maker || !job.model) return undefined;
  return {
    maker: job.maker,
    model: job.model,
    ...(job.variant ? { variant: job.variant } : {}),
    ...(job.serial ? { serial: job.serial } : {}),
  };
}

/**
 * What is looked for in place of a part, or the sentence that says what is missing first.
 *
 * @param chosenTeeth the tooth count of the catalogue part that was chosen in place of another part of the
 *   job, by that part's id
 */
export function wantedFor(
  job: Job,
  id: string,
  chosenTeeth: Readonly<Record<string, number>> = {},
): Wanted | { readonly missing: string } {
  const part = job.parts.find((p) => p.id === id);
  if (!part) return { missing: "There is no such part." };
  const finding = job.findings.find((f) => f.part === id);
  const unit = unitOf(job);
  const number = finding?.readNumber;
  const common: Wanted = { ...(unit ? { unit } : {}), ...(number ? { number } : {}) };
  if (part.kind === "gear") {
    const gear = wantedGear(job, id, chosenTeeth);
    if (gear) return { ...common, kind: "gear", gear };
    return number
      ? { ...common, kind: "gear" }
      : {
          missing: "Name it on the gear bench first, or read the number off it: measures decide, not looks.",
        };
  }
  if (part.kind === "bearing") {
    const told = toldOf(job, id);
    const size = bearingNamed(told);
    const facesGrease = sharesTheGrease(told);
    if (size)
      return {
        ...common,
        kind: "bearing",
        ring: {
          kind: "bearing",
          insideMm: size.boreMm,
          outsideMm: size.outsideMm,
          widthMm: size.widthMm,
          ...(size.closure || facesGrease ? { closure: size.closure ?? "RS" } : {}),
          facesGrease,
          ...insideOf(job, id, told),
        },
      };
  }
  const sizes = wantedSizes(job, part);
  if (sizes?.ring) return { ...common, kind: sizes.ring.kind, ring: sizes.ring };
  const kind = SOLD_KINDS.find((k) => k === part.kind);
  return {
    ...common,
    ...(kind ? { kind } : {}),
    ...(sizes?.sizes ? { sizes: sizes.sizes } : {}),
    name: part.name ?? part.kind ?? "",
  };
}

/**
 * What was measured and seen on a part that is no gear: of a bearing, bush or seal its ring, once all three
 * are there.
 */
function wantedSizes(
  job: Job,
  part: Job["parts"][number],
): { readonly ring?: WantedRing; readonly sizes?: WantedSizes } | null {
  const asked = sizesAsked(part.kind);
  if (!asked) return null;
  const read = Object.fromEntries(
    asked.sizes.flatMap((s) => {
      const mean = partMean(job, part.id, s.what);
      return mean ? [[s.key, s.unit ? mean : mean.value] as const] : [];
    }),
  );
  const looks = job.findings.find((f) => f.part === part.id)?.gear.looks ?? {};
  const seen = { ...looks, ...(part.material ? { material: part.material } : {}) };
  const { insideMm, outsideMm, widthMm } = read;
  if (asked.kind === "bearing" || asked.kind === "bush" || asked.kind === "seal") {
    if (!insideMm || !outsideMm || !widthMm) return null;
    const facesGrease = asked.kind === "bearing" && sharesTheGrease(toldOf(job, part.id));
    return {
      ring: {
        kind: asked.kind,
        insideMm,
        outsideMm,
        widthMm,
        ...(looks.closure ? { closure: looks.closure } : {}),
        facesGrease,
        material: part.material,
        ...(asked.kind === "bearing" ? insideOf(job, part.id, toldOf(job, part.id)) : {}),
      },
    };
  }
  const sizes: WantedSizes = { kind: asked.kind, sizes: read, seen };
  return isMeasured(sizes) ? { sizes } : null;
}

/** Play and cage of a bearing, as they were seen or stand behind its number, and how fast it turns. */
function insideOf(job: Job, id: string, told: string): Pick<WantedRing, "clearance" | "cage" | "rpm"> {
  const looks = job.findings.find((f) => f.part === id)?.gear.looks ?? {};
  const clearance = looks.clearance ?? /(?<![\p{L}\p{N}])C[2345](?![\p{L}\p{N}])/u.exec(told)?.[0];
  const rpm = job.lubePoints.find((p) => p.part === id)?.rpm;
  return {
    ...(clearance ? { clearance } : {}),
    ...(looks.cage ? { cage: looks.cage } : {}),
    ...(rpm === undefined ? {} : { rpm }),
  };
}

/** What was measured and seen of a gear besides its teeth. */
function bodyOf(job: Job, id: string): Partial<WantedGear> {
  const { looks = {}, kind, boreForm } = job.findings.find((f) => f.part === id)?.gear ?? {};
  const { sizes } = bodyAsked(kind, boreForm);
  const read = Object.fromEntries(
    sizes.flatMap(({ key, what, unit }) => {
      const mean = partMean(job, id, what);
      return mean ? [[key, unit ? mean : mean.value] as const] : [];
    }),
  );
  const secondModuleMm = ratingPrinted(looks.secondModuleMm ?? "");
  return {
    ...read,
    hub: HUB_SIDES.find((h) => h === looks.hub),
    heat: HEAT_TREATMENTS.find((h) => h === looks.heat),
    ...(secondModuleMm ? { secondModuleMm } : {}),
    pressed: isPressed(job, id),
  };
}

/** Whether a part was pressed off by itself, or somebody said that it is a press fit. */
const isPressed = (job: Pick<Job, "steps">, id: string): boolean =>
  job.steps.some(
    (s) =>
      s.parts?.length === 1 &&
      s.parts[0] === id &&
      (s.action === "press-out" ||
        s.freed?.how === "press" ||
        /\bpress(?:ed)? (?:fit|on)\b/i.test(`${s.said ?? ""} ${s.note ?? ""}`)),
  );

function wantedGear(job: Job, id: string, chosenTeeth: Readonly<Record<string, number>>): WantedGear | null {
  const part = job.parts.find((p) => p.id === id);
  const finding = job.findings.find((f) => f.part === id);
  const identity = finding?.identity ?? (finding && enteredTooth(finding.gear));
  if (!finding || !identity) return null;
  const { gear } = finding;
  // where shafts cross the mate has a slant of its own: another count never goes with it, and the distance
  // says nothing of shifts
  const parallel = gear.shaftAngleDeg === undefined;
  const mate = parallel ? wantedMate(job, id, chosenTeeth) : undefined;
  const reading = (what: string): Measured | undefined => partMean(job, id, what);
  return {
    ...(gear.kind ? { form: gear.kind } : {}),
    teeth: identity.teeth,
    moduleMm: identity.moduleMm,
    pressureAngleDeg: identity.pressureAngleDeg,
    helixAngleDeg: identity.helixU
      ? { value: identity.helixAngleDeg, u: identity.helixU }
      : identity.helixAngleDeg,
    profileShift: identity.shiftU
      ? { value: identity.profileShift, u: identity.shiftU }
      : identity.profileShift,
    ...(identity.bevelTeeth === undefined ? {} : { bevelTeeth: identity.bevelTeeth }),
    ...(identity.wormDiameterMm === undefined
      ? {}
      : { wormDiameterMm: { value: identity.wormDiameterMm, u: CALIPER_U_MM } }),
    hand:
      identity.helixAngleDeg ||
      gear.kind === "worm" ||
      gear.kind === "worm-wheel" ||
      identity.bevelTeeth === "spiral"
        ? gear.hand
        : undefined,
    boreMm: reading("bore"),
    faceWidthMm: reading("face width"),
    ...(gear.boreForm ? { boreForm: gear.boreForm } : {}),
    ...bodyOf(job, id),
    material: part?.material,
    mate,
    ...(parallel ? { centreMm: reading("centre distance") } : {}),
    ...outputOf(job, identity.teeth, mate),
  };
}

/** Pulleys, sprockets and racks are entered by their count and pitch: that is what they are compared by. */
function enteredTooth({ kind, teeth, moduleMm, pitchMm }: GearNotes): GearIdentity | null {
  const entered = kind === "pulley" || kind === "sprocket" || kind === "rack" || kind === "internal";
  const module = moduleMm ?? (pitchMm === undefined ? undefined : pitchMm / Math.PI);
  if (!entered || teeth === undefined || module === undefined) return null;
  return {
    teeth,
    moduleMm: module,
    diametralPitch: null,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
    probability: 1,
  };
}

/** The gear it runs with: as it was, and as it will be where another was chosen in its place. */
function wantedMate(
  job: Job,
  id: string,
  chosenTeeth: Readonly<Record<string, number>>,
): WantedMate | undefined {
  const notes = job.findings.find((f) => f.part === id)?.gear;
  const runsWith = mateOf(job, id);
  const other = job.findings.find((f) => f.part === runsWith);
  const teeth = notes?.mateTeeth ?? other?.identity?.teeth ?? other?.gear.teeth;
  if (!teeth) return undefined;
  const willBe = runsWith ? chosenTeeth[runsWith] : undefined;
  const shift = other?.identity?.profileShift;
  return {
    teeth,
    ...(shift === undefined ? {} : { profileShift: shift }),
    ...(other?.gear.hand ? { hand: other.gear.hand } : {}),
    ...(willBe && willBe !== teeth ? { willBe } : {}),
    ...(notes?.drives === undefined ? {} : { drives: !notes.drives }),
  };
}

/**
 * How fast the output turns, if the train is written down with this pair in it: a change of ratio anywhere
 * changes it in the same share.
 */
function outputOf(job: Job, teeth: number, mate: WantedMate | undefined): Pick<WantedGear, "outputRpm"> {
  const inIt = job.train?.meshes.some((m) => {
    if (m.kind === "planetary" || isSmooth(m)) return false;
    const pair = [m.driver.teeth, m.driven.teeth];
    return pair.includes(teeth) && mate !== undefined && pair.includes(mate.teeth);
  });
  const rpm = inIt && job.train ? solveTrain(job.train).shafts.at(-1)?.rpm : undefined;
  return rpm ? { outputRpm: rpm } : {};
}

const figure = (x: WantedGear["teeth"]): string => String(Number(measured(x, 0).value.toFixed(3)));

/** What is looked for, in one line. */
export function wantedInWords(wanted: Wanted): string {
  const { gear, ring, sizes, number, name } = wanted;
  const asked = number ? `number ${number}` : "";
  if (gear) {
    const helix = measured(gear.helixAngleDeg, 0).value;
    return [
      `${figure(gear.teeth)} teeth, module ${figure(gear.moduleMm)}, ${gear.pressureAngleDeg}°`,
      helix ? `helix ${figure(helix)}° ${gear.hand ?? ""}`.trim() : "",
      asked,
    ]
      .filter(Boolean)
      .join(", ");
  }
  if (ring)
    return [
      `${figure(ring.insideMm)} × ${figure(ring.outsideMm)} × ${figure(ring.widthMm)} mm`,
      ring.closure,
      asked,
    ]
      .filter(Boolean)
      .join(", ");
  if (sizes) {
    const told = SPEC_FIELDS[sizes.kind].flatMap((f) => {
      const size = sizes.sizes[f.key];
      const said = size === undefined ? sizes.seen[f.key] : `${figure(size)}${f.unit === "mm" ? " mm" : ""}`;
      return said ? [`${f.label} ${said}`] : [];
    });
    return [...told, asked].filter(Boolean).join(", ");
  }
  return asked || (name ? "by its name: nothing is measured" : "");
}
