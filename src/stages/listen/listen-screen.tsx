"use client";

import { useRef, useState } from "react";
import { compared } from "@/core/sound/compare";
import type { TrainInput } from "@/core/train/train";
import type { KeptSound, SoundMoment } from "@/store/sounds";
import { dayAs } from "@/ui/day";
import { KeyButton } from "@/ui/key-button";
import { Odds } from "@/ui/odds";
import { useJob } from "../saving/job-context";
import { takeSoundAway } from "./actions";
import { comparedSays, comparedUnit, hertz, isMeshTold, suspectAsks, suspectSays } from "./in-words";
import type { ListenView } from "./listen-view";
import { Record } from "./record";
import { SpectrumView } from "./spectrum-view";
import { type Hearing, useListened } from "./use-listened";
import { WaterfallView } from "./waterfall-view";

const MOMENTS = [
  { moment: "before", keyName: "B", says: "Before the repair" },
  { moment: "after", keyName: "A", says: "After it" },
] as const;
/** From here on it is said without "perhaps". */
const SURE = 0.8;
/** What is less likely is not worth a line. */
const WORTH_A_LINE = 0.03;

/**
 * Listening: a recording of the running unit, its two pictures with the lines of the train, what stands out,
 * and before and after line by line.
 */
export function ListenScreen({ train, sounds, moment: first }: Omit<ListenView, "frame">) {
  const { run, number } = useJob();
  const [moment, setMoment] = useState<SoundMoment>(sounds[first] || !sounds.before ? first : "before");
  const address = (s: KeptSound | undefined): string | null =>
    s ? `/api/jobs/${number}/sounds/${s.id}` : null;
  const before = useListened(address(sounds.before), train);
  const after = useListened(address(sounds.after), train);
  const shown = moment === "before" ? before : after;
  const sound = sounds[moment];
  const best = shown.listened?.heard?.suspects[0];
  // what is still being listened to is not compared as if nothing were heard in it
  const isHeard = (h: Hearing, s: KeptSound | undefined): boolean =>
    !s || h.listened !== null || h.fault !== null;
  const lines =
    isHeard(before, sounds.before) && isHeard(after, sounds.after)
      ? compared(before.listened?.heard ?? null, after.listened?.heard ?? null)
      : [];
  return (
    <div className="grid h-full grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-6">
      <section aria-label="What was recorded" className="flex min-h-0 flex-col gap-2">
        <div className="flex items-center gap-2">
          {MOMENTS.map((m) => (
            <KeyButton
              key={m.moment}
              keyName={m.keyName}
              className="small"
              pressed={moment === m.moment}
              onPress={() => setMoment(m.moment)}
            >
              {m.says}
              {sounds[m.moment] && (
                <small className="figures pl-1">{dayAs(sounds[m.moment]?.at ?? "", "d MMM HH:mm")}</small>
              )}
            </KeyButton>
          ))}
          {sound && <Player key={sound.id} number={number} sound={sound} />}
          {sound && (
            <KeyButton className="small ml-auto" onPress={() => void run(takeSoundAway, { sound: sound.id })}>
              Take it away
            </KeyButton>
          )}
        </div>
        {shown.listened ? (
          <WaterfallView listened={shown.listened} height={250} />
        ) : (
          <p className="flex h-[250px] items-center justify-center border-2 border-base-content p-4 text-center text-[24px]">
            {sound
              ? (shown.fault ?? "Listening …")
              : "Nothing is recorded yet: let it run, and record ten seconds."}
          </p>
        )}
        {(before.listened ?? after.listened) && (
          <>
            <SpectrumView
              before={before.listened}
              after={after.listened}
              lit={best && isMeshTold(best) ? best : null}
              height={280}
            />
            <p className="flex gap-4 text-[16px] whitespace-nowrap">
              {before.listened && <span className="text-info">{after.listened ? "- - -" : "——"} before</span>}
              {after.listened && <span>—— after</span>}
              {train && (
                <span>
                  1, 2: meshes from the motor on; 2 × overtones; dotted: sidebands; below: once a turn
                </span>
              )}
            </p>
          </>
        )}
      </section>
      <section aria-label="What stands out" className="flex min-h-0 flex-col gap-3 overflow-y-auto p-1">
        <Record moment={moment} onKept={() => setMoment(moment)} />
        {shown.listened && <WhatStandsOut hearing={shown} train={train} />}
        {lines.length > 0 && train && (
          <table aria-label="Before and after" className="w-full text-[18px]">
            <thead>
              <tr className="border-b-4 border-base-content text-[16px]">
                <th className="text-left">Line, at equal loudness</th>
                <th className="text-right">before</th>
                <th className="text-right">after</th>
                <th className="text-right">change</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((l) => (
                <tr key={`${l.what} ${l.mesh} ${l.shaft}`} className="border-b-2 border-base-300">
                  <th scope="row" className="py-0.5 text-left leading-tight font-normal">
                    {comparedSays(train, l)}{" "}
                    <small className="figures whitespace-nowrap">{hertz(l.hz)}</small>
                  </th>
                  <td className="figures text-right whitespace-nowrap">
                    {inUnit(l.before, comparedUnit(l))}
                  </td>
                  <td className="figures text-right whitespace-nowrap">{inUnit(l.after, comparedUnit(l))}</td>
                  <td className="figures text-right whitespace-nowrap">
                    {l.before === null || l.after === null
                      ? ""
                      : inUnit(l.after - l.before, comparedUnit(l), true)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </div>
  );
}

const inUnit = (x: number | null, unit: string, signed = false): string =>
  x === null
    ? "?"
    : `${signed && Math.round(x) > 0 ? "+" : ""}${Math.round(x).toString().replace("-", "−")} ${unit}`;

/** Plays a recording, and stops it. */
function Player({ number, sound }: { number: string; sound: KeptSound }) {
  const audio = useRef<HTMLAudioElement>(null);
  const [playing, setPlaying] = useState(false);
  const press = (): void => {
    if (playing) audio.current?.pause();
    else void audio.current?.play().catch(() => setPlaying(false));
  };
  return (
    <>
      <KeyButton keyName="H" className="small" pressed={playing} onPress={press}>
        {playing ? "Stop" : "Hear it"}
      </KeyButton>
      {/* biome-ignore lint/a11y/useMediaCaption: a machine says no words */}
      <audio
        ref={audio}
        preload="none"
        src={`/api/jobs/${number}/sounds/${sound.id}`}
        onPlay={() => setPlaying(true)}
        onPause={() => setPlaying(false)}
        onEnded={() => setPlaying(false)}
      />
    </>
  );
}

/** The motor's true speed, and what the recording may come from. */
function WhatStandsOut({ hearing, train }: { hearing: Hearing; train: TrainInput | null }) {
  const heard = hearing.listened?.heard;
  if (!heard || !train) return <p className="says">{hearing.listened?.says}</p>;
  const [best, ...others] = heard.suspects;
  if (!best) return null;
  const plate = train.input.rpm;
  return (
    <>
      <p className="readout-line text-[20px]">
        The motor turns{" "}
        <b className="figures text-[30px]">
          {Math.round(heard.rpm.value)} ± {Math.max(1, Math.round(heard.rpm.u))} rpm
        </b>
        , {Math.round((100 * heard.rpm.value) / plate)} % of {plate} rpm on its plate.
      </p>
      <div>
        <h2 className="text-[26px] leading-tight">
          {best.probability >= SURE
            ? suspectSays(train, best)
            : best.kind === "none"
              ? "Nothing stands out, as far as is heard"
              : `Perhaps: ${suspectSays(train, best)}`}
          {best.onceHz !== null && (
            <small className="figures whitespace-nowrap"> ({hertz(best.onceHz)})</small>
          )}
        </h2>
        <p className="says">{suspectAsks(best)}</p>
      </div>
      <ul aria-label="What it may come from">
        {[best, ...others.filter((s) => s.probability >= WORTH_A_LINE).slice(0, 4)].map((s, i) => (
          <Odds
            key={`${s.kind} ${s.shaft} ${s.mesh} ${s.onceHz}`}
            probability={s.probability}
            first={i === 0}
          >
            {s.kind === "none"
              ? "nothing of this kind"
              : s.kind === "tooth"
                ? `tooth, ${s.shaft}`
                : `out of true, ${s.shaft}`}
          </Odds>
        ))}
      </ul>
      <p className="hush text-[17px]">
        Learned from made recordings, and never quite sure: a bearing, a fan or a belt joint is not listened
        for. It tells where to look; what you find decides.
      </p>
    </>
  );
}
