"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { Readout } from "@/ui/readout";
import { useJob } from "../../saving/job-context";
import { useFieldFault } from "../../saving/use-field-fault";
import { Waits } from "../waits";
import { asTheStripWas, bringForward, goOnMeanwhile, moveAmongLast } from "./actions";
import type { PlanRow, PlanView } from "./plan-view";

/**
 * The whole plan: what is done, what comes, and why; a step is brought forward as far as the laws allow it.
 */
export function PlanScreen({ rows, minutes, waits, isOwn }: Omit<PlanView, "frame">) {
  const { run, number } = useJob();
  const router = useRouter();
  const fault = useFieldFault();
  const next = rows.find((r) => !r.done);
  const [picked, setPicked] = useState<string | undefined>(next?.key);
  const row = rows.find((r) => r.key === picked);
  const forward = async (step: string): Promise<void> => {
    if (fault.took(await run(bringForward, { step }))) router.push(`/jobs/${number}/rebuild`);
  };
  if (!rows.length)
    return (
      <main className="work">
        <p className="m-auto max-w-[620px] text-center text-[24px]">
          Nothing has come off this unit yet. What is laid down at the strip stands here, line by line.
        </p>
      </main>
    );
  return (
    <main className="work grid h-full grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-5">
      <ol aria-label="Lines of the plan" className="min-h-0 overflow-y-auto">
        {rows.map((r) => (
          <li key={r.key} className="mb-1">
            <KeyButton
              className="small w-full [&>span]:w-full"
              pressed={r.key === picked}
              label={`Line ${r.n}: ${r.title}`}
              onPress={() => setPicked(r.key)}
            >
              <Row row={r} isNext={r === next} />
            </KeyButton>
          </li>
        ))}
      </ol>
      <section aria-label="This line" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
        {row && (
          <>
            <h2 className="text-[26px] leading-tight">{row.title}</h2>
            <ul aria-label="Why here" className="flex flex-col gap-1.5">
              {row.because.map((b) => (
                <li key={b} className="says measured">
                  {capital(b)}
                </li>
              ))}
            </ul>
            {row.step !== undefined && row.before && (
              <>
                <p className="text-[20px]">
                  {row.before.length
                    ? `Before it must go back: ${row.before.join("; ")}. They come forward with it.`
                    : "Nothing must be on before it: it can go back next."}
                </p>
                <KeyButton
                  keyName=" "
                  look="main"
                  className="self-start"
                  onPress={() => void forward(row.step ?? "")}
                >
                  {row.before.length ? "These next, then it" : "It goes back next"}
                </KeyButton>
              </>
            )}
            {row.step !== undefined && !row.done && !row.before && (
              <p className="hush text-[19px]">
                Its turn comes as early as it can: all that stands before it must be on first.
              </p>
            )}
            {row.last && (
              <div className="flex gap-2">
                <KeyButton
                  className="small"
                  disabled={!row.last.sooner}
                  onPress={() => void run(moveAmongLast, { line: row.key, by: -1 }).then(fault.took)}
                >
                  Earlier among the last
                </KeyButton>
                <KeyButton
                  className="small"
                  disabled={!row.last.later}
                  onPress={() => void run(moveAmongLast, { line: row.key, by: 1 }).then(fault.took)}
                >
                  Later
                </KeyButton>
              </div>
            )}
            {row.step === undefined && !row.done && !row.last && (
              <p className="hush text-[19px]">
                It has no place of its own: it stands with what it belongs to, and comes forward with that.
              </p>
            )}
            <FaultLine says={fault.elsewhere()} />
          </>
        )}
        <div className="mt-auto flex flex-col gap-2">
          <Waits waits={waits} />
          {waits.some((w) => w.holds) && (
            <KeyButton
              keyName="O"
              className="small"
              onPress={() =>
                void run(goOnMeanwhile).then((r) => fault.took(r) && router.push(`/jobs/${number}/rebuild`))
              }
            >
              Go on with what need not wait
            </KeyButton>
          )}
          {isOwn && (
            <KeyButton keyName="X" className="small" onPress={() => void run(asTheStripWas).then(fault.took)}>
              The reverse of the strip again
            </KeyButton>
          )}
          <KeyLink href={`/jobs/${number}/rebuild/paper`} keyName="U" className="small">
            On paper
          </KeyLink>
          <Readout label="The whole plan, about" value={String(minutes)} unit="min" />
        </div>
      </section>
    </main>
  );
}

function Row({ row: r, isNext }: { row: PlanRow; isNext: boolean }) {
  return (
    <span
      className={`grid grid-cols-[3ch_1fr_auto] items-baseline gap-2 text-left font-normal ${r.done ? "hush" : ""}`}
    >
      <span className="figures text-[17px]">{r.n}</span>
      <span className={`text-[19px] leading-tight ${r.step !== undefined ? "font-semibold" : "pl-3"}`}>
        {r.title}
      </span>
      <span className="text-[17px]">{r.done ? "✓ done" : isNext ? "next" : ""}</span>
    </span>
  );
}
