/* biome-ignore-all lint/performance/noImgElement: printed pictures come from the shop's own folder */

import { format, parseISO } from "date-fns";
import type { Lubricant } from "@/core/grease/choose";
import { finalChecks } from "@/core/hand-back/final-checks";
import { hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { finalKey } from "@/core/job/keys";
import { partNamed } from "@/core/job/part";
import { CAUSE_RULES } from "@/core/judge/cause-rules";
import { FAILURE_MODES, GREASE_STATES, symptomSays } from "@/core/judge/failure-modes";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { money } from "@/core/quantity/money";
import { pictureUrl } from "@/ui/picture-frame";
import { SheetHead } from "../frame/sheet-head";

/** The return sheet: what was wrong, why, what was done; parts and grease by name and lot; tests with figures. One A4 page. */
export function ReturnSheet({
  job,
  catalogue,
  lubricant,
  shopName,
  town,
  currency,
  markupPercent,
}: {
  job: Job;
  catalogue: readonly CataloguePart[];
  lubricant: Lubricant | undefined;
  shopName: string;
  town: string;
  currency: string;
  /** on what parts cost the shop */
  markupPercent: number;
}) {
  const causes = (job.causes.chosen ?? []).flatMap((c) => CAUSE_RULES.find((r) => r.cause === c)?.says ?? []);
  const failed = job.findings.filter((f) => f.mode && f.mode !== "sound");
  const partName = (id: string): string => partNamed(job, id);
  const chosen = job.findings.flatMap((f) => {
    const part = catalogue.find((p) => p.number === f.chosen);
    return part ? [{ for: partName(f.part), part }] : [];
  });
  // what was compared and taken, with where it came from; where nothing was ordered here, what was chosen
  const fitted = job.arrivals
    .filter((a) => a.decision === "accepted" || a.decision === "rework")
    .map((a) => ({
      key: a.id,
      for: a.part ? partName(a.part) : "With it",
      says: `${a.qty > 1 ? `${a.qty} × ` : ""}${catalogue.find((p) => p.number === a.number)?.name ?? a.number}`,
      number: a.number,
      from: [a.supplier, a.lot && `lot ${a.lot}`].filter(Boolean).join(", "),
      price: (a.price ?? 0) * a.qty * (a.orderId === undefined ? 1 : 1 + markupPercent / 100),
    }));
  const agreed = job.quotes.filter((q) => q.answer === "accepted").at(-1);
  const used = job.steps.flatMap((s) => (s.hardware ?? []).filter((h) => h.once));
  const sum = fitted.length ? fitted.reduce((s, f) => s + f.price, 0) : chosen.reduce((s, c) => s + c.part.price, 0);
  const grams = job.lubePoints.reduce((s, g) => s + (g.weighedGrams ?? 0), 0);
  const pictures = job.pictures
    .filter((p) => p.role === "intake" || failed.some((f) => job.steps.find((s) => s.id === p.step)?.parts?.includes(f.part)))
    .slice(0, 4);
  const checks = finalChecks(job);
  const state = GREASE_STATES.find((g) => g.state === job.greaseState);
  const skipped = job.answers.filter((a) => a.answer === "skipped");
  return (
    <article className="mx-auto max-w-[820px] bg-white px-12 py-9 text-[17px] leading-snug text-[#1d2a2c] print:p-0">
      <SheetHead title={`Return sheet ${job.number}`} job={job} shopName={shopName} town={town} at={job.handedBackAt ?? new Date().toISOString()} />
      <Section title="What was brought in">
        <p>
          {job.customerName && `${job.customerName}, `}taken in {format(parseISO(job.takenIn), "d MMMM yyyy")}. “{job.complaint}”
        </p>
        {job.symptoms.length > 0 && <p>Noted: {job.symptoms.map(symptomSays).join(", ")}.</p>}
        {job.looseItems.length > 0 && <p>Handed back with it: {job.looseItems.join(", ")}.</p>}
      </Section>
      <Section title="What was wrong">
        <ul className="list-disc pl-5">
          {failed.map((f) => (
            <li key={f.part}>
              <b className="inline-block first-letter:uppercase">{partName(f.part)}</b>: {FAILURE_MODES.find((m) => m.mode === f.mode)?.says}
              {f.extent && `, ${f.extent}`}
              {f.identity &&
                ` (${f.identity.teeth} teeth, ${f.identity.diametralPitch ? `${f.identity.diametralPitch} DP` : `module ${f.identity.moduleMm} mm`}, ${f.identity.pressureAngleDeg}°${f.identity.helixAngleDeg ? `, helix ${f.identity.helixAngleDeg}°` : ""})`}
            </li>
          ))}
          {state && state.state !== "good" && (
            <li>
              Old grease: {state.says}. {state.implies}
            </li>
          )}
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
        <p>
          Taken apart in {job.steps.length} steps and put back the same way; every screw, washer and clip counted out and back.
          {job.services.map((v) => ` ${v.note ?? v.do}.`).join("")}
        </p>
      </Section>
      <Section title="Parts and grease">
        <table className="w-full text-left">
          <tbody>
            {fitted.map((f) => (
              <tr key={f.key} className="border-b border-[#d7ccb4] align-baseline">
                <td className="py-0.5 first-letter:uppercase">{f.for}</td>
                <td>
                  {f.says}
                  <span className="block text-[15px]">{f.from}</span>
                </td>
                <td className="figures text-[15px]">{f.number}</td>
                <td className="figures text-right text-[15px]">{money(f.price, currency)}</td>
              </tr>
            ))}
            {(fitted.length ? [] : chosen).map((c) => (
              <tr key={c.part.number} className="border-b border-[#d7ccb4]">
                <td className="py-0.5 first-letter:uppercase">{c.for}</td>
                <td>{c.part.name}</td>
                <td className="figures text-[15px]">{c.part.number}</td>
                <td className="figures text-right text-[15px]">{money(c.part.price, currency)}</td>
              </tr>
            ))}
            {used.map((h) => (
              <tr key={h.id} className="border-b border-[#d7ccb4]">
                <td>Used once</td>
                <td colSpan={3}>{hardwareInWords(h)}</td>
              </tr>
            ))}
            {lubricant && grams > 0 && (
              <tr className="border-b border-[#d7ccb4]">
                <td>Grease</td>
                <td>
                  {lubricant.name}
                  {lubricant.h1 && ", registered H1"}
                </td>
                <td className="figures text-[15px]">lot {lubricant.lot}</td>
                <td className="figures text-right text-[15px]">{grams.toFixed(1)} g</td>
              </tr>
            )}
            {(fitted.length > 0 || chosen.length > 0) && (
              <tr>
                <td colSpan={3} className="pt-1 font-bold">
                  Parts
                </td>
                <td className="figures pt-1 text-right text-[16px] font-semibold">{money(sum, currency)}</td>
              </tr>
            )}
            {agreed && (
              <tr>
                <td colSpan={3} className="font-bold">
                  Total, with work and tax, as {agreed.byWhom} agreed on {agreed.answeredOn && format(parseISO(agreed.answeredOn), "d MMMM")}
                </td>
                <td className="figures text-right text-[16px] font-semibold">{money(agreed.total, currency)}</td>
              </tr>
            )}
          </tbody>
        </table>
      </Section>
      <Section title="Tests">
        <ul className="grid grid-cols-2 gap-x-6">
          {checks.map((c) => {
            const a = job.answers.find((x) => x.question === finalKey(c.check));
            return (
              <li key={c.check} className="flex justify-between gap-3 border-b border-[#d7ccb4]">
                <span>{c.asks.replace(/\?$/, "")}</span>
                <b className="shrink-0">{a ? (a.value === undefined ? "✓ yes" : `${a.value} ${a.unit}`) : "open"}</b>
              </li>
            );
          })}
        </ul>
        {skipped.map((s) => (
          <p key={s.question} className="font-bold text-[#b23519]">
            Safety question skipped at the strip: {s.note}
          </p>
        ))}
      </Section>
      <Section title="So that it lasts">
        <p>
          {job.foodContact
            ? "Never run it dry or longer than its plate says; wash the loose parts at once and let them dry."
            : "Let it rest when it gets warm; keep the vents clear; a new noise is worth a telephone call."}{" "}
          Due for a check after a year of the same use, or at the first click.
        </p>
      </Section>
    </article>
  );
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section className="pt-3">
      <h2 className="text-[21px]">{title}</h2>
      {children}
    </section>
  );
}
