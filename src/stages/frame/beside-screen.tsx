import type { ReactNode } from "react";
import { KeyLink } from "@/ui/key-link";
import type { FrameView } from "./frame-view";
import { JobScreen } from "./job-screen";

/** A screen of a job that belongs to no stage: one key leads back to where the job stands. */
export const BesideScreen = ({
  place,
  frame,
  children,
}: {
  place: string;
  frame: FrameView;
  children: ReactNode;
}) => (
  <JobScreen
    place={place}
    frame={frame}
    showing={frame.stage}
    head={
      <KeyLink keyName="Escape" className="small" href={`/jobs/${frame.number}/${frame.stage}`}>
        Back
      </KeyLink>
    }
    mat={null}
  >
    {children}
  </JobScreen>
);
