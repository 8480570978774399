import type { ReactNode } from "react";
import type { Stage } from "@/core/job/stages";
import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";
import { StageRule } from "@/ui/stage-rule";
import { ThemeSwitch } from "@/ui/theme-switch";
import { JobProvider } from "../saving/job-context";
import type { FrameView } from "./frame-view";
import { PictureQueueProvider } from "./picture-queue";
import { SkippedGates } from "./skipped-gates";

/** The frame around every stage: tag and unit, stage rule, the work, and the Mat at the foot. Without `mat` the children bring their own main and Mat. */
export function JobScreen({
  frame,
  showing,
  place,
  head,
  mat,
  children,
}: {
  frame: FrameView;
  showing: Stage;
  /** what the page is called in the browser */
  place: string;
  head?: ReactNode;
  mat?: ReactNode;
  children: ReactNode;
}) {
  return (
    <JobProvider number={frame.number} version={frame.version}>
      <PictureQueueProvider>
        <PageTitle says={`${frame.number} · ${place}`} />
        <div className="job-frame">
          <header className="no-print flex h-[58px] items-center gap-4 px-5">
            <JobTag number={frame.number} />
            <div className="grid min-w-0 flex-1 grid-cols-[minmax(0,max-content)_minmax(0,1fr)] items-baseline gap-4">
              <h1 className="truncate text-[27px]">{capital(frame.title)}</h1>
              <span className="hush truncate text-[19px]">{frame.words}</span>
            </div>
            <SkippedGates reasons={frame.skipped} />
            <div className="ml-auto flex shrink-0 gap-2.5">
              {head}
              <ThemeSwitch />
              <KeyLink keyName="Home" href="/">
                The board
              </KeyLink>
            </div>
          </header>
          <StageRule number={frame.number} stage={frame.stage} showing={showing} openGates={frame.openGates} handedBack={frame.handedBack} />
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
