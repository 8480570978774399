import { TRAY_CELL_MM, TRAY_COLUMNS, TRAY_ROWS } from "@/core/job/tray";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";

/**
 * The tray mat in true size, to lie in the tray: four places to a sheet's length, two sheets side by side.
 */
export default function Page() {
  const halves = [TRAY_COLUMNS.slice(0, 4), TRAY_COLUMNS.slice(4)];
  return (
    <PrintPage
      title="Tray mat"
      keys={
        <KeyLink href="/" keyName="Escape">
          The board
        </KeyLink>
      }
      says={`Print at 100 %, not fitted to the page: a place is ${TRAY_CELL_MM.width} × ${TRAY_CELL_MM.height} mm. Two sheets lie side by side in the tray.`}
    >
      {halves.map((columns) => (
        <section
          key={columns[0]}
          aria-label={`Tray mat, columns ${columns[0]} to ${columns[columns.length - 1]}`}
          className="mx-auto mb-6 w-fit bg-white p-[4mm] text-[#1d2a2c]"
          style={{ breakAfter: "page" }}
        >
          {TRAY_ROWS.map((row) => (
            <div key={row} className="flex">
              {columns.map((column) => (
                <div
                  key={column}
                  className="relative border border-[#1d2a2c]"
                  style={{ width: `${TRAY_CELL_MM.width}mm`, height: `${TRAY_CELL_MM.height}mm` }}
                >
                  <span className="figures absolute top-[1mm] left-[1.5mm] text-[7mm] leading-none">
                    {row}
                    {column}
                  </span>
                </div>
              ))}
            </div>
          ))}
          <div className="mt-[3mm] flex items-end gap-[4mm]">
            <div className="flex h-[16mm] flex-1 items-center justify-center border-2 border-dashed border-[#1d2a2c] text-[5mm]">
              magnet strip
            </div>
            <div className="text-[3.5mm]">
              <svg width="50mm" height="6mm" viewBox="0 0 50 6" role="img" aria-label="Ruler of 50 mm">
                <path
                  d={Array.from(
                    { length: 51 },
                    (_, i) => `M${i} 6v${i % 10 === 0 ? -6 : i % 5 === 0 ? -4 : -2.5}`,
                  ).join("")}
                  stroke="#1d2a2c"
                  strokeWidth="0.2"
                />
              </svg>
              <br />
              50 mm, to check the print
            </div>
          </div>
        </section>
      ))}
    </PrintPage>
  );
}
