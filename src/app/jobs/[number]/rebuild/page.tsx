import { gatesOf, planOf } from "@/core/gates/job-facts";
import { undoKey } from "@/core/job/keys";
import { ledgerRows } from "@/core/order/hardware-ledger";
import { lineKey } from "@/core/order/rebuild-plan";
import { JobScreen } from "@/stages/frame/job-screen";
import { pocketsOf } from "@/stages/job-view/mat-pockets";
import { lineInWords } from "@/stages/rebuild/line-in-words";
import { RebuildScreen } from "@/stages/rebuild/rebuild-screen";
import { Mat } from "@/ui/mat";
import { framed } from "@/ui/picture-frame";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job } = await jobFrom(address);
  const plan = planOf(job);
  const done = new Set(job.linesDone);
  const at = plan.steps.findIndex((l) => !done.has(lineKey(l)));
  const now = at < 0 ? undefined : plan.steps[at];
  const before = at < 0 ? plan.steps[plan.steps.length - 1] : plan.steps[at - 1];
  const words = now && lineInWords(job, now);
  const pictures = job.pictures.filter((p) => p.step === words?.step);
  const picture = pictures[0] ?? (now ? undefined : job.pictures.find((p) => p.role === "intake"));
  const stepNumber = job.steps.findIndex((s) => s.id === words?.step) + 1;
  const pockets = pocketsOf(job);
  const openPockets = pockets.filter((p) => !p.emptied).length;
  const lastLaid = pockets.findLastIndex((p) => !p.emptied);
  const shareLeft = plan.steps.length ? plan.steps.filter((l) => !done.has(lineKey(l))).length / plan.steps.length : 0;
  const nextGrease = plan.steps.slice(Math.max(0, at)).find((l) => l.kind === "grease" && !done.has(lineKey(l)));
  const foot =
    job.linesDone.length === 0 && plan.pick.length
      ? `Fetch first: ${plan.pick.map((p) => p.why).join("; ")}`
      : nextGrease && now
        ? `next grease at line ${nextGrease.n}; ${nextGrease.because[0]}`
        : "";
  return (
    <JobScreen
      job={job}
      showing="rebuild"
      words={now ? `line ${now.n} of ${plan.steps.length} · about ${Math.max(1, Math.round(plan.minutes * shareLeft))} minutes left` : "together"}
      mat={
        <Mat
          pockets={pockets}
          hand={lastLaid + 1}
          foot={openPockets ? "The Mat empties from right to left · outlined pockets are back in the machine" : "The Mat is empty."}
        />
      }
    >
      <RebuildScreen
        line={
          now && words ? { key: lineKey(now), n: now.n, kind: now.kind, words, because: now.because, cautions: "cautions" in now ? now.cautions : [] } : null
        }
        last={before && done.has(lineKey(before)) ? { key: lineKey(before), title: lineInWords(job, before).title } : null}
        count={plan.steps.length}
        picture={framed(picture)}
        pictureWords={now ? `before step ${stepNumber} came off${pictures.length > 1 ? ` · 1 of ${pictures.length}` : ""}` : "as it came in"}
        rows={ledgerRows(job, (s) => done.has(undoKey(s.id)))}
        foot={foot}
        stage={job.stage}
        gates={gatesOf(job, "rebuild")}
      />
    </JobScreen>
  );
}
