"use client";

import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { saveNoGrease, saveOilPoint, takeLubePointOff } from "./actions";
import type { LubeView } from "./lube-view";

const REASONS = ["it runs dry by design", "sealed for life, and not opened", "oil only", "its old grease is good and stays"] as const;

/** No grease, with the reason; and oil by the drop, where it goes. */
export function NoGrease({ job, parts, draft }: Pick<LubeView, "job" | "parts"> & { draft: unknown }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useDraft("lube.oil", draft, typedFields, {});
  const text = (field: string): string => typed[field] ?? "";
  const put = (field: string) => (e: { target: { value: string } }) => setTyped((now) => ({ ...now, [field]: e.target.value }));
  const say = (why: string | null) => void run(saveNoGrease, { why });
  const own = job.noGrease !== undefined && !REASONS.some((r) => r === job.noGrease);
  const oil = async (): Promise<void> => {
    const result = await run(saveOilPoint, { part: text("part") || (parts[0]?.id ?? ""), lubricant: text("lubricant"), where: text("where") });
    if (fault.took(result)) setTyped((now) => ({ lubricant: now.lubricant ?? "" }));
  };
  const oiled = job.lubePoints.filter((g) => g.grams === undefined);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto">
      <div className="grid grid-cols-2 gap-2">
        {REASONS.map((why, i) => (
          <KeyButton key={why} keyName={String(i + 1)} className="small" pressed={job.noGrease === why} onPress={() => say(job.noGrease === why ? null : why)}>
            {why}
          </KeyButton>
        ))}
      </div>
      <label className="words">
        Another reason
        <input
          className="field"
          value={typed.why ?? (own ? job.noGrease : "") ?? ""}
          onChange={put("why")}
          onBlur={() => text("why").trim().length > 2 && say(text("why"))}
        />
      </label>
      <h3 className="text-[22px]">Oil, by the drop</h3>
      <ul aria-label="Where oil goes">
        {oiled.map((g) => (
          <li key={g.id} className="flex items-center gap-2 border-b-2 border-base-300 text-[19px]">
            <span className="flex-1">
              <b>{parts.find((p) => p.id === g.part)?.name}</b>: {g.lubricant}, {g.where}
            </span>
            <button
              type="button"
              className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
              aria-label={`Take off: ${g.where}`}
              onClick={() => void run(takeLubePointOff, { point: g.id })}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
      {parts.length === 0 ? (
        <p className="says">Oil goes on a part that came off: nothing has come off yet.</p>
      ) : (
        <>
          <div className="grid grid-cols-2 gap-2">
            <label className="words">
              On which part
              <select className="field !text-[18px]" value={text("part") || parts[0]?.id} onChange={put("part")}>
                {parts.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
              </select>
            </label>
            <label className="words">
              Which oil
              <input className="field" value={text("lubricant")} onChange={put("lubricant")} placeholder="light machine oil" />
              <FaultLine says={fault.at("lubricant")} />
            </label>
          </div>
          <label className="words">
            Where, and how much
            <input
              className="field"
              value={text("where")}
              onChange={put("where")}
              placeholder="one drop in the bush"
              onKeyDown={(e) => e.key === "Enter" && void oil()}
            />
            <FaultLine says={fault.elsewhere("lubricant")} />
          </label>
          <KeyButton keyName="O" className="justify-center" disabled={!text("lubricant").trim() || !text("where").trim()} onPress={() => void oil()}>
            Oil it there
          </KeyButton>
        </>
      )}
    </div>
  );
}
