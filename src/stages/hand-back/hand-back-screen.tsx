"use client";

import { useState } from "react";
import type { FinalCheck } from "@/core/hand-back/final-check";
import type { Answer } from "@/core/job/answer";
import { finalKey } from "@/core/job/keys";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../saving/job-context";
import { CheckNow } from "./check-now";
import { ChecksList } from "./checks-list";
import { GoesHome } from "./goes-home";
import type { HandBackView } from "./hand-back-view";
import { OpenAgainPanel } from "./open-again";
import { OwnTestsList } from "./own-tests-list";
import { useTypedAnswers } from "./use-typed-answers";

/** Hand back: the last checks one by one, then the return sheet. */
export function HandBackScreen({
  handedBackAt,
  looseItems,
  answers,
  checks,
  instruments,
  cures,
  kind,
  ownTests,
  gates,
  home,
  customerName,
  suggestedLook,
  views,
  drafts,
}: Omit<HandBackView, "frame" | "pockets">) {
  const { number } = useJob();
  const typed = useTypedAnswers(drafts);
  const answerOf = (c: FinalCheck): Answer | undefined =>
    answers.find((a) => a.question === finalKey(c.check));
  const now = checks.find((c) => !answerOf(c));
  const [panel, setPanel] = useState<"no" | "own" | "again" | null>(null);
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_minmax(0,0.55fr)] gap-7">
      <section aria-label="Final check" className="flex min-h-0 flex-col gap-3">
        {panel === "own" && !handedBackAt ? (
          <OwnTestsList kind={kind} tests={ownTests} onClose={() => setPanel(null)} />
        ) : handedBackAt ? (
          <>
            <h2 className="text-[44px]">Handed back.</h2>
            <p className="text-[24px]">The return sheet stays here; print it again any time.</p>
            {panel === "again" ? (
              <OpenAgainPanel onClose={() => setPanel(null)} />
            ) : (
              <KeyButton keyName="A" className="self-start" onPress={() => setPanel("again")}>
                Open it again …
              </KeyButton>
            )}
          </>
        ) : now ? (
          <CheckNow
            check={now}
            place={`${checks.indexOf(now) + 1} of ${checks.length}`}
            proposed={instruments[now.check] ?? ""}
            looseItems={looseItems}
            home={home}
            cures={cures}
            typed={typed}
            failing={panel === "no"}
            onFailing={(failing) => setPanel(failing ? "no" : null)}
          />
        ) : (
          <GoesHome
            gates={gates}
            home={home}
            customerName={customerName}
            suggested={suggestedLook}
            views={views}
            lookDraft={drafts.look}
          />
        )}
        <div className="mt-auto flex shrink-0 gap-2">
          <KeyLink keyName="P" href={`/jobs/${number}/sheet`}>
            Return sheet
          </KeyLink>
          <KeyLink keyName="L" href={`/jobs/${number}/listen`}>
            Listen to it
          </KeyLink>
          <KeyLink keyName="M" href={`/jobs/${number}/messages`}>
            Tell the customer
          </KeyLink>
          {!handedBackAt && (
            <KeyButton
              keyName="O"
              pressed={panel === "own"}
              onPress={() => setPanel(panel === "own" ? null : "own")}
            >
              What it has to do …
            </KeyButton>
          )}
        </div>
      </section>
      <ChecksList checks={checks} answerOf={answerOf} now={now} closed={handedBackAt !== undefined} />
    </div>
  );
}
