import { AS_MADE, thinnedBy } from "@/core/gear/as-made";
import { type LengthUnit, MM_PER_INCH } from "@/core/quantity/units";
import type { GearView } from "./gear-view";

/** The gear's dimensions as its numbers want them and as a new one has them, against what was found. */
export function GearSizes({ view, unit }: { view: GearView; unit: LengthUnit }) {
  if (!view.sizes.length)
    return <p className="says">Name the gear first: its sizes follow from its numbers.</p>;
  const shown = (mm: number, angle: boolean, sign = false): string => {
    const v = unit === "in" && !angle ? mm / MM_PER_INCH : mm;
    const figure = v.toFixed(angle ? 1 : unit === "in" ? 4 : 2);
    // what rounds to nothing has no sign
    if (Number(figure) === 0) return figure.replace("-", "");
    return `${sign && v > 0 ? "+" : ""}${figure}`;
  };
  const { making, said } = view.making;
  const thinned = thinnedBy(view.gear?.moduleMm ?? 1, making);
  return (
    <>
      <table className="w-full text-[20px]">
        <thead>
          <tr className="border-b-4 border-base-content text-left text-[18px]">
            <th className="py-1">Dimension</th>
            <th className="text-right">drawn</th>
            <th className="text-right">new</th>
            <th className="text-right">found</th>
            <th className="text-right">difference</th>
            <th className="pl-4">within</th>
          </tr>
        </thead>
        <tbody>
          {view.sizes.map((r) => {
            const angle = r.unit === "°";
            const says = angle ? "°" : unit;
            return (
              <tr key={r.what} className="border-b-2 border-base-300">
                <th scope="row" className="py-1.5 text-left font-semibold">
                  {r.what}, {says}
                </th>
                <td className="figures text-right text-[22px]">{shown(r.wanted, angle)}</td>
                <td className="figures text-right text-[22px]">
                  {r.fresh === null ? "–" : shown(r.fresh, angle)}
                </td>
                <td className="figures text-right text-[22px]">
                  {r.found === null ? "–" : shown(r.found, angle)}
                </td>
                <td className={`figures text-right text-[22px] ${r.ok === false ? "text-error" : ""}`}>
                  {r.difference === null ? "–" : shown(r.difference, angle, true)}
                </td>
                <td className={`pl-4 text-[18px] ${r.ok === false ? "font-bold text-error" : ""}`}>
                  {r.ok === null ? (
                    <span className="hush">not taken</span>
                  ) : (
                    `${r.ok ? "✓" : "✕ more than"} ± ${shown(r.tolerance ?? 0, angle)}`
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="hush text-[18px]">
        New:{" "}
        {making === "unknown"
          ? "it is not told how it was made"
          : `${AS_MADE[making].says}${said ? "" : ", as its material is plastic"}`}
        ; such teeth are thinned by {shown(thinned.value, false)} {unit}, give or take{" "}
        {shown(thinned.u, false)}. What is within two spreads of that and of the caliper is no wear.
      </p>
    </>
  );
}
