"use client";

import { useState } from "react";
import type { Cells } from "@/core/table/cells";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import type { FormAnswer } from "./answered";
import { type FieldOfForm, FormField } from "./form-field";
import { useForm } from "./use-form";

/**
 * One row of what the shop keeps as a form: a new one, or one that is there, to be changed and retired. What
 * is typed is kept in the browser until it is saved.
 */
export function RowForm({
  name,
  isNew,
  title,
  saved,
  fieldsOf,
  save,
  retire,
  add,
  note,
  mainKey,
  onSaved,
}: {
  /** of the form and its row, under which what is typed is kept */
  name: string;
  isNew: boolean;
  title: string;
  saved: Cells;
  /** the fields for what is typed so far */
  fieldsOf: (cells: Cells) => readonly FieldOfForm[];
  save: (cells: Cells) => Promise<FormAnswer>;
  /** how it is retired, and what its key says now */
  retire: { readonly says: string; readonly how: () => Promise<FormAnswer> };
  /** what the key of a new one says */
  add: string;
  note?: string;
  /** the pedal's, where this is the form of the screen */
  mainKey?: " ";
  onSaved: (key: string) => void;
}) {
  const { cells, changed, put, forget } = useForm(name, saved);
  const [fault, setFault] = useState<{ field: string; says: string } | null>(null);
  const ask = async (answer: Promise<FormAnswer>): Promise<void> => {
    const got = await answer.catch((e) => ({
      ok: false as const,
      field: "",
      says: whatFailed(e, "Not saved", "What you typed is kept here; try again."),
    }));
    setFault(got.ok ? null : got);
    if (!got.ok) return;
    forget();
    onSaved(got.key);
  };
  const fields = fieldsOf(cells);
  return (
    <section aria-label={title} className="flex flex-col gap-3">
      <h2 className="text-[26px]">{title}</h2>
      <div className="grid grid-cols-3 gap-3">
        {fields.map((f) => (
          <FormField
            key={f.column}
            field={f}
            value={cells[f.column] ?? ""}
            fault={fault?.field === f.column ? fault.says : null}
            put={(text) => put(f.column, text)}
          />
        ))}
      </div>
      {note && <p className="hush text-[18px]">{note}</p>}
      <FaultLine
        says={fault && !fields.some((f) => f.column === fault.field) ? fault.says : null}
        className="text-[20px]"
      />
      <div className="flex gap-2 [&>:first-child]:flex-1">
        <KeyButton
          keyName={mainKey}
          look="main"
          className="justify-center"
          disabled={!changed}
          onPress={() => void ask(save(cells))}
        >
          {isNew ? add : "Save the changes"}
        </KeyButton>
        {changed && (
          <KeyButton
            keyName={mainKey && "Z"}
            onPress={() => {
              forget();
              setFault(null);
            }}
          >
            Leave it as it was
          </KeyButton>
        )}
        {!isNew && !changed && <KeyButton onPress={() => void ask(retire.how())}>{retire.says}</KeyButton>}
      </div>
    </section>
  );
}
