import type { CataloguePart } from "@/core/match/catalogue-part";
import { fitInWords } from "@/core/match/fits-unit";
import { specInWords } from "@/core/match/part-spec";
import { PartGlyph } from "@/ui/part-glyph";

/** The catalogue as it stands: what each part is, what it is for, what it costs, whether it lies in the drawer. */
export function Catalogue({ parts, currency }: { parts: readonly CataloguePart[]; currency: string }) {
  return (
    <table className="w-full text-left text-[19px]">
      <thead>
        <tr className="border-b-2 border-base-content text-[20px]">
          <th className="py-2 pl-2">Part</th>
          <th>Number</th>
          <th>What it is</th>
          <th>Sold for</th>
          <th className="text-right">In the drawer</th>
          <th className="pr-2 text-right">Price</th>
        </tr>
      </thead>
      <tbody>
        {parts.map((p) => (
          <tr key={p.number} className="border-b-2 border-base-300">
            <td className="flex items-center gap-3 py-1.5 pl-2">
              <PartGlyph kind={p.spec.kind} size={34} /> {p.name}
            </td>
            <td className="figures pr-3 text-[16px] whitespace-nowrap">{p.number}</td>
            <td className="pr-3">{specInWords(p.spec)}</td>
            <td className="pr-3">{p.fits.map(fitInWords).join("; ") || "any"}</td>
            <td className={`figures text-right text-[18px] ${p.stock ? "" : "text-error"}`}>{p.stock}</td>
            <td className="figures pr-2 text-right text-[18px] whitespace-nowrap">
              {p.price.toFixed(2)} {currency}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
