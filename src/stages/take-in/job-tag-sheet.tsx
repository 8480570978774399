import QRCode from "qrcode";
import type { Job } from "@/core/job/job";
import { symptomSays } from "@/core/judge/failure-modes";
import { initials } from "@/core/take-in/loose-items";
import { dayAs } from "@/ui/day";

/** The QR code of an address, as one path in a square of `size` modules. */
function qrPath(address: string): { d: string; size: number } {
  const { modules } = QRCode.create(address, { errorCorrectionLevel: "M" });
  const rows: string[] = [];
  for (let y = 0; y < modules.size; y++)
    for (let x = 0; x < modules.size; x++) if (modules.get(y, x)) rows.push(`M${x} ${y}h1v1h-1z`);
  return { d: rows.join(""), size: modules.size };
}

function Code({ address, mm }: { address: string; mm: number }) {
  const { d, size } = qrPath(address);
  return (
    <svg
      role="img"
      aria-label={`QR code of ${address}`}
      style={{ width: `${mm}mm`, height: `${mm}mm` }}
      viewBox={`-2 -2 ${size + 4} ${size + 4}`}
      shapeRendering="crispEdges"
    >
      <path d={d} fill="#000" />
    </svg>
  );
}

/**
 * What is printed for a unit: a label of 62 × 29 mm to tie to it, and a sheet to lie beside it. No name on
 * either: a tag hangs where everybody sees it.
 */
export function JobTagSheet({ job, address }: { job: Job; address: string }) {
  const unit = [job.kind, `${job.maker} ${job.model}`.trim(), job.variant].filter(Boolean).join(", ");
  return (
    <div className="flex flex-col items-center gap-8 pb-10 text-[#1d2a2c]">
      <section
        aria-label="Label"
        className="flex items-center gap-[2mm] border border-dashed border-[#1d2a2c] bg-white p-[1.5mm]"
        style={{ width: "62mm", height: "29mm", breakAfter: "page" }}
      >
        <Code address={address} mm={26} />
        <div className="min-w-0 flex-1 leading-[1.05]">
          <p className="figures text-[6mm] font-semibold">{job.number}</p>
          <p className="text-[4.6mm] font-bold">{initials(job.customerName) || "–"}</p>
          <p className="line-clamp-2 text-[3mm] first-letter:uppercase">{unit}</p>
          <p className="line-clamp-2 text-[2.8mm]">
            {job.looseItems.length ? `+ ${job.looseItems.join(", ")}` : "nothing loose"}
          </p>
        </div>
      </section>
      <article
        aria-label="Sheet"
        className="flex w-[186mm] flex-col gap-[5mm] bg-white p-[12mm] text-[5mm] print:p-0"
      >
        <header className="flex items-start justify-between border-b-4 border-[#1d2a2c] pb-[4mm]">
          <div>
            <h1 className="figures text-[22mm] leading-none">{job.number}</h1>
            <p className="text-[8mm] first-letter:uppercase">{unit}</p>
            <p className="text-[6mm]">
              {initials(job.customerName) || "–"} · taken in {dayAs(job.takenIn, "d MMMM yyyy")}
              {job.promised && ` · promised for ${dayAs(job.promised, "EEEE d MMMM")}`}
            </p>
          </div>
          <Code address={address} mm={46} />
        </header>
        <p>
          “{job.complaint}” {job.symptoms.length > 0 && <b>{job.symptoms.map(symptomSays).join(", ")}</b>}
        </p>
        {job.condition && <p>As it came in: {job.condition}</p>}
        <section>
          <h2 className="text-[6mm]">Loose items</h2>
          {job.looseItems.length ? (
            <table className="w-full text-left">
              <thead>
                <tr className="border-b-2 border-[#1d2a2c]">
                  <th>Item</th>
                  <th className="w-[34mm]">came in</th>
                  <th className="w-[34mm]">went out</th>
                </tr>
              </thead>
              <tbody>
                {job.looseItems.map((item) => (
                  <tr key={item} className="border-b border-[#d7ccb4]">
                    <td className="py-[1.5mm]">{item}</td>
                    <td>✓</td>
                    <td>
                      <span className="inline-block size-[5mm] border-2 border-[#1d2a2c]" />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p>Nothing loose came with it.</p>
          )}
        </section>
        <p>
          {job.priceLimit !== undefined && `Limit ${job.priceLimit.toFixed(2)}. `}
          {job.consent ? "Opening agreed." : "Opening NOT agreed yet."}{" "}
          {job.disposeConsent ? "Old parts may go." : "Old parts go back to the customer."}
        </p>
      </article>
    </div>
  );
}
