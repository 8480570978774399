import type { Lubricant } from "@/core/grease/lubricant";
import { hardwareInWords } from "@/core/hardware/piece";
import { gotPieces } from "@/core/job/going-in";
import { gotInWords } from "@/core/job/got";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { LEAST_WEIGHED_G } from "@/core/lube/slips";
import { lubricantsUsed } from "@/core/lube/used";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { money } from "@/core/quantity/money";
import { dayAs } from "@/ui/day";

/** What went in, by name, number and lot, with its price: parts from wherever they came, hardware used once, grease and oil, and what was agreed. */
export function SheetParts({
  job,
  catalogue,
  lubricants,
  currency,
  markupPercent,
}: {
  job: Job;
  catalogue: readonly CataloguePart[];
  lubricants: readonly Lubricant[];
  currency: string;
  /** on what parts cost the shop */
  markupPercent: number;
}) {
  const got = gotPieces(job);
  const chosen = job.findings.flatMap((f) => {
    const part = catalogue.find((p) => p.number === f.chosen);
    // what was chosen and then mended, or left as it was, did not go in
    return part && job.parts.find((p) => p.id === f.part)?.renew ? [{ for: partNamed(job, f.part), part }] : [];
  });
  // what was compared and taken, with where it came from; where nothing was ordered here, what was chosen
  const fitted = job.arrivals
    .filter((a) => a.decision === "accepted" || a.decision === "rework")
    .map((a) => ({
      key: a.id,
      for: a.part ? partNamed(job, a.part) : "With it",
      says: `${a.qty > 1 ? `${a.qty} × ` : ""}${catalogue.find((p) => p.number === a.number)?.name ?? a.number}`,
      number: a.number,
      from: [a.supplier, a.lot && `lot ${a.lot}`].filter(Boolean).join(", "),
      price: (a.price ?? 0) * a.qty * (a.orderId === undefined ? 1 : 1 + markupPercent / 100),
    }));
  const agreed = job.quotes.filter((q) => q.answer === "accepted").at(-1);
  const used = job.steps.flatMap((s) => (s.hardware ?? []).filter((h) => h.once));
  const bought = fitted.length ? fitted.reduce((s, f) => s + f.price, 0) : chosen.reduce((s, c) => s + c.part.price, 0);
  const sum = bought + got.reduce((s, g) => s + (g.got.price ?? 0), 0);
  const lubed = lubricantsUsed(job);
  return (
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
        {got.map((g) => (
          <tr key={g.key} className="border-b border-[#d7ccb4]">
            <td className="py-0.5 first-letter:uppercase">{g.for ?? "With it"}</td>
            <td className="first-letter:uppercase">
              {g.says && `${g.says}, `}
              {gotInWords({ ...g.got, number: undefined })}
            </td>
            <td className="figures text-[15px]">{g.got.number}</td>
            <td className="figures text-right text-[15px]">{g.got.price === undefined ? "" : money(g.got.price, currency)}</td>
          </tr>
        ))}
        {used.map((h) => (
          <tr key={h.id} className="border-b border-[#d7ccb4]">
            <td>Used once</td>
            <td colSpan={3}>{hardwareInWords(h)}</td>
          </tr>
        ))}
        {lubed.map((u) => (
          <tr key={u.name} className="border-b border-[#d7ccb4] align-baseline">
            <td>Lubricant</td>
            <td>
              {u.name}
              {lubricants.find((l) => l.id === u.lubricantId)?.h1 && ", registered H1"}
              <span className="block text-[15px]">
                {u.places.map((p) => `${p.says}${(p.grams ?? 0) >= LEAST_WEIGHED_G ? ` ${p.grams?.toFixed(1)} g` : ""}`).join("; ")}
              </span>
            </td>
            <td className="figures text-[15px]">{u.lots.length > 0 && `lot ${u.lots.join(", ")}`}</td>
            <td className="figures text-right text-[15px]">{u.grams >= LEAST_WEIGHED_G ? `${u.grams.toFixed(1)} g` : "drops"}</td>
          </tr>
        ))}
        {(job.chambers ?? []).flatMap((c) =>
          c.none !== undefined || c.override !== undefined
            ? [
                <tr key={c.id} className="border-b border-[#d7ccb4]">
                  <td className="first-letter:uppercase">{c.name}</td>
                  <td colSpan={3}>{c.none !== undefined ? `not lubricated: ${c.none}` : `not registered H1, by decision: ${c.override}`}</td>
                </tr>,
              ]
            : [],
        )}
        {job.noGrease && (
          <tr className="border-b border-[#d7ccb4]">
            <td>Not lubricated</td>
            <td colSpan={3}>{job.noGrease}</td>
          </tr>
        )}
        {(fitted.length > 0 || chosen.length > 0 || got.some((g) => g.got.price !== undefined)) && (
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
              Total, with work and tax, as {agreed.byWhom ?? "the customer"} agreed on {agreed.answeredOn && dayAs(agreed.answeredOn, "d MMMM")}
            </td>
            <td className="figures text-right text-[16px] font-semibold">{money(agreed.total, currency)}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
