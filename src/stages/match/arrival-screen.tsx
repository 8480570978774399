"use client";

import { useEffect, useMemo, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import type { Gear } from "@/core/gear/index";
import { arrivalVerdict, type CompareItem } from "@/core/match/arrival";
import type { SERVICES } from "@/core/order/strip";
import { lengthFrom } from "@/core/quantity/units";
import { FaultLine } from "@/ui/fault-line";
import { GearFace } from "@/ui/gear-face";
import { KeyButton } from "@/ui/key-button";
import { letGo } from "@/ui/let-go";
import { pictureUrl } from "@/ui/picture-frame";
import { useJob } from "../job-context";
import { TakePicture } from "../take-picture";
import { decide, note, practiceMeasure } from "./actions";
import type { ArrivalView } from "./arrival-facts";
import { pictureOf } from "./arrival-picture";
import { CompareRow } from "./compare-row";

const DECISIONS = { accepted: "✓ accepted", rework: "✓ accepted, with rework", "sent-back": "✕ sent back", stock: "to stock" } as const;

/** Old and new side by side before anything is fitted: figure for figure, face over face, and then accepted, accepted with rework, or sent back. */
export function ArrivalScreen({ arrivals }: { arrivals: readonly ArrivalView[] }) {
  const { run } = useJob();
  const [picked, setPicked] = useState<number>();
  const [fault, setFault] = useState<string | null>(null);
  const [reason, setReason] = useState("");
  const [camera, setCamera] = useState(false);
  const at = arrivals.find((a) => a.id === picked) ?? arrivals.find((a) => !a.decision) ?? arrivals[0];
  const verdict = useMemo(() => at && arrivalVerdict(at.items, at.found), [at]);
  const next = at?.items.find((i) => i.tolerance !== undefined && at.found[i.key] === undefined);

  const put = async (item: CompareItem, text: string): Promise<string | null> => {
    if (!at) return null;
    const value =
      text.trim() === ""
        ? null
        : item.unit === "mm"
          ? lengthFrom(text, "mm")
          : /^\d+([.,]\d+)?$/.test(text.trim())
            ? Number(text.trim().replace(",", "."))
            : Number.NaN;
    if (value !== null && !(value >= 0)) return `“${text}” is not ${item.key === "teeth" ? "a count" : "a measure"}.`;
    const result = await run(note, { arrival: at.id, key: item.key, value });
    return result.ok ? null : result.says;
  };
  // a caliper that types goes to the next figure that is open
  useEffect(() => {
    if (!next) return;
    return listenToTypedCaliper(window, (text) => void put(next, text).then(setFault));
  });
  if (!at || !verdict) return <p className="text-[26px]">Nothing has come yet. What is ordered stands in the basket, with its news.</p>;
  const rework = [...at.planned, ...verdict.rework].filter((r, i, all) => all.findIndex((o) => o.note === r.note) === i);
  const settle = async (decision: "accepted" | "rework" | "sent-back" | null): Promise<void> => {
    const result = await run(decide, {
      arrival: at.id,
      decision,
      ...(decision === "sent-back" ? { reason: reason.trim() || (verdict.suggests === "send back" ? verdict.says : "") } : {}),
      ...(decision === "rework" ? { rework: rework as { do: (typeof SERVICES)[number]; note: string }[] } : {}),
    });
    setFault(result.ok ? null : result.says);
    if (result.ok) {
      setReason("");
      setPicked(decision ? undefined : at.id);
    }
  };
  const measured = typeof at.found.teeth === "number" ? at.found.teeth : undefined;
  return (
    <div className="grid h-full grid-cols-[minmax(0,2.6fr)_minmax(0,6fr)_minmax(0,3.6fr)] gap-5">
      <section aria-label="Here" className="min-h-0 overflow-y-auto">
        <h2 className="text-[24px]">Here</h2>
        <ul>
          {arrivals.map((a) => (
            <li key={a.id}>
              <button
                type="button"
                aria-pressed={a.id === at.id}
                onClick={(e) => {
                  letGo(e);
                  setPicked(a.id);
                  setFault(null);
                }}
                className={`min-h-[60px] w-full border-b-2 border-base-300 px-2 py-1 text-left text-[19px] leading-tight ${a.id === at.id ? "bg-primary text-primary-content" : ""}`}
              >
                {a.qty > 1 && `${a.qty} × `}
                {a.name}
                <span
                  className={`block text-[17px] ${a.id === at.id ? "" : a.decision === "sent-back" || !a.decision ? "font-semibold text-error" : "text-success"}`}
                >
                  {a.decision ? DECISIONS[a.decision] : "○ to compare"}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
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
                  put={(text) => put(i, text)}
                  say={(value) => void run(note, { arrival: at.id, key: i.key, value })}
                />
              ))}
            </tbody>
          </table>
        </div>
        {!at.decision && next && (
          <KeyButton keyName="C" className="mt-2" onPress={() => void run(practiceMeasure, { arrival: at.id, key: next.key })}>
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
              {at.faces && <Faces faces={at.faces} teeth={measured} boreMm={typeof at.found.boreMm === "number" ? at.found.boreMm : undefined} />}
              <div className="grid grid-cols-2 gap-2 py-1">
                {at.oldPicture && <Picture sha256={at.oldPicture} says="the old one, as it came off" />}
                {at.pictures.map((p) => (
                  <Picture key={p.sha256} sha256={p.sha256} says="the new one, as it came" />
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
              <Choices
                suggests={verdict.suggests}
                rework={rework.length > 0}
                reason={reason}
                setReason={setReason}
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

const Picture = ({ sha256, says }: { sha256: string; says: string }) => (
  <figure>
    {/* biome-ignore lint/performance/noImgElement: from the shop's own folder */}
    <img src={pictureUrl(sha256, true)} alt={says} className="aspect-[4/3] w-full border-2 border-base-300 object-cover" />
    <figcaption className="hush text-[17px]">{says}</figcaption>
  </figure>
);

/** The old gear as it was measured with the new one laid over it: as it is sold, or with the teeth that were counted. */
function Faces({ faces, teeth, boreMm }: { faces: NonNullable<ArrivalView["faces"]>; teeth: number | undefined; boreMm: number | undefined }) {
  const wrong = teeth !== undefined && teeth >= 4 && Math.round(teeth) !== faces.sold.teeth;
  const came: Gear = wrong ? { ...faces.sold, teeth: Math.round(teeth) } : faces.sold;
  const [under, says] = wrong
    ? [faces.sold, `should be ${faces.sold.teeth} teeth; over it what came, ${came.teeth}`]
    : faces.old
      ? [faces.old, `the old one, ${faces.old.teeth} teeth; over it the new one, ${came.teeth}`]
      : [came, `the new one, ${came.teeth} teeth`];
  return (
    <figure>
      <GearFace gear={under} marks={{}} over={under === came ? undefined : came} boreMm={boreMm} size={250} label={says} />
      <figcaption className="text-[18px]">{says}</figcaption>
    </figure>
  );
}

/** The three ways on. What the comparison comes to has the main key; the others are a key away. */
function Choices({
  suggests,
  rework,
  reason,
  setReason,
  suggestReason,
  settle,
}: {
  suggests: string;
  rework: boolean;
  reason: string;
  setReason: (text: string) => void;
  suggestReason: string;
  settle: (d: "accepted" | "rework" | "sent-back") => void;
}) {
  const [back, setBack] = useState(false);
  if (back || suggests === "send back")
    return (
      <>
        <label className="words">
          Why it goes back
          <input
            className="field"
            value={reason}
            placeholder={suggests === "send back" ? suggestReason : "what is wrong with it"}
            onChange={(e) => setReason(e.target.value)}
          />
        </label>
        <KeyButton keyName=" " look="warn" className="justify-center" onPress={() => settle("sent-back")}>
          Send it back, and order it again
        </KeyButton>
        <KeyButton keyName="G" onPress={() => settle(rework ? "rework" : "accepted")}>
          Take it all the same
        </KeyButton>
      </>
    );
  const ready = suggests === "accept" || suggests === "rework" || suggests === "doubt";
  return (
    <>
      <KeyButton keyName=" " look="main" className="justify-center" disabled={!ready} onPress={() => settle(rework ? "rework" : "accepted")}>
        {rework ? "Accept it, with the rework" : "Accept it"}
      </KeyButton>
      <KeyButton keyName="X" look="warn" onPress={() => setBack(true)}>
        It goes back
      </KeyButton>
    </>
  );
}
