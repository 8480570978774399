"use client";

import { Camera } from "lucide-react";
import { useState } from "react";
import type { Gate } from "@/core/gates/open-gates";
import { type GoingHome, ON_PAPER } from "@/core/job/going-home";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { pictureUrl } from "@/ui/picture-frame";
import { SmallChoice } from "@/ui/small-choice";
import { TakePicture } from "../frame/take-picture";
import { useJob } from "../saving/job-context";
import { typedText, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { handBack, notSigned, sayNextLook } from "./actions";
import type { SameView } from "./hand-back-view";
import { SignaturePad } from "./signature-pad";

/** Why nobody signs on the screen. */
const WITHOUT = [ON_PAPER, "sent by parcel", "fetched by somebody else", "does not want to sign"] as const;

/**
 * Everything is answered: the same views once more, when it should be looked at next, the signature, and
 * home.
 */
export function GoesHome({
  gates,
  home,
  customerName,
  suggested,
  views,
  lookDraft,
}: {
  gates: readonly Gate[];
  home: GoingHome | undefined;
  customerName: string;
  /** the next look that cause and use suggest */
  suggested: string;
  views: readonly SameView[];
  lookDraft: unknown;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [look, setLook] = useDraft("hand-back.look", lookDraft, typedText, home?.nextLook ?? "");
  const [signing, setSigning] = useState(false);
  const [view, setView] = useState<SameView | null>(null);
  const saveLook = async (): Promise<void> => {
    if (look.trim() !== (home?.nextLook ?? "")) fault.took(await run(sayNextLook, { says: look }));
  };
  if (view)
    return (
      <TakePicture
        where={{ role: "after", ...(view.part ? { part: view.part } : {}) }}
        ghost={pictureUrl(view.before)}
        hint={`${view.says}, as it goes out`}
        onTaken={() => setView(null)}
        onClose={() => setView(null)}
      />
    );
  return (
    <div className="flex min-h-0 flex-col gap-3 overflow-y-auto p-1">
      <h2 className="text-[36px] leading-tight">All checks are answered.</h2>
      {signing ? (
        <SignaturePad name={home?.signature?.by ?? customerName} onClose={() => setSigning(false)} />
      ) : (
        <>
          <div className="flex items-center gap-4">
            <KeyButton
              keyName=" "
              look="main"
              disabled={gates.length > 0}
              onPress={() => void run(handBack)}
              className="w-[380px] shrink-0 justify-center"
            >
              Hand it back
            </KeyButton>
            {gates[0] && <p className="says danger text-[20px] leading-tight">{gates[0].says}</p>}
          </div>
          <div className="flex flex-wrap items-center gap-2">
            <KeyButton keyName="S" onPress={() => setSigning(true)}>
              {home?.signature ? "Sign anew …" : "Sign for it …"}
            </KeyButton>
            {home?.signature ? (
              <span className="text-[20px]">
                ✓ signed by {home.signature.by}, {dayAs(home.signature.at, "HH:mm")}
              </span>
            ) : (
              <fieldset className="flex flex-wrap items-center gap-2">
                <legend className="sr-only">Without a signature here</legend>
                <span className="text-[20px]">or</span>
                {WITHOUT.map((why) => (
                  <SmallChoice
                    key={why}
                    pressed={home?.notSigned === why}
                    onPress={() => void run(notSigned, { why }).then(fault.took)}
                  >
                    {why}
                  </SmallChoice>
                ))}
              </fieldset>
            )}
          </div>
          <label className="words">
            Next look
            <input
              className="field"
              value={look}
              maxLength={200}
              placeholder={suggested}
              onChange={(e) => setLook(e.target.value)}
              onBlur={() => void saveLook()}
            />
          </label>
          <FaultLine says={fault.elsewhere()} />
          {views.length > 0 && (
            <div>
              <p className="words">The same view once more, for the sheet</p>
              <ul className="flex flex-wrap gap-2">
                {views.map((v) => (
                  <li key={v.before}>
                    <button
                      type="button"
                      className="flex min-h-[64px] items-center gap-2 border-2 border-base-content p-1 pr-3 text-[19px]"
                      onClick={() => setView(v)}
                      aria-label={`Picture of ${v.says} as it goes out`}
                    >
                      {/* biome-ignore lint/performance/noImgElement: pictures come from the shop's own
                          folder */}
                      <img
                        src={pictureUrl(v.before, true)}
                        alt=""
                        className="h-[60px] w-[80px] object-cover"
                      />
                      {v.after ? (
                        // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
                        <img
                          src={pictureUrl(v.after, true)}
                          alt=""
                          className="h-[60px] w-[80px] object-cover"
                        />
                      ) : (
                        <Camera size={26} aria-hidden="true" />
                      )}
                      {v.says}
                    </button>
                  </li>
                ))}
              </ul>
            </div>
          )}
        </>
      )}
    </div>
  );
}
