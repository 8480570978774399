"use client";

import { useState } from "react";
import { JOINT_SAYS, MOMENT_SAYS } from "@/core/assemblies/assembly-words";
import {
  ASSEMBLY_MOMENTS,
  type Assembly,
  type AssemblyMoment,
  JOINTS,
  type Joint,
} from "@/core/job/assembly";
import { capital } from "@/core/sentence";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { ShopHead } from "../shop-head";
import { keepAssembly, strikeAssemblyOfShop } from "./actions";

/** What is known of how things go together: the usual, and the shop's own, which is asked behind it. */
export function AssembliesScreen({ own, usual }: { own: readonly Assembly[]; usual: readonly Assembly[] }) {
  const [fault, setFault] = useState<string | null>(null);
  const strike = async (id: string): Promise<void> =>
    setFault(await strikeAssemblyOfShop({ id }).catch((e) => whatFailed(e, "Not struck", "Press it again.")));
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="How things go together" back={{ href: "/settings", says: "The shop" }} />
      <main className="grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] gap-8 p-5">
        <WriteOne />
        <section aria-label="What is known" className="flex flex-col gap-3">
          <p className="text-[19px]">
            Proposed at the rebuild where the pieces and the words of a step tell that it is so. One press
            strikes it there; a check that was found twice not to apply to a kind of unit is asked of it no
            more.
          </p>
          <FaultLine says={fault} className="text-[20px]" />
          {own.map((a) => (
            <One key={a.id} assembly={a} onStrike={() => void strike(a.id)} />
          ))}
          {usual.map((a) => (
            <One key={a.id} assembly={a} />
          ))}
        </section>
      </main>
    </div>
  );
}

function One({ assembly: a, onStrike }: { assembly: Assembly; onStrike?: () => void }) {
  const told = [
    ...(a.when.joints ?? []).map((j) => JOINT_SAYS[j]),
    ...(a.when.kinds ?? []),
    ...(a.when.without ?? []).map((j) => `not: ${JOINT_SAYS[j]}`),
  ];
  return (
    <article aria-label={a.says} className="border-2 border-base-300 p-3">
      <div className="flex items-start gap-3">
        <h2 className="flex-1 text-[21px] font-semibold leading-tight">{capital(a.says)}</h2>
        {onStrike && (
          <KeyButton className="small" look="warn" label={`Strike: ${a.says}`} onPress={onStrike}>
            Strike
          </KeyButton>
        )}
      </div>
      <p className="hush text-[18px]">
        told by: {told.join(", ")} · {a.source}
      </p>
      <ul className="flex flex-col gap-1 pt-1.5">
        {a.adds.map((x) => (
          <li key={x.act === "look" ? x.key : x.says} className="text-[19px] leading-snug">
            <span className="hush">{capital(MOMENT_SAYS[x.moment])}:</span>{" "}
            {x.act === "look" ? x.asks : x.says}
            {x.act === "look" && <span className="block pl-4 text-[18px]">If not: {x.ifNot}</span>}
          </li>
        ))}
      </ul>
    </article>
  );
}

/** One line of the shop's own. */
function WriteOne() {
  const [says, setSays] = useState("");
  const [joints, setJoints] = useState<readonly Joint[]>([]);
  const [act, setAct] = useState<"look" | "mind">("mind");
  const [moment, setMoment] = useState<AssemblyMoment>("while");
  const [asks, setAsks] = useState("");
  const [ifNot, setIfNot] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const keep = async (): Promise<void> => {
    const wrong = await keepAssembly({
      says,
      joints: [...joints],
      act,
      moment,
      asks,
      ifNot: act === "look" ? ifNot : "",
      because: "",
    }).catch((e) => whatFailed(e, "Not kept", "Press it again."));
    setFault(wrong);
    if (wrong === null) {
      setAsks("");
      setIfNot("");
    }
  };
  const field = (label: string, value: string, set: (v: string) => void, hint: string) => (
    <label className="words">
      {label}
      <input className="field" value={value} placeholder={hint} onChange={(e) => set(e.target.value)} />
    </label>
  );
  return (
    <form
      aria-label="Write one of our own"
      className="flex flex-col gap-3 self-start"
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <h2 className="text-[24px]">One of our own</h2>
      {field("What goes together there", says, setSays, "a fan on its flats")}
      <fieldset className="flex flex-col gap-1" aria-label="Told by">
        <span className="words">Told by all of these</span>
        <div className="flex flex-wrap gap-1.5">
          {JOINTS.map((j) => (
            <SmallChoice
              key={j}
              pressed={joints.includes(j)}
              onPress={() => setJoints(joints.includes(j) ? joints.filter((x) => x !== j) : [...joints, j])}
            >
              {JOINT_SAYS[j]}
            </SmallChoice>
          ))}
        </div>
      </fieldset>
      <div className="grid grid-cols-2 gap-1.5">
        <SmallChoice pressed={act === "mind"} onPress={() => setAct("mind")}>
          To be minded
        </SmallChoice>
        <SmallChoice pressed={act === "look"} onPress={() => setAct("look")}>
          A question, yes or no
        </SmallChoice>
      </div>
      <div className="grid grid-cols-3 gap-1.5">
        {ASSEMBLY_MOMENTS.map((m) => (
          <SmallChoice key={m} pressed={moment === m} onPress={() => setMoment(m)}>
            {capital(MOMENT_SAYS[m])}
          </SmallChoice>
        ))}
      </div>
      {field(
        act === "look" ? "The question; yes is good" : "What is minded",
        asks,
        setAsks,
        act === "look"
          ? "Is a gap of 1 mm left behind it?"
          : "Leave 1 mm behind it: it grows when it is warm.",
      )}
      {act === "look" &&
        field("Where the answer is no", ifNot, setIfNot, "Draw it back on the shaft, and look again.")}
      <FaultLine says={fault} className="text-[20px]" />
      <KeyButton look="main" className="self-start" onPress={() => void keep()}>
        Keep it
      </KeyButton>
    </form>
  );
}
