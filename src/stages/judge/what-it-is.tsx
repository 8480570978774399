"use client";

import { kindCalled, PART_KINDS } from "@/core/hardware/part-kind";
import { PART_MATERIALS } from "@/core/job/part-material";
import { KindAsked } from "../job-view/kind-asked";
import { useJob } from "../saving/job-context";
import { savePart } from "./actions";
import type { JudgedPart } from "./judge-view";

/**
 * What a part is and what it is made of; both decide what is asked of it, and which oil may touch it. A kind that its
 * name only hints at is asked for once, with the three likeliest: until then it decides nothing.
 */
export function WhatItIs({
  part,
}: {
  part: Pick<JudgedPart, "id" | "name" | "kind" | "kindSaid" | "material">;
}) {
  const { run } = useJob();
  const materials =
    PART_MATERIALS.some((m) => m.material === part.material) || !part.material
      ? PART_MATERIALS
      : [{ material: part.material, says: part.material }, ...PART_MATERIALS];
  return (
    <div className="grid grid-cols-2 gap-1.5">
      <KindAsked part={part} className="col-span-2" />
      <select
        aria-label="What it is"
        className="field !min-h-[48px] !text-[18px]"
        value={part.kind ?? ""}
        onChange={(e) => void run(savePart, { part: part.id, kind: e.target.value || null })}
      >
        <option value="">{part.kindSaid ? "take that back" : "what is it?"}</option>
        {PART_KINDS.map((k) => (
          <option key={k} value={k}>
            {kindCalled(k)}
          </option>
        ))}
      </select>
      <select
        aria-label="Made of"
        className="field !min-h-[48px] !text-[18px]"
        value={part.material ?? ""}
        onChange={(e) => void run(savePart, { part: part.id, material: e.target.value || null })}
      >
        <option value="">made of?</option>
        {materials.map((m) => (
          <option key={m.material} value={m.material}>
            {m.says}
          </option>
        ))}
      </select>
    </div>
  );
}
