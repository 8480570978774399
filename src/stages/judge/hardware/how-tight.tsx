"use client";

import { Fault } from "@/core/fault";
import { type TorqueInput, tighteningTorque } from "@/core/hardware/tightening-torque";
import { KeyButton } from "@/ui/key-button";
import { Readout } from "@/ui/readout";

/** How tight a screw goes, by its thread and by what it goes into. */
export function HowTight({ input, change }: { input: TorqueInput; change: (next: TorqueInput) => void }) {
  const answer = ((): ReturnType<typeof tighteningTorque> | string => {
    try {
      return tighteningTorque(input);
    } catch (e) {
      if (e instanceof Fault) return e.says;
      throw e;
    }
  })();
  const pick = <K extends "into" | "grade">(key: K, says: string, options: readonly (readonly [string, string])[]) => (
    <div>
      <label className="words" htmlFor={`torque-${key}`}>
        {says}
      </label>
      <select
        id={`torque-${key}`}
        className="field"
        value={input[key] ?? ""}
        onChange={(e) => change({ ...input, [key]: e.target.value || undefined } as TorqueInput)}
      >
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <div>
          <label className="words" htmlFor="torque-thread">
            Thread
          </label>
          <input
            id="torque-thread"
            className="field figure"
            value={input.thread}
            autoComplete="off"
            onChange={(e) => change({ ...input, thread: e.target.value })}
          />
        </div>
        {pick("into", "Into", [
          ["plastic", "plastic"],
          ["brass-insert", "brass insert"],
          ["aluminium", "aluminium"],
          ["steel", "steel"],
        ])}
        {pick("grade", "Grade on the head", [
          ["", "none to be read"],
          ["4.8", "4.8"],
          ["8.8", "8.8"],
          ["A2-70", "A2-70"],
        ])}
        <KeyButton keyName="O" className="self-end" pressed={input.oiled === true} onPress={() => change({ ...input, oiled: !input.oiled })}>
          {input.oiled ? "✓ oiled or locker" : "oiled or locker"}
        </KeyButton>
      </div>
      {typeof answer === "string" ? (
        <p role="alert" className="says danger first-letter:uppercase">
          {answer}.
        </p>
      ) : (
        <>
          <Readout
            label="Tightening torque"
            value={answer.torqueNm === null ? "by feel" : answer.torqueNm.toFixed(answer.torqueNm < 3 ? 2 : 1)}
            unit={answer.torqueNm === null ? "" : "N m"}
            from={answer.school === "capped" ? "capped by what it goes into" : answer.school === "feel" ? "no figure is known" : "by formula"}
          />
          {answer.reasons.map((r) => (
            <p key={r.rule} className="text-[18px] leading-tight">
              <b>{r.rule}:</b> {r.says}
            </p>
          ))}
        </>
      )}
    </>
  );
}
