import type { ReactNode } from "react";
import { STAGE_NAMES, STAGES, type Stage } from "@/core/job/stages";
import { capital } from "@/core/sentence";
import { KeyLink } from "@/ui/key-link";
import { PageTitle } from "@/ui/page-title";
import { StageRule } from "@/ui/stage-rule";
import { ThemeSwitch } from "@/ui/theme-switch";
import { Way } from "@/ui/way";
import { JobProvider } from "../saving/job-context";
import type { FrameView } from "./frame-view";
import { PictureQueueProvider } from "./picture-queue";
import { SkippedGates } from "./skipped-gates";

/**
 * The frame around every stage: tag and unit, stage rule, the work, and the Mat at the foot. Without `mat`
 * the children bring their own main and Mat.
 */
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
            <JobTag number={frame.number} standing={frame.standing} />
            <div className="grid min-w-0 flex-1 grid-cols-[minmax(0,max-content)_minmax(0,1fr)] items-baseline gap-4">
              <h1 className="truncate text-[27px]">{capital(frame.title)}</h1>
              <span className="hush truncate text-[19px]">{frame.words}</span>
            </div>
            <SkippedGates reasons={frame.skipped} />
            <OpenAgain number={frame.number} stages={frame.openBefore} />
            <div className="ml-auto flex shrink-0 gap-2.5">
              {head}
              <ThemeSwitch />
              <KeyLink keyName="Home" href="/">
                The board
              </KeyLink>
            </div>
          </header>
          <StageRule
            number={frame.number}
            stage={frame.stage}
            showing={showing}
            openGates={frame.openGates}
            openBefore={frame.openBefore}
            handedBack={frame.handedBack}
          />
          {mat === undefined ? children : <main className="work">{children}</main>}
          {mat}
        </div>
      </PictureQueueProvider>
    </JobProvider>
  );
}

/**
 * A stage that was passed and is open again, with what is missing there: said on every screen, before more
 * work is done.
 */
function OpenAgain({ number, stages }: { number: string; stages: FrameView["openBefore"] }) {
  const first = STAGES.find((s) => stages[s]);
  if (!first) return null;
  return (
    <Way
      href={`/jobs/${number}/${first}`}
      className="flex min-h-[48px] max-w-[340px] shrink-0 items-center border-2 border-error px-2 text-[17px] leading-tight font-semibold text-error"
    >
      <span className="line-clamp-2">
        {STAGE_NAMES[first]} is open again: {stages[first]}
      </span>
    </Way>
  );
}

/** The tag leads to how the job stands: it waits, it ends, it came back. */
const JobTag = ({ number, standing }: { number: string; standing: readonly string[] }) => (
  <>
    <KeyLink keyName="End" href={`/jobs/${number}/ending`} className="job-tag figures">
      {number}
    </KeyLink>
    {standing.length > 0 && (
      <span className="max-w-[260px] shrink-0 truncate border-2 border-error px-2 py-1 text-[18px] font-semibold text-error">
        {standing.join(" · ")}
      </span>
    )}
  </>
);
