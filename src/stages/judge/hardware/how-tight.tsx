"use client";

import { Fault } from "@/core/fault";
import { makersFigure } from "@/core/hardware/bench/makers-figure";
import {
  GRADES,
  inOtherUnits,
  type TorqueInput,
  tighteningTorque,
} from "@/core/hardware/bench/tightening-torque";
import { KeyButton } from "@/ui/key-button";
import { Readout } from "@/ui/readout";

const FROM = {
  capped: "capped by what it goes into",
  feel: "no figure is known",
  maker: "as the maker says",
  angle: "then by angle",
  figure: "by formula",
} as const;

/**
 * How tight a screw goes, by its thread, by what it goes into, and by the maker's figure where there is one.
 */
export function HowTight({
  input,
  maker,
  change,
  changeMaker,
}: {
  input: TorqueInput;
  /** as it was typed */
  maker: string;
  change: (next: TorqueInput) => void;
  changeMaker: (text: string) => void;
}) {
  const answer = ((): ReturnType<typeof tighteningTorque> | string => {
    const figure = makersFigure(maker);
    if (!figure)
      return `“${maker}” is no torque and no angle: type it like 1.2 Nm, 15 in-lb, 120 N cm or 10 Nm + 90°`;
    try {
      return tighteningTorque({ ...input, ...figure });
    } catch (e) {
      if (e instanceof Fault) return e.says;
      throw e;
    }
  })();
  const pick = <K extends "into" | "grade">(
    key: K,
    says: string,
    options: readonly (readonly [string, string])[],
  ) => (
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
          ["zinc", "die-cast zinc"],
          ["magnesium", "magnesium"],
          ["steel", "steel"],
        ])}
        {pick("grade", "Grade on the head", [["", "none to be read"], ...GRADES.map((g) => [g, g] as const)])}
        <KeyButton
          keyName="O"
          className="self-end"
          pressed={input.oiled === true}
          onPress={() => change({ ...input, oiled: !input.oiled })}
        >
          {input.oiled ? "✓ oiled or locker" : "oiled or locker"}
        </KeyButton>
        <div className="col-span-2">
          <label className="words mb-1" htmlFor="torque-maker">
            The maker says, if anything
          </label>
          <input
            id="torque-maker"
            className="field"
            placeholder="1.2 Nm, 15 in-lb, 10 Nm + 90°"
            value={maker}
            maxLength={80}
            autoComplete="off"
            onChange={(e) => changeMaker(e.target.value)}
          />
        </div>
      </div>
      {typeof answer === "string" ? (
        <p role="alert" className="says danger first-letter:uppercase">
          {answer}.
        </p>
      ) : (
        <>
          <Readout
            label="Tightening torque"
            value={
              answer.torqueNm === null
                ? answer.school === "angle"
                  ? "by angle"
                  : "by feel"
                : answer.torqueNm.toFixed(answer.torqueNm < 3 ? 2 : 1)
            }
            unit={answer.torqueNm === null ? "" : "N m"}
            from={[FROM[answer.school], answer.torqueNm !== null && inOtherUnits(answer.torqueNm)]
              .filter(Boolean)
              .join(" · ")}
          />
          {answer.doubt && (
            <p role="alert" className="says danger">
              {answer.doubt}
            </p>
          )}
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
