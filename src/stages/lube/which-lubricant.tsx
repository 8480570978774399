"use client";

import { useState } from "react";
import { nlgiName } from "@/core/grease/lubricant";
import { money } from "@/core/quantity/money";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { Reason } from "@/ui/reasons";
import { GettingLubricant } from "../job-view/getting-lubricant";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { takeLube } from "./actions";
import type { ChamberView, LubeView } from "./lube-view";

const FIRST = 5;
const TAKE_OUT = {
  all: "All of the old lubricant comes out first.",
  reach: "Take out what can be reached of the old one: the two are borderline.",
  nothing: "",
} as const;

/**
 * The lubricants of the shelf for one chamber, best first, with what speaks for and against each; the one
 * that is used.
 */
export function WhichLubricant({
  view,
  shown,
  toFacts,
  toPoints,
}: {
  view: Omit<LubeView, "frame">;
  shown: ChamberView;
  toFacts: () => void;
  toPoints: () => void;
}) {
  const { run } = useJob();
  const { chamber, plan } = shown;
  const fault = useFieldFault();
  const [looked, setLooked] = useState<string>();
  const [all, setAll] = useState(false);
  const [why, setWhy] = useState("");
  const shelf = new Map(view.shelf.map((l) => [l.id, l]));
  if (!shown.points.length)
    return (
      <div className="flex flex-col gap-2">
        <p className="says">
          Where in this chamber does it go? Teeth, bearings, bushes, seals: the places decide what may go
          there.
        </p>
        <KeyButton keyName=" " look="main" className="justify-center" onPress={toPoints}>
          Add the first point
        </KeyButton>
      </div>
    );
  if (plan?.fault) return <p className="says danger">{plan.fault}</p>;
  const verdicts = plan?.answer?.verdicts ?? [];
  const look = verdicts.find((v) => v.lubricant === (looked ?? chamber.lubricant)) ?? verdicts[0];
  const item = look && shelf.get(look.lubricant);
  const onlyFood =
    look && !look.ok && look.reasons.filter((r) => r.hard && r.against).every((r) => r.rule === "food");
  const take = async (override?: string): Promise<void> => {
    if (
      look &&
      fault.took(
        await run(takeLube, {
          chamber: chamber.id,
          lubricant: look.lubricant,
          ...(override && { override }),
        }),
      )
    )
      setWhy("");
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      {!look && (
        <div className="says flex flex-col gap-2">
          There is no lubricant on the shop’s shelf yet.
          <KeyLink href="/shelf" keyName="H">
            To the shelf
          </KeyLink>
        </div>
      )}
      {plan && plan.missing.length > 0 && (
        <GettingLubricant chamber={chamber} says={plan.missing} currency={view.currency} />
      )}
      <ul className="grid max-h-[38%] grid-cols-2 gap-1.5 overflow-y-auto" aria-label="The shelf, best first">
        {verdicts.slice(0, all ? undefined : FIRST).map((v) => (
          <li key={v.lubricant}>
            <KeyButton
              pressed={look === v}
              onPress={() => setLooked(v.lubricant)}
              className="small w-full"
              label={`${v.ok ? "may be used" : "forbidden"}: ${shelf.get(v.lubricant)?.name ?? ""}`}
            >
              {v.ok ? "✓" : "✕"} {shelf.get(v.lubricant)?.name}
            </KeyButton>
          </li>
        ))}
        {verdicts.length > FIRST && !all && (
          <li>
            <KeyButton className="small w-full" onPress={() => setAll(true)}>
              All {verdicts.length}
            </KeyButton>
          </li>
        )}
      </ul>
      {look && item && (
        <>
          <div className="flex items-baseline justify-between gap-2">
            <h3 className="text-[28px]">{item.name}</h3>
            <span className="hush text-right text-[17px]">
              {item.sort === "oil" ? "oil" : `NLGI ${nlgiName(item.nlgi ?? 0)}`} · {item.baseOil}
              {item.viscosityMm2s !== undefined && ` · ${item.viscosityMm2s} mm²/s`}
              {item.lot && ` · lot ${item.lot}`}
              {item.pricePer100G !== undefined && ` · ${money(item.pricePer100G, view.currency)} for 100 g`}
            </span>
          </div>
          <ul className="min-h-0 flex-1 overflow-y-auto" aria-label="Why">
            {[...look.reasons]
              .sort((a, b) => Number(b.against) - Number(a.against) || Number(b.hard) - Number(a.hard))
              .map((r, i) => (
                <Reason
                  key={i}
                  speaks={r.against ? (r.hard ? "against" : "look") : "for"}
                  about={r.rule}
                  className="border-b-2 border-base-300 py-0.5 text-[18px] leading-tight"
                >
                  {r.says}
                </Reason>
              ))}
            {plan?.answer && TAKE_OUT[plan.answer.takeOut] && (
              <li className="py-1 text-[18px] font-semibold">{TAKE_OUT[plan.answer.takeOut]}</li>
            )}
            {plan && plan.assumed.length > 0 && (
              <li className="pt-1 text-[17px]">
                <b>Taken for granted:</b> {plan.assumed.join("; ")}.{" "}
                <button type="button" className="underline underline-offset-4" onClick={toFacts}>
                  Say what it is
                </button>
              </li>
            )}
          </ul>
          {chamber.lubricant === look.lubricant && !look.ok ? (
            <p className="says danger">
              It was taken for this chamber, and a hard rule forbids it now: take another.
            </p>
          ) : chamber.lubricant === look.lubricant ? (
            <p className="says good text-[20px] font-semibold">
              ✓ Used in this chamber{chamber.override && `, although not H1: ${chamber.override}`}
            </p>
          ) : look.ok ? (
            <KeyButton
              // the first of the shelf is taken at its answer, with its key
              look={chamber.lubricant || look === verdicts[0] ? "plain" : "main"}
              className="justify-center"
              onPress={() => void take()}
            >
              Use {item.name}
            </KeyButton>
          ) : onlyFood ? (
            <form
              className="grid grid-cols-[1fr_auto] items-end gap-2"
              onSubmit={(e) => {
                e.preventDefault();
                void take(why);
              }}
            >
              <label className="words">
                Use it all the same, because
                <input
                  className="field"
                  value={why}
                  onChange={(e) => setWhy(e.target.value)}
                  placeholder="this chamber is sealed off below the food"
                />
              </label>
              <KeyButton look="warn" disabled={why.trim().length < 8} onPress={() => void take(why)}>
                Override
              </KeyButton>
            </form>
          ) : (
            <div className="says danger flex items-center justify-between gap-2">
              A hard rule forbids it here.
              <KeyLink href="/shelf">What the shelf says of it</KeyLink>
            </div>
          )}
          <FaultLine says={fault.elsewhere()} />
        </>
      )}
    </div>
  );
}
