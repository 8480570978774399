"use client";

import type { NextLook, Outcome } from "@/core/judge/next-look";
import { KeyButton } from "@/ui/key-button";
import { percent } from "@/ui/odds";

const Turns = ({ says, from, to }: Outcome) => (
  <span>
    {says.toLowerCase()}:{" "}
    <b className="whitespace-nowrap">
      {percent(from)} → {percent(to)}
    </b>
  </span>
);

/** What is worth looking at next, how it is done, and what each answer would make of the odds. */
export function NextLookPanel({ next, onAnswer }: { next: NextLook; onAnswer: (so: boolean) => void }) {
  return (
    <section aria-label="The next look" className="border-l-8 border-secondary bg-base-200 px-3 py-2">
      <p className="hush text-[17px]">The next look, about {next.minutes} min</p>
      <h2 className="text-[21px] leading-tight">{next.asks}</h2>
      <p className="text-[18px] leading-snug">{next.how}</p>
      <div className="grid grid-cols-[auto_1fr] items-center gap-x-3 gap-y-1 pt-2 text-[18px] leading-tight">
        <KeyButton keyName="1" onPress={() => onAnswer(true)} label="Yes, it is so">
          Yes
        </KeyButton>
        <Turns {...next.yes} />
        <KeyButton keyName="2" onPress={() => onAnswer(false)} label="No, it is not so">
          No
        </KeyButton>
        <Turns {...next.no} />
      </div>
    </section>
  );
}
