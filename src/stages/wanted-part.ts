import { bearingNamed } from "@/core/hardware/bearings";
import type { Wanted } from "@/core/match/rank";
import { meanOf } from "@/core/quantity/measured";
import type { Job } from "@/store/job";

/** What is looked for in place of a part, or the sentence that says what is missing first. */
export function wantedFor(job: Job, id: string): Wanted | { readonly missing: string } {
  const part = job.parts.find((p) => p.id === id);
  if (!part) return { missing: "There is no such part." };
  const finding = job.findings.find((f) => f.part === id);
  const reading = (what: string): number | undefined => {
    const values = job.readings.filter((r) => r.part === id && r.what === what).map((r) => r.value);
    return values.length ? meanOf(values, 0.02).value : undefined;
  };
  if (part.kind === "gear") {
    if (!finding?.identity) return { missing: "Name it on the gear bench first: measures decide, not looks." };
    const { identity, gear } = finding;
    return {
      what: "gear",
      gear: {
        ...identity,
        hand: identity.helixAngleDeg ? gear.hand : undefined,
        boreMm: reading("bore"),
        faceWidthMm: reading("face width"),
        boreForm: gear.boreForm,
        material: part.material,
        ...(gear.mateTeeth ? { mate: { teeth: gear.mateTeeth } } : {}),
      },
    };
  }
  if (part.kind === "bearing") {
    const step = job.steps.find((s) => s.parts?.includes(id));
    const size = bearingNamed([part.name, finding?.extent, step?.note].filter(Boolean).join(" "));
    if (size) return { what: "bearing", size: { insideMm: size.boreMm, outsideMm: size.outsideMm, widthMm: size.widthMm, closure: size.closure ?? "2RS" } };
  }
  return { what: "named", name: part.name ?? part.kind ?? "" };
}
