import { differenceInCalendarDays, parseISO } from "date-fns";
import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { endingNamed } from "@/core/job/ending";
import { STAGES, type Stage } from "@/core/job/stages";
import { type BoardJob, boardJobsOf, boardOrder, type DamagedJob } from "@/store/board";
import { loadJob } from "@/store/job";
import { isNamed, type LastBackup, shopSettings } from "@/store/settings";
import { dayAs } from "@/ui/day";

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
  /** its records cannot be read */
  readonly damaged?: true;
}

export interface BoardView {
  readonly today: string;
  readonly shopName: string;
  /** nobody has said yet whose shop this is */
  readonly isNew: boolean;
  /** when the shop was last backed up; `late` where that is too long ago */
  readonly backup: { readonly says: string; readonly late: boolean };
  readonly jobs: readonly BoardLine[];
  /** the job to take up next, and the sentence why */
  readonly next: { readonly job: BoardLine; readonly says: string } | null;
}

/** Lines as they were last shown, by the job's id. A line stands as long as its job's version does. */
let lines: ReadonlyMap<number, BoardLine> = new Map();

/**
 * A job that cannot be read, on its line all the same: whoever looks for it must find out, and nobody else is
 * kept from work.
 */
function damagedLine(job: DamagedJob): BoardLine {
  console.error(`${job.number} is damaged: ${job.damage}`);
  const { id, number, version } = job;
  return {
    ...{
      id,
      number,
      version,
      stage: "take-in",
      kind: "Damaged",
      maker: "",
      model: "",
      complaint: "",
      customerName: "",
    },
    next: "Its record cannot be read. Open it to see what is wrong and what can be done.",
    damaged: true,
  };
}

async function lineOf(job: BoardJob | DamagedJob): Promise<BoardLine> {
  if ("damage" in job) return damagedLine(job);
  try {
    return await readableLine(job);
  } catch (e) {
    return {
      ...damagedLine({ ...job, damage: e instanceof Error ? e.message : "unknown" }),
      ...(job.handedBackAt ? { handedBackAt: job.handedBackAt } : {}),
    };
  }
}

async function readableLine(job: BoardJob): Promise<BoardLine> {
  if (job.handedBackAt)
    return {
      ...job,
      next: job.ending ? `Not repaired: ${endingNamed(job.ending.how).says.toLowerCase()}.` : "",
    };
  if (job.waiting)
    return {
      ...job,
      next: `Waits for ${job.waiting.what}${job.waiting.until ? `, until ${dayAs(job.waiting.until, "d MMM")}` : ""}.`,
    };
  const whole = await loadJob(job.number);
  const next = whole && (openGates(job.stage, factsOf(whole))[0]?.says ?? "Ready to go on.");
  return {
    ...job,
    next: [job.ending && `${endingNamed(job.ending.how).says}.`, next].filter(Boolean).join(" "),
  };
}

/** It is not taken up before the day on which it is looked at again; where none was said, not by itself. */
const stillWaits = ({ waiting }: BoardJob, today: string): boolean =>
  waiting !== undefined && (waiting.until === undefined || waiting.until > today);

/** After so many days without one, a back-up is missed. */
const LATE_DAYS = 7;

function backupSays(last: LastBackup | null, today: string, jobs: number): BoardView["backup"] {
  if (last?.failed) return { says: "The last back-up failed", late: true };
  if (!last?.goodAt) return { says: "Never backed up", late: jobs > 0 };
  const days = differenceInCalendarDays(parseISO(today), parseISO(last.goodAt));
  return {
    says: `Backed up ${days <= 0 ? "today" : days === 1 ? "yesterday" : `${days} days ago`}`,
    late: days > LATE_DAYS,
  };
}

/** Everything the board shows. A job is read only if it has moved since the board was last looked at. */
export async function boardView(today: string): Promise<BoardView> {
  const places = await boardOrder(today);
  const moved = places.filter((p) => lines.get(p.id)?.version !== p.version).map((p) => p.id);
  const fresh = new Map<number, BoardLine>();
  for (const job of await boardJobsOf(moved)) fresh.set(job.id, await lineOf(job));
  const jobs = places.flatMap(({ id }) => fresh.get(id) ?? lines.get(id) ?? []);
  // what cannot be read is looked at again each time: it may have been the disk's bad moment
  lines = new Map(jobs.filter((j) => !j.damaged).map((j) => [j.id, j]));
  const { shopName, lastBackup } = await shopSettings();
  const isNew = !(await isNamed());
  // the earliest promise first; of two, the one that is further along
  const [due] = jobs
    .filter((j) => !j.handedBackAt && !j.damaged && !stillWaits(j, today))
    .sort(
      (a, b) =>
        (a.promised ?? "9999").localeCompare(b.promised ?? "9999") ||
        STAGES.indexOf(b.stage) - STAGES.indexOf(a.stage),
    );
  return {
    today,
    shopName,
    isNew,
    jobs,
    backup: backupSays(lastBackup, today, jobs.length),
    next: due ? { job: due, says: `${SAYS[due.stage]}, ${due.kind || "new unit"}` } : null,
  };
}
