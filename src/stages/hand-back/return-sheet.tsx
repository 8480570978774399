/* biome-ignore-all lint/performance/noImgElement: printed pictures come from the shop's own folder */

import type { Lubricant } from "@/core/grease/lubricant";
import type { ElectricalLimits } from "@/core/hand-back/electrical-limits";
import { finalChecks } from "@/core/hand-back/final-checks";
import { hardwareInWords } from "@/core/hardware/piece";
import { endingNamed } from "@/core/job/ending";
import { sizeOf } from "@/core/job/gear-notes";
import { goingInOf } from "@/core/job/going-in";
import type { Job } from "@/core/job/job";
import { finalKey } from "@/core/job/keys";
import { partNamed } from "@/core/job/part";
import { pieceNamed } from "@/core/job/piece-named";
import { type Service, serviceSays } from "@/core/job/service";
import { CAUSE_RULES } from "@/core/judge/cause-rules";
import { FAILURE_MODES, greaseStatesIn, isFailure, modeNamed, symptomSays } from "@/core/judge/failure-modes";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { insteadOf } from "@/core/order/missing";
import { money } from "@/core/quantity/money";
import { capital, sentence } from "@/core/sentence";
import { dayAs } from "@/ui/day";
import { pictureUrl } from "@/ui/picture-frame";
import { SheetHead } from "../frame/sheet-head";
import { SheetParts } from "./sheet-parts";

