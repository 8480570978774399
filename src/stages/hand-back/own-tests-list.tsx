"use client";

import { useState } from "react";
import { type OwnTest, usualTests } from "@/core/job/own-tests";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayOwnTests } from "./actions";

const FIELDS = [
  { field: "unit", label: "In which unit", example: "bar" },
  { field: "min", label: "At least", example: "2" },
  { field: "max", label: "At most", example: "2.5" },
] as const;
type Typed = Readonly<Record<"asks" | (typeof FIELDS)[number]["field"], string>>;
const EMPTY: Typed = { asks: "", unit: "", min: "", max: "" };

const limits = (t: OwnTest): string =>
  [t.min !== undefined && `at least ${t.min}`, t.max !== undefined && `at most ${t.max}`, t.unit]
    .filter(Boolean)
    .join(" ");

/**
 * What every unit of the kind has to do before it goes home: the shop's own list, changed where it is used.
 */
export function OwnTestsList({
  kind,
  tests,
  onClose,
}: {
  kind: string;
  tests: readonly OwnTest[];
  onClose: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useState<Typed>(EMPTY);
  useClose(onClose);
  const usual = usualTests(kind, tests);
  const keep = async (next: readonly OwnTest[]): Promise<boolean> =>
    fault.took(await run(sayOwnTests, { tests: [...next] }));
  const figure = (text: string): number | undefined =>
    text.trim() ? Number(text.replace(",", ".")) : undefined;
  const add = async (): Promise<void> => {
    const [min, max] = [figure(typed.min), figure(typed.max)];
    const test = {
      asks: typed.asks,
      ...(typed.unit.trim() ? { unit: typed.unit } : {}),
      ...(min === undefined ? {} : { min }),
      ...(max === undefined ? {} : { max }),
    };
    if (await keep([...tests, test])) setTyped(EMPTY);
  };
  return (
    <section
      aria-label="What it has to do"
      className="flex min-h-0 flex-1 flex-col gap-2 border-l-[6px] border-base-content bg-base-200 p-3"
    >
      <h2 className="text-[26px] leading-tight">
        What every {kind || "unit of this kind"} has to do before it goes home
      </h2>
      <ul aria-label="Own tests" className="min-h-0 flex-1 overflow-y-auto">
        {tests.map((t, i) => (
          <li
            key={`${i} ${t.asks}`}
            className="flex items-center gap-2 border-b-2 border-base-300 text-[20px]"
          >
            <span className="flex-1">
              {t.asks}
              {t.unit && <b className="figures ml-2 text-[18px]">{limits(t)}</b>}
            </span>
            <button
              type="button"
              className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
              aria-label={`Do not ask: ${t.asks}`}
              onClick={() => void keep(tests.filter((_, k) => k !== i))}
            >
              ×
            </button>
          </li>
        ))}
        {!tests.length && (
          <li className="hush text-[20px]">
            Nothing of its own yet. What is said here is asked at the next one of its kind too.
          </li>
        )}
      </ul>
      {usual.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {usual.map((t) => (
            <KeyButton
              key={t.asks}
              className="small"
              label={`Usual for such units: ${t.asks}`}
              onPress={() => void keep([...tests, t])}
            >
              + {t.asks}
            </KeyButton>
          ))}
        </div>
      )}
      <form
        className="flex flex-col gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <label className="words">
          What it does, or what is measured
          <input
            className="field"
            value={typed.asks}
            maxLength={120}
            placeholder="holds its pressure for a minute"
            onChange={(e) => setTyped({ ...typed, asks: e.target.value })}
          />
        </label>
        <div className="flex gap-2">
          {FIELDS.map(({ field, label, example }) => (
            <label key={field} className="words min-w-0 flex-1">
              {label}
              <input
                className="field figure"
                value={typed[field]}
                maxLength={12}
                placeholder={example}
                onChange={(e) => setTyped({ ...typed, [field]: e.target.value })}
              />
            </label>
          ))}
          <KeyButton className="self-end" disabled={typed.asks.trim().length < 3} onPress={() => void add()}>
            Ask it
          </KeyButton>
        </div>
      </form>
      <FaultLine says={fault.elsewhere()} />
      <KeyButton keyName="X" className="small self-start" onPress={onClose}>
        Close
      </KeyButton>
    </section>
  );
}
