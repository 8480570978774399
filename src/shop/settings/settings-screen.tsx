"use client";

import { useEffect, useId, useState } from "react";
import { whatFailed } from "@/ui/ask-shop";
import { forgetInBrowser, keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { FaultLine } from "@/ui/fault-line";
import { useLatest } from "@/ui/use-latest";
import { ShopHead } from "../shop-head";
import { setRate } from "./actions";
import { RATE_FIELDS, type RateField } from "./rate-fields";

/** How the shop charges, set once: what every quote is reckoned with. */
export function SettingsScreen({ values, currency }: { values: Readonly<Record<RateField["key"], number>>; currency: string }) {
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="How the shop charges" back={{ href: "/", says: "The board" }} />
      <main className="max-w-[900px] p-5">
        <p className="pb-2 text-[20px]">Every new quote uses these. Quotes already made do not change.</p>
        {RATE_FIELDS.map((f) => (
          <Rate key={f.key} field={f} value={values[f.key]} unit={f.unit === "money" ? currency : f.unit} />
        ))}
      </main>
    </div>
  );
}

function Rate({ field, value, unit }: { field: RateField; value: number; unit: string }) {
  const id = useId();
  const [text, setText] = useState(String(value));
  const [fault, setFault] = useState<string | null>(null);
  const [kept, setKept] = useState(String(value));
  const [saved, setSaved] = useState(false);
  // what could not be saved is here again after a reload, with its sentence
  const waiting = `rate.${field.key}`;
  useEffect(() => {
    const typed = keptInBrowser(waiting);
    if (typed !== null) setText(typed);
  }, [waiting]);
  const save = async (): Promise<void> => {
    if (text === kept) {
      forgetInBrowser(waiting);
      return setFault(null);
    }
    const says = await setRate({ key: field.key, text }).catch((e) => whatFailed(e, "Not saved", "Leave the field again to retry."));
    setFault(says);
    setSaved(says === null);
    if (says !== null) return;
    setKept(text);
    if (keptInBrowser(waiting) === text) forgetInBrowser(waiting);
  };
  // what is typed is saved after a pause, and on leaving the field
  const latest = useLatest(save);
  useEffect(() => {
    if (text === kept) return setFault(null);
    const timer = setTimeout(() => void latest.current(), 700);
    return () => clearTimeout(timer);
  }, [text, kept, latest]);
  return (
    <div className="border-b-2 border-base-300 py-1.5">
      <div className="grid grid-cols-[minmax(0,1fr)_180px_60px] items-center gap-4">
        <label htmlFor={id} className="text-[21px] font-semibold">
          {field.label}
          <span className="hush block text-[18px] font-normal">{field.says}</span>
        </label>
        <input
          id={id}
          className="field figure text-right"
          inputMode="decimal"
          autoComplete="off"
          value={text}
          aria-invalid={fault ? true : undefined}
          onChange={(e) => {
            setText(e.target.value);
            keepInBrowser(waiting, e.target.value);
          }}
          onBlur={() => void save()}
          onKeyDown={(e) => e.key === "Enter" && void save()}
        />
        <span className="text-[21px]">
          {unit}
          {saved && kept === text && (
            <span role="img" aria-label="saved" className="text-success">
              {" ✓"}
            </span>
          )}
        </span>
      </div>
      <FaultLine says={fault} />
    </div>
  );
}
