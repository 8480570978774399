"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { z } from "zod";
import { STAGE_NAMES, STAGES } from "@/core/job/stages";
import { capital } from "@/core/sentence";
import type { FoundJob } from "@/store/find-jobs";
import { askShop, whatFailed } from "@/ui/ask-shop";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyLink } from "@/ui/key-link";
import { ShopHead } from "../shop-head";

const optional = z.string().optional();
const answer: z.ZodType<FoundJob[]> = z.array(
  z.object({
    number: z.string(),
    kind: z.string(),
    maker: z.string(),
    model: z.string(),
    serial: z.string(),
    customerName: z.string(),
    complaint: z.string(),
    stage: z.enum(STAGES),
    takenIn: z.string(),
    handedBackAt: optional,
    warrantyOf: optional,
  }),
);
/** A hand that types on is not asked for at each letter. */
const PAUSE_MS = 120;

/**
 * One box for everything: what is typed is looked for in numbers, units, serial numbers, customers, parts and
 * their numbers.
 */
export function FindScreen({ typed, found: first }: { typed: string; found: readonly FoundJob[] }) {
  const router = useRouter();
  const [words, setWords] = useState(typed);
  const [found, setFound] = useState(first);
  const [fault, setFault] = useState<string | null>(null);
  const [of, setOf] = useState(typed);
  const box = useRef<HTMLInputElement>(null);
  useEffect(() => box.current?.focus(), []);
  useEffect(() => {
    if (words === of) return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      askShop(`/api/find?q=${encodeURIComponent(words)}`, answer, stop.signal)
        .then((jobs) => {
          setFound(jobs ?? []);
          setOf(words);
          setFault(null);
          window.history.replaceState(null, "", `/find?q=${encodeURIComponent(words)}`);
        })
        .catch((e: unknown) => {
          if (!stop.signal.aborted)
            setFault(whatFailed(e, "Not looked for", "What is shown is from before."));
        });
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [words, of]);
  return (
    <main className="flex h-dvh flex-col">
      <ShopHead title="Find a job" back={{ href: "/", says: "The board" }}>
        <span className="ml-auto" />
        <KeyLink href="/record">The record</KeyLink>
      </ShopHead>
      <div className="px-5 pt-4">
        <label className="words">
          Number, tag, unit, serial number, customer, part
          <input
            ref={box}
            className="field mt-1.5 !text-[28px]"
            value={words}
            maxLength={200}
            placeholder="135, crown wheel, MT3-40117 …"
            onChange={(e) => setWords(e.target.value)}
            onKeyDown={(e) => {
              const [only] = found;
              if (e.key === "Enter" && only && words === of) router.push(`/jobs/${only.number}`);
            }}
          />
        </label>
        <FaultLine says={fault} />
      </div>
      <ul aria-label="Jobs found" className="min-h-0 flex-1 overflow-y-auto px-5 py-3">
        {found.map((j) => (
          <li key={j.number}>
            <a
              href={`/jobs/${j.number}`}
              className="grid min-h-[60px] grid-cols-[120px_minmax(0,1.3fr)_minmax(0,1fr)_230px] items-center gap-4 border-b-2 border-base-300 text-[20px] leading-tight"
            >
              <b className="figures text-[22px]">{j.number}</b>
              <span>
                {[capital(j.kind), `${j.maker} ${j.model}`.trim(), j.serial].filter(Boolean).join(", ")}
                <span className="hush block truncate text-[18px]">“{j.complaint}”</span>
              </span>
              <span className="truncate">{j.customerName}</span>
              <span>
                {j.handedBackAt
                  ? `went home ${dayAs(j.handedBackAt, "d MMM yyyy")}`
                  : `at ${STAGE_NAMES[j.stage]}, since ${dayAs(j.takenIn, "d MMM")}`}
                {j.warrantyOf && (
                  <span className="block text-[17px] font-semibold text-error">
                    came back from {j.warrantyOf}
                  </span>
                )}
              </span>
            </a>
          </li>
        ))}
      </ul>
      {of.trim() !== "" && found.length === 0 && (
        <p className="px-5 pb-10 text-[24px]">No job has all of “{of.trim()}”.</p>
      )}
    </main>
  );
}