/** The return sheet: what was wrong, why, what was done; parts and grease by name and lot; tests with figures. One A4 page. */
export function ReturnSheet({
  job,
  catalogue,
  lubricants,
  shopName,
  town,
  currency,
  markupPercent,
  limits,
}: {
  job: Job;
  catalogue: readonly CataloguePart[];
  lubricants: readonly Lubricant[];
  shopName: string;
  town: string;
  currency: string;
  /** on what parts cost the shop */
  markupPercent: number;
  /** by which the shop tests */
  limits: ElectricalLimits;
}) {
  const causes = (job.causes.chosen ?? []).flatMap((c) => CAUSE_RULES.find((r) => r.cause === c)?.says ?? []);
  const failed = job.findings.filter((f) => isFailure(f.mode));
  const looked = job.findings.filter((f) => f.mode && !isFailure(f.mode));
  const ending = job.ending && endingNamed(job.ending.how);
  const partName = (id: string): string => partNamed(job, id);
  const pictures = job.pictures
    .filter((p) => p.role === "intake" || failed.some((f) => job.steps.find((s) => s.id === p.step)?.parts?.includes(f.part)))
    .slice(0, 4);
  const checks = finalChecks(job, limits);
  const states = greaseStatesIn(job.greaseStates).filter((g) => g.state !== "good");
  const held = [...new Set(job.answers.flatMap((a) => (a.value !== undefined && a.note ? [a.note] : [])))];
  return (
    <article className="mx-auto max-w-[820px] bg-white px-12 py-9 text-[17px] leading-snug text-[#1d2a2c] print:p-0">
      <SheetHead title={`Return sheet ${job.number}`} job={job} shopName={shopName} town={town} at={job.handedBackAt ?? new Date().toISOString()} />
      <Section title="What was brought in">
        <p>
          {job.customerName && `${job.customerName}, `}taken in {dayAs(job.takenIn, "d MMMM yyyy")}. “{job.complaint}”
        </p>
        {job.symptoms.length > 0 && <p>Noted: {job.symptoms.map(symptomSays).join(", ")}.</p>}
        {job.looseItems.length > 0 && <p>Handed back with it: {job.looseItems.join(", ")}.</p>}
      </Section>
      <Section title={failed.length ? "What was wrong" : "What was found"}>
        <ul className="list-disc pl-5">
          {failed.map((f) => (
            <li key={f.part}>
              <b className="inline-block first-letter:uppercase">{partName(f.part)}</b>: {FAILURE_MODES.find((m) => m.mode === f.mode)?.says}
              {f.extent && `, ${f.extent}`}
              {f.fate === "keep" && f.fateWhy && `; left as it is: ${f.fateWhy}`}
              {f.fate === "repair" && f.fateWhy && `; mended: ${f.fateWhy}`}
              {f.identity &&
                ` (${f.identity.teeth} teeth, ${sizeOf(f.identity)}${f.identity.diametralPitch ? "" : " mm"}, ${f.identity.pressureAngleDeg}°${f.identity.helixAngleDeg ? `, helix ${f.identity.helixAngleDeg}°` : ""})`}
            </li>
          ))}
          {job.nothingFailed && <li>{job.nothingFailed === "service" ? "Nothing failed: a service." : "No fault was found."}</li>}
          {looked.length > 0 && (
            <li>Looked at: {looked.map((f) => `${partName(f.part)}, ${modeNamed(f.mode)?.says}${f.extent ? ` (${f.extent})` : ""}`).join("; ")}.</li>
          )}
          {states.map((g) => (
            <li key={g.state}>
              Old grease: {g.says}. {g.implies}
            </li>
          ))}
          {failed.length + looked.length + states.length === 0 && !job.nothingFailed && <li>It was not examined.</li>}
          {(causes.length > 0 || job.causes.words) && (
            <li>
              <b>Why</b>: {[...causes, job.causes.words].filter(Boolean).join(". ")}
            </li>
          )}
        </ul>
      </Section>
      {pictures.length > 0 && (
        <div className="grid grid-cols-4 gap-2 pt-2">
          {pictures.map((p) => (
            <img
              key={p.name}
              src={pictureUrl(p.sha256, true)}
              alt={p.step ? (job.steps.find((s) => s.id === p.step)?.title ?? "") : "as it came in"}
              className="h-[112px] w-full border border-[#1d2a2c] object-cover"
            />
          ))}
        </div>
      )}
      <Section title="What was done">
        {ending && (
          <p className="font-bold">
            {ending.tells} {sentence(job.ending?.why ?? "")}
            {job.ending?.amount !== undefined && ` ${money(job.ending.amount, currency)} ${job.ending.how === "bought-out" ? "paid to the customer" : "due"}.`}
          </p>
        )}
        {job.warrantyOf && <p>Came back within the warranty of {job.warrantyOf}: the work is not charged.</p>}
        {job.steps.length > 0 && (ending?.together ?? true) && (
          <p>
            Taken apart in {job.steps.length} {job.steps.length === 1 ? "step" : "steps"} and put back the same way; every screw, washer and clip counted out
            and back.
            {!ending && job.services.map((v) => ` ${serviceInSheet(job, v)}.`).join("")}
            {insteadOf(job).map(
              ({ piece, qty, from }) => ` ${capital(hardwareInWords({ ...piece, qty, at: undefined }))} went in for what was lost on the bench, from: ${from}.`,
            )}
            {!ending &&
              goingInOf(job)
                .flatMap((g) => g.staysOut)
                .map((p) => ` Left out: ${pieceNamed(job, p)}, because ${p.why}.`)
                .join("")}
          </p>
        )}
        {job.steps.length === 0 && <p>It was not taken apart.</p>}
      </Section>
      {!ending && (
        <Section title="Parts and lubricants">
          <SheetParts job={job} catalogue={catalogue} lubricants={lubricants} currency={currency} markupPercent={markupPercent} />
        </Section>
      )}
      <Section title="Tests">
        <ul className="grid grid-cols-2 gap-x-6">
          {checks.map((c) => {
            const a = job.answers.find((x) => x.question === finalKey(c.check));
            return (
              <li key={c.check} className="flex justify-between gap-3 border-b border-[#d7ccb4]">
                <span>
                  {c.asks.replace(/\?$/, "")}
                  {a?.note && a.value === undefined && <span className="block text-[15px]">{a.note}</span>}
                </span>
                <b className="shrink-0">{a ? (a.value !== undefined ? `${a.value} ${a.unit}` : a.answer === "yes" ? "✓ yes" : "left out") : "open"}</b>
              </li>
            );
          })}
        </ul>
        {held.map((h) => (
          <p key={h} className="text-[15px]">
            Limit: {h}.
          </p>
        ))}
      </Section>
      {!ending && (
        <Section title="So that it lasts">
          <p>
            {job.foodContact
              ? "Never run it dry or longer than its plate says; wash the loose parts at once and let them dry."
              : "Let it rest when it gets warm; keep the vents clear; a new noise is worth a telephone call."}{" "}
            Due for a check after a year of the same use, or at the first click.
          </p>
        </Section>
      )}
    </article>
  );
}

/** @example serviceInSheet(job, { id: "v1", do: "bond", part: "p2", note: "filled with brass" }) // "Bond crown gear: filled with brass" */
function serviceInSheet(job: Job, { do: what, part, note }: Service): string {
  return `${serviceSays(what)} ${part ? partNamed(job, part) : "the case"}${note ? `: ${note}` : ""}`;
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="pt-3">
      <h2 className="text-[21px]">{title}</h2>
      {children}
    </section>
  );
}
