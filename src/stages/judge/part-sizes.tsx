"use client";

import { useState } from "react";
import { namedSplines } from "@/core/hardware/bench/splines";
import { type LookAsked, type PartAsked, type SizeAsked, sizesAsked } from "@/core/job/part-sizes";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { TypedReading } from "@/ui/typed-reading";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { useFieldFault } from "../saving/use-field-fault";
import { saveLook, strikeReading, takeReading } from "./actions";
import { meanReadings } from "./gear/gear-readings";
import type { JudgedPart } from "./judge-view";

/**
 * What is measured and seen on a part that is sold by its sizes: that is what the catalogue is compared by.
 */
export function PartSizes({ part }: { part: JudgedPart }) {
  const asked = sizesAsked(part.kind);
  if (!asked)
    return (
      <p className="says">
        Parts of this kind are found by their number or name. Say beside the picture what it is, if it is
        something else.
      </p>
    );
  const means = new Map(meanReadings(part.readings, part.id).map((m) => [m.what, m.value]));
  const looks = part.finding?.looks ?? {};
  return (
    <div className="flex flex-col gap-1.5">
      <AskedFigures part={part.id} asked={asked} means={means} looks={looks} />
      <Remark kind={part.kind} means={means} form={looks.form} />
    </div>
  );
}

/** A field for each figure that is read, and a choice or a word for each thing that is seen. */
export function AskedFigures({
  part,
  asked,
  means,
  looks,
}: {
  part: string;
  asked: PartAsked;
  means: ReadonlyMap<string, number>;
  looks: Readonly<Record<string, string>>;
}) {
  const { run } = useJob();
  return (
    <>
      {asked.sizes.map((s) => (
        <OneSize key={s.key} part={part} asked={s} value={means.get(s.what)} />
      ))}
      {asked.looks.map((l) =>
        l.of ? (
          <Choice
            key={l.key}
            asked={l}
            says={looks[l.key]}
            choose={(says) => void run(saveLook, { part, key: l.key, says })}
          />
        ) : (
          <SavedField
            key={l.key}
            label={capital(l.label)}
            name={`look-${part}-${l.key}`}
            value={looks[l.key] ?? ""}
            save={(says) => run(saveLook, { part, key: l.key, says })}
          />
        ),
      )}
    </>
  );
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1);

function OneSize({ part, asked, value }: { part: string; asked: SizeAsked; value: number | undefined }) {
  const { run } = useJob();
  const [typed, setTyped] = useState("");
  const fault = useFieldFault();
  const id = `size-${part}-${asked.key}`;
  const take = async (): Promise<void> => {
    if (!typed.trim()) return;
    const result = await run(takeReading, { part, what: asked.what, typed, unit: "mm", source: "typed" });
    if (fault.took(result)) setTyped("");
  };
  return (
    <div>
      <div className="grid grid-cols-[minmax(0,1fr)_70px_84px_48px] items-center gap-1.5">
        <label htmlFor={id} className="text-[18px] leading-tight font-semibold">
          {capital(asked.label)}
          {asked.unit && `, ${asked.unit}`}
        </label>
        <output htmlFor={id} className="figures text-right text-[22px]">
          {value === undefined ? "–" : asked.unit ? value.toFixed(2) : value}
        </output>
        <TypedReading
          id={id}
          typed={typed}
          onTyped={setTyped}
          enter={() => void take()}
          wrong={fault.elsewhere() !== null}
          onBlur={() => void take()}
        />
        <KeyButton
          className="small justify-center"
          label={`Strike ${asked.label}`}
          disabled={value === undefined}
          onPress={() => void run(strikeReading, { part, what: asked.what })}
        >
          ×
        </KeyButton>
      </div>
      <FaultLine says={fault.elsewhere()} />
    </div>
  );
}

function Choice({
  asked,
  says,
  choose,
}: {
  asked: LookAsked;
  says: string | undefined;
  choose: (says: string) => void;
}) {
  return (
    <fieldset>
      <legend className="words">{capital(asked.label)}</legend>
      <div className="flex flex-wrap gap-1.5">
        {asked.of?.map((o) => (
          <SmallChoice key={o} pressed={says === o} onPress={() => choose(says === o ? "" : o)}>
            {o}
          </SmallChoice>
        ))}
      </div>
    </fieldset>
  );
}

/**
 * What follows from the sizes at once: which standard a spline may be of, what one click of a ratchet turns.
 */
function Remark({
  kind,
  means,
  form,
}: {
  kind: string | undefined;
  means: ReadonlyMap<string, number>;
  form: string | undefined;
}) {
  const teeth = means.get("count");
  if (!teeth) return null;
  if (kind === "ratchet") return <p className="says">One click is {Number((360 / teeth).toFixed(2))}°.</p>;
  if (kind !== "spline") return null;
  const found = namedSplines({
    teeth,
    outsideMm: means.get("outside diameter"),
    insideMm: means.get("inside diameter"),
  });
  const fit = form ? found.filter((s) => s.form === form) : found;
  if (!means.has("outside diameter") && !means.has("inside diameter")) return null;
  return (
    <p className="says" role="status" aria-label="Which spline">
      {fit.length
        ? `Agrees with ${fit
            .slice(0, 3)
            .map((s) => `${s.name}, ${s.form} (${s.standard})`)
            .join("; or ")}.${fit.length > 1 && !form ? " The form of its teeth tells." : ""}`
        : "No standard spline here agrees: the maker's own. It is compared by its sizes."}
    </p>
  );
}
