"use client";

import { dayAs } from "@/ui/day";
import { KeyButton } from "@/ui/key-button";
import { comesBackFrom } from "../frame/came-back-action";
import { useJob } from "../saving/job-context";
import type { TakeInView } from "./take-in-view";

/** A unit that was here before: whether it came back within its warranty is asked, not taken for granted. */
export function CameBack({ of, earlier }: { of: string | undefined; earlier: TakeInView["earlier"] }) {
  const { run } = useJob();
  if (of)
    return (
      <KeyButton
        className="small !justify-start"
        pressed
        onPress={() => void run(comesBackFrom, { of: null })}
      >
        ✓ Came back within its warranty: {of}
      </KeyButton>
    );
  return earlier.map((e) => (
    <KeyButton
      key={e.number}
      className="small !justify-start"
      onPress={() => void run(comesBackFrom, { of: e.number })}
    >
      Back within its warranty? {e.number}, home since {e.handedBackAt && dayAs(e.handedBackAt, "d MMM yyyy")}
    </KeyButton>
  ));
}
