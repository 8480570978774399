import { notFound } from "next/navigation";
import { bestSpanTeeth, type Gear, identifyGear } from "@/core/gear/index";
import { pairRule } from "@/core/judge/failure-modes";
import { JobScreen } from "@/stages/job-screen";
import { GearBench } from "@/stages/judge/gear-bench";
import { identifyInputOf, meanReadings } from "@/stages/judge/gear-readings";
import { loadDrafts } from "@/store/drafts";
import { jobFrom } from "../../../job-from-address";

export default async function Page({ params }: { params: Promise<{ number: string; part: string }> }) {
  const { job, db } = await jobFrom({ params });
  const { part: id } = await params;
  const part = job.parts.find((p) => p.id === id);
  if (!part) notFound();
  const finding = job.findings.find((f) => f.part === id);
  const notes = finding?.gear ?? {};
  const input = identifyInputOf(job, id);
  const answer = input ? identifyGear(input) : null;
  const best = answer?.hypotheses[0];
  const gear: Gear | null = finding?.identity
    ? finding.identity
    : best
      ? { teeth: best.teeth, moduleMm: best.module, pressureAngleDeg: best.pressureAngle, helixAngleDeg: best.helixAngle, profileShift: best.profileShift }
      : null;
  const teeth = notes.teeth ?? best?.teeth ?? 30;
  // a helix adds a little to the angle: guess 15° until it is known
  const k = bestSpanTeeth({ teeth, pressureAngleDeg: 20, helixAngleDeg: gear?.helixAngleDeg ?? (notes.kind === "helical" ? 15 : 0), profileShift: 0 });
  const taken = meanReadings(job.readings, id)
    .filter((m) => m.what === "span")
    .map((m) => m.teeth as number)
    .sort((a, b) => a - b);
  // two places for spans: those that were taken, then the one worth taking next, then its neighbour
  const [first = k, second = answer?.next?.teeth ?? first + 1] = taken;
  const spans = [first, second].sort((a, b) => a - b) as [number, number];
  const loss = meanReadings(job.readings, id).find((m) => m.what === "mate span loss");
  const drafts = await loadDrafts(db, job.id);
  return (
    <JobScreen
      job={job}
      showing="judge"
      title={`Gear bench: ${part.name}`}
      words={[part.material, notes.kind, notes.kind === "helical" && `${notes.hand} hand`].filter(Boolean).join(" · ")}
      mat={null}
    >
      <GearBench
        part={id}
        notes={notes}
        means={meanReadings(job.readings, id)}
        marks={finding?.teeth ?? {}}
        identity={finding?.identity ?? null}
        answer={answer}
        gear={gear}
        spanTeeth={spans}
        pair={pairRule(loss?.value, gear?.moduleMm ?? 1).says}
        draft={drafts[`gear.${id}`]}
      />
    </JobScreen>
  );
}
