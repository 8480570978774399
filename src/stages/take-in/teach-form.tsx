"use client";

import { type SubmitEvent, useState } from "react";
import { focusNow } from "@/ui/focus-now";
import type { ActionResult } from "../saving/act";

export interface TaughtField {
  readonly name: string;
  readonly label: string;
  readonly example: string;
  readonly value?: string;
}

/**
 * A line in which the shop is taught something: what is wrong with it is said under it, and it closes once it
 * is learnt.
 */
export function TeachForm({
  fields,
  teach,
  onLearnt,
}: {
  fields: readonly TaughtField[];
  teach: (said: Record<string, string>) => Promise<ActionResult>;
  onLearnt: () => void;
}) {
  const [fault, setFault] = useState<{ readonly path: string; readonly says: string } | null>(null);
  const send = async (e: SubmitEvent<HTMLFormElement>): Promise<void> => {
    e.preventDefault();
    const said = new FormData(e.currentTarget);
    const result = await teach(
      Object.fromEntries(fields.map((f) => [f.name, String(said.get(f.name) ?? "")])),
    );
    if (result.ok) onLearnt();
    else setFault(result);
  };
  return (
    <form className="mt-1 flex flex-wrap gap-1.5" onSubmit={(e) => void send(e)}>
      {fields.map((f, i) => (
        <input
          key={f.name}
          name={f.name}
          defaultValue={f.value}
          className="field min-w-[90px] flex-1"
          aria-label={f.label}
          placeholder={f.example}
          autoComplete="off"
          ref={i === 0 ? focusNow : undefined}
          aria-invalid={fault?.path === f.name ? true : undefined}
        />
      ))}
      <button type="submit" className="key-button small">
        Learn it
      </button>
      {fault && (
        <p role="alert" className="w-full text-[18px] font-semibold text-error">
          {fault.says}
        </p>
      )}
    </form>
  );
}
