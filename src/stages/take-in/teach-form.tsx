"use client";

import { useForm } from "react-hook-form";
import type { ActionResult } from "../saving/act";

export interface TaughtField {
  readonly name: string;
  readonly label: string;
  readonly example: string;
  readonly value?: string;
}

/** A line in which the shop is taught something: what is wrong with it is said under it, and it closes once it is learnt. */
export function TeachForm({
  fields,
  teach,
  onLearnt,
}: {
  fields: readonly TaughtField[];
  teach: (said: Record<string, string>) => Promise<ActionResult>;
  onLearnt: () => void;
}) {
  const form = useForm<Record<string, string>>({ defaultValues: Object.fromEntries(fields.map((f) => [f.name, f.value ?? ""])) });
  const send = form.handleSubmit(async (said) => {
    const result = await teach(said);
    if (result.ok) return onLearnt();
    // the sentence stands at the field it is about, or at the line as a whole
    form.setError(fields.some((f) => f.name === result.path) ? result.path : "root", { message: result.says });
  });
  const faults = [...fields.map((f) => form.formState.errors[f.name]?.message), form.formState.errors.root?.message].filter(Boolean);
  return (
    <form className="mt-1 flex flex-wrap gap-1.5" onSubmit={send}>
      {fields.map((f, i) => (
        <input
          key={f.name}
          className="field min-w-[90px] flex-1"
          aria-label={f.label}
          placeholder={f.example}
          autoComplete="off"
          // biome-ignore lint/a11y/noAutofocus: a key has just asked for this line
          autoFocus={i === 0}
          aria-invalid={form.formState.errors[f.name] ? true : undefined}
          {...form.register(f.name)}
        />
      ))}
      <button type="submit" className="key-button small">
        Learn it
      </button>
      {faults.map((says) => (
        <p key={says} role="alert" className="w-full text-[18px] font-semibold text-error">
          {says}
        </p>
      ))}
    </form>
  );
}
