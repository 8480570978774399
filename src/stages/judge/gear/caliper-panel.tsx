"use client";

import { useMemo, useState } from "react";
import { practiceCaliper } from "@/bench/caliper";
import { KeyButton } from "@/ui/key-button";

const MOST_MM = 150;

/**
 * The caliper that ships: a jaw to slide, the reading with a real one's noise, a key that sends it as a real
 * one types it.
 */
export function CaliperPanel({ goesTo, send }: { goesTo: string; send: (text: string) => void }) {
  const caliper = useMemo(() => practiceCaliper(Math.random), []);
  const [jawMm, setJaw] = useState(20);
  const [shown, setShown] = useState(20);
  const slide = (mm: number): void => {
    const at = Math.min(MOST_MM, Math.max(0, Math.round(mm * 100) / 100));
    setJaw(at);
    setShown(Math.max(0, caliper.read(at)));
  };
  const x = (mm: number): number => 40 + mm * 2.6;
  return (
    <section aria-label="Practice caliper" className="border-2 border-base-content bg-base-200 p-2.5">
      <svg
        viewBox="0 0 480 92"
        className="h-[92px] w-full"
        aria-hidden="true"
        fill="var(--color-base-100)"
        stroke="var(--color-base-content)"
        strokeWidth="2"
      >
        <path d="M24 26H470V50H24Z" />
        {Array.from({ length: 16 }, (_, i) => (
          <path key={i * 10} d={`M${x(i * 10)} 50v-${i % 5 ? 8 : 14}`} />
        ))}
        {[50, 100, 150].map((mm) => (
          <text
            key={mm}
            x={x(mm) - 3}
            y={40}
            fontSize="12"
            textAnchor="end"
            stroke="none"
            fill="var(--color-base-content)"
          >
            {mm}
          </text>
        ))}
        <path d="M24 26V14L34 4V26M24 50V62L40 88V50" fill="var(--color-base-300)" />
        <path
          d={`M${x(jawMm)} 20H${x(jawMm) + 88}V58H${x(jawMm) + 16}L${x(jawMm)} 88ZM${x(jawMm)} 20V14L${x(jawMm) + 10} 4V20`}
          fill="var(--color-base-300)"
        />
      </svg>
      <input
        type="range"
        aria-label="Jaw of the practice caliper, mm"
        min={0}
        max={MOST_MM}
        step={0.01}
        value={jawMm}
        onChange={(e) => slide(Number(e.target.value))}
        className="jaw-slide"
      />
      <div className="grid grid-cols-[48px_48px_minmax(0,1fr)_auto_auto] items-center gap-2">
        <KeyButton
          className="small justify-center"
          label="Jaw in by 0.1 mm"
          onPress={() => slide(jawMm - 0.1)}
        >
          −
        </KeyButton>
        <KeyButton
          className="small justify-center"
          label="Jaw out by 0.1 mm"
          onPress={() => slide(jawMm + 0.1)}
        >
          +
        </KeyButton>
        <span className="hush truncate text-[18px]">goes to: {goesTo}</span>
        <output aria-label="Practice caliper shows" className="figures text-right text-[32px] leading-none">
          {shown.toFixed(2)} <small className="text-[18px]">mm</small>
        </output>
        <KeyButton keyName="Enter" onPress={() => send(`${shown.toFixed(2)} mm`)}>
          Send
        </KeyButton>
      </div>
    </section>
  );
}
