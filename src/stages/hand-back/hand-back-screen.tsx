"use client";

import { useState } from "react";
import { z } from "zod";
import { type FinalCheck, limitInWords } from "@/core/hand-back/final-checks";
import type { Answer } from "@/core/job/answer";
import { finalKey } from "@/core/job/keys";
import { dayAs } from "@/ui/day";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../saving/job-context";
import { typedText, useDraft } from "../saving/use-draft";
import { answerCheck } from "./actions";
import { CheckFailed } from "./check-failed";
import { GoesHome } from "./goes-home";
import type { HandBackView } from "./hand-back-view";
import { LooseItems } from "./loose-items";
import { NotYet } from "./not-yet";
import { OpenAgainPanel } from "./open-again";
import { OwnTestsList } from "./own-tests-list";
import { PlateCurrent } from "./plate-current";

const LOOSE = "loose-items";
const tickedNames = z.array(z.string());
const NOTHING_TICKED: string[] = [];
const isLeftOut = (a: Answer): boolean => a.answer === "left out";
/** null: as it is proposed */
const typedOver = z.string().nullable();

/** What is chosen of several answers: the first, which was agreed, until another is pressed. */
const choiceOf = ({ choices }: FinalCheck, chosen: string | null): string | undefined => (choices?.find((c) => c.answer === chosen) ?? choices?.[0])?.answer;

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
  draft,
  instrumentDraft,
  noteDraft,
  lookDraft,
  tickedDraft,
  plateDraft,
}: Omit<HandBackView, "frame" | "pockets">) {
  const { run, number, say } = useJob();
  const answerOf = (c: FinalCheck): Answer | undefined => answers.find((a) => a.question === finalKey(c.check));
  const now = checks.find((c) => !answerOf(c));
  const [figure, setFigure] = useDraft("hand-back.figure", draft, typedText, "");
  const [note, setNote] = useDraft("hand-back.note", noteDraft, typedText, "");
  const [typedInstrument, setInstrument] = useDraft("hand-back.instrument", instrumentDraft, typedOver, null);
  const instrument = typedInstrument ?? (now ? instruments[now.check] : undefined) ?? "";
  const [chosen, setChosen] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [panel, setPanel] = useState<"no" | "own" | "again" | null>(null);
  const [ticked, setTicked] = useDraft("hand-back.ticked", tickedDraft, tickedNames, NOTHING_TICKED);
  const missing = looseItems.map((i) => i.name).filter((n) => !ticked.includes(n));
  const yes = async (): Promise<void> => {
    if (!now) return;
    if (now.check === LOOSE && missing.length) return setFault(`Not ticked yet: ${missing.join(", ")}.`);
    const value = now.unit ? Number(figure.replace(",", ".")) : undefined;
    if (now.unit && (figure.trim() === "" || !Number.isFinite(value))) return setFault(`Give the figure in ${now.unit}.`);
    const result = await run(answerCheck, {
      check: now.check,
      ...(value === undefined ? {} : { value }),
      ...(now.instrument && typedInstrument !== null ? { instrument: typedInstrument } : {}),
      ...(now.choices ? { choice: choiceOf(now, chosen) } : {}),
      ...(now.may && note.trim() ? { note } : now.check === LOOSE && ticked.length ? { note: `ticked: ${ticked.join(", ")}`.slice(0, 200) } : {}),
    });
    setFault(result.ok ? null : result.says);
    if (result.ok) {
      setFigure("");
      setNote("");
      setInstrument(null);
    } else say(null);
  };
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
          <div className="flex min-h-0 shrink flex-col gap-3 overflow-y-auto p-1">
            <p className="hush text-[20px] leading-none">
              final check {checks.indexOf(now) + 1} of {checks.length}
            </p>
            <h2 className="text-[36px] leading-[1.1]">{now.asks}</h2>
            <p className={`says text-[22px] ${panel === "no" ? "hidden" : ""}`}>
              {now.why}
              {now.source && (now.min !== undefined || now.max !== undefined) && ` Limit: ${limitInWords(now)}.`}
            </p>
            {now.caution && <p className="says danger text-[22px] font-semibold">{now.caution}</p>}
            {now.listenFor && <p className="says measured text-[22px]">{now.listenFor}</p>}
            {now.runs && cures[0] && <NotYet cure={cures[0]} />}
            {now.unit && (
              <label className="words max-w-[320px]">
                Figure, {now.unit}
                <input
                  className="field figure"
                  inputMode="decimal"
                  value={figure}
                  aria-invalid={fault ? true : undefined}
                  onChange={(e) => setFigure(e.target.value)}
                  onKeyDown={(e) => e.key === "Enter" && void yes()}
                />
              </label>
            )}
            {now.choices && (
              <fieldset className="flex flex-wrap gap-2">
                <legend className="sr-only">{now.asks}</legend>
                {now.choices.map((c) => (
                  <KeyButton key={c.answer} pressed={c.answer === choiceOf(now, chosen)} onPress={() => setChosen(c.answer)}>
                    {c.answer === choiceOf(now, chosen) ? "✓ " : ""}
                    {c.says}
                  </KeyButton>
                ))}
              </fieldset>
            )}
            {now.check === LOOSE && looseItems.length > 0 && <LooseItems items={looseItems} ticked={ticked} onTick={setTicked} />}
            {now.check === "current" && !now.unit && <PlateCurrent draft={plateDraft} />}
            {now.may && (
              <label className="words max-w-[620px]">
                {now.may}
                <input className="field" value={note} maxLength={200} onChange={(e) => setNote(e.target.value)} />
              </label>
            )}
            {now.instrument && (
              <label className="words max-w-[620px]">
                {now.instrument}: which one
                <input className="field" value={instrument} maxLength={120} onChange={(e) => setInstrument(e.target.value)} />
              </label>
            )}
            {fault && (
              <p role="alert" className="text-[22px] font-semibold text-error">
                {fault}
              </p>
            )}
            {panel === "no" && <CheckFailed key={now.check} check={now.check} mayBeLeft={!now.never} onClose={() => setPanel(null)} />}
          </div>
        ) : (
          <GoesHome gates={gates} home={home} customerName={customerName} suggested={suggestedLook} views={views} lookDraft={lookDraft} />
        )}
        {now && !handedBackAt && panel === null && (
          <div className="grid max-w-[640px] shrink-0 grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] gap-2">
            <KeyButton keyName=" " look="main" onPress={() => void yes()} disabled={now.runs && cures.length > 0} className="justify-center">
              {now.unit ? "Enter the figure" : "Yes, checked"}
            </KeyButton>
            <KeyButton keyName="R" look="warn" className="justify-center" onPress={() => setPanel("no")}>
              No
            </KeyButton>
          </div>
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
            <KeyButton keyName="O" pressed={panel === "own"} onPress={() => setPanel(panel === "own" ? null : "own")}>
              What it has to do …
            </KeyButton>
          )}
        </div>
      </section>
      <ol aria-label="Final checks" className="overflow-y-auto">
        {checks.map((c) => {
          const a = answerOf(c);
          return (
            <li key={c.check} className="flex min-h-[54px] items-center gap-3 border-b-2 border-base-300 text-[20px] leading-tight">
              <span aria-hidden="true" className={`w-6 text-[24px] ${a ? (isLeftOut(a) ? "text-error" : "text-success") : ""}`}>
                {a ? (isLeftOut(a) ? "–" : "✓") : c === now ? "▸" : "○"}
              </span>
              <span className="flex-1">
                {c.asks}
                {a?.value !== undefined && (
                  <b className="figures block text-[20px]">
                    {a.value} {a.unit}
                  </b>
                )}
                {a && (
                  <span className="hush block text-[17px]">
                    {isLeftOut(a) && "left out, "}
                    {[c.choices?.find((x) => x.answer === a.answer)?.says, dayAs(a.at, "HH:mm"), a.note, a.instrument].filter(Boolean).join(" · ")}
                  </span>
                )}
              </span>
              {a && !handedBackAt && (
                <button
                  type="button"
                  className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                  aria-label={`Open again: ${c.asks}`}
                  onClick={() => void run(answerCheck, { check: c.check, back: true })}
                >
                  ×
                </button>
              )}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
