"use client";

import { useEffect, useMemo, useState } from "react";
import { z } from "zod";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import { Fault } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import type { SleeveLimits } from "@/core/hardware/bearing-sleeve";
import { type HardwareAnswer, type HardwareInput, identifyHardware } from "@/core/hardware/identify-hardware";
import { type TorqueInput, tighteningTorque, torqueInput } from "@/core/hardware/tightening-torque";
import type { HardwareFind } from "@/core/job/reading";
import { CALIPER_U_MM } from "@/core/quantity/caliper";
import { meanOf } from "@/core/quantity/measured";
import { lengthFrom } from "@/core/quantity/units";
import { KeyButton } from "@/ui/key-button";
import { Odds, percent } from "@/ui/odds";
import { Readout } from "@/ui/readout";
import { useLatest } from "@/ui/use-latest";
import { useJob } from "../../saving/job-context";
import { useDraft } from "../../saving/use-draft";
import { saveHardwareFind } from "../actions";
import { CaliperPanel } from "../gear/caliper-panel";
import { ReadingTile } from "../gear/reading-tile";

type Kind = HardwareInput["kind"];
const KINDS: readonly { kind: Kind; keyName: string; says: string; asks: readonly (readonly [what: string, label: string])[] }[] = [
  { kind: "bearing", keyName: "1", says: "Bearing", asks: [["bore", "Bore"], ["outside", "Outside"], ["width", "Width"]] },
  { kind: "thread", keyName: "2", says: "Thread", asks: [["diameter", "Over the thread"], ["pitchOver10", "Over 10 threads"]] },
  { kind: "pin", keyName: "3", says: "Spring pin", asks: [["diameter", "Pin"], ["hole", "Hole"]] },
  { kind: "circlip", keyName: "4", says: "Circlip", asks: [["shaft", "Shaft"], ["bore", "Bore"], ["groove", "Groove"], ["thickness", "Thickness"]] },
  { kind: "o-ring", keyName: "5", says: "O-ring", asks: [["section", "Section"], ["inside", "Inside"], ["grooveDepth", "Groove, deep"]] },
]; // biome-ignore format: a table

const onTheBench = z.object({
  kind: z.enum(KINDS.map((k) => k.kind)),
  /** readings by kind and dimension, mm, and what is half typed */
  readings: z.record(z.string(), z.array(z.object({ value: z.number(), source: z.string(), at: z.string() }))),
  typed: z.record(z.string(), z.string()),
  torque: torqueInput,
});
type OnTheBench = Frozen<z.infer<typeof onTheBench>>;
const EMPTY: OnTheBench = { kind: "bearing", readings: {}, typed: {}, torque: { thread: "M4", into: "plastic" } };
/** Small things are held askew more easily than a gear: a reading spreads a little wider, mm. */
const SMALL_THING_U = 1.5 * CALIPER_U_MM;

