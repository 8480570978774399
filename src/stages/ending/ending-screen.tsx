"use client";

import { useRouter } from "next/navigation";
import { ENDINGS, type EndingHow, endingNamed } from "@/core/job/ending";
import { STAGE_NAMES } from "@/core/job/stages";
import { money } from "@/core/quantity/money";
import { sentence } from "@/core/sentence";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { comesBackFrom } from "../frame/came-back-action";
import type { ActionResult } from "../saving/act";
import { useJob } from "../saving/job-context";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { endJob, takeUpAgain, waitFor, waitNoMore } from "./actions";
import type { EndingView } from "./ending-view";

/**
 * What becomes of a job when it does not simply go on: it waits, it came back, or it ends without its repair.
 */
export function EndingScreen({
  job,
  stripped,
  earlier,
  currency,
  ifDeclined,
  draft,
}: Omit<EndingView, "frame">) {
  const { run, number } = useJob();
  const router = useRouter();
  const [typed, setTyped] = useDraft("ending", draft, typedFields, {});
  const fault = useFieldFault();
  const put = (field: string) => (e: { target: { value: string } }) =>
    setTyped((now) => ({ ...now, [field]: e.target.value }));
  const text = (field: string): string => typed[field] ?? "";
  const how = ENDINGS.find((e) => e.how === typed.how)?.how;
  const after = (result: ActionResult, ...clear: readonly string[]): boolean => {
    const taken = fault.took(result);
    if (taken) setTyped((now) => Object.fromEntries(Object.entries(now).filter(([k]) => !clear.includes(k))));
    return taken;
  };
  const pickHow = (next: EndingHow): void => {
    const due = next === "as-it-was" || next === "in-pieces" ? String(ifDeclined) : "";
    setTyped((now) => ({ ...now, how: next, amount: due }));
  };
  const end = async (): Promise<void> => {
    if (!how) return;
    const result = await run(endJob, { how, why: text("why"), amount: text("amount") });
    if (after(result, "how", "why", "amount")) router.push(`/jobs/${number}`);
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,4fr)_minmax(0,5fr)_minmax(0,3.4fr)] gap-6">
      <section aria-label="It waits" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
        <KeyLink keyName="M" href={`/jobs/${number}/messages`} className="self-start">
          Tell the customer
        </KeyLink>
        <h2 className="text-[26px]">It waits</h2>
        {job.waiting ? (
          <>
            <p className="says measured text-[21px]">
              For <b>{job.waiting.what}</b>, since {dayAs(job.waiting.since, "d MMM")}.
              {job.waiting.until && ` It is looked at again on ${dayAs(job.waiting.until, "EEE d MMM")}.`}
            </p>
            <p className="says">
              Weeks later: grease that lay open is wiped off and put on anew, and what rusts is looked at
              again.
            </p>
            <KeyButton keyName="W" onPress={() => void run(waitNoMore)}>
              It waits no more
            </KeyButton>
          </>
        ) : (
          <>
            <label className="words">
              For what
              <input
                className="field"
                value={text("what")}
                onChange={put("what")}
                placeholder="a pinion, three weeks"
              />
              <FaultLine says={fault.at("what")} />
            </label>
            <label className="words">
              Looked at again on
              <input className="field" type="date" value={text("until")} onChange={put("until")} />
              <FaultLine says={fault.at("until")} />
            </label>
            <KeyButton
              keyName="W"
              disabled={!text("what").trim() || !!job.handedBackAt}
              onPress={() =>
                void run(waitFor, { what: text("what"), until: text("until") }).then((r) =>
                  after(r, "what", "until"),
                )
              }
            >
              It waits for that
            </KeyButton>
          </>
        )}
      </section>
      <section
        aria-label="It ends without its repair"
        className="flex min-h-0 flex-col gap-3 overflow-y-auto"
      >
        <h2 className="text-[26px]">It ends without its repair</h2>
        {job.ending ? (
          <>
            <p className="says danger text-[21px]">
              <b>{endingNamed(job.ending.how).tells}</b> {sentence(job.ending.why)}
              {job.ending.amount !== undefined &&
                ` ${money(job.ending.amount, currency)} ${job.ending.how === "bought-out" ? "is paid to the customer" : "is due"}.`}
            </p>
            <p className="text-[20px]">
              {job.handedBackAt
                ? "It went home."
                : `It stands at ${STAGE_NAMES[job.stage]}: ${job.stage === "rebuild" ? "put it back together as it was" : "answer what is left to check"}.`}
            </p>
            <KeyButton keyName="U" disabled={!!job.handedBackAt} onPress={() => void run(takeUpAgain)}>
              Take it up again
            </KeyButton>
          </>
        ) : (
          <>
            <div className="grid grid-cols-2 gap-2">
              {ENDINGS.map((e, i) => (
                <KeyButton
                  key={e.how}
                  keyName={String(i + 1)}
                  pressed={e.how === how}
                  disabled={!!job.handedBackAt}
                  onPress={() => pickHow(e.how)}
                >
                  {e.says}
                </KeyButton>
              ))}
            </div>
            {how && (
              <>
                <p className="says">
                  {endingNamed(how).tells}{" "}
                  {endingNamed(how).together && stripped
                    ? "It is rebuilt without new parts, and the ledger closes as always."
                    : ""}
                  {how === "scrapped" && !job.disposeConsent
                    ? "The customer has not agreed that it may go: ask first."
                    : ""}
                </p>
                <label className="words">
                  Why
                  <input
                    className="field"
                    value={text("why")}
                    onChange={put("why")}
                    placeholder="costs more than a new one"
                  />
                  <FaultLine says={fault.at("why")} />
                </label>
                <label className="words">
                  {how === "bought-out" ? "What the customer is paid" : "What the customer pays"}, {currency}
                  <input
                    className="field figure"
                    inputMode="decimal"
                    value={text("amount")}
                    onChange={put("amount")}
                  />
                  <FaultLine says={fault.at("amount") ?? fault.at("how")} />
                </label>
                <KeyButton
                  keyName=" "
                  look="warn"
                  className="justify-center"
                  disabled={!text("why").trim()}
                  onPress={() => void end()}
                >
                  End it so: {endingNamed(how).says.toLowerCase()}
                </KeyButton>
              </>
            )}
          </>
        )}
      </section>
      <section aria-label="It came back" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
        <h2 className="text-[26px]">It came back</h2>
        {job.warrantyOf ? (
          <>
            <p className="says measured text-[21px]">
              Within its warranty: the first job was {job.warrantyOf}. What is done again is not charged for
              its work.
            </p>
            <KeyButton onPress={() => void run(comesBackFrom, { of: null })}>
              It is a job of its own
            </KeyButton>
          </>
        ) : (
          <>
            {earlier.length === 0 && (
              <p className="says">
                No earlier job of this unit is known, by its serial number or by its model and customer.
              </p>
            )}
            {earlier.map((e) => (
              <KeyButton
                key={e.number}
                onPress={() => void run(comesBackFrom, { of: e.number }).then((r) => after(r, "of"))}
              >
                {e.number}, handed back {e.handedBackAt && dayAs(e.handedBackAt, "d MMM yyyy")}
              </KeyButton>
            ))}
            <label className="words">
              Number of the first job
              <input
                className="field figure"
                value={text("of")}
                onChange={put("of")}
                placeholder="J-0123"
                onKeyDown={(e) =>
                  e.key === "Enter" &&
                  void run(comesBackFrom, { of: text("of").trim().toUpperCase() }).then((r) => after(r, "of"))
                }
              />
              <FaultLine says={fault.at("of")} />
            </label>
          </>
        )}
      </section>
    </div>
  );
}
