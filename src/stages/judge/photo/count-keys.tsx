"use client";

import { KeyButton } from "@/ui/key-button";
import type { Photo } from "./use-photo";
import type { ToothCount } from "./use-tooth-count";

/** What a hand can do about a count: mend it, read again, lay the ring, take another picture, take sizes. */
export function CountKeys({
  photo: { picture, ring, progress, read },
  count: { sizing, setSizing, recount, byHand },
  onCamera,
  onOther,
}: {
  photo: Photo;
  count: ToothCount;
  onCamera: () => void;
  /** left out where there is one picture only */
  onOther: (() => void) | undefined;
}) {
  return (
    <div className="grid grid-cols-2 gap-1.5">
      {ring && !sizing && (
        <>
          <KeyButton keyName="Z" className="small" onPress={() => setSizing("card")}>
            Size
          </KeyButton>
          <KeyButton keyName="-" label="Strike a tooth" className="small" onPress={() => recount(-1)}>
            − one tooth
          </KeyButton>
          <KeyButton keyName="+" label="Add a tooth" className="small" onPress={() => recount(1)}>
            + one tooth
          </KeyButton>
        </>
      )}
      {!sizing && (
        <>
          <KeyButton keyName="R" className="small" disabled={!picture || progress !== null} onPress={read}>
            Read again
          </KeyButton>
          <KeyButton keyName="H" className="small" disabled={!picture} onPress={byHand}>
            Ring by hand
          </KeyButton>
          <KeyButton keyName="I" className="small" onPress={onCamera}>
            New picture
          </KeyButton>
          {onOther && (
            <KeyButton keyName="O" className="small" onPress={onOther}>
              Other picture
            </KeyButton>
          )}
        </>
      )}
    </div>
  );
}
