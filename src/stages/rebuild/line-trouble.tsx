"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { focusNow } from "@/ui/focus-now";
import { useJob } from "../saving/job-context";
import { noteTrouble, secondFault } from "./actions";

/** What is wrong at a line, written down, or taken back to Judge. */
export function LineTrouble({
  begin,
  later = false,
  onClose,
}: {
  begin: string /** something else is asked first: its field does not take the keys */;
  later?: boolean;
  onClose: () => void;
}) {
  const { run, number } = useJob();
  const router = useRouter();
  const [says, setSays] = useState(begin);
  return (
    <form
      className="flex gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        void run(noteTrouble, { says }).then((r) => r.ok && onClose());
      }}
    >
      <input
        className="field"
        aria-label="What is wrong"
        placeholder="does not turn past half"
        value={says}
        onChange={(e) => setSays(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== "Escape") return;
          e.preventDefault();
          onClose();
        }}
        ref={later ? undefined : focusNow}
      />
      <button type="submit" className="key-button warn">
        Write it down
      </button>
      <button
        type="button"
        className="key-button"
        onClick={() =>
          void run(secondFault, { says }).then((r) => r.ok && router.push(`/jobs/${number}/judge`))
        }
      >
        Back to Judge with it
      </button>
    </form>
  );
}
