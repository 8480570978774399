import { format, parseISO } from "date-fns";
import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { endingNamed } from "@/core/job/ending";
import { STAGES, type Stage } from "@/core/job/stages";
import { type BoardJob, boardJobsOf, boardOrder } from "@/store/board";
import { loadJob } from "@/store/job";
import { isNamed, shopSettings } from "@/store/settings";

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
  /** nobody has said yet whose shop this is */
  readonly isNew: boolean;
  readonly jobs: readonly BoardLine[];
  /** the job to take up next, and the sentence why */
  readonly next: { readonly job: BoardLine; readonly says: string } | null;
}

/** Lines as they were last shown, by the job's id. A line stands as long as its job's version does. */
let lines: ReadonlyMap<number, BoardLine> = new Map();

async function lineOf(job: BoardJob): Promise<BoardLine> {
  if (job.handedBackAt) return { ...job, next: job.ending ? `Not repaired: ${endingNamed(job.ending.how).says.toLowerCase()}.` : "" };
  if (job.waiting)
    return { ...job, next: `Waits for ${job.waiting.what}${job.waiting.until ? `, until ${format(parseISO(job.waiting.until), "d MMM")}` : ""}.` };
  const whole = await loadJob(job.number);
  const next = whole && (openGates(job.stage, factsOf(whole))[0]?.says ?? "Ready to go on.");
  return { ...job, next: [job.ending && `${endingNamed(job.ending.how).says}.`, next].filter(Boolean).join(" ") };
}

/** It is not taken up before the day on which it is looked at again; where none was said, not by itself. */
const stillWaits = ({ waiting }: BoardJob, today: string): boolean => waiting !== undefined && (waiting.until === undefined || waiting.until > today);

/** Everything the board shows. A job is read only if it has moved since the board was last looked at. */
export async function boardView(today: string): Promise<BoardView> {
  const places = await boardOrder(today);
  const moved = places.filter((p) => lines.get(p.id)?.version !== p.version).map((p) => p.id);
  const fresh = new Map<number, BoardLine>();
  for (const job of await boardJobsOf(moved)) fresh.set(job.id, await lineOf(job));
  const jobs = places.flatMap(({ id }) => fresh.get(id) ?? lines.get(id) ?? []);
  lines = new Map(jobs.map((j) => [j.id, j]));
  const { shopName } = await shopSettings();
  const isNew = !(await isNamed());
  // the earliest promise first; of two, the one that is further along
  const [due] = jobs
    .filter((j) => !j.handedBackAt && !stillWaits(j, today))
    .sort((a, b) => (a.promised ?? "9999").localeCompare(b.promised ?? "9999") || STAGES.indexOf(b.stage) - STAGES.indexOf(a.stage));
  return { today, shopName, isNew, jobs, next: due ? { job: due, says: `${SAYS[due.stage]}, ${due.kind || "new unit"}` } : null };
}
