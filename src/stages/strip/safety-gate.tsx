"use client";

import { ShieldAlert } from "lucide-react";
import { useState } from "react";
import { LIVE, REFERS } from "@/core/safety/gate";
import { SITS_INSIDE } from "@/core/safety/hazards";
import type { SafetyQuestion } from "@/core/safety/question";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { type FramedPicture, PictureFrame } from "@/ui/picture-frame";
import { useJob } from "../saving/job-context";
import { answerSafety } from "./actions";

/** What must be true before the first screw, one question at a time, one key each. */
export function SafetyGate({
  questions,
  answered,
  picture,
}: {
  questions: readonly SafetyQuestion[];
  answered: readonly string[];
  picture: FramedPicture | undefined;
}) {
  const { run, number } = useJob();
  const [reason, setReason] = useState<string | null>(null);
  const now = questions.find((q) => !answered.includes(q.gate));
  if (!now) return null;
  const yes = (): void => void run(answerSafety, { gate: now.gate });
  const skip = async (): Promise<void> => {
    const result = await run(answerSafety, { gate: now.gate, skipped: reason ?? "" });
    if (result.ok) setReason(null);
  };
  return (
    <section aria-label="Safety gate" className="grid h-full grid-cols-[1fr_340px] gap-8">
      <div className="flex max-w-[760px] flex-col gap-4">
        <p className="flex items-center gap-2 text-[22px] font-semibold text-error">
          <ShieldAlert size={28} aria-hidden="true" /> Before the first screw: {questions.indexOf(now) + 1} of{" "}
          {questions.length}
        </p>
        <h2 className="text-[44px]">{now.asks}</h2>
        <p className="says danger text-[22px]">{now.why}</p>
        {reason === null ? (
          <div className="flex flex-wrap gap-3">
            <KeyButton keyName=" " look="main" onPress={yes} className="min-w-[300px] justify-center">
              Yes, checked
            </KeyButton>
            <KeyButton keyName="K" look="warn" onPress={() => setReason("")}>
              Skip, with a reason
            </KeyButton>
            {SITS_INSIDE.includes(now.gate) && (
              <KeyButton keyName="N" onPress={() => void run(answerSafety, { gate: now.gate, notYet: true })}>
                Not yet: it sits inside
              </KeyButton>
            )}
            {REFERS.includes(now.gate) && (
              <KeyLink keyName="L" href={`/jobs/${number}/ending`}>
                No: to licensed hands
              </KeyLink>
            )}
          </div>
        ) : (
          <form
            className="flex flex-col gap-2"
            onSubmit={(e) => {
              e.preventDefault();
              void skip();
            }}
          >
            <label className="words" htmlFor="skip-reason">
              {LIVE.includes(now.gate)
                ? "Working live is an exception: why, and who stands by? It is asked again at every step, and stays in the shop."
                : "Why is it skipped? It stays visible on the job."}
            </label>
            <input
              id="skip-reason"
              className="field"
              value={reason}
              onChange={(e) => setReason(e.target.value)}
              ref={focusNow}
            />
            <div className="flex gap-3">
              <button type="submit" className="key-button warn">
                Skip it
              </button>
              <KeyButton keyName="X" onPress={() => setReason(null)}>
                Back
              </KeyButton>
            </div>
          </form>
        )}
      </div>
      <div className="flex min-h-0 flex-col gap-4">
        <ol className="flex flex-col gap-2">
          {questions.map((q) => (
            <li key={q.gate} className={`flex gap-3 text-[20px] ${q === now ? "font-bold" : "hush"}`}>
              <span aria-hidden="true">{answered.includes(q.gate) ? "✓" : q === now ? "▸" : "○"}</span>
              {q.asks}
            </li>
          ))}
        </ol>
        {picture && <PictureFrame picture={picture} words="as it came in" className="flex-1" />}
      </div>
    </section>
  );
}
