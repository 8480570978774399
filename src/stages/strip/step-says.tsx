"use client";

import type { ReactNode } from "react";
import type { LookAlike } from "@/core/hardware/look-alikes";
import type { HardwareFacts } from "@/core/hardware/piece";
import { pieceName } from "@/core/recorder/open-step";
import { cautionsFor } from "@/core/safety/cautions";
import type { SafetyQuestion } from "@/core/safety/question";
import { sentence } from "@/core/sentence";
import type { Pocket } from "@/ui/pocket";
import { useJob } from "../saving/job-context";
import { answerSafety } from "./actions";
import type { RefusedStep } from "./use-laying";
import type { Recording } from "./use-open-step";

/** An exception from working dead: what was not shut off, and why. */
export interface LiveWork {
  readonly gate: string;
  readonly why: string;
}

/** What can hurt at the open step: it stands under the picture, whole, whatever else there is to say. */
export function StepCautions({
  recording: { open, read },
  known,
}: {
  recording: Recording;
  /** what this shop said parts are, by their names in small letters */
  known: Readonly<Record<string, string>>;
}) {
  const cautions = cautionsFor(
    {
      id: "now",
      action: read.action,
      title: open.what,
      hardware: read.hardware.map((h, i) => ({ id: String(i), ...h })),
      ...read.facts,
    },
    // what this shop said a part is counts here as it will once the step lies
    read.names.map((name) => ({
      name,
      kind: open.partFacts?.[name]?.kind ?? known[name.trim().toLowerCase()],
    })),
    "off",
  );
  return cautions.length ? (
    <div
      role="note"
      aria-label="What can hurt"
      className="flex max-h-[45%] shrink-0 flex-col gap-1 overflow-y-auto pt-1.5"
    >
      {cautions.map((c) => (
        <p key={c} className="says !py-1">
          {c}
        </p>
      ))}
    </div>
  ) : null;
}

/**
 * What there is to say of the open step: what came back from the shop, what was understood,
 * what it is mistaken for, what it needs, and the tools so far.
 */
export function StepSays({
  n,
  recording: { open, read, empty },
  pockets,
  alike,
  noPlace,
  tools,
  live,
  later,
  refused,
  lookAgain,
  onPickUp,
  onLeave,
  children,
}: {
  n: number;
  recording: Recording;
  pockets: readonly Pocket[];
  alike: readonly LookAlike[];
  noPlace: string | null;
  tools: readonly string[];
  live: readonly LiveWork[];
  later: readonly SafetyQuestion[];
  refused: readonly RefusedStep[];
  /** what Space stopped for once */
  lookAgain: string;
  onPickUp: (step: RefusedStep) => void;
  onLeave: () => void;
  /** what was understood: it stands above what the pieces are mistaken for */
  children: ReactNode;
}) {
  const { run } = useJob();
  return (
    <>
      {lookAgain && (
        <p className="says danger" role="alert">
          <b>Look once more at what is red.</b> Space again lays it down as the chips say.{" "}
          <span className="sr-only">{lookAgain}</span>
        </p>
      )}
      {live.map((l) => (
        <p key={l.gate} className="says danger" role="alert">
          <b>
            Working live at step {n}: {l.why}.
          </b>{" "}
          Is it still needed?{" "}
          <button
            type="button"
            className="min-h-[48px] font-bold underline"
            onClick={() => void run(answerSafety, { gate: l.gate })}
          >
            No: it is shut off now
          </button>
        </p>
      ))}
      {later.map((q) => (
        <p key={q.gate} className="says danger">
          <b>Still to be answered: {q.asks}</b> {q.why}{" "}
          <button
            type="button"
            className="min-h-[48px] font-bold underline"
            onClick={() => void run(answerSafety, { gate: q.gate })}
          >
            Yes, now it is
          </button>
        </p>
      ))}
      {refused.map((r) => (
        <p key={r.open.key} className="says danger" role="alert">
          <b>Not laid down: {brief(r.open.what) || "a step without a name"}.</b> {sentence(r.says)}{" "}
          <button type="button" className="min-h-[48px] font-bold underline" onClick={() => onPickUp(r)}>
            Pick it up again
          </button>
        </p>
      ))}
      {open.editing !== null && (
        <p className="says measured">
          Step {n} is being edited: what is changed here replaces what lies on the Mat.{" "}
          <button type="button" className="min-h-[48px] font-bold underline" onClick={onLeave}>
            Leave it as it was
          </button>
        </p>
      )}
      {children}
      {noPlace && <p className="says danger">{noPlace}.</p>}
      {open.said && (
        <p className="hush shrink-0 text-[18px]">
          As typed: <q className="figure">{open.said}</q>
        </p>
      )}
      {alike.map((a) => (
        <LookAlikeSays key={a.piece} alike={a} piece={read.hardware[a.piece]} />
      ))}
      {open.needs !== null && open.editing === null && (
        <p className="says measured">
          Order does not matter here: it needs{" "}
          {open.needs.length
            ? `only ${open.needs.map((s) => `step ${pockets.findIndex((p) => p.step === s) + 1}`).join(", ")}`
            : "nothing"}
          . Press a pocket on the Mat to name one.
        </p>
      )}
      {empty && tools.length > 0 && (
        <p className="says">
          <b>Tools so far:</b> {tools.join(", ")}
        </p>
      )}
    </>
  );
}

const LONGEST = 60;
const brief = (name: string): string => (name.length > LONGEST ? `${name.slice(0, LONGEST)} …` : name);

function LookAlikeSays({ alike, piece }: { alike: LookAlike; piece: HardwareFacts | undefined }) {
  return (
    <p className="says danger" role="status">
      <b>≈ {piece && pieceName(piece)}:</b> {alike.says}
      {alike.close ? ". No eye tells them apart: bag them separately." : "."}
    </p>
  );
}
