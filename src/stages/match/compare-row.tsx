"use client";

import { Check, X } from "lucide-react";
import { useId, useState } from "react";
import type { CompareItem, CompareVerdict } from "@/core/match/arrival/arrival";
import { FaultLine } from "@/ui/fault-line";
import { letGo } from "@/ui/let-go";
import { TypedReading } from "@/ui/typed-reading";

const TONES = {
  same: "text-success",
  doubt: "text-info",
  rework: "text-info",
  no: "text-error",
  open: "",
} as const;

const ANSWERS = [
  { answer: "yes", icon: Check, on: "border-success bg-success text-success-content" },
  { answer: "no", icon: X, on: "border-error bg-error text-error-content" },
] as const;

/**
 * One thing to compare: the old part's figure, what it must be, and a place for what it is; or a yes and a no
 * for what is looked at.
 */
export function CompareRow({
  item,
  value,
  verdict,
  armed,
  decided,
  typed,
  onTyped,
  put,
  say,
}: {
  item: CompareItem;
  value: number | "yes" | "no" | undefined;
  verdict: CompareVerdict | undefined;
  /** a reading that comes by itself goes here */
  armed: boolean;
  decided: boolean;
  typed: string;
  onTyped: (text: string) => void;
  put: (text: string) => Promise<string | null>;
  say: (value: "yes" | "no" | null) => void;
}) {
  const id = useId();
  const [fault, setFault] = useState<string | null>(null);
  const unit = item.unit === "°" ? "°" : item.unit ? ` ${item.unit}` : "";
  const enter = async (): Promise<void> => {
    if (!typed.trim()) return;
    const says = await put(typed);
    setFault(says);
    if (says === null) onTyped("");
  };
  return (
    <tr className="border-b-2 border-base-300 align-middle">
      <th scope="row" className="py-1 pr-2 font-semibold">
        <label htmlFor={id}>
          {armed && <span aria-hidden="true">▸ </span>}
          {item.label}
        </label>
        <span className="hush block text-[17px] leading-tight font-normal">{item.how}</span>
      </th>
      <td className="figures pr-4 text-[17px]">{item.old ?? "–"}</td>
      <td className="figures pr-2 text-[18px] whitespace-nowrap">
        {item.expected === "yes" ? "" : `${item.expected}${unit}`}
        {item.tolerance ? (
          <span className="hush block text-[16px]">± {Number(item.tolerance.toFixed(2))}</span>
        ) : null}
      </td>
      <td className="w-[190px] py-1">
        {item.tolerance !== undefined ? (
          <div className="grid grid-cols-[minmax(0,1fr)_84px] items-center gap-2">
            <output
              aria-label={`${item.label}, as it is`}
              className={`figures text-[24px] leading-none whitespace-nowrap ${TONES[verdict?.verdict ?? "open"]}`}
            >
              {typeof value === "number" ? `${value}` : "–"}
              {verdict?.verdict === "same" && " ✓"}
              {verdict?.verdict === "doubt" && " ?"}
              {verdict?.verdict === "no" && " ✕"}
            </output>
            {!decided && (
              <TypedReading
                id={id}
                label={item.label}
                typed={typed}
                onTyped={onTyped}
                enter={() => void enter()}
                wrong={fault !== null}
                onBlur={() => void enter()}
              />
            )}
          </div>
        ) : (
          <fieldset className="flex gap-2" aria-label={item.label} disabled={decided}>
            {ANSWERS.map(({ answer, icon: Icon, on }) => (
              <button
                key={answer}
                type="button"
                aria-label={`${item.label}: ${answer}`}
                aria-pressed={value === answer}
                className={`chip ${value === answer ? on : ""}`}
                onClick={(e) => {
                  letGo(e);
                  say(value === answer ? null : answer);
                }}
              >
                <Icon size={22} strokeWidth={3} aria-hidden="true" /> {answer}
              </button>
            ))}
          </fieldset>
        )}
        <FaultLine says={fault} className="text-[17px]" />
      </td>
    </tr>
  );
}
