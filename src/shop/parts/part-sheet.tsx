import type { ReactNode } from "react";
import { fitInWords } from "@/core/match/candidates/fits-unit";
import type { AboutPart } from "@/core/match/catalogue/found-parts";
import { SPEC_FIELDS, specValue } from "@/core/match/catalogue/spec-fields";
import { money, priceSaid } from "@/core/quantity/money";
import { PartGlyph } from "@/ui/part-glyph";
import { Way } from "@/ui/way";

/** Everything about one part: its figures, what it is for, what goes with it, who sells it. */
export function PartSheet({
  about: { part, offers, replacedBy, inKits },
  currency,
  look,
}: {
  about: AboutPart;
  currency: string;
  look: (number: string) => void;
}) {
  const to = (number: string): ReactNode => (
    <button
      type="button"
      className="figures min-h-[48px] px-1 text-[18px] underline underline-offset-4"
      onClick={() => look(number)}
    >
      {number}
    </button>
  );
  const figures = SPEC_FIELDS[part.spec.kind].flatMap((f) => {
    const value = specValue(part.spec, f.key);
    return value === undefined ||
      (f.key === "profileShift" && value === 0) ||
      (f.key === "helixAngleDeg" && value === 0)
      ? []
      : [{ ...f, value }];
  });
  return (
    <article className="flex flex-col gap-3">
      <header className="flex items-start gap-4">
        <PartGlyph kind={part.spec.kind} size={72} />
        <div className="min-w-0 flex-1">
          <h2 className="text-[27px]">{part.name}</h2>
          <p className="figures text-[21px]">{part.number}</p>
          {part.note && <p className="hush text-[18px]">{part.note}</p>}
        </div>
        <p className="text-right text-[19px]">
          <b className="figures block text-[27px]">{priceSaid(part.price, currency)}</b>
          {part.stock} in the drawer
        </p>
        <Way href={`/parts/part?number=${encodeURIComponent(part.number)}`} className="key-button small">
          Change it
        </Way>
      </header>
      {part.discontinued && (
        <p className="says danger">
          Discontinued{part.stock ? `: the ${part.stock} in the drawer are the last.` : ", and none is left."}
        </p>
      )}
      {figures.length > 0 && (
        <dl className="grid grid-cols-2 border-t-2 border-base-300">
          {figures.map((f) => (
            <div
              key={f.key}
              className="flex items-baseline justify-between gap-3 border-b-2 border-base-300 py-1 odd:pr-4 even:pl-4"
            >
              <dt className="text-[19px]">{f.label}</dt>
              <dd
                className={typeof f.value === "number" ? "figures text-[21px]" : "text-[20px] font-semibold"}
              >
                {f.value}
                {f.unit === "°" ? "°" : f.unit ? ` ${f.unit}` : ""}
              </dd>
            </div>
          ))}
        </dl>
      )}
      <Lines title="Sold for" lines={part.fits.map((f) => ({ key: fitInWords(f), shows: fitInWords(f) }))} />
      <Lines
        title="Replaces"
        lines={part.replaces.map((r) => ({
          key: r.number,
          shows: to(r.number),
          why: [r.when, r.variants.length ? `variant ${r.variants.join(", ")} only` : ""]
            .filter(Boolean)
            .join("; "),
        }))}
      />
      <Lines
        title="Replaced by"
        lines={replacedBy.map((r) => ({ key: r.number, shows: to(r.number), why: r.when ?? r.name }))}
      />
      <Lines
        title="Must come with it"
        lines={part.needsAlso.map((n) => ({
          key: n.number,
          shows: (
            <>
              {n.qty} × {to(n.number)}
            </>
          ),
          why: n.why,
        }))}
      />
      <Lines
        title="Does not work with"
        tone="text-error"
        lines={part.incompatibleWith.map((n) => ({ key: n.number, shows: to(n.number), why: n.why }))}
      />
      <Lines
        title="Holds"
        lines={part.contains.map((c) => ({
          key: `${c.number} ${c.variant ?? ""}`,
          shows: (
            <>
              {c.qty} × {to(c.number)}
            </>
          ),
          why: c.variant ? `for variant ${c.variant} only` : "",
        }))}
      />
      <Lines
        title="Also in the kit"
        lines={inKits.map((k) => ({ key: k.number, shows: to(k.number), why: k.name }))}
      />
      {offers.length > 0 && (
        <table className="w-full text-left text-[19px]">
          <caption className="border-b-2 border-base-content pb-1 text-left text-[20px] font-bold">
            Available from
          </caption>
          <tbody>
            {offers.map((o) => (
              <tr key={`${o.supplier} ${o.pack}`} className="border-b-2 border-base-300">
                <th scope="row" className="py-1 font-semibold">
                  {o.supplier}
                </th>
                <td>
                  {o.pack > 1 ? `pack of ${o.pack}` : ""}
                  {o.minPacks > 1 ? ` at least ${o.minPacks}` : ""}
                </td>
                <td className="figures text-[18px]">{o.leadDays} days</td>
                <td className="figures text-[18px]">
                  {o.stock === undefined ? "stock not told" : o.stock ? `${o.stock} left` : "none left"}
                </td>
                <td className="figures text-right text-[19px]">{money(o.price, currency)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </article>
  );
}

function Lines({
  title,
  lines,
  tone = "",
}: {
  title: string;
  lines: readonly { key: string; shows: ReactNode; why?: string }[];
  tone?: string;
}) {
  if (!lines.length) return null;
  return (
    <section aria-label={title}>
      <h3 className={`border-b-2 border-base-content text-[20px] ${tone}`}>{title}</h3>
      <ul>
        {lines.map((l) => (
          <li
            key={l.key}
            className="flex min-h-[40px] items-baseline gap-3 border-b-2 border-base-300 py-0.5 text-[19px]"
          >
            <span className="whitespace-nowrap">{l.shows}</span>
            {l.why && <span className="hush leading-tight">{l.why}</span>}
          </li>
        ))}
      </ul>
    </section>
  );
}
