"use client";

import type { GoesIn, StaysOut } from "@/core/job/goes-in";
import { type PieceRef, pieceKey } from "@/core/job/piece-ref";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayGoesIn } from "./actions";
import type { CameOut } from "./match-view";
import type { Typing } from "./typing";

const bare = (p: StaysOut): PieceRef => ("part" in p ? { part: p.part } : { hardware: p.hardware });

/** What came out and stays out, because the new one does without it. */
export function StaysOutList({
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
    if (
      fault.took(await run(sayGoesIn, { part, said: { what: "stays-out", piece: { ...chosen.piece, why } } }))
    )
      clear();
  };
  return (
    <div className="flex flex-col gap-1">
      {goesIn.leavesOut.map((l, i) => (
        <p key={i} className="says text-[19px]">
          It does without: {l}
        </p>
      ))}
      {goesIn.staysOut.map((p) => {
        const says =
          cameOut.find((c) => pieceKey(c.piece) === pieceKey(bare(p)))?.says ??
          "a piece that is not there any more";
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
            <input
              className="field"
              value={why}
              onChange={(e) => put("outWhy", e.target.value)}
              onKeyDown={(e) => e.key === "Enter" && void take()}
            />
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
