import { format } from "date-fns";
import { STAGES } from "@/core/job/stages";
import { Board } from "@/shop/board/board";
import { gatesOf } from "@/stages/job-view/job-facts";
import { takeInUnit } from "@/stages/take-in/actions";
import { database } from "@/store/database";
import { currentJob } from "@/store/job";
import { boardJobs } from "@/store/jobs";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

const SAYS: Readonly<Record<(typeof STAGES)[number], string>> = {
  "take-in": "finish taking in",
  strip: "go on stripping",
  judge: "judge what failed",
  match: "find the parts",
  lube: "clean and lubricate",
  rebuild: "put it together",
  "hand-back": "test and hand back",
};

export default async function Page() {
  const db = await database();
  const today = format(new Date(), "yyyy-MM-dd");
  const jobs = await boardJobs(db, today);
  const whatNext: Record<string, string> = {};
  for (const j of jobs.filter((x) => !x.handedBackAt)) {
    const whole = await currentJob(db, j.number);
    if (whole) whatNext[j.number] = gatesOf(whole, whole.stage)[0]?.says ?? "Ready to go on.";
  }
  // the earliest promise first; of two, the one that is further along
  const open = jobs.filter((j) => !j.handedBackAt);
  const due = [...open].sort((a, b) => (a.promised ?? "9999").localeCompare(b.promised ?? "9999") || STAGES.indexOf(b.stage) - STAGES.indexOf(a.stage))[0];
  const next = due ? { job: due, says: `${SAYS[due.stage]}, ${due.kind || "new unit"}`, why: whatNext[due.number] ?? "" } : null;
  return <Board jobs={jobs} today={today} shopName={(await shopSettings(db)).shopName} next={next} takeIn={takeInUnit} whatNext={whatNext} />;
}
