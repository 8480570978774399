import type { SleeveLimits } from "@/core/hardware/bench/bearing-sleeve";
import { Odds, percent } from "@/ui/odds";
import { Readout } from "@/ui/readout";
import type { BenchAnswer } from "./on-the-bench";

/** What the readings may be, the likeliest first, with what is to be known of it. */
export function WhatItMayBe({ answer }: { answer: BenchAnswer }) {
  if (answer.says === "asks") return <p className="says first-letter:uppercase">{answer.what}.</p>;
  if (answer.says === "named")
    return (
      <>
        <p className="text-[22px]">
          <b className="first-letter:uppercase">{answer.name}</b>
          {answer.more && ` · ${answer.more}`}
        </p>
        <Notes notes={answer.notes} />
      </>
    );
  const first = answer.hypotheses[0];
  return (
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
      {first && <Notes notes={first.notes} />}
      {first?.sleeves && <Sleeves limits={first.sleeves} />}
    </>
  );
}

function Notes({ notes }: { notes: readonly string[] }) {
  return notes.map((note) => (
    <p key={note} className="says">
      {note}
    </p>
  ));
}

function Sleeves({ limits }: { limits: readonly SleeveLimits[] }) {
  return (
    <div className="grid grid-cols-2 gap-2.5">
      {limits.map((s) => (
        <Readout
          key={s.ring}
          label={`Sleeve for the ${s.ring} ring`}
          value={s.ring === "inner" ? `≤ ${s.outsideMm[1]}` : `≥ ${s.boreMm[0]}`}
          unit={s.ring === "inner" ? "mm outside" : "mm bore"}
          from={s.ring === "inner" ? `bore from ${s.boreMm[0]} mm` : `outside up to ${s.outsideMm[1]} mm`}
        />
      ))}
    </div>
  );
}
