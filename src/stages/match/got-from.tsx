"use client";

import { type Got, gotInWords, SOURCES, type Source, STAYS } from "@/core/job/got";
import { filledFrom } from "@/core/job/got-line";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { takeGot, takeStaying } from "./actions";
import type { MatchPart } from "./match-part";

const CHOICES: readonly {
  readonly from: Source | "repair" | "keep";
  readonly says: string;
  readonly asks: string;
}[] = [...SOURCES, ...STAYS.map((s) => ({ from: s.fate, says: s.says, asks: s.asks }))];

/**
 * Got it from …: where a part that goes in comes from when it is not ordered out of the catalogue; or that
 * nothing new goes in. One line; number and price where there are any.
 */
export function GotFrom({
  part,
  currency,
  draft,
  onDone,
}: {
  part: MatchPart;
  currency: string;
  draft: unknown;
  onDone: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useDraft(`match.got.${part.id}`, draft, typedFields, {});
  const { got } = part;
  // what was chosen and is now got elsewhere keeps its number, and by it what goes in with it
  const was: Readonly<Record<string, string | undefined>> = {
    number: part.chosen,
    ...got,
    price: got?.price === undefined ? undefined : String(got.price),
  };
  const text = (field: string): string => typed[field] ?? was[field] ?? "";
  const from = CHOICES.find((c) => c.from === text("from"));
  const put = (field: string) => (e: { target: { value: string } }) =>
    setTyped((now) => ({ ...now, [field]: e.target.value }));
  const stays = from?.from === "repair" || from?.from === "keep" ? from.from : null;
  const take = async (): Promise<void> => {
    if (!from) return;
    const result =
      stays === null
        ? await run(takeGot, {
            part: part.id,
            got: {
              from: from.from,
              says: text("says"),
              number: text("number"),
              price: text("price"),
              differs: text("differs"),
            },
          })
        : await run(takeStaying, { part: part.id, fate: stays, says: text("says") });
    if (!fault.took(result)) return;
    setTyped({});
    onDone();
  };
  const line = (field: string, label: string, hint = ""): React.ReactNode => (
    <label className="words">
      {label}
      <input
        className={`field ${field === "price" ? "figure" : ""}`}
        inputMode={field === "price" ? "decimal" : undefined}
        value={text(field)}
        placeholder={hint}
        aria-invalid={fault.at(field) ? true : undefined}
        onChange={put(field)}
        onKeyDown={(e) => e.key === "Enter" && void take()}
      />
      <FaultLine says={fault.at(field)} />
    </label>
  );
  return (
    <section aria-label="Got it from" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
      <h2 className="text-[28px] first-letter:uppercase">{part.name}: got it from …</h2>
      {!got && (
        <label className="words">
          In one line
          <input
            className="field"
            value={typed.line ?? ""}
            placeholder="counter, whose and what it says on it, no. 4711-B, 12.50"
            onChange={(e) => {
              const { value } = e.target;
              setTyped((now) => filledFrom(now, value));
            }}
            onKeyDown={(e) => e.key === "Enter" && void take()}
          />
        </label>
      )}
      <div className="grid grid-cols-4 gap-2">
        {CHOICES.map((c, i) => (
          <KeyButton
            key={c.from}
            keyName={String(i + 1)}
            className="small"
            pressed={c === from}
            onPress={() => setTyped((now) => ({ ...now, from: c.from }))}
          >
            {c.says}
          </KeyButton>
        ))}
      </div>
      {from && (
        <>
          {line("says", from.asks)}
          {stays === null && (
            <>
              <div className="grid grid-cols-2 gap-3">
                {line("number", "Number, if it has one")}
                {line("price", `What the customer pays, ${currency}`)}
              </div>
              {line("differs", "In what it differs from what came out", "one washer for the two")}
            </>
          )}
          {stays === "repair" && (
            <p className="says">
              What mends it (bond, ream, straighten …) is chosen at Judge, What to do, or here by “Work on it
              before it goes in”; each is a line of the rebuild.
            </p>
          )}
          <KeyButton keyName=" " look="main" className="justify-center" onPress={() => void take()}>
            {stays === null ? "That is where it comes from" : `It is ${from.says}`}
          </KeyButton>
        </>
      )}
      {got && (
        <KeyButton
          keyName="Z"
          className="self-start"
          onPress={() => {
            setTyped({});
            void run(takeGot, { part: part.id, got: null });
          }}
        >
          Open again: {gotInWords(got)}
        </KeyButton>
      )}
    </section>
  );
}

/** What was said of it, where the verdict on a candidate stands else. */
export function GotShown({ got, currency, onChange }: { got: Got; currency: string; onChange: () => void }) {
  return (
    <section aria-label="Got it from" className="flex flex-col gap-3">
      <h2 className="text-[28px] first-letter:uppercase">{gotInWords(got)}</h2>
      {got.price !== undefined && (
        <p className="text-[22px]">
          <span className="figures">{got.price.toFixed(2)}</span> {currency}, before tax
        </p>
      )}
      {got.differs && (
        <p className="says danger text-[20px]">
          It differs from what came out: {got.differs}. It stands at its line of the rebuild.
        </p>
      )}
      <KeyButton className="self-start" onPress={onChange}>
        Change it
      </KeyButton>
    </section>
  );
}
