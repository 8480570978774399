"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { backlashChoices, makingNotes, type Way } from "@/core/gear/making";
import { isRing, type ToMake } from "@/core/gear/solid";
import { gearBenchOf, inAddress } from "@/core/job/address";
import { type Got, gotInWords, type Source } from "@/core/job/got";
import { GearFace } from "@/ui/gear-face";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { Reasons } from "@/ui/reasons";
import { useJob } from "../saving/job-context";
import { takeGot } from "./actions";

const FILES = [
  { as: "svg", says: "SVG, to print or laser-cut" },
  { as: "dxf", says: "DXF, for milling or wire cutting" },
  { as: "stl", says: "STL, to print as a solid" },
  { as: "3mf", says: "3MF, the same with its unit" },
] as const;

/**
 * Where no part is available: bond, donor, make, each with its reasons; and the gear in true size, with its
 * notes, for whoever makes it.
 */
export function MakeScreen({
  number,
  part,
  ways,
  gear,
  material,
  donors,
  isGear,
  got,
}: {
  number: string;
  part: string;
  isGear: boolean;
  ways: readonly Way[];
  gear: ToMake | null;
  /** of the old one */
  material: string | undefined;
  donors: readonly { readonly number: string; readonly says: string }[];
  got: Got | undefined;
}) {
  const { run } = useJob();
  const router = useRouter();
  const choices = backlashChoices(gear?.moduleMm ?? 1);
  const [choice, setChoice] = useState(0);
  const backlash = choices[choice] as (typeof choices)[number];
  const made = gear && { ...gear, thinnedMm: backlash.thinnedMm };
  const comesFrom = async (from: Source, says: string): Promise<void> => {
    const result = await run(takeGot, { part, got: { from, says, number: "", price: "", differs: "" } });
    if (result.ok) router.push(`/jobs/${number}/match`);
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,5fr)_minmax(0,7fr)] gap-6">
      <section aria-label="Three ways" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
        {ways.map((w) => (
          <article
            key={w.way}
            aria-label={w.says}
            className={`border-l-8 bg-base-200 px-4 py-2 ${w.barred ? "border-error" : "border-success"}`}
          >
            <h2 className="text-[24px]">
              {w.says}
              {w.barred && <span className="text-[19px] text-error"> · not here</span>}
            </h2>
            <ul className="text-[19px] leading-tight">
              <Reasons reasons={w.reasons} />
            </ul>
            {w.way === "donor" && donors.length > 0 && (
              <ul className="flex flex-wrap gap-2 pt-1">
                {donors.map((d) => (
                  <li key={d.number} className="flex gap-2">
                    <KeyLink href={`/jobs/${d.number}`} className="small">
                      {d.number}: {d.says}
                    </KeyLink>
                    <KeyButton
                      className="small"
                      onPress={() => void comesFrom("donor", `the unit of ${d.number}`)}
                    >
                      It comes from {d.number}
                    </KeyButton>
                  </li>
                ))}
              </ul>
            )}
            {w.way === "make" &&
              (got?.from === "made" ? (
                <p className="says good mt-1 text-[20px]">✓ {gotInWords(got)}</p>
              ) : (
                <KeyButton keyName="H" className="small mt-1" onPress={() => void comesFrom("made", "")}>
                  It is made here
                </KeyButton>
              ))}
            {w.way === "bond" && !w.barred && (
              <p className="says danger mt-1">
                Gloves and fresh air: epoxy irritates skin, and what is used to degrease burns. No flame near
                it.
              </p>
            )}
          </article>
        ))}
        <KeyLink keyName="Z" href={`/jobs/${number}/match`}>
          Back to the parts
        </KeyLink>
      </section>
      <section aria-label="To be made" className="flex min-h-0 flex-col gap-3">
        {gear ? (
          <>
            <div className="grid min-h-0 flex-1 grid-cols-[300px_minmax(0,1fr)] gap-5">
              <div>
                <GearFace
                  gear={gear}
                  kind={isRing(gear) ? "internal" : gear.helixAngleDeg ? "helical" : "spur"}
                  marks={{}}
                  {...(isRing(gear) ? {} : { boreMm: gear.boreMm, boreForm: gear.boreForm })}
                  size={300}
                  label={`The gear to make, ${gear.teeth} teeth`}
                />
              </div>
              <dl className="min-h-0 overflow-y-auto">
                {made &&
                  makingNotes(made, material).map((n) => (
                    <div
                      key={n.what}
                      className="grid grid-cols-[150px_minmax(0,1fr)] items-baseline gap-3 border-b-2 border-base-300 py-1"
                    >
                      <dt className="text-[19px] font-semibold">{n.what}</dt>
                      <dd>
                        <span className="figures text-[20px]">{n.figure}</span>
                        {n.says && <span className="hush block text-[17px] leading-tight">{n.says}</span>}
                      </dd>
                    </div>
                  ))}
              </dl>
            </div>
            <div className="flex flex-wrap gap-2">
              {FILES.map((f) => (
                <a
                  key={f.as}
                  className="key-button flex-1"
                  href={`/api/jobs/${number}/gear/${inAddress(part)}?as=${f.as}&thinned=${backlash.thinnedMm}`}
                  download
                >
                  {f.says}
                </a>
              ))}
            </div>
            <div className="flex items-center gap-3">
              <KeyButton
                keyName="B"
                className="small"
                label={`Backlash: ${backlash.says}`}
                onPress={() => setChoice((choice + 1) % choices.length)}
              >
                {backlash.thinnedMm
                  ? `${backlash.thinnedMm} mm off the span, ${backlash.says}`
                  : backlash.says}
              </KeyButton>
              <p className="hush text-[18px] leading-tight">
                In true size, millimetres. {backlash.thinnedMm ? "" : "A pair without backlash binds. "}Print
                the outline on paper at 100 % first and lay the old gear on it.
              </p>
            </div>
          </>
        ) : (
          <div className="says danger text-[21px]">
            {isGear ? (
              <>
                The gear cannot be drawn for making yet:{" "}
                {ways.find((w) => w.way === "make")?.reasons[0]?.says}.
                <KeyLink keyName=" " look="main" href={gearBenchOf(number, part)} className="mt-2">
                  To the gear bench
                </KeyLink>
              </>
            ) : (
              "Only gears are drawn for making. Anything else is made from the old one, as a pattern."
            )}
          </div>
        )}
      </section>
    </div>
  );
}
