"use client";

import { differenceInCalendarDays, parseISO } from "date-fns";
import { Circle, Flag } from "lucide-react";
import type { CSSProperties } from "react";
import { STAGE_NAMES, STAGES, type Stage } from "@/core/job/stages";
import { dayAs } from "@/ui/day";
import { type Packed, usePacked } from "@/ui/packed";
import { Way } from "@/ui/way";

export interface BoardRowJob {
  readonly number: string;
  readonly kind: string;
  /** the model, and who brought it */
  readonly whose: string;
  readonly stage: Stage;
  readonly next: string;
  /** its records cannot be read */
  readonly damaged?: true;
  readonly promised?: string;
  readonly handedBackAt?: string;
}

/** The lines of the board. */
export function BoardRows({ jobs, today }: { jobs: Packed<readonly BoardRowJob[]>; today: string }) {
  return usePacked(jobs).map((j) => <BoardRow key={j.number} job={j} today={today} />);
}

/** A job on the board: its tag, what it is and whose, where it stands, what is next, and the promise. */
function BoardRow({ job: j, today }: { job: BoardRowJob; today: string }) {
  return (
    <li>
      <Way href={`/jobs/${j.number}`} className="board-row">
        <span className="board-tag figures">{j.number.slice(2)}</span>
        <span className="pr-4">
          <b className="kind">{j.kind || "New unit"}</b>
          <small className="whose hush">{j.whose}</small>
        </span>
        {j.damaged ? <span className="font-bold text-error">cannot be read</span> : <StageBar job={j} />}
        <span className="pr-3">{j.next}</span>
        <PromisedDay job={j} today={today} />
      </Way>
    </li>
  );
}

function StageBar({ job }: { job: BoardRowJob }) {
  const at: CSSProperties & Record<"--at", number> = {
    "--at": job.handedBackAt ? STAGES.length : STAGES.indexOf(job.stage),
  };
  return (
    <span>
      <span className={`stage-bar ${job.handedBackAt ? "all" : ""}`} style={at} aria-hidden="true" />
      {job.handedBackAt ? "Handed back" : STAGE_NAMES[job.stage]}
    </span>
  );
}

function PromisedDay({ job, today }: { job: BoardRowJob; today: string }) {
  if (job.handedBackAt)
    return (
      <span className="flex items-center gap-2 text-[19px] text-success">
        <Circle size={20} aria-hidden="true" /> {dayAs(job.handedBackAt, "EEE d MMM")}
      </span>
    );
  if (job.damaged) return null;
  if (!job.promised) return <span className="hush text-[19px]">no date given</span>;
  const days = differenceInCalendarDays(parseISO(job.promised), parseISO(today));
  const late = days < 0;
  return (
    <span
      className={`flex items-center gap-2 text-[20px] ${late || days === 0 ? "font-bold text-error" : ""}`}
    >
      <Flag size={22} fill={late || days === 0 ? "currentColor" : "none"} aria-hidden="true" />
      {dayAs(job.promised, "EEE d MMM")}
      <span className="text-[18px]">
        {late ? "overdue" : days === 0 ? "today" : days === 1 ? "tomorrow" : `in ${days} d`}
      </span>
    </span>
  );
}
