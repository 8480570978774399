import type { ImportReport } from "./import-report";

const ENCODINGS: Readonly<Record<ImportReport["manner"]["encoding"], string>> = {
  "utf-8": "UTF-8",
  "utf-16le": "UTF-16",
  "utf-16be": "UTF-16",
  "windows-1252": "an older Western alphabet (Windows-1252)",
};

/**
 * What taking a table in would do: how many rows of which sort, which cannot be read and why, and the first
 * of them as they were read.
 */
export function ImportPreview({ report }: { report: ImportReport }) {
  const n = (x: number): string => x.toLocaleString("en");
  const tiles = [
    { says: "new", count: report.added, tone: "" },
    { says: "changed", count: report.changed, tone: "" },
    { says: "as they are", count: report.same, tone: "hush" },
    { says: "left out", count: report.faulty, tone: report.faulty ? "text-error" : "hush" },
  ];
  return (
    <>
      <dl aria-label="What it would do" className="grid grid-cols-4 border-y-2 border-base-content">
        {tiles.map((t) => (
          <div key={t.says} className={`border-r-2 border-base-300 px-3 py-1.5 last:border-r-0 ${t.tone}`}>
            <dd className="figures text-[30px] leading-tight">{n(t.count)}</dd>
            <dt className="text-[19px] font-semibold">{t.says}</dt>
          </div>
        ))}
      </dl>
      <p className="hush text-[18px]">
        {n(report.rows)} rows of {report.table}, written in {ENCODINGS[report.manner.encoding]}.
        {report.unknown.length > 0 &&
          ` Nothing is read from ${report.unknown.map((u) => `“${u}”`).join(", ")}.`}
      </p>
      {report.faults.length > 0 && (
        <section aria-label="Left out">
          <h3 className="text-[21px] text-error">Left out, and why</h3>
          <ul className="max-h-[170px] overflow-y-auto border-y-2 border-error">
            {report.faults.map((f) => (
              <li
                key={`${f.row} ${f.column}`}
                className="flex gap-3 border-b-2 border-base-300 py-0.5 text-[19px] last:border-b-0"
              >
                <span className="figures w-[100px] shrink-0 text-[17px]">row {n(f.row)}</span>
                <span>
                  {f.column && <b>{f.column}: </b>}
                  {f.says}
                </span>
              </li>
            ))}
          </ul>
          {report.faulty > report.faults.length && (
            <p className="hush text-[18px]">and {n(report.faulty - report.faults.length)} more</p>
          )}
        </section>
      )}
    </>
  );
}

/** The first rows of a table, as they are read. */
export function ImportSample({ sample }: { sample: ImportReport["sample"] }) {
  const columns = Object.keys(sample[0] ?? {})
    .filter((c) => sample.some((r) => r[c]))
    .slice(0, 7);
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left text-[18px]">
        <caption className="text-left text-[20px] font-bold">As it is read</caption>
        <thead>
          <tr className="border-b-2 border-base-content">
            {columns.map((c) => (
              <th key={c} className="py-1 pr-3 whitespace-nowrap">
                {c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sample.map((r) => (
            <tr key={JSON.stringify(r)} className="border-b-2 border-base-300">
              {columns.map((c) => (
                <td key={c} className="max-w-[220px] truncate py-1 pr-3">
                  {r[c]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
