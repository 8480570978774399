import { differenceInCalendarDays, format, parseISO } from "date-fns";
import { Circle, Flag } from "lucide-react";
import Link from "next/link";
import { STAGE_NAMES, STAGES } from "@/core/job/stages";

import { KeyLink } from "@/ui/key-link";
import { pictureUrl } from "@/ui/picture-frame";
import { ThemeSwitch } from "@/ui/theme-switch";
import type { BoardLine, BoardView } from "./board-view";
import { TakeInButton } from "./take-in-button";

/** The first screen: every job with its stage, what is next, and its promise; at the foot what to take up now. */
export function Board({ jobs, today, shopName, next, takeIn }: BoardView & { takeIn: () => Promise<void> }) {
  const open = jobs.filter((j) => !j.handedBackAt);
  return (
    <div className="job-frame">
      <header className="flex h-[58px] items-center gap-4 px-5">
        <h1 className="text-[30px]">The bench, {format(parseISO(today), "EEEE d")}</h1>
        <span className="hush text-[19px]">{shopName}</span>
        <div className="ml-auto flex gap-2.5">
          <ThemeSwitch />
          <KeyLink href="/scan" keyName="S">
            Scan a tag
          </KeyLink>
          <KeyLink href="/tray" keyName="Y">
            Tray mat
          </KeyLink>
          <KeyLink href="/parts" keyName="C">
            Catalogue
          </KeyLink>
          <TakeInButton takeIn={takeIn} />
        </div>
      </header>
      <div
        className="grid h-[42px] grid-cols-[130px_1fr_300px_330px_190px] items-center border-y-2 border-base-content px-5 text-[20px] font-bold text-[#1d2a2c]"
        style={{ background: "linear-gradient(#ecd094, #c4953a 55%, #a9781f)" }}
      >
        <span className="col-span-2">On the bench and waiting: {open.length}</span>
        <span>Stage</span>
        <span>What is next</span>
        <span>Promised</span>
      </div>
      <main className="overflow-y-auto px-5">
        <ul>
          {jobs.map((j) => (
            <li key={j.number} className="border-b-2 border-base-300">
              <Link href={`/jobs/${j.number}`} className="grid min-h-[49px] grid-cols-[130px_1fr_300px_330px_190px] items-center hover:bg-base-200">
                <span
                  className="figures inline-flex h-[38px] w-[104px] items-center bg-accent pl-6 text-[20px] text-accent-content"
                  style={{ clipPath: "polygon(12px 0, 100% 0, 100% 100%, 12px 100%, 0 50%)" }}
                >
                  {j.number.slice(2)}
                </span>
                <span className="pr-4">
                  <span className="block text-[22px] leading-[1.1] font-semibold first-letter:uppercase">{j.kind || "New unit"}</span>
                  <span className="hush block text-[18px] leading-[1.1]">{[`${j.maker} ${j.model}`.trim(), j.customerName].filter(Boolean).join(" · ")}</span>
                </span>
                <StageBar job={j} />
                <span className="pr-3 text-[19px] leading-[1.15]">{j.next}</span>
                <PromisedDay job={j} today={today} />
              </Link>
            </li>
          ))}
        </ul>
        {jobs.length === 0 && <p className="py-10 text-[24px]">No unit is on the bench. Press N to take one in.</p>}
      </main>
      <section aria-label="Next for you" className="oilcloth h-[186px]">
        <div className="stitched mt-[6px] mb-2.5" />
        {next ? (
          <div className="grid grid-cols-[216px_1fr_340px] gap-6 px-5">
            <div className="h-[158px] overflow-hidden border-2 border-[#6d8a89] bg-[#35575a]">
              {next.job.picture && (
                // biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it is shown
                <img src={pictureUrl(next.job.picture, true)} alt={`${next.job.kind}, ${next.job.model}`} className="h-full w-full object-cover" />
              )}
            </div>
            <div>
              <p className="text-[20px] text-[#d7ccb4]">Next for you</p>
              <h2 className="text-[34px]">
                {next.job.number}: {next.says}
              </h2>
              <p className="mt-1 text-[22px]">{next.job.next}</p>
              <p className="mt-1 line-clamp-2 text-[20px] text-[#d7ccb4]">“{next.job.complaint}”</p>
            </div>
            <KeyLink href={`/jobs/${next.job.number}`} keyName=" " look="main" className="on-mat h-[70px] justify-center">
              Take it up
            </KeyLink>
          </div>
        ) : (
          <p className="px-5 text-[28px]">Nothing waits for you.</p>
        )}
      </section>
    </div>
  );
}

function StageBar({ job }: { job: BoardLine }) {
  const at = STAGES.indexOf(job.stage);
  return (
    <span className="flex items-center gap-2.5">
      <span className="flex gap-[2px]" aria-hidden="true">
        {STAGES.map((s, i) => (
          <span
            key={s}
            className={`h-[13px] w-[20px] border-2 border-base-content ${job.handedBackAt || i < at ? "bg-primary" : i === at ? "bg-secondary" : ""}`}
          />
        ))}
      </span>
      <span className="text-[19px]">{job.handedBackAt ? "Handed back" : STAGE_NAMES[job.stage]}</span>
    </span>
  );
}

function PromisedDay({ job, today }: { job: BoardLine; today: string }) {
  if (job.handedBackAt)
    return (
      <span className="flex items-center gap-2 text-[19px] text-success">
        <Circle size={20} aria-hidden="true" /> {format(parseISO(job.handedBackAt), "EEE d MMM")}
      </span>
    );
  if (!job.promised) return <span className="hush text-[19px]">no day given</span>;
  const days = differenceInCalendarDays(parseISO(job.promised), parseISO(today));
  const late = days < 0;
  return (
    <span className={`flex items-center gap-2 text-[20px] ${late || days === 0 ? "font-bold text-error" : ""}`}>
      <Flag size={22} fill={late || days === 0 ? "currentColor" : "none"} aria-hidden="true" />
      {format(parseISO(job.promised), "EEE d MMM")}
      <span className="text-[18px]">{late ? "overdue" : days === 0 ? "today" : days === 1 ? "tomorrow" : `in ${days} d`}</span>
    </span>
  );
}
