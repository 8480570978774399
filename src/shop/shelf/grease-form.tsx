"use client";

import type { Cells } from "@/core/table/cells";
import { RowForm } from "../forms/row-form";
import { saveGrease } from "./actions";
import { greaseFields } from "./grease-fields";

/** One grease: a new one to be put on the shelf, or one that is there, to be changed or retired. */
export function GreaseForm({
  id,
  saved,
  currency,
  onSaved,
}: {
  id: string | null;
  saved: Cells;
  currency: string;
  onSaved: (id: string) => void;
}) {
  const retired = saved.retired === "yes";
  return (
    <RowForm
      name={`grease.${id ?? "new"}`}
      isNew={id === null}
      title={id === null ? "A new lubricant" : (saved.name ?? "")}
      saved={saved}
      fieldsOf={(cells) => greaseFields(currency, cells.sort)}
      save={(cells) => saveGrease({ id, cells })}
      retire={{
        says: retired ? "Back on the shelf" : "Retire it",
        how: () => saveGrease({ id, cells: { ...saved, retired: retired ? "" : "yes" } }),
      }}
      add="Put it on the shelf"
      note="H1: registered for incidental food contact. Only such a lubricant is offered for a unit that touches food."
      mainKey=" "
      onSaved={onSaved}
    />
  );
}
