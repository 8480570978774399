import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { STAGES, type Stage } from "@/core/job/stages";
import { type BoardJob, boardJobsOf, boardOrder } from "@/store/board";
import { loadJob } from "@/store/job";
import { shopSettings } from "@/store/settings";

const SAYS: Readonly<Record<Stage, string>> = {
  "take-in": "finish taking it in",
  strip: "carry on stripping",
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

/** Lines as they were last shown, by the job's id. A line stands as long as its job's version does. */
let lines: ReadonlyMap<number, BoardLine> = new Map();

async function lineOf(job: BoardJob): Promise<BoardLine> {
  const whole = job.handedBackAt ? null : await loadJob(job.number);
  return { ...job, next: whole ? (openGates(job.stage, factsOf(whole))[0]?.says ?? "Ready to go on.") : "" };
}

/** Everything the board shows. A job is read only if it has moved since the board was last looked at. */
export async function boardView(today: string): Promise<BoardView> {
  const places = await boardOrder(today);
  const moved = places.filter((p) => lines.get(p.id)?.version !== p.version).map((p) => p.id);
  const fresh = new Map<number, BoardLine>();
  for (const job of await boardJobsOf(moved)) fresh.set(job.id, await lineOf(job));
  const jobs = places.flatMap(({ id }) => fresh.get(id) ?? lines.get(id) ?? []);
  lines = new Map(jobs.map((j) => [j.id, j]));
  const { shopName } = await shopSettings();
  // the earliest promise first; of two, the one that is further along
  const [due] = jobs
    .filter((j) => !j.handedBackAt)
    .sort((a, b) => (a.promised ?? "9999").localeCompare(b.promised ?? "9999") || STAGES.indexOf(b.stage) - STAGES.indexOf(a.stage));
  return { today, shopName, jobs, next: due ? { job: due, says: `${SAYS[due.stage]}, ${due.kind || "new unit"}` } : null };
}
