import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { STAGES, type Stage } from "@/core/job/stages";
import { type BoardJob, boardRows, keepBoardFacts } from "@/store/board";
import { loadJob } from "@/store/job";
import { shopSettings } from "@/store/settings";

const SAYS: Readonly<Record<Stage, string>> = {
  "take-in": "finish taking in",
  strip: "go on stripping",
  judge: "judge what failed",
  match: "find the parts",
  lube: "clean and lubricate",
  rebuild: "put it together",
  "hand-back": "test and hand back",
};

export interface BoardLine extends BoardJob {
  /** what is missing for it to go on */
  readonly next: string;
}

export interface BoardView {
  readonly today: string;
  readonly shopName: string;
  readonly jobs: readonly BoardLine[];
  /** the job to take up next, and the sentence why */
  readonly next: { readonly job: BoardLine; readonly says: string } | null;
}

/** Everything the board shows. A job is read whole only if it has moved since the board last looked at it. */
export async function boardView(today: string): Promise<BoardView> {
  const rows = await boardRows(today);
  const jobs: BoardLine[] = [];
  const fresh: Parameters<typeof keepBoardFacts>[0][number][] = [];
  for (const { job, facts: kept } of rows) {
    if (job.handedBackAt) {
      jobs.push({ ...job, next: "" });
      continue;
    }
    let facts = kept;
    if (!facts) {
      const whole = await loadJob(job.number);
      if (!whole) continue;
      facts = factsOf(whole);
      fresh.push({ id: whole.id, version: whole.version, facts });
    }
    jobs.push({ ...job, next: openGates(job.stage, facts)[0]?.says ?? "Ready to go on." });
  }
  await keepBoardFacts(fresh);
  const { shopName } = await shopSettings();
  // the earliest promise first; of two, the one that is further along
  const [due] = jobs
    .filter((j) => !j.handedBackAt)
    .sort((a, b) => (a.promised ?? "9999").localeCompare(b.promised ?? "9999") || STAGES.indexOf(b.stage) - STAGES.indexOf(a.stage));
  return { today, shopName, jobs, next: due ? { job: due, says: `${SAYS[due.stage]}, ${due.kind || "new unit"}` } : null };
}
