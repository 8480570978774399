"use client";

import { BASE_OILS } from "@/core/grease/base-oils";
import { OLD_THICKENERS, oldThickenerName } from "@/core/grease/thickeners";
import type { Chamber } from "@/core/job/chamber";
import { typedFigure } from "@/core/quantity/typed-figure";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import type { ActionResult } from "../saving/act";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { saveChamber, takeChamberAway } from "./actions";
import { CameOutFigure, FilledFigure, MakersFigure } from "./charge-figures";
import { Figure } from "./figure";
import type { ChamberView, LubeView } from "./lube-view";

const FROM_OUTSIDE = "from-outside";
const MATERIALS = [
  "steel",
  "aluminium",
  "zinc",
  "bronze",
  "brass",
  "PA",
  "POM",
  "ABS",
  "PC",
  "PS",
  "PP",
] as const;
const OLD_OILS = [...BASE_OILS, "unknown"] as const;
const SEALS = ["NBR", "EPDM", "FKM", "silicone"] as const;

/**
 * All that is said of a chamber: what opened it, how much it holds, what it is of, how hot and cold, and what
 * was in it.
 */
export function ChamberFacts({
  view,
  shown,
  onGone,
}: {
  view: Omit<LubeView, "frame">;
  shown: ChamberView;
  onGone: () => void;
}) {
  const { run } = useJob();
  const { chamber, freeMl } = shown;
  type Facts = Parameters<typeof saveChamber>[0]["facts"];
  const save = (facts: Facts) => run(saveChamber, { chamber: chamber.id, facts });
  const { old } = chamber;
  const without = (list: readonly string[], m: string): string[] =>
    list.includes(m) ? list.filter((x) => x !== m) : [...list, m];
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
      {shown.lastTime && (
        <KeyButton keyName="J" className="small" onPress={() => void save(shown.lastTime?.facts ?? {})}>
          As in {shown.lastTime.number}: {shown.lastTime.says}
        </KeyButton>
      )}
      <div className="grid grid-cols-2 gap-2">
        <SavedField
          label="Its name"
          name={`chamber-name-${chamber.id}`}
          value={chamber.name}
          save={(name) => save({ name })}
        />
        <Choose
          label="Laid open by"
          options={[
            [FROM_OUTSIDE, "nothing: reached from outside"] as const,
            ...view.steps.map((x) => [x.id, x.says] as const),
          ]}
          value={chamber.outside ? FROM_OUTSIDE : chamber.openedBy}
          none="nobody has said"
          onChoose={(step) =>
            void save(step === FROM_OUTSIDE ? { outside: true } : { openedBy: step ?? null, outside: false })
          }
        />
      </div>
      <fieldset>
        <legend className="words">
          Free volume: {freeMl === null ? "not known" : `${freeMl.toFixed(0)} ml`}
        </legend>
        <div className="grid grid-cols-4 items-end gap-2">
          <FilledFigure chamber={chamber} at="facts" save={save} />
          <Inside chamber={chamber} draft={view.draft} save={(volume) => save({ volume })} />
        </div>
      </fieldset>
      <div className="grid grid-cols-4 items-start gap-2">
        <MakersFigure chamber={chamber} at="facts" save={save} />
        <Choose
          label="Maker names"
          options={view.shelf.map((l) => [l.id, l.name] as const)}
          value={chamber.makersLubricant}
          none="none"
          onChoose={(id) => void save({ makersLubricant: id ?? null })}
        />
        <Figure
          label="Coldest"
          of="temperature"
          name={`cold-${chamber.id}`}
          value={chamber.coldestC}
          typed={chamber.typed?.coldestC}
          keepsWords
          save={(coldestC, _, words) => save({ coldestC, typed: { coldestC: words } })}
        />
        <Figure
          label="Hottest"
          of="temperature"
          name={`hot-${chamber.id}`}
          value={chamber.hottestC}
          typed={chamber.typed?.hottestC}
          keepsWords
          save={(hottestC, _, words) => save({ hottestC, typed: { hottestC: words } })}
        />
      </div>
      <Chips
        says="Case, and what lies in it, is of"
        of={MATERIALS}
        on={chamber.materials}
        press={(m) => void save({ materials: without(chamber.materials, m) })}
      />
      <Chips
        says="Seals are of"
        of={SEALS}
        on={chamber.seals}
        press={(m) => void save({ seals: without(chamber.seals, m) })}
      />
      <OldLubricant old={old} save={(o) => void save({ old: o })} />
      <div className="grid grid-cols-2 gap-2">
        <CameOutFigure chamber={chamber} at="facts" save={save} />
      </div>
      <div className="flex flex-wrap gap-1.5">
        <SmallChoice
          pressed={chamber.leaks === true}
          onPress={() => void save({ leaks: chamber.leaks !== true })}
        >
          It leaks
        </SmallChoice>
        <SmallChoice
          pressed={chamber.water === true}
          onPress={() => void save({ water: chamber.water !== true })}
        >
          Water gets in
        </SmallChoice>
        <SmallChoice
          pressed={chamber.filling === "oil"}
          onPress={() => void save({ filling: chamber.filling === "oil" ? null : "oil" })}
        >
          Oil bath
        </SmallChoice>
        {chamber.filling === "oil" && (
          <SmallChoice
            pressed={chamber.levelPlug === true}
            onPress={() => void save({ levelPlug: chamber.levelPlug !== true })}
          >
            Level plug
          </SmallChoice>
        )}
        <KeyButton
          className="small"
          onPress={() =>
            void run(takeChamberAway, { chamber: chamber.id }).then((r) => {
              if (r.ok) onGone();
            })
          }
        >
          Take this chamber away
        </KeyButton>
      </div>
    </div>
  );
}

