/* biome-ignore-all lint/performance/noImgElement: printed pictures come from the shop's own folder */

import type { Block, Report, Section } from "@/core/hand-back/report/blocks";
import { GearFace } from "@/ui/gear-face";
import { pictureUrl } from "@/ui/picture-frame";

/** The return sheet as a page: the same blocks that the PDF is drawn from. */
export const ReturnSheet = ({ report }: { report: Report }) => (
  <article className="mx-auto max-w-[820px] bg-white px-12 py-9 text-[17px] leading-snug text-[#1d2a2c] print:p-0 print:[zoom:0.78]">
    <header className="flex items-end justify-between border-b-4 border-[#1d2a2c] pb-2">
      <div>
        <h1 className="text-[32px]">{report.title}</h1>
        <p className="text-[20px]">{report.unit}</p>
      </div>
      <p className="text-right text-[17px]">
        <b>{report.shop.name}</b>
        <br />
        {report.shop.town}
        <br />
        {report.day}
      </p>
    </header>
    {report.sections.map((s) => (
      <SectionView key={s.title} section={s} />
    ))}
    {report.annex.length > 0 && (
      <div className="break-before-page pt-6">
        <p className="border-b-2 border-[#1d2a2c] text-[22px] font-bold">{report.title}: annex</p>
        {report.annex.map((s) => (
          <SectionView key={s.title} section={s} />
        ))}
      </div>
    )}
  </article>
);

const SectionView = ({ section: { title, blocks } }: { section: Section }) => (
  <section className="pt-2">
    <h2 className="break-after-avoid text-[21px]">{title}</h2>
    {blocks.map((b, i) => (
      <BlockView key={i} block={b} />
    ))}
  </section>
);

function BlockView({ block: b }: { block: Block }) {
  switch (b.is) {
    case "words":
      return <p className={`${b.strong ? "font-bold" : ""} ${b.small ? "text-[15px]" : ""}`}>{b.says}</p>;
    case "list":
      return (
        <ul className="list-disc pl-5">
          {b.items.map((i) => (
            <li key={`${i.lead} ${i.says}`}>
              {i.lead && <b>{i.lead}: </b>}
              {i.says}
            </li>
          ))}
        </ul>
      );
    case "rows":
      return (
        <table className="w-full text-left">
          <tbody>
            {b.rows.map((r) => (
              <tr
                key={`${r.what} ${r.says} ${r.number}`}
                className={`break-inside-avoid border-b border-[#d7ccb4] align-baseline ${r.strong ? "font-bold" : ""}`}
              >
                <td className="py-0.5 pr-3" colSpan={r.says || r.number ? 1 : 3}>
                  {r.what}
                </td>
                {(r.says || r.number) && (
                  <>
                    <td className="pr-3">
                      <span className="block first-letter:uppercase">{r.says}</span>
                      {r.under && <span className="block text-[15px]">{r.under}</span>}
                    </td>
                    <td className="figures pr-3 text-[15px]">{r.number}</td>
                  </>
                )}
                <td className="figures text-right text-[15px] whitespace-nowrap">{r.amount}</td>
              </tr>
            ))}
          </tbody>
        </table>
      );
    case "tests":
      return (
        <ul className="grid grid-cols-2 gap-x-6">
          {b.tests.map((t) => (
            <li
              key={t.asks}
              className="grid break-inside-avoid grid-cols-[1fr_auto] content-start gap-x-3 border-b border-[#d7ccb4]"
            >
              <span>{t.asks}</span>
              <span className="whitespace-nowrap">
                <b>{t.answer}</b> <span className="figures text-[14px]">{t.at}</span>
              </span>
              {t.under && <span className="col-span-2 text-[14px] leading-tight">{t.under}</span>}
            </li>
          ))}
        </ul>
      );
    case "pictures":
      return (
        <div className="grid grid-cols-2 gap-3 pt-2">
          {b.pictures.map((p) => (
            <figure key={p.sha256 + p.says} className="break-inside-avoid">
              <img
                src={pictureUrl(p.sha256)}
                alt={p.says}
                className="max-h-[260px] w-full border border-[#1d2a2c] object-contain"
              />
              <figcaption className="text-[15px]">{p.says}</figcaption>
            </figure>
          ))}
        </div>
      );
    case "gear": {
      const { marks, says, ...gear } = b.gear;
      return (
        <figure className="flex break-inside-avoid items-center gap-5 py-2">
          <GearFace gear={gear} marks={marks} size={230} label={says} />
          <figcaption>
            <b className="block">{says}</b>
            {gear.teeth} teeth, module {gear.moduleMm} mm, {gear.pressureAngleDeg}°
            {gear.helixAngleDeg ? `, helix ${gear.helixAngleDeg}°` : ""}
          </figcaption>
        </figure>
      );
    }
    case "signature":
      return (
        <figure className="w-[300px] break-inside-avoid">
          <svg
            viewBox={`0 0 300 ${b.signature.strokes.length ? 84 : 36}`}
            className="w-full border-b-2 border-[#1d2a2c]"
            role="img"
            aria-label={b.signature.strokes.length ? `Signature of ${b.signature.says}` : "A line to sign on"}
          >
            {b.signature.strokes.map((s, i) => (
              <polyline
                key={i}
                points={s.map(([x, y]) => `${300 * x},${84 * y}`).join(" ")}
                fill="none"
                stroke="#1d2a2c"
                strokeWidth={2}
                strokeLinecap="round"
                strokeLinejoin="round"
              />
            ))}
          </svg>
          <figcaption className="text-[15px]">{b.signature.says}</figcaption>
        </figure>
      );
  }
}
