import { TABLE_NAMES } from "@/core/table/cells";

/** The tables as they stand, to be carried away. */
export function TablesOut() {
  return (
    <section aria-label="Out">
      <h2 className="border-b-2 border-base-content text-[24px]">Out</h2>
      <div className="flex flex-col gap-2 pt-2">
        {TABLE_NAMES.map((t) => (
          <a key={t} className="key-button" href={`/api/parts/table/${t}`} download>
            {t}.csv
          </a>
        ))}
      </div>
      <p className="hush pt-1 text-[18px]">
        Cells that a spreadsheet would take for a formula go out with an apostrophe before them.
      </p>
    </section>
  );
}
