"use client";

import { useState } from "react";
import type { Chamber } from "@/core/job/chamber";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { saveChamber } from "./actions";
import { planCleaning, saveBlock, saveWashed, tickCleaning } from "./cleaning-actions";
import { CleaningRowLine } from "./cleaning-row";
import type { LubeView } from "./lube-view";
import { LEFT } from "./meant";

/** How far the cleaning goes, and the unit's own chambers and parts, each with its way and its line. */
export function Cleaning({ view }: { view: Omit<LubeView, "frame"> }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const left = view.cleaning.flatMap((r) => (r.planned && !r.planned.done ? [r.planned.service] : []));
  const stays = fault.at(LEFT);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <h2 className="text-[26px]">Clean</h2>
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
        {view.states.map((s) => (
          <p key={s.says} className="says danger !py-1">
            <b>Old lubricant: {s.says}.</b> {s.implies}
          </p>
        ))}
        <p className="says !py-1">{view.far.says}</p>
        {view.states.some((s) => s.state === "good") &&
          view.chambers
            .filter((c) => c.chamber.none === undefined && c.chamber.old === undefined)
            .map((c) => <WhichIsIn key={c.chamber.id} view={view} chamber={c.chamber} />)}
        <KeyButton keyName="L" onPress={() => void run(planCleaning, {}).then(fault.took)}>
          Put the cleaning that follows from it into the plan
        </KeyButton>
        <FaultLine says={fault.at("cleaning")} />
        {view.unclean.length > 0 && (
          <p className="says danger !py-1">
            <b>In no line of the plan yet:</b> {view.unclean.join(", ")}. Say what a part is made of and
            choose its way, or which step laid a chamber open.
          </p>
        )}
        {view.cleaning.length > 0 && (
          <ul aria-label="Parts to clean">
            {view.cleaning.map((row) => (
              <CleaningRowLine key={row.id} row={row} view={view} took={fault.took} />
            ))}
          </ul>
        )}
        <FaultLine says={fault.elsewhere("cleaning", "says", LEFT)} />
        <Block view={view} fault={fault} />
        {view.dry.length > 0 && (
          <p className="says !py-1">
            <b>Stays dry:</b> {view.dry.join("; ")}.
          </p>
        )}
      </div>
      <FaultLine says={stays} />
      {stays && left.length > 0 && (
        <KeyButton
          className="small self-start"
          onPress={() => void run(tickCleaning, { services: left, done: true }).then(fault.took)}
        >
          {left.length === 1 ? "It is done" : `All ${left.length} are done`}
        </KeyButton>
      )}
      <KeyButton
        keyName="K"
        look={view.job.washed ? "plain" : "main"}
        pressed={view.job.washed}
        className="justify-center"
        onPress={() => void run(saveWashed, { washed: !view.job.washed }).then(fault.took)}
      >
        {view.job.washed ? "✓ All is clean and dry" : "All is clean and dry"}
      </KeyButton>
    </div>
  );
}

const NOT_KNOWN = "not-known";
/** Which lubricant was found good in a chamber: one of the shelf, or not known, and then it comes out. */
function WhichIsIn({ view, chamber }: { view: Omit<LubeView, "frame">; chamber: Chamber }) {
  const { run } = useJob();
  const greases = view.shelf.filter((l) => l.thickener);
  return (
    <Choose
      label={`Which one is in the ${chamber.name}`}
      options={[
        ...greases.map((l) => [l.id, l.name] as const),
        [NOT_KNOWN, "not known: it comes out"] as const,
      ]}
      value={undefined}
      none="nobody has said"
      onChoose={(id) => {
        const known = greases.find((l) => l.id === id);
        const old = known?.thickener
          ? { left: "all" as const, thickener: known.thickener, baseOil: known.baseOil }
          : { left: "all" as const, thickener: "unknown" as const, baseOil: "unknown" as const };
        void run(saveChamber, { chamber: chamber.id, facts: { old } });
      }}
    />
  );
}

/** An opening that is blocked before the washing, and comes open again as a line of the plan. */
function Block({ view, fault }: { view: Omit<LubeView, "frame">; fault: ReturnType<typeof useFieldFault> }) {
  const { run } = useJob();
  const [opening, setOpening] = useState("");
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState<string>();
  const chambers = view.chambers.map((c) => [c.chamber.id, c.chamber.name] as const);
  // of one chamber nobody is asked
  const within = asked ?? (chambers.length === 1 ? chambers[0]?.[0] : undefined);
  const block = async (): Promise<void> => {
    if (fault.took(await run(saveBlock, { says: opening, chamber: within ?? null }))) setOpening("");
  };
  if (!open)
    return (
      <KeyButton keyName="B" className="small self-start" onPress={() => setOpen(true)}>
        Block an opening before the washing
      </KeyButton>
    );
  return (
    <>
      <form
        className="grid grid-cols-[1fr_auto] items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void block();
        }}
      >
        <label className="words">
          What blocks which opening
          <input
            className="field"
            value={opening}
            onChange={(e) => setOpening(e.target.value)}
            placeholder="rag in the motor opening"
          />
        </label>
        <KeyButton disabled={!opening.trim()} onPress={() => void block()}>
          It is in
        </KeyButton>
      </form>
      {chambers.length > 1 && (
        <Choose
          label="In which chamber"
          options={chambers}
          value={within}
          none="outside of all"
          onChoose={setAsked}
        />
      )}
      <FaultLine says={fault.at("says")} />
    </>
  );
}
