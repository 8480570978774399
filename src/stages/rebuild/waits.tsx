"use client";

import { useEffect, useState } from "react";
import { minutesInWords, type RunningWait } from "@/core/order/running-waits";
import { capital } from "@/core/sentence";

/** How often the time that is left is looked at, ms. */
const LOOK_MS = 20_000;

/** What cures, soaks or dries, with the time that is left of each. */
export function Waits({ waits }: { waits: readonly RunningWait[] }) {
  // what the shop reckoned stands until this browser's own clock has run for a while
  const [since] = useState(() => Date.now());
  const [passed, setPassed] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setPassed((Date.now() - since) / 60_000), LOOK_MS);
    return () => clearInterval(timer);
  }, [since]);
  if (!waits.length) return null;
  return (
    <ul aria-label="What is waited for" className="flex flex-col gap-1.5">
      {waits.map((w) => {
        const left = Math.ceil(w.minutesLeft - passed);
        return (
          <li key={w.line} className="says measured text-[18px] leading-tight">
            <b className="figures text-[22px]">{left > 0 ? minutesInWords(left) : "Over"}</b>
            <span className="block">{capital(w.why)}</span>
          </li>
        );
      })}
    </ul>
  );
}
