"use client";

import { useState } from "react";
import { type Companion, companionKey, companionSays, type GoesIn, type StaysOut } from "@/core/job/goes-in";
import { gotInWords, SOURCES, type Source } from "@/core/job/got";
import type { LedgerPiece } from "@/core/order/hardware-ledger";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { sayGoesIn, takeCompanionGot } from "./actions";
import type { CameOut } from "./match-view";

/** What goes in beside a new part, where it is made up otherwise than the old one: its companions and where each comes from, how it faces and lies, and what stays out because of it. */
export function GoesInWith({
  part,
  name,
  goesIn,
  ordered,
  cameOut,
  currency,
  draft,
}: {
  part: string;
  name: string;
  goesIn: GoesIn;
  ordered: readonly string[];
  cameOut: readonly CameOut[];
  currency: string;
  draft: unknown;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useDraft(`match.with.${part}`, draft, typedFields, {});
  const put = (field: string, text: string): void => setTyped((now) => ({ ...now, [field]: text }));
  const also = async (): Promise<void> => {
    if (fault.took(await run(sayGoesIn, { part, said: { what: "also", says: typed.says ?? "" } }))) put("says", "");
  };
  return (
    <section aria-label="What goes in with it" className="flex min-h-0 flex-col gap-3 overflow-y-auto pr-1">
      <h2 className="text-[28px]">With the new {name}</h2>
      {goesIn.with.length > 0 && (
        <ul className="flex flex-col gap-1">
          {goesIn.with.map((c) => (
            <OneCompanion
              key={companionKey(c)}
              part={part}
              companion={c}
              ordered={c.number !== "" && ordered.includes(c.number)}
              currency={currency}
              typed={typed}
              put={put}
              clear={() => setTyped({})}
            />
          ))}
        </ul>
      )}
      <div>
        <label className="words">
          Something more goes in with it
          <input
            className="field"
            value={typed.says ?? ""}
            placeholder="2 x washer 8 mm"
            aria-invalid={fault.at("says") ? true : undefined}
            onChange={(e) => put("says", e.target.value)}
            onKeyDown={(e) => e.key === "Enter" && void also()}
          />
        </label>
        <FaultLine says={fault.at("says")} />
        {typed.says && (
          <KeyButton className="small mt-1" onPress={() => void also()}>
            Add it
          </KeyButton>
        )}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SavedField
          label="It faces"
          name={`goes-in.facing.${part}`}
          value={goesIn.facing ?? ""}
          hint="empty: as the old one"
          save={(says) => run(sayGoesIn, { part, said: { what: "facing", says } })}
        />
        <SavedField
          label="It lies so, the lowest first"
          name={`goes-in.stack.${part}`}
          value={goesIn.stack.join("; ")}
          hint="shim; wheel; washer. Empty: as the old one"
          save={(says) => run(sayGoesIn, { part, said: { what: "stack", says } })}
        />
      </div>
      <StaysOutList part={part} name={name} goesIn={goesIn} cameOut={cameOut} typed={typed} put={put} clear={() => setTyped({})} />
    </section>
  );
}

interface Typing {
  readonly typed: Readonly<Record<string, string>>;
  readonly put: (field: string, text: string) => void;
  readonly clear: () => void;
}

/** One companion: where it comes from, or that it does not go in. */
function OneCompanion({
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
  const settled = c.got ? `✓ ${gotInWords(c.got)}` : c.without ? `✕ does not go in: ${c.without}` : ordered ? "✓ comes with the order" : null;
  const choose = (says: Source | "without"): void => {
    put("at", key);
    put("from", says);
  };
  const take = async (): Promise<void> => {
    const says = typed.why ?? "";
    const result = source
      ? await run(takeCompanionGot, { part, companion: key, got: { from: source.from, says, number: c.number, price: typed.price ?? "", differs: "" } })
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
          <p className={`text-[18px] ${settled ? (c.without ? "" : "text-success") : "font-semibold text-error"}`}>{settled ?? "○ not in hand"}</p>
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
            <KeyButton className="small" pressed={saying} label={`Got it from: ${companionSays(c)}`} onPress={() => setSaying(!saying)}>
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

const pieceKey = (p: LedgerPiece): string => ("part" in p ? `part ${p.part}` : `hardware ${p.hardware}`);
const bare = (p: StaysOut): LedgerPiece => ("part" in p ? { part: p.part } : { hardware: p.hardware });

/** What came out and stays out, because the new one does without it. */
function StaysOutList({
  part,
  name,
  goesIn,
  cameOut,
  typed,
  put,
  clear,
}: { part: string; name: string; goesIn: GoesIn; cameOut: readonly CameOut[] } & Typing) {
  const { run } = useJob();
  const fault = useFieldFault();
  const out = new Set(goesIn.staysOut.map((p) => pieceKey(bare(p))));
  const chosen = cameOut.find((c) => pieceKey(c.piece) === typed.piece);
  const why = typed.outWhy ?? (goesIn.leavesOut.length ? `the new ${name} does without it` : "");
  const take = async (): Promise<void> => {
    if (!chosen) return;
    if (fault.took(await run(sayGoesIn, { part, said: { what: "stays-out", piece: { ...chosen.piece, why } } }))) clear();
  };
  return (
    <div className="flex flex-col gap-1">
      {goesIn.leavesOut.map((l) => (
        <p key={l} className="says text-[19px]">
          It does without: {l}
        </p>
      ))}
      {goesIn.staysOut.map((p) => {
        const says = cameOut.find((c) => pieceKey(c.piece) === pieceKey(bare(p)))?.says ?? "a piece that is not there any more";
        return (
          <div key={pieceKey(bare(p))} className="flex items-center gap-3 border-b-2 border-base-300 py-1">
            <p className="flex-1 text-[19px]">
              <b>Stays out</b>, {says}: {p.why}
            </p>
            <KeyButton
              className="small"
              label={`Goes back after all: ${says}`}
              onPress={() => void run(sayGoesIn, { part, said: { what: "goes-back", piece: bare(p) } })}
            >
              Goes back
            </KeyButton>
          </div>
        );
      })}
      <label className="words">
        A piece that came out and stays out
        <select className="field" value={typed.piece ?? ""} onChange={(e) => put("piece", e.target.value)}>
          <option value="">none</option>
          {cameOut
            .filter((c) => !out.has(pieceKey(c.piece)) && pieceKey(c.piece) !== `part ${part}`)
            .map((c) => (
              <option key={pieceKey(c.piece)} value={pieceKey(c.piece)}>
                {c.says}
              </option>
            ))}
        </select>
      </label>
      {chosen && (
        <div className="flex items-end gap-2">
          <label className="words flex-1">
            Because
            <input className="field" value={why} onChange={(e) => put("outWhy", e.target.value)} onKeyDown={(e) => e.key === "Enter" && void take()} />
          </label>
          <KeyButton className="small" onPress={() => void take()}>
            It stays out
          </KeyButton>
        </div>
      )}
      <FaultLine says={fault.elsewhere()} />
    </div>
  );
}
