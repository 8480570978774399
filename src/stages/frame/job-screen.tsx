import type { ReactNode } from "react";
import { gatesOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import type { Stage } from "@/core/job/stages";
import { symptomSays } from "@/core/judge/failure-modes";
import { KeyLink } from "@/ui/key-link";
import { StageRule } from "@/ui/stage-rule";
import { ThemeSwitch } from "@/ui/theme-switch";
import { JobProvider } from "../saving/job-context";
import { PictureQueueProvider } from "./picture-queue";
import { SkippedGates } from "./skipped-gates";

/** The frame around every stage: tag and unit, stage rule, the work, and the Mat at the foot. Without `mat` the children bring their own main and Mat. */
export function JobScreen({
  job,
  showing,
  title,
  words,
  head,
  mat,
  children,
}: {
  job: Job;
  showing: Stage;
  title?: string;
  words?: string;
  head?: ReactNode;
  mat?: ReactNode;
  children: ReactNode;
}) {
  const unit = [[job.kind, `${job.maker} ${job.model}`.trim()].filter(Boolean).join(", ")].filter(Boolean).join("") || "New unit";
  return (
    <JobProvider number={job.number} version={job.version}>
      <PictureQueueProvider>
        <div className="job-frame">
          <header className="no-print flex h-[58px] items-center gap-4 px-5">
            <JobTag number={job.number} />
            <div className="grid min-w-0 flex-1 grid-cols-[minmax(0,max-content)_minmax(0,1fr)] items-baseline gap-4">
              <h1 className="truncate text-[27px]">{capital(title ?? unit)}</h1>
              <span className="hush truncate text-[19px]">{words ?? job.symptoms.map(symptomSays).join(" · ")}</span>
            </div>
            <SkippedGates answers={job.answers} />
            <div className="ml-auto flex shrink-0 gap-2.5">
              {head}
              <ThemeSwitch />
              <KeyLink keyName="Escape" href="/">
                The bench
              </KeyLink>
            </div>
          </header>
          <StageRule
            number={job.number}
            stage={job.stage}
            showing={showing}
            openGates={gatesOf(job, job.stage).length}
            handedBack={job.handedBackAt !== undefined}
          />
          {mat === undefined ? children : <main className="work">{children}</main>}
          {mat}
        </div>
      </PictureQueueProvider>
    </JobProvider>
  );
}

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const JobTag = ({ number }: { number: string }) => (
  <span
    className="figures flex h-[42px] shrink-0 items-center bg-accent pr-3 pl-7 text-[22px] text-accent-content"
    style={{ clipPath: "polygon(14px 0, 100% 0, 100% 100%, 14px 100%, 0 50%)" }}
  >
    <span className="mr-2 -ml-2 inline-block size-[9px] rounded-full bg-base-100" aria-hidden="true" />
    {number}
  </span>
);
