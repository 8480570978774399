"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { z } from "zod";
import { sentence } from "@/core/sentence";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { FilePick } from "@/ui/file-pick";
import { KeyButton } from "@/ui/key-button";

const answered = z.union([
  z.object({ version: z.number(), units: z.number() }),
  z.object({ path: z.string().optional(), says: z.string() }),
]);

/** The guide as a file: given out, and taken in. One of a model that is written otherwise is asked about. */
export function GuideFiles({ number, hasGuide }: { number: string; hasGuide: boolean }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [says, setSays] = useState<{
    readonly fault?: string;
    readonly good?: string;
    readonly again?: File;
  }>({});
  const take = async (file: File, allTheSame: boolean): Promise<void> => {
    setBusy(true);
    try {
      const form = new FormData();
      if (allTheSame) form.set("allTheSame", "yes");
      form.set("file", file);
      const answer = answered.parse(
        await (await fetch(`/api/jobs/${number}/guide`, { method: "POST", body: form })).json(),
      );
      if ("version" in answer) {
        setSays({ good: `It is in: ${answer.units === 1 ? "one strip" : `${answer.units} strips`}.` });
        router.refresh();
      } else {
        const isOther = answer.path === "model" && !allTheSame;
        setSays({
          fault: sentence([isOther ? "" : answer.path, answer.says].filter(Boolean).join(": ")),
          ...(isOther && { again: file }),
        });
      }
    } catch (e) {
      setSays({
        fault: whatFailed(e, "It is not known whether it was taken in", "Look at the steps beside this."),
      });
    }
    setBusy(false);
  };
  return (
    <section aria-label="The guide as a file" className="flex flex-col gap-1.5">
      <div className="grid grid-cols-2 gap-1.5">
        {hasGuide ? (
          <a className="key-button small justify-center" href={`/api/jobs/${number}/guide`} download>
            Save it as a file
          </a>
        ) : (
          <span />
        )}
        <FilePick
          label="Guide file"
          accept=".json"
          keyName="F"
          className="small justify-center"
          disabled={busy}
          onFile={(file) => void take(file, false)}
        >
          {busy ? "Reading it …" : "Take a guide in"}
        </FilePick>
      </div>
      <FaultLine says={says.fault ?? null} />
      {says.again && (
        <KeyButton
          className="small justify-center"
          look="warn"
          disabled={busy}
          onPress={() => says.again && void take(says.again, true)}
        >
          It is the same model: take it in
        </KeyButton>
      )}
      {says.good && (
        <p role="status" className="says good">
          {says.good}
        </p>
      )}
    </section>
  );
}