/** The hardware bench: what a bearing, thread, pin, circlip or O-ring is, by caliper; how tight a screw goes; with what to press. */
export function HardwareScreen({ finds, draft }: { finds: readonly HardwareFind[]; draft: unknown }) {
  const { run } = useJob();
  const [bench, setBench] = useDraft<OnTheBench>("hardware.bench", draft, onTheBench, EMPTY);
  const [fault, setFault] = useState<{ key: string; says: string } | null>(null);
  const [armed, setArmed] = useState<string>();
  const [caliper, setCaliper] = useState(false);
  const kind = KINDS.find((k) => k.kind === bench.kind) ?? (KINDS[0] as (typeof KINDS)[number]);
  const keyOf = (what: string): string => `${kind.kind}.${what}`;
  const readings = (what: string) => bench.readings[keyOf(what)] ?? [];
  const goesTo = kind.asks.find(([what]) => what === armed) ?? kind.asks.find(([what]) => !readings(what).length) ?? kind.asks[0];
  const take = (what: string, text: string, source: string): string | null => {
    const mm = lengthFrom(text, "mm");
    const says =
      mm === null ? `“${text}” is no length: type it like 8.02 or 5/16 in` : mm <= 0 || mm > 300 ? "a length here lies above 0 and up to 300 mm" : null;
    setFault(says ? { key: keyOf(what), says } : null);
    if (mm !== null && !says) {
      const reading = { value: mm, source, at: new Date().toISOString() };
      setBench((now) => ({
        ...now,
        readings: { ...now.readings, [keyOf(what)]: [...(now.readings[keyOf(what)] ?? []), reading] },
        typed: { ...now.typed, [keyOf(what)]: "" },
      }));
    }
    return says;
  };
  const arrived = useLatest((text: string) => goesTo && void take(goesTo[0], text, "caliper"));
  useEffect(() => listenToTypedCaliper(window, (text) => void arrived.current(text)), [arrived]);
  const answer = useMemo(() => answerOf(bench, kind.kind), [bench, kind.kind]);
  const first = typeof answer === "object" ? answer?.hypotheses[0] : undefined;
  const from = kind.asks.filter(([w]) => readings(w).length).map(([w, label]) => `${label.toLowerCase()} ${meanOf(readings(w).map((r) => r.value), SMALL_THING_U).value.toFixed(2)}`).join(", "); // biome-ignore format: one line of words
  return (
    <div className="grid h-full grid-cols-[minmax(0,7.4fr)_minmax(0,4.6fr)] gap-5">
      <section aria-label="What is it?" className="flex min-h-0 flex-col gap-2">
        <div className="flex flex-wrap gap-2">
          {KINDS.map((k) => (
            <KeyButton key={k.kind} keyName={k.keyName} className="small" pressed={k === kind} onPress={() => setBench((now) => ({ ...now, kind: k.kind }))}>
              {k.says}
            </KeyButton>
          ))}
          <KeyButton keyName="C" className="small ml-auto" pressed={caliper} onPress={() => setCaliper(!caliper)}>
            Practice caliper
          </KeyButton>
        </div>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          {caliper && goesTo && <CaliperPanel goesTo={goesTo[1]} send={(text) => void take(goesTo[0], text, "practice caliper")} />}
          <div className="grid grid-cols-3 gap-2.5">
            {kind.asks.map(([what, label]) => {
              const own = readings(what);
              const mean = own.length ? { what, ...meanOf(own.map((r) => r.value), SMALL_THING_U), count: own.length, source: [...new Set(own.map((r) => r.source))].join(", "), at: own.at(-1)?.at ?? "" } : undefined; // biome-ignore format: one reading
              return (
                <ReadingTile
                  key={keyOf(what)}
                  label={label}
                  unit="mm"
                  mean={mean}
                  armed={goesTo?.[0] === what}
                  onArm={() => setArmed(what)}
                  typed={bench.typed[keyOf(what)] ?? ""}
                  onTyped={(text) => setBench((now) => ({ ...now, typed: { ...now.typed, [keyOf(what)]: text } }))}
                  take={async (text) => take(what, text, "typed")}
                  fault={fault?.key === keyOf(what) ? fault.says : null}
                  strike={() => setBench((now) => ({ ...now, readings: { ...now.readings, [keyOf(what)]: [] } }))}
                />
              );
            })}
          </div>
          {typeof answer === "string" ? (
            <p className="says first-letter:uppercase">{answer}.</p>
          ) : (
            <>
              <ol aria-label="What it may be">
                {answer.hypotheses.map((h, i) => (
                  <Odds key={h.name} probability={h.probability} first={i === 0}>
                    <b className="text-[22px]">{h.name}</b>{" "}
                    <span className="hush text-[18px]">
                      {Object.entries(h.sizes)
                        .map(([k, v]) => `${k} ${v}`)
                        .join(", ")}{" "}
                      mm
                    </span>
                  </Odds>
                ))}
                {answer.none > 0.02 && (
                  <li className="flex justify-between py-1 text-[19px]">
                    no size known here fits <span className="figures text-[24px]">{percent(answer.none)}</span>
                  </li>
                )}
              </ol>
              {first?.notes.map((note) => (
                <p key={note} className="says">
                  {note}
                </p>
              ))}
              {first?.sleeves && <Sleeves limits={first.sleeves} />}
            </>
          )}
        </div>
        <KeyButton
          keyName=" "
          look="main"
          disabled={!first}
          onPress={() =>
            first &&
            void run(saveHardwareFind, {
              find: {
                name: first.name,
                from: `${from} mm`,
                sure: first.probability,
                source: [...new Set(kind.asks.flatMap(([w]) => readings(w).map((r) => r.source)))].join(", "),
              },
            })
          }
          className="justify-center"
        >
          {first ? `Note it: ${first.name}` : "Note it"}
        </KeyButton>
      </section>
      <section aria-label="How tight?" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <h2 className="text-[24px]">How tight?</h2>
        <Torque input={bench.torque} change={(torque) => setBench((now) => ({ ...now, torque }))} />
        <h2 className="pt-2 text-[24px]">Noted on this job</h2>
        <ul aria-label="Noted on this job">
          {[...finds].reverse().map((f) => (
            <li key={f.at} className="border-b-2 border-base-300 py-1 text-[19px]">
              <b>{f.name}</b>, {percent(f.sure)} sure{" "}
              <span className="hush block text-[17px]">
                {f.from} · {f.source} · {f.at.slice(0, 16).replace("T", " ")}
              </span>
            </li>
          ))}
          {finds.length === 0 && <li className="hush text-[18px]">nothing yet</li>}
        </ul>
      </section>
    </div>
  );
}

