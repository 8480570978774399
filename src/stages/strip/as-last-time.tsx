"use client";

import { saidInWords } from "@/core/hardware/piece";
import { factChips } from "@/core/order/step-words";
import { HardwareGlyph } from "@/ui/hardware-glyph";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { pictureUrl } from "@/ui/picture-frame";
import { useJob } from "../saving/job-context";
import type { AsLastTime } from "./use-ghost";

/**
 * What came off next of the last unit of this model: it is confirmed with one key, or taken over to be
 * changed.
 */
export function LastTime({
  last,
  onChange,
  onWithout,
}: {
  last: AsLastTime;
  onChange: () => void;
  onWithout: () => void;
}) {
  const { number } = useJob();
  const { next } = last;
  return (
    <section
      aria-label="As last time"
      className="flex flex-col gap-1.5 border-l-[6px] border-info bg-base-200 p-2"
    >
      <div className="flex items-start gap-3">
        {next.picture && (
          // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
          <img
            src={pictureUrl(next.picture, true)}
            alt={`as it was in ${last.from}`}
            className="h-[96px] w-[128px] shrink-0 object-cover"
          />
        )}
        <div className="min-w-0 flex-1">
          <p className="hush text-[17px] leading-tight">
            {last.from}, step {last.n} of {last.count}
            {next.minutes !== undefined && ` · ${next.minutes} min`}
          </p>
          <h2 className="text-[23px] leading-tight">{next.title}</h2>
          <ul className="mt-1 flex flex-wrap gap-1.5">
            {next.hardware.map((h, i) => (
              <li key={i} className="chip small">
                <HardwareGlyph kind={h.kind} drive={h.drive} /> {saidInWords(h)}
              </li>
            ))}
            {factChips(next.facts).map(({ fact, says, danger }) => (
              <li key={`${fact} ${says}`} className={`chip small ${danger ? "danger" : ""}`}>
                {says}
              </li>
            ))}
          </ul>
        </div>
      </div>
      {last.differs.map((d) => (
        <p key={d} className="says danger text-[18px]">
          The step before: {d}.
        </p>
      ))}
      {last.passed.length > 0 && (
        <p className="says measured text-[18px]">Passed over: {last.passed.join("; ")}.</p>
      )}
      <div className="grid grid-cols-3 gap-1.5">
        <KeyButton keyName="Y" className="small" onPress={onChange}>
          Something differs
        </KeyButton>
        <KeyButton className="small" onPress={onWithout}>
          Go on without it
        </KeyButton>
        <KeyLink href={`/jobs/${number}/strip/model`} className="small justify-center">
          This model
        </KeyLink>
      </div>
    </section>
  );
}