const SIDES = [
  ["lengthMm", "or length, mm"],
  ["widthMm", "width, mm"],
  ["depthMm", "depth, mm"],
] as const;

/** The inside of a case, side by side: what is typed is kept, and makes a volume once all three are there. */
function Inside({
  chamber,
  draft,
  save,
}: {
  chamber: Chamber;
  draft: unknown;
  save: (inside: Extract<Chamber["volume"], { by: "inside" }> | null) => Promise<ActionResult>;
}) {
  const [typed, setTyped] = useDraft("lube.facts", draft, typedFields, {});
  const fault = useFieldFault();
  const name = (k: string): string => `${chamber.id}.${k}`;
  const known = chamber.volume?.by === "inside" ? chamber.volume : undefined;
  const rods = typed[name("shafts")] ?? known?.shafts ?? "";
  const text = (k: (typeof SIDES)[number][0]): string => typed[name(k)] ?? (known ? String(known[k]) : "");
  const measure = async (): Promise<void> => {
    // all three taken away again
    if (known && SIDES.every(([k]) => !text(k).trim())) {
      if (fault.took(await save(null))) setTyped({});
      return;
    }
    const isTyped = [...SIDES.map(([k]) => k), "shafts"].some((k) => typed[name(k)] !== undefined);
    if (!SIDES.every(([k]) => text(k).trim()) || !isTyped) return;
    const read = SIDES.map(([k]) => typedFigure(text(k), "length"));
    const wrong = read.find((r) => typeof r === "string");
    if (wrong) return void fault.took({ ok: false, path: "volume", says: wrong });
    const [lengthMm = 0, widthMm = 0, depthMm = 0] = read.map((r) => (typeof r === "string" ? 0 : r.value));
    const shafts = rods.trim();
    const sent = typed;
    if (fault.took(await save({ by: "inside", lengthMm, widthMm, depthMm, ...(shafts && { shafts }) })))
      // what was typed on meanwhile is not sent yet
      setTyped((now) =>
        Object.fromEntries(
          Object.entries(now).filter(([k, was]) => !k.startsWith(`${chamber.id}.`) || was !== sent[k]),
        ),
      );
  };
  return (
    <>
      {SIDES.map(([k, says]) => (
        <label key={k} className="words">
          {says}
          <input
            className="field figure"
            inputMode="decimal"
            autoComplete="off"
            value={text(k)}
            onChange={(e) => setTyped((now) => ({ ...now, [name(k)]: e.target.value }))}
            onBlur={() => void measure()}
            onKeyDown={(e) => e.key === "Enter" && void measure()}
          />
        </label>
      ))}
      <label className="words col-span-4">
        less shafts in it, across × along, mm: 10 x 80, 2 of 8 x 40
        <input
          className="field"
          autoComplete="off"
          value={rods}
          onChange={(e) => setTyped((now) => ({ ...now, [name("shafts")]: e.target.value }))}
          onBlur={() => void measure()}
          onKeyDown={(e) => e.key === "Enter" && void measure()}
        />
      </label>
      <div className="col-span-4">
        <FaultLine says={fault.elsewhere()} />
      </div>
    </>
  );
}

function Chips({
  says,
  of,
  on,
  press,
}: {
  says: string;
  of: readonly string[];
  on: readonly string[];
  press: (m: string) => void;
}) {
  // what somebody wrote that is no chip is one all the same
  const all = [...of, ...on.filter((m) => !of.includes(m))];
  return (
    <fieldset>
      <legend className="words">{says}</legend>
      <div className="flex flex-wrap gap-1.5">
        {all.map((m) => (
          <SmallChoice key={m} pressed={on.includes(m)} onPress={() => press(m)}>
            {m}
          </SmallChoice>
        ))}
      </div>
    </fieldset>
  );
}

/** What was in it, and how much of it is left: what nobody knows is taken out. */
function OldLubricant({ old, save }: { old: Chamber["old"]; save: (old: Chamber["old"] | null) => void }) {
  const known = old && old.left !== "none" ? old : undefined;
  const left = (l: "traces" | "all") =>
    save({ left: l, thickener: known?.thickener ?? "unknown", baseOil: known?.baseOil ?? "unknown" });
  return (
    <fieldset>
      <legend className="words">
        Old lubricant{old === undefined && ": nobody has said, so all of it comes out"}
      </legend>
      <div className="grid grid-cols-[auto_auto_auto_1fr_1fr] items-center gap-1.5">
        <SmallChoice
          pressed={old?.left === "none"}
          onPress={() => save(old?.left === "none" ? null : { left: "none" })}
        >
          Washed out
        </SmallChoice>
        <SmallChoice pressed={old?.left === "traces"} onPress={() => left("traces")}>
          Traces
        </SmallChoice>
        <SmallChoice pressed={old?.left === "all"} onPress={() => left("all")}>
          All of it
        </SmallChoice>
        <Choose
          label="Thickener of the old one"
          quiet
          options={OLD_THICKENERS.map(
            (t) => [t, t === "unknown" ? "soap not known" : oldThickenerName(t)] as const,
          )}
          disabled={!known}
          value={known?.thickener ?? "unknown"}
          onChoose={(thickener) => known && thickener && save({ ...known, thickener })}
        />
        <Choose
          label="Oil of the old one"
          quiet
          options={OLD_OILS.map((o) => [o, o === "unknown" ? "oil not known" : o] as const)}
          disabled={!known}
          value={known?.baseOil ?? "unknown"}
          onChoose={(baseOil) => known && baseOil && save({ ...known, baseOil })}
        />
      </div>
    </fieldset>
  );
}
