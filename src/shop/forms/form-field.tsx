"use client";

import { useId } from "react";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";

/** A field of a form: what it is called, what can be chosen or how it is typed, and what to know of it. */
export interface FieldOfForm {
  /** the heading that it stands under in the table */
  readonly column: string;
  readonly label: string;
  readonly options?: readonly (readonly [value: string, says: string])[];
  readonly figure?: boolean;
  readonly type?: "date";
  /** yes or nothing: a key that is pressed */
  readonly flag?: string;
  readonly hint?: string;
  /** over the whole width */
  readonly wide?: boolean;
}

export function FormField({
  field: f,
  value,
  fault,
  put,
}: {
  field: FieldOfForm;
  value: string;
  fault: string | null;
  put: (text: string) => void;
}) {
  const id = useId();
  if (f.flag) {
    const on = value === "yes";
    return (
      <div className="self-end">
        <KeyButton keyName={f.flag} className="w-full" pressed={on} onPress={() => put(on ? "" : "yes")}>
          {on ? "✓ " : ""}
          {f.label}
        </KeyButton>
      </div>
    );
  }
  return (
    <div className={f.wide ? "col-span-3" : ""}>
      <label className="words" htmlFor={id}>
        {f.label}
      </label>
      {f.options ? (
        <select
          id={id}
          className="field"
          value={value}
          aria-invalid={fault ? true : undefined}
          onChange={(e) => put(e.target.value)}
        >
          <option value="">choose …</option>
          {f.options.map(([option, says]) => (
            <option key={option} value={option}>
              {says}
            </option>
          ))}
        </select>
      ) : (
        <input
          id={id}
          className={`field ${f.figure ? "figure" : ""}`}
          type={f.type ?? "text"}
          inputMode={f.figure ? "decimal" : undefined}
          autoComplete="off"
          value={value}
          aria-invalid={fault ? true : undefined}
          onChange={(e) => put(e.target.value)}
        />
      )}
      {f.hint && <p className="hush text-[17px] leading-tight">{f.hint}</p>}
      <FaultLine says={fault} />
    </div>
  );
}