function answerOf(bench: OnTheBench, kind: Kind): HardwareAnswer | string {
  const mean = (what: string) => {
    const own = bench.readings[`${kind}.${what}`] ?? [];
    return own.length ? meanOf(own.map((r) => r.value), SMALL_THING_U) : undefined; // biome-ignore format: short
  };
  const some = (names: readonly string[]) => Object.fromEntries(names.map((n) => [n, mean(n)] as const).filter(([, v]) => v !== undefined));
  const ten = mean("pitchOver10");
  const depth = mean("grooveDepth")?.value;
  const asks: Readonly<Record<Kind, object>> = {
    bearing: some(["bore", "outside", "width"]),
    thread: { ...some(["diameter"]), ...(ten ? { pitchOver: { threads: 10, ...ten } } : {}) },
    pin: some(["diameter", "hole"]),
    circlip: some(["shaft", "bore", "groove", "thickness"]),
    "o-ring": { ...some(["inside", "section"]), ...(depth ? { grooveDepth: depth } : {}) },
  };
  try {
    return identifyHardware({ kind, ...asks[kind] } as HardwareInput);
  } catch (e) {
    if (e instanceof Fault) return e.says;
    throw e;
  }
}

function Sleeves({ limits }: { limits: readonly SleeveLimits[] }) {
  return (
    <div className="grid grid-cols-2 gap-2.5">
      {limits.map((s) => {
        return (
          <Readout
            key={s.ring}
            label={`Sleeve for the ${s.ring} ring`}
            value={s.ring === "inner" ? `≤ ${s.outsideMm[1]}` : `≥ ${s.boreMm[0]}`}
            unit={s.ring === "inner" ? "mm outside" : "mm bore"}
            from={s.ring === "inner" ? `bore from ${s.boreMm[0]} mm` : `outside up to ${s.outsideMm[1]} mm`}
          />
        );
      })}
    </div>
  );
}

function Torque({ input, change }: { input: TorqueInput; change: (next: TorqueInput) => void }) {
  const answer = ((): ReturnType<typeof tighteningTorque> | string => {
    try {
      return tighteningTorque(input);
    } catch (e) {
      if (e instanceof Fault) return e.says;
      throw e;
    }
  })();
  const pick = <K extends "into" | "grade">(key: K, says: string, options: readonly (readonly [string, string])[]) => (
    <div>
      <label className="words" htmlFor={`torque-${key}`}>
        {says}
      </label>
      <select
        id={`torque-${key}`}
        className="field"
        value={input[key] ?? ""}
        onChange={(e) => change({ ...input, [key]: e.target.value || undefined } as TorqueInput)}
      >
        {options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
  return (
    <>
      <div className="grid grid-cols-2 gap-2">
        <div>
          <label className="words" htmlFor="torque-thread">
            Thread
          </label>
          <input
            id="torque-thread"
            className="field figure"
            value={input.thread}
            autoComplete="off"
            onChange={(e) => change({ ...input, thread: e.target.value })}
          />
        </div>
        {pick("into", "Into", [
          ["plastic", "plastic"],
          ["brass-insert", "brass insert"],
          ["aluminium", "aluminium"],
          ["steel", "steel"],
        ])}
        {pick("grade", "Grade on the head", [
          ["", "none to be read"],
          ["4.8", "4.8"],
          ["8.8", "8.8"],
          ["A2-70", "A2-70"],
        ])}
        <KeyButton keyName="O" className="self-end" pressed={input.oiled === true} onPress={() => change({ ...input, oiled: !input.oiled })}>
          {input.oiled ? "✓ oiled or locker" : "oiled or locker"}
        </KeyButton>
      </div>
      {typeof answer === "string" ? (
        <p role="alert" className="says danger first-letter:uppercase">
          {answer}.
        </p>
      ) : (
        <>
          <Readout
            label="Tightening torque"
            value={answer.torqueNm === null ? "by feel" : answer.torqueNm.toFixed(answer.torqueNm < 3 ? 2 : 1)}
            unit={answer.torqueNm === null ? "" : "N m"}
            from={answer.school === "capped" ? "capped by what it goes into" : answer.school === "feel" ? "no figure is known" : "by formula"}
          />
          {answer.reasons.map((r) => (
            <p key={r.rule} className="text-[18px] leading-tight">
              <b>{r.rule}:</b> {r.says}
            </p>
          ))}
        </>
      )}
    </>
  );
}
