import { Fault } from "@/core/fault";
import { BORE_FORMS } from "@/core/gear/index";
import { type Way, waysWithoutPart } from "@/core/gear/making";
import type { RingToMake } from "@/core/gear/ring-outline";
import { type GearToMake, gearSection, type ToMake } from "@/core/gear/solid";
import { isPlastic } from "@/core/hardware/material";
import type { GearIdentity } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import { canHurt, loadOf, partMean } from "../job-view/part-facts";

/** A failed gear as it is to be made, out of what the gear bench knows; or what must be measured first. */
export function gearToMake(
  job: Job,
  part: string,
): { readonly gear: ToMake | null; readonly missing: readonly string[] } {
  const f = job.findings.find((x) => x.part === part);
  const reading = (what: string): number | undefined => partMean(job, part, what)?.value;
  const id = f?.identity;
  const kind = f?.gear.kind ?? "spur";
  const [boreMm, faceWidthMm] = [reading("bore"), reading("face width")];
  if (kind === "internal") return ringToMake(id, reading("outside diameter"), faceWidthMm);
  const missing = [
    ...(id ? [] : ["its teeth, named on the gear bench"]),
    ...(id?.helixAngleDeg && !f?.gear.hand ? ["its hand"] : []),
    ...(boreMm ? [] : ["its bore"]),
    ...(faceWidthMm ? [] : ["its face width"]),
    ...(kind === "spur" || kind === "helical" ? [] : [`a drawing by hand: a ${kind} is not drawn here`]),
  ];
  if (missing.length || !id || !boreMm || !faceWidthMm) return { gear: null, missing };
  const boreForm = BORE_FORMS.find((b) => b === f?.gear.boreForm);
  const gear: GearToMake = {
    teeth: id.teeth,
    moduleMm: id.moduleMm,
    pressureAngleDeg: id.pressureAngleDeg,
    helixAngleDeg: id.helixAngleDeg,
    profileShift: id.profileShift,
    hand: f?.gear.hand,
    boreMm: round(boreMm),
    faceWidthMm: round(faceWidthMm),
    ...(boreForm ? { boreForm } : {}),
  };
  return drawable(gear, "its bore");
}

function ringToMake(
  id: GearIdentity | undefined,
  outsideMm: number | undefined,
  faceWidthMm: number | undefined,
): ReturnType<typeof gearToMake> {
  const missing = [
    ...(id ? [] : ["its teeth, named on the gear bench"]),
    ...(outsideMm ? [] : ["its outside diameter"]),
    ...(faceWidthMm ? [] : ["its face width"]),
    ...(id?.helixAngleDeg ? ["a drawing by hand: a ring with slanted teeth is not drawn here"] : []),
  ];
  if (missing.length || !id || !outsideMm || !faceWidthMm) return { gear: null, missing };
  const ring: RingToMake = {
    inside: true,
    teeth: id.teeth,
    moduleMm: id.moduleMm,
    pressureAngleDeg: id.pressureAngleDeg,
    helixAngleDeg: 0,
    profileShift: id.profileShift,
    outsideMm: round(outsideMm),
    faceWidthMm: round(faceWidthMm),
  };
  return drawable(ring, "its outside diameter");
}

const round = (x: number): number => Math.round(x * 100) / 100;

/** What can be drawn with these numbers, or what is to be measured again. */
function drawable(gear: ToMake, again: string): ReturnType<typeof gearToMake> {
  try {
    gearSection(gear);
    return { gear, missing: [] };
  } catch (e) {
    if (e instanceof Fault) return { gear: null, missing: [`${again} again: as measured it ${e.says}`] };
    throw e;
  }
}

/** Bond, donor or make, with this job's reasons. */
export function waysFor(job: Job, part: string, donors: number): Way[] {
  const own = job.parts.find((p) => p.id === part);
  return waysWithoutPart({
    mode: job.findings.find((f) => f.part === part)?.mode,
    plastic: isPlastic(own?.material),
    load: loadOf(job),
    safety: canHurt(job, own?.kind),
    hot: job.symptoms.includes("hot"),
    donors,
    missing:
      own?.kind === "gear"
        ? gearToMake(job, part).missing
        : ["it from the old one, as a pattern: only gears are drawn here"],
  });
}
