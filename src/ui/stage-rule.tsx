"use client";

import { Check, Triangle } from "lucide-react";
import { STAGE_NAMES, STAGES, type Stage } from "@/core/job/stages";
import { ruleGlyph } from "./glyph-paths";
import { Way } from "./way";

export interface StageRuleProps {
  number: string;
  /** where the job stands */
  stage: Stage;
  /** the screen that is open */
  showing: Stage;
  openGates: number;
  /** earlier stages at which something is open again, with what */
  openBefore: Readonly<Partial<Record<Stage, string>>>;
  handedBack: boolean;
}

/**
 * A brass rule with seven notches, read like a measure: everything left of the mark is done. Triangles are
 * open gates.
 */
export function StageRule({ number, stage, showing, openGates, openBefore, handedBack }: StageRuleProps) {
  const at = STAGES.indexOf(stage);
  const mark = handedBack ? STAGES.length : at + 0.62;
  return (
    <nav
      aria-label="Stages"
      className="relative h-[52px] shrink-0 border-t-2 border-base-content px-[20px]"
      style={{ background: "linear-gradient(#ecd094, #c4953a 55%, #a9781f)" }}
    >
      <div
        className="absolute inset-y-0 left-0 bg-black/20"
        style={{ width: `calc(20px + (100% - 40px) * ${mark / 7})` }}
      />
      <svg
        className="absolute inset-x-[20px] bottom-0 h-[14px] w-[calc(100%-40px)]"
        aria-hidden="true"
        preserveAspectRatio="none"
        viewBox="0 0 700 14"
      >
        <use href={ruleGlyph("all")} stroke="#4a3409" strokeWidth={0.8} />
        <use href={ruleGlyph("stages")} stroke="#4a3409" strokeWidth={1.6} />
      </svg>
      <ol className="relative grid h-full grid-cols-7">
        {STAGES.map((s, i) => {
          const done = i < at || handedBack;
          return (
            <li key={s} className="h-full">
              <Way
                href={`/jobs/${number}/${s}`}
                aria-current={s === showing ? "page" : undefined}
                className="stage-notch"
              >
                <span className={i > at && !handedBack ? "opacity-90" : ""}>{STAGE_NAMES[s]}</span>
                {openBefore[s] ? (
                  <span
                    role="img"
                    aria-label={`open again: ${openBefore[s]}`}
                    title={openBefore[s]}
                    className="pt-1"
                  >
                    <Triangle size={14} fill="#a32a10" color="#a32a10" />
                  </span>
                ) : done ? (
                  <Check size={22} strokeWidth={3} aria-label="done" />
                ) : (
                  i === at && (
                    <span className="flex gap-0.5 pt-1" role="img" aria-label={`${openGates} open`}>
                      {openGates > 4 ? (
                        <span className="flex items-center gap-1 font-bold text-[#7d1c07]">
                          <Triangle size={14} fill="#a32a10" color="#a32a10" /> {openGates}
                        </span>
                      ) : (
                        Array.from({ length: openGates }, (_, k) => (
                          <Triangle key={k} size={14} fill="#a32a10" color="#a32a10" />
                        ))
                      )}
                    </span>
                  )
                )}
              </Way>
            </li>
          );
        })}
      </ol>
      <svg
        className="absolute -bottom-[9px] z-10"
        style={{ left: `calc(20px + (100% - 40px) * ${mark / 7} - 12px)` }}
        width="24"
        height="22"
        aria-hidden="true"
      >
        <path
          d="M1 21V9L12 1l11 8v12z"
          fill="var(--color-base-content)"
          stroke="var(--color-base-100)"
          strokeWidth="2"
        />
      </svg>
    </nav>
  );
}
