"use client";

import { useState } from "react";
import { z } from "zod";
import { sentence } from "@/core/sentence";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { FilePick } from "@/ui/file-pick";
import { KeyButton } from "@/ui/key-button";
import { Way } from "@/ui/way";
import { ShopHead } from "../shop-head";

const answered = z.union([
  z.object({ number: z.string(), missing: z.array(z.string()) }),
  z.object({ path: z.string().optional(), says: z.string() }),
]);
type Taken = { readonly number: string; readonly missing: readonly string[] };

/**
 * Jobs from elsewhere: a job file is read through, refused whole with the place where it is wrong, or taken
 * in whole.
 */
export function JobFilesScreen() {
  const { take, busy, fault, taken, again } = useTakeIn();
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="Job files" back={{ href: "/settings", says: "The shop" }} />
      <main className="grid grid-cols-2 gap-10 p-5">
        <section aria-label="In">
          <h2 className="border-b-2 border-base-content text-[24px]">Take one in</h2>
          <div className="py-4">
            <FilePick
              label="Job file"
              accept=".zip,.json"
              keyName=" "
              look="main"
              disabled={busy}
              onFile={(file) => void take(file, false)}
            >
              {busy ? "Reading it …" : "Choose a job file"}
            </FilePick>
          </div>
          <FaultLine says={fault} className="text-[21px]" />
          {again && (
            <KeyButton keyName="N" onPress={() => void take(again, true)} disabled={busy} className="mt-3">
              Take it in under the next number
            </KeyButton>
          )}
          {taken && (
            <div role="status" className="text-[22px]">
              <p>
                It is in as{" "}
                <Way href={`/jobs/${taken.number}`} className="font-bold underline">
                  {taken.number}
                </Way>
                .
              </p>
              {taken.missing.length > 0 && (
                <p>
                  <b>Pictures that were not in it:</b> {taken.missing.slice(0, 20).join(", ")}
                  {taken.missing.length > 20 && ` and ${taken.missing.length - 20} more`}.
                </p>
              )}
            </div>
          )}
        </section>
        <section aria-label="What a job file is">
          <h2 className="border-b-2 border-base-content text-[24px]">What it is</h2>
          <p className="py-2 text-[20px]">
            One job with its strip, findings, orders and pictures, as NUMBER.demontage.zip, or its job.json
            alone. The customer’s name and contact are not in it, nor where a picture was taken.
          </p>
          <p className="text-[20px]">
            It is taken in whole or not at all. A number that this shop has already is not written over.
          </p>
          <p className="hush pt-2 text-[19px]">To give one out: at the job’s history, “Save the job file”.</p>
        </section>
      </main>
    </div>
  );
}

function useTakeIn() {
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [taken, setTaken] = useState<Taken | null>(null);
  const [again, setAgain] = useState<File | null>(null);
  const take = async (file: File, asNew: boolean): Promise<void> => {
    setBusy(true);
    setFault(null);
    setTaken(null);
    setAgain(null);
    try {
      const form = new FormData();
      if (asNew) form.set("asNew", "yes");
      form.set("file", file);
      const answer = answered.parse(
        await (await fetch("/api/jobs/from-file", { method: "POST", body: form })).json(),
      );
      if ("number" in answer) setTaken(answer);
      else {
        const isThere = answer.path === "job.number" && !asNew;
        setFault(
          isThere
            ? "This shop has a job of that number already."
            : sentence([answer.path, answer.says].filter(Boolean).join(": ")),
        );
        if (isThere) setAgain(file);
      }
    } catch (e) {
      setFault(whatFailed(e, "It is not known whether it was taken in", "Look at the board."));
    }
    setBusy(false);
  };
  return { take, busy, fault, taken, again };
}
