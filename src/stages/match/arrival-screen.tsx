"use client";

import { useEffect, useMemo, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import { arrivalVerdict, type CompareItem } from "@/core/match/arrival/arrival";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import { lengthFrom } from "@/core/quantity/units";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { TakePicture } from "../frame/take-picture";
import { useJob } from "../saving/job-context";
import { typedFields, useDraft } from "../saving/use-draft";
import { decide, noteWhatCame, practiceMeasure } from "./actions";
import { ArrivalChoices } from "./arrival-choices";
import { ArrivalFaces, ArrivalPicture } from "./arrival-faces";
import type { ArrivedPart } from "./arrival-facts";
import { ArrivedList, DECISIONS } from "./arrived-list";
import { CompareRow } from "./compare-row";

/**
 * Old and new side by side before anything is fitted: figure for figure, face over face, and then accepted,
 * accepted with rework, or sent back.
 */
export function ArrivalScreen({ arrivals, draft }: { arrivals: readonly ArrivedPart[]; draft: unknown }) {
  const { run } = useJob();
  const [picked, setPicked] = useState<number>();
  const [fault, setFault] = useState<string | null>(null);
  // what is typed and not entered yet: figures and reasons, by the part that came
  const [typed, setTyped] = useDraft("arrival", draft, typedFields, {});
  const [camera, setCamera] = useState(false);
  const at = arrivals.find((a) => a.id === picked) ?? arrivals.find((a) => !a.decision) ?? arrivals[0];
  const verdict = useMemo(() => at && arrivalVerdict(at.items, at.found), [at]);
  const typedAt = (key: string): string => typed[`${at?.id}.${key}`] ?? "";
  const onTyped = (key: string, text: string): void =>
    setTyped((now) => {
      const { [`${at?.id}.${key}`]: _, ...rest } = now;
      return text ? { ...rest, [`${at?.id}.${key}`]: text } : rest;
    });
  const reason = typedAt("reason");
  const next = at?.items.find((i) => i.tolerance !== undefined && !i.extra && at.found[i.key] === undefined);

  const put = async (item: CompareItem, text: string): Promise<string | null> => {
    if (!at) return null;
    const value =
      item.unit === "mm"
        ? lengthFrom(text, "mm")
        : /^\d+([.,]\d+)?$/.test(text.trim())
          ? Number(text.trim().replace(",", "."))
          : null;
    if (value === null || !(value >= 0))
      return `“${text}” is not ${item.key === "teeth" ? "a count" : "a measure"}.`;
    const result = await run(noteWhatCame, { arrival: at.id, key: item.key, value });
    return result.ok ? null : result.says;
  };
  // a caliper that types goes to the next figure that is open
  useEffect(() => {
    if (!next) return;
    return listenToTypedCaliper(window, (text) => void put(next, text).then(setFault));
  });
  if (!at || !verdict)
    return <p className="text-[26px]">Nothing has arrived yet. Orders and their news are in the basket.</p>;
  const rework = [...at.planned, ...verdict.rework].filter(
    (r, i, all) => all.findIndex((o) => o.note === r.note) === i,
  );
  const settle = async (decision: "accepted" | "rework" | "sent-back" | null): Promise<void> => {
    const result = await run(decide, {
      arrival: at.id,
      decision,
      ...(decision === "sent-back"
        ? { reason: reason.trim() || (verdict.suggests === "send back" ? verdict.says : "") }
        : {}),
      ...(decision === "rework" ? { rework } : {}),
    });
    setFault(result.ok ? null : result.says);
    if (result.ok) {
      onTyped("reason", "");
      setPicked(decision ? undefined : at.id);
    }
  };
  const measured = typeof at.found.teeth === "number" ? at.found.teeth : undefined;
  return (
    <div className="grid h-full grid-cols-[minmax(0,2.6fr)_minmax(0,6fr)_minmax(0,3.6fr)] gap-5">
      <ArrivedList
        arrivals={arrivals}
        at={at}
        onPick={(id) => {
          setPicked(id);
          setFault(null);
        }}
      />
      <section aria-label="Compare" className="flex min-h-0 flex-col">
        <h2 className="text-[25px]">{at.name}</h2>
        <p className="hush pb-1 text-[18px]">
          <span className="figures text-[17px]">{at.number}</span> from {at.supplier}
          {at.lot && `, lot ${at.lot}`}
          {at.inPlaceOf && `, in place of the ${at.inPlaceOf}`}
        </p>
        <div className="min-h-0 flex-1 overflow-y-auto">
          <table className="w-full text-left text-[19px]">
            <thead>
              <tr className="border-b-2 border-base-content">
                <th className="py-1">Compare</th>
                <th>Old</th>
                <th>Must be</th>
                <th>Is</th>
              </tr>
            </thead>
            <tbody>
              {at.items.map((i, k) => (
                <CompareRow
                  key={`${at.id} ${i.key}`}
                  item={i}
                  value={at.found[i.key]}
                  verdict={verdict.items[k]}
                  armed={i.key === next?.key}
                  decided={at.decision !== undefined}
                  typed={typedAt(i.key)}
                  onTyped={(text) => onTyped(i.key, text)}
                  put={(text) => put(i, text)}
                  say={(value) => void run(noteWhatCame, { arrival: at.id, key: i.key, value })}
                />
              ))}
            </tbody>
          </table>
        </div>
        {!at.decision && next && (
          <KeyButton
            keyName="C"
            className="mt-2"
            onPress={() => void run(practiceMeasure, { arrival: at.id, key: next.key })}
          >
            Practice caliper: {next.key === "teeth" ? "count the teeth" : `measure the ${next.label}`}
          </KeyButton>
        )}
      </section>
      <section aria-label="Decide" className="flex min-h-0 flex-col gap-2">
        <div className="flex min-h-0 flex-1 flex-col overflow-y-auto">
          {camera ? (
            <TakePicture
              where={{ role: "finding", part: pictureOf(at) }}
              hint={`${at.name} new`}
              onTaken={() => setCamera(false)}
              onClose={() => setCamera(false)}
            />
          ) : (
            <>
              {at.faces && (
                <ArrivalFaces
                  faces={at.faces}
                  teeth={measured}
                  boreMm={typeof at.found.boreMm === "number" ? at.found.boreMm : undefined}
                />
              )}
              <div className="grid grid-cols-2 gap-2 py-1">
                {at.oldPicture && (
                  <ArrivalPicture sha256={at.oldPicture} says="the old one, as it came off" />
                )}
                {at.pictures.map((p) => (
                  <ArrivalPicture key={p.sha256} sha256={p.sha256} says="the new one, as it came" />
                ))}
              </div>
              {!at.decision && (
                <KeyButton keyName="B" onPress={() => setCamera(true)}>
                  {at.pictures.length ? "Another picture" : "Picture of the new one"}
                </KeyButton>
              )}
            </>
          )}
        </div>
        {!camera && (
          <>
            <p
              role="status"
              aria-label="What it comes to"
              className={`says text-[20px] ${verdict.suggests === "send back" ? "danger" : verdict.suggests === "compare" ? "" : verdict.suggests === "doubt" ? "measured" : "good"}`}
            >
              {at.decision ? `${DECISIONS[at.decision]}${at.reason ? `: ${at.reason}` : ""}` : verdict.says}
            </p>
            {rework.length > 0 && at.decision !== "sent-back" && (
              <p className="says measured">
                {at.decision === "rework" ? "In the rebuild plan: " : "Before it goes in: "}
                {(at.decision === "rework" ? at.rework : rework).map((r) => r.note).join("; ")}
              </p>
            )}
            <FaultLine says={fault} className="text-[19px]" />
            {at.decision ? (
              at.decision !== "sent-back" && (
                <KeyButton keyName="Z" onPress={() => void settle(null)}>
                  Compare it again
                </KeyButton>
              )
            ) : (
              <ArrivalChoices
                hasPicture={at.pictures.length > 0}
                suggests={verdict.suggests}
                rework={rework.length > 0}
                reason={reason}
                setReason={(text) => onTyped("reason", text)}
                suggestReason={verdict.says}
                settle={(d) => void settle(d)}
              />
            )}
          </>
        )}
      </section>
    </div>
  );
}
