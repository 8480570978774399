"use client";

import { useMemo, useState } from "react";
import { cleaningFor } from "@/core/lube/cleaning-ways";
import { capital } from "@/core/sentence";
import { Choose } from "@/ui/choose";
import { KeyButton } from "@/ui/key-button";
import type { ActionResult } from "../saving/act";
import { useJob } from "../saving/job-context";
import { moveCleaning, saveCleaning, takeCleaningOut, tickCleaning } from "./cleaning-actions";
import type { LubeView } from "./lube-view";

/** A part or a chamber: what it is cleaned of, its way and its line, ticked once it is done. */
export function CleaningRowLine({
  row,
  view,
  took,
}: {
  row: LubeView["cleaning"][number];
  view: Omit<LubeView, "frame">;
  took: (result: ActionResult) => boolean;
}) {
  const { run } = useJob();
  const [open, setOpen] = useState(false);
  const { planned, proposed } = row;
  return (
    <li className="border-b-2 border-base-300 py-1">
      <div className="flex items-center gap-2">
        {planned ? (
          <button
            type="button"
            aria-pressed={planned.done}
            aria-label={`Done: ${planned.says}`}
            className={`key-button small min-h-[48px] min-w-[48px] justify-center ${planned.done ? "" : "main"}`}
            onClick={() =>
              void run(tickCleaning, { services: [planned.service], done: !planned.done }).then(took)
            }
          >
            {planned.done ? "✓" : "Tick"}
          </button>
        ) : (
          <span aria-hidden="true" className="hush min-w-[48px] text-center text-[22px]">
            {row.dry ? "▨" : ""}
          </span>
        )}
        <span className="min-w-0 flex-1 text-[18px] leading-tight">
          <b>{capital(row.name)}</b>
          {planned
            ? `: ${planned.says.replace(`${row.name}: `, "")}`
            : row.dry
              ? `: stays dry, ${row.dry}`
              : `: of ${row.what}`}
          {planned && (
            <span className="hush block text-[17px]">
              {planned.line === undefined ? "in no line" : `line ${planned.line} of the rebuild`}
              {row.last && `, at the latest before ${row.last}`}
            </span>
          )}
          {row.closed && !planned && <span className="block text-[17px]">{row.closed}</span>}
        </span>
        {row.of === "part" && !planned && proposed && (
          <KeyButton
            className="small inferred"
            label={`${row.name}: ${proposed.says}`}
            onPress={() => void run(saveCleaning, { part: row.id, method: proposed.method }).then(took)}
          >
            {proposed.says}
          </KeyButton>
        )}
        {row.of === "part" && (
          <button
            type="button"
            aria-expanded={open}
            aria-label={`Other ways: ${row.name}`}
            className="min-h-[48px] min-w-[40px] text-[22px] font-bold"
            onClick={() => setOpen(!open)}
          >
            …
          </button>
        )}
        {planned && (
          <button
            type="button"
            className="min-h-[48px] min-w-[40px] text-[24px] font-bold"
            aria-label={`Take out: ${planned.says}`}
            onClick={() => void run(takeCleaningOut, { service: planned.service }).then(took)}
          >
            ×
          </button>
        )}
      </div>
      {planned && row.moments.length > 1 && (
        <Choose
          label={`When: ${planned.says}`}
          quiet
          options={row.moments.map((m) => [m.step, m.says] as const)}
          value={row.moments.find((m) => m.step === row.before)?.step}
          onChoose={(before) =>
            before && void run(moveCleaning, { service: planned.service, before }).then(took)
          }
        />
      )}
      {open && <Ways row={row} view={view} took={took} />}
    </li>
  );
}

/** Every way for a part, what speaks against one, and what to mind. */
function Ways({ row, view, took }: Parameters<typeof CleaningRowLine>[0]) {
  const { run } = useJob();
  const part = view.parts.find((p) => p.id === row.id);
  const ways = useMemo(
    () =>
      part
        ? cleaningFor(
            part,
            view.states.map((s) => s.state),
          )
        : [],
    [part, view.states],
  );
  const allowed = ways.filter((c) => c.ok);
  const cautions = [...new Set(allowed.flatMap((c) => c.cautions))].map((says) => ({
    says,
    by: allowed.filter((c) => c.cautions.includes(says)).map((c) => c.says),
  }));
  return (
    <div className="mt-1 grid grid-cols-2 gap-1.5">
      {ways.map((c) => (
        <KeyButton
          key={c.method}
          className="small"
          disabled={!c.ok}
          onPress={() => void run(saveCleaning, { part: row.id, method: c.method }).then(took)}
        >
          <span className="block text-left leading-tight">
            {c.says}
            {c.because && <span className="block text-[16px] font-normal">{c.because}</span>}
          </span>
        </KeyButton>
      ))}
      {cautions.map((c) => (
        <p key={c.says} className="says col-span-2 !py-1 !text-[17px]">
          <b>{c.by.join(", ")}:</b> {c.says}
        </p>
      ))}
    </div>
  );
}
