"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";

/** The three ways on. What the comparison comes to has the main key; the others are a key away. */
export function ArrivalChoices({
  hasPicture,
  suggests,
  rework,
  reason,
  setReason,
  suggestReason,
  settle,
}: {
  /** a picture of it was taken: the supplier will ask for one */
  hasPicture: boolean;
  suggests: string;
  rework: boolean;
  reason: string;
  setReason: (text: string) => void;
  suggestReason: string;
  settle: (d: "accepted" | "rework" | "sent-back") => void;
}) {
  const [back, setBack] = useState(false);
  if (back || suggests === "send back")
    return (
      <>
        <label className="words">
          Why it goes back
          <input
            className="field"
            value={reason}
            placeholder={suggests === "send back" ? suggestReason : "what is wrong with it"}
            onChange={(e) => setReason(e.target.value)}
          />
        </label>
        {!hasPicture && (
          <p className="says">Take its picture first: it goes back with the reason and a picture.</p>
        )}
        <KeyButton
          keyName=" "
          look="warn"
          className="justify-center"
          disabled={!hasPicture}
          onPress={() => settle("sent-back")}
        >
          Send it back, and order it again
        </KeyButton>
        <KeyButton keyName="G" onPress={() => settle(rework ? "rework" : "accepted")}>
          Accept it anyway
        </KeyButton>
      </>
    );
  const ready = suggests === "accept" || suggests === "rework" || suggests === "doubt";
  return (
    <>
      <KeyButton
        keyName=" "
        look="main"
        className="justify-center"
        disabled={!ready}
        onPress={() => settle(rework ? "rework" : "accepted")}
      >
        {rework ? "Accept it, with the rework" : "Accept it"}
      </KeyButton>
      <KeyButton keyName="X" look="warn" onPress={() => setBack(true)}>
        It goes back
      </KeyButton>
    </>
  );
}
