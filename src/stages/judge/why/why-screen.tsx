"use client";

import { useState } from "react";
import { howFar, type LikelyCause } from "@/core/judge/causes";
import { chainInWords } from "@/core/judge/chain";
import { LOOKS } from "@/core/judge/network/looks";
import { ROOTS } from "@/core/judge/roots";
import { KeyButton } from "@/ui/key-button";
import { letGo } from "@/ui/let-go";
import { percent } from "@/ui/odds";
import { Reason } from "@/ui/reasons";
import { useJob } from "../../saving/job-context";
import { SavedField } from "../../saving/saved-field";
import { saveCauses } from "../actions";
import { ChainDrawing } from "./chain-drawing";
import { NextLookPanel } from "./next-look-panel";
import type { WhyView } from "./why-view";

const HOW_LOOKS: Readonly<Record<LikelyCause["how"], string>> = {
  likely: "border-error",
  possible: "border-secondary",
  unlikely: "border-base-300",
};

/**
 * Why it failed: what began it with its odds, what led to what, what speaks for and against it, the next look
 * worth taking, how far the work must go; the technician's verdict above all.
 */
export function WhyScreen({ causes, here, next, toFail, kept, facts, greaseStates }: Omit<WhyView, "frame">) {
  const { run } = useJob();
  const [picked, setPicked] = useState<string>();
  const shown = causes.find((c) => c.cause === (picked ?? kept.chosen?.[0])) ?? causes[0];
  const chosen = kept.chosen ?? [];
  const far = howFar(causes, chosen, greaseStates);
  const choose = (cause: string): void => {
    const next = chosen.includes(cause) ? chosen.filter((c) => c !== cause) : [...chosen, cause];
    void run(saveCauses, { chosen: next });
  };
  const looked = Object.entries(kept.looked ?? {}).map(([sign, so]) => ({
    sign,
    so,
    asks: LOOKS.find((l) => l.sign === sign)?.asks ?? sign,
  }));
  const look = (sign: string, so?: boolean): void => {
    const { [sign]: _, ...rest } = kept.looked ?? {};
    void run(saveCauses, { looked: so === undefined ? rest : { ...rest, [sign]: so } });
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,3.6fr)_minmax(0,4.6fr)_minmax(0,3.8fr)] gap-5">
      <section aria-label="What may have begun it" className="flex min-h-0 flex-col gap-2">
        <h2 className="text-[24px]">What may have begun it</h2>
        <ol className="min-h-0 flex-1 overflow-y-auto pr-1">
          {causes.map((c) => (
            <li key={c.cause} className="pb-1.5">
              <button
                type="button"
                aria-pressed={c === shown}
                onClick={(e) => {
                  letGo(e);
                  setPicked(c.cause);
                }}
                className={`w-full border-l-8 px-3 py-1.5 text-left ${HOW_LOOKS[c.how]} ${c === shown ? "bg-primary text-primary-content" : "bg-base-200"}`}
              >
                <span className="block text-[21px] leading-tight font-semibold">
                  {chosen.includes(c.cause) && "✓ "}
                  {c.says}
                </span>
                <span className="text-[18px]">
                  {c.how}, <span className="figures">{percent(c.probability)}</span>;{" "}
                  {c.because.filter((b) => !b.against).length}{" "}
                  {c.because.filter((b) => !b.against).length === 1 ? "sign" : "signs"} for it
                  {c.because.some((b) => b.against)
                    ? `, ${c.because.filter((b) => b.against).length} against`
                    : ""}
                  {here[c.cause] && `; ${here[c.cause]?.n} of ${here[c.cause]?.m} of its kind here`}
                </span>
              </button>
            </li>
          ))}
        </ol>
        <label className="words">
          Another cause, that is not among these
          <select
            className="field"
            value=""
            onChange={(e) => {
              setPicked(e.target.value);
              choose(e.target.value);
            }}
          >
            <option value="">choose one</option>
            {ROOTS.filter((r) => !causes.some((c) => c.cause === r.cause)).map((r) => (
              <option key={r.cause} value={r.cause}>
                {r.says}
              </option>
            ))}
          </select>
        </label>
        {causes.length === 0 && (
          <p className="says">
            Nothing to go on yet: judge a part, or note the state of the old grease.{" "}
            {facts.length ? `Known so far: ${facts.join("; ")}.` : ""}
          </p>
        )}
      </section>
      <section aria-label="Why" className="flex min-h-0 flex-col gap-2">
        {shown && (
          <>
            <h2 className="text-[27px]">{shown.says}</h2>
            <div className="min-h-0 flex-1 overflow-y-auto pr-1">
              <p className="says pb-2 text-[20px]">If so: {chainInWords(shown.chain)}</p>
              <ChainDrawing chain={shown.chain} />
              <h3 className="pt-3 pb-1 text-[21px]">For and against</h3>
              <ul aria-label="What speaks for and against it">
                {shown.because.map((b) => (
                  <Reason
                    key={b.says + b.why}
                    speaks={b.against ? "against" : "for"}
                    about={b.says}
                    className="border-b-2 border-base-300 py-1.5 text-[20px]"
                  >
                    {b.why}
                  </Reason>
                ))}
              </ul>
            </div>
            <KeyButton
              keyName=" "
              look={chosen.includes(shown.cause) ? "plain" : "main"}
              pressed={chosen.includes(shown.cause)}
              onPress={() => choose(shown.cause)}
              className="justify-center"
            >
              {chosen.includes(shown.cause) ? "✓ This was it" : "This was it"}
            </KeyButton>
          </>
        )}
      </section>
      <section aria-label="The verdict" className="flex min-h-0 flex-col gap-2">
        {next && <NextLookPanel next={next} onAnswer={(so) => look(next.sign, so)} />}
        {looked.map(({ sign, so, asks }) => (
          <p key={sign} className="flex items-center justify-between gap-2 text-[18px]">
            <span>
              {asks} <b>{so ? "Yes." : "No."}</b>
            </span>
            <KeyButton className="small" onPress={() => look(sign)} label={`Strike this look: ${asks}`}>
              Strike
            </KeyButton>
          </p>
        ))}
        <h2 className="text-[24px]">Your verdict</h2>
        <SavedField
          label="In your own words; it stands above the rules"
          name="cause-words"
          value={kept.words ?? ""}
          rows={3}
          save={(words) => run(saveCauses, { words })}
        />
        <div className="min-h-0 flex-1 overflow-y-auto">
          <h2 className="text-[24px]">How far the work must go</h2>
          <ul aria-label="How far the work must go">
            {far.map((f, i) => (
              <li key={i} className="border-b-2 border-base-300 py-1.5 text-[20px]">
                <span className="block font-semibold first-letter:uppercase">{f.says}</span>
                <span className="hush text-[17px]">
                  {f.because
                    .map(
                      (b) =>
                        `${b.says.toLowerCase()}${b.probability === undefined ? "" : `, ${percent(b.probability)}`}`,
                    )
                    .join(" · ")}
                </span>
              </li>
            ))}
            {far.length === 0 && (
              <li className="hush text-[19px]">Choose a cause, or find more signs: then it is said here.</li>
            )}
          </ul>
          {toFail.length > 0 && <ToFail toFail={toFail} />}
        </div>
      </section>
    </div>
  );
}

/** What is likely bad as well, and what is sound so far and next. */
function ToFail({ toFail }: Pick<WhyView, "toFail">) {
  return (
    <>
      <h2 className="pt-3 text-[24px]">What goes next</h2>
      <ul aria-label="What goes next">
        {toFail.map((f) => (
          <li key={f.parts.join()} className="border-b-2 border-base-300 py-1.5 text-[20px]">
            <span className="block font-semibold first-letter:uppercase">
              {f.parts.join(" and ")}: {f.says},{" "}
              <span className="figures whitespace-nowrap">{percent(f.probability)}</span>
            </span>
            <span className="hush text-[17px]">
              {f.sound ? "sound so far" : "not looked at"}; {f.because}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
