"use client";

import { useEffect, useId, useState } from "react";
import { whatFailed } from "@/ui/ask-shop";
import { forgetInBrowser, keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { FaultLine } from "@/ui/fault-line";
import { useLatest } from "@/ui/use-latest";
import { setShopField } from "./actions";
import type { ShopField } from "./shop-fields";

/** Its field holds words, a day or a choice, and no figure with a unit behind it. */
export const isWords = ({ unit }: ShopField): boolean =>
  unit === "text" || unit === "day" || unit === "choice";

/** One thing of the shop, saved as it is typed. */
export function FieldRow({ field, value, unit }: { field: ShopField; value: string | number; unit: string }) {
  const id = useId();
  const [text, setText] = useState(String(value));
  const [fault, setFault] = useState<string | null>(null);
  const [kept, setKept] = useState(String(value));
  const [saved, setSaved] = useState(false);
  // what could not be saved is here again after a reload, with its sentence
  const waiting = `shop.${field.key}`;
  useEffect(() => {
    const typed = keptInBrowser(waiting);
    if (typed !== null) setText(typed);
  }, [waiting]);
  const save = async (): Promise<void> => {
    if (text === kept) {
      forgetInBrowser(waiting);
      return setFault(null);
    }
    const says = await setShopField({ key: field.key, text }).catch((e) =>
      whatFailed(e, "Not saved", "Leave the field again to retry."),
    );
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
      <div className="grid grid-cols-[minmax(0,1fr)_230px_40px] items-center gap-3">
        <label htmlFor={id} className="text-[21px] font-semibold">
          {field.label}
          <span className="hush block text-[18px] font-normal">{field.says}</span>
        </label>
        {field.unit === "choice" ? (
          <select id={id} className="field" value={text} onChange={(e) => setText(e.target.value)}>
            {field.of.map((o) => (
              <option key={o.value} value={o.value}>
                {o.says}
              </option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            type={field.unit === "day" ? "date" : "text"}
            className={`field ${isWords(field) ? "" : "figure text-right"}`}
            inputMode={isWords(field) ? undefined : "decimal"}
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
        )}
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
