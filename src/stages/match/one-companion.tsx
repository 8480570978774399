"use client";

import { useState } from "react";
import { type Companion, companionKey, companionSays } from "@/core/job/goes-in";
import { gotInWords, SOURCES, type Source } from "@/core/job/got";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { useFieldFault } from "../saving/use-field-fault";
import { sayGoesIn, takeCompanionGot } from "./actions";
import type { Typing } from "./typing";

/** One companion: where it comes from, or that it does not go in. */
export function OneCompanion({
  part,
  companion: c,
  ordered,
  currency,
  typed,
  put,
  clear,
}: { part: string; companion: Companion; ordered: boolean; currency: string } & Typing) {
  const { run } = useJob();
  const fault = useFieldFault();
  const key = companionKey(c);
  const [saying, setSaying] = useState(typed.at === key);
  const from = typed.at === key ? typed.from : undefined;
  const source = SOURCES.find((s) => s.from === from);
  const settled = c.got
    ? `✓ ${gotInWords(c.got)}`
    : c.without
      ? `✕ does not go in: ${c.without}`
      : ordered
        ? "✓ comes with the order"
        : null;
  const choose = (says: Source | "without"): void => {
    put("at", key);
    put("from", says);
  };
  const take = async (): Promise<void> => {
    const says = typed.why ?? "";
    const result = source
      ? await run(takeCompanionGot, {
          part,
          companion: key,
          got: { from: source.from, says, number: c.number, price: typed.price ?? "", differs: "" },
        })
      : await run(sayGoesIn, { part, said: { what: "without", companion: key, why: says } });
    if (!fault.took(result)) return;
    clear();
    setSaying(false);
  };
  return (
    <li className="border-b-2 border-base-300 pb-2">
      <div className="flex items-center gap-3">
        <div className="min-w-0 flex-1">
          <p className="text-[21px] font-semibold">{companionSays(c)}</p>
          {c.why && <p className="text-[18px] leading-tight">{c.why}</p>}
          <p
            className={`text-[18px] ${settled ? (c.without ? "" : "text-success") : "font-semibold text-error"}`}
          >
            {settled ?? "○ not in hand"}
          </p>
        </div>
        {settled && !ordered ? (
          <KeyButton
            className="small"
            label={`Open again: ${companionSays(c)}`}
            onPress={() => void run(sayGoesIn, { part, said: { what: "open", companion: key } })}
          >
            Open again
          </KeyButton>
        ) : (
          !ordered && (
            <KeyButton
              className="small"
              pressed={saying}
              label={`Got it from: ${companionSays(c)}`}
              onPress={() => setSaying(!saying)}
            >
              Got it from
            </KeyButton>
          )
        )}
        {!settled && !c.number && (
          <KeyButton
            className="small"
            label={`Strike: ${companionSays(c)}`}
            onPress={() => void run(sayGoesIn, { part, said: { what: "open", companion: key } })}
          >
            Strike
          </KeyButton>
        )}
      </div>
      {!c.without && (
        <SavedField
          label="In place of what, in the unit"
          name={`goes-in.replaces.${part}.${key}`}
          value={c.replaces ?? ""}
          hint={c.replaces === "" ? "of nothing: it comes besides" : "motor; or press: besides"}
          save={(old) => run(sayGoesIn, { part, said: { what: "replaces", companion: key, old } })}
        />
      )}
      {!c.without && c.replaces === undefined && (
        <KeyButton
          className="small mt-1"
          label={`Besides, in place of nothing: ${companionSays(c)}`}
          onPress={() => void run(sayGoesIn, { part, said: { what: "replaces", companion: key, old: "" } })}
        >
          Besides, in place of nothing
        </KeyButton>
      )}
      {saying && !settled && (
        <div className="flex flex-col gap-2 pt-2">
          <div className="grid grid-cols-3 gap-1.5">
            {SOURCES.map((s) => (
              <SmallChoice key={s.from} pressed={from === s.from} onPress={() => choose(s.from)}>
                {s.says}
              </SmallChoice>
            ))}
            <SmallChoice pressed={from === "without"} onPress={() => choose("without")}>
              does not go in
            </SmallChoice>
          </div>
          {from && (
            <>
              <div className="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-2">
                <label className="words">
                  {source?.asks ?? "Because"}
                  <input
                    className="field"
                    value={typed.why ?? ""}
                    onChange={(e) => put("why", e.target.value)}
                    onKeyDown={(e) => e.key === "Enter" && void take()}
                  />
                </label>
                {source && (
                  <label className="words">
                    Price, {currency}
                    <input
                      className="field figure"
                      inputMode="decimal"
                      value={typed.price ?? ""}
                      aria-invalid={fault.at("price") ? true : undefined}
                      onChange={(e) => put("price", e.target.value)}
                      onKeyDown={(e) => e.key === "Enter" && void take()}
                    />
                  </label>
                )}
              </div>
              <FaultLine says={fault.at("price") ?? fault.elsewhere("price")} />
              <KeyButton look="main" className="justify-center" onPress={() => void take()}>
                {source ? "That is where it comes from" : "It does not go in"}
              </KeyButton>
            </>
          )}
        </div>
      )}
    </li>
  );
}
