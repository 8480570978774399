"use client";

import { useState } from "react";
import { POINT_KIND_NAMES, type PointKindName, pointKind } from "@/core/grease/point-kinds";
import type { Chamber } from "@/core/job/chamber";
import type { PictureSpot } from "@/core/job/picture-spot";
import { capital } from "@/core/sentence";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { Mat } from "@/ui/mat";
import { SmallChoice } from "@/ui/small-choice";
import { TrainDiagram } from "@/ui/train-diagram";
import { spotsIn } from "../job-view/spots-in";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { addDryPlace, addPoint, takeDryOff } from "./actions";
import type { LubeView } from "./lube-view";
import { PointAt } from "./point-at";

interface Place {
  readonly part?: string;
  readonly wheel?: { readonly mesh: string; readonly role: string };
  readonly spot?: PictureSpot;
  readonly where: string;
}

/** What is pointed at. */
type PointedAt = "picture" | "Mat" | "train";

/**
 * A point is put where it belongs, or a place is said to stay dry: pointed at in a picture of the opened
 * chamber, on the Mat, or in the train.
 */
export function AddPoint({
  view,
  chamber,
  onAdded,
}: {
  view: Omit<LubeView, "frame">;
  chamber: Chamber;
  onAdded: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [kind, setKind] = useState<PointKindName>("gear-teeth");
  const [dry, setDry] = useState(false);
  // the picture that it was pointed at in, or the first in which it is open
  const own = view.pictures.findIndex((p) => p.name === chamber.spot?.picture);
  const open = view.pictures.findIndex(
    (p) => chamber.openedBy !== undefined && p.after.includes(chamber.openedBy),
  );
  const [shown, setShown] = useState(own < 0 ? Math.max(0, open) : own);
  const [place, setPlace] = useState<Place>({ where: "" });
  const [pocket, setPocket] = useState<string>();
  const [said, setBy] = useState<PointedAt>();
  const ways: PointedAt[] = [
    ...(view.pictures.length ? (["picture"] as const) : []),
    ...(view.pockets.length && !dry ? (["Mat"] as const) : []),
    ...(view.train && view.wheels.length && !dry ? (["train"] as const) : []),
  ];
  const by = ways.find((w) => w === said) ?? ways[0] ?? "picture";
  /** a pocket of the Mat is pointed at: what came off with it */
  const pickPocket = (step: string): void => {
    setPocket(step);
    const p = view.parts.find((x) => x.step === step);
    if (p?.place) setKind(p.place);
    const title = view.pockets.find((x) => x.step === step)?.title ?? "";
    setPlace((now) => ({ ...now, part: p?.id, wheel: undefined, where: p ? p.name : title.slice(0, 80) }));
  };
  const pickPart = (id: string | undefined): void => {
    const p = view.parts.find((x) => x.id === id);
    if (p?.place) setKind(p.place);
    setPlace((now) => ({ ...now, part: id, wheel: undefined, where: p ? p.name : now.where }));
  };
  const pickWheel = (at: { readonly mesh: string; readonly role: string }): void => {
    const w = view.wheels.find((x) => x.mesh === at.mesh && x.role === at.role);
    if (!w) return;
    setKind(w.worm ? "worm" : "gear-teeth");
    setPlace((now) => ({
      ...now,
      wheel: { mesh: w.mesh, role: w.role },
      part: w.part,
      where: `teeth of the ${w.says}`,
    }));
  };
  const { where, part, spot, wheel } = place;
  const add = async (): Promise<void> => {
    const sent = dry
      ? run(addDryPlace, { chamber: chamber.id, says: where, ...(spot && { spot }) })
      : run(addPoint, {
          chamber: chamber.id,
          kind,
          where,
          ...(part && { part }),
          ...(spot && { spot }),
          ...(wheel && { wheel }),
        });
    if (!fault.took(await sent)) return;
    setPlace({ where: "" });
    setPocket(undefined);
    if (!dry) onAdded();
  };
  const picture = view.pictures[shown]?.name;
  const fresh =
    spot?.picture === picture && spot
      ? [{ kind: dry ? ("dry" as const) : ("here" as const), x: spot.x, y: spot.y, says: where || "here" }]
      : [];
  const points = view.chambers.flatMap((c) => c.points);
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
        <fieldset>
          <legend className="sr-only">What kind of place</legend>
          <div className="grid grid-cols-5 gap-1.5">
            {POINT_KIND_NAMES.map((k) => (
              <SmallChoice
                key={k}
                pressed={!dry && kind === k}
                onPress={() => {
                  setKind(k);
                  setDry(false);
                }}
              >
                {pointKind(k).says}
              </SmallChoice>
            ))}
            <SmallChoice pressed={dry} onPress={() => setDry(true)}>
              ▨ Stays dry
            </SmallChoice>
          </div>
        </fieldset>
        <div className={`grid gap-2 ${dry ? "" : "grid-cols-2"}`}>
          {!dry && (
            <Choose
              label="On a part that came off"
              options={view.parts.map((p) => [p.id, p.name] as const)}
              value={place.part}
              none="on none"
              onChoose={pickPart}
            />
          )}
          <label className="words">
            {dry ? "What stays dry" : "Where"}
            <input
              className="field"
              value={where}
              onChange={(e) => setPlace((now) => ({ ...now, where: e.target.value }))}
              placeholder={dry ? "face of the cover" : "rear bush of the lay shaft"}
              onKeyDown={(e) => e.key === "Enter" && void add()}
            />
          </label>
        </div>
        {ways.length > 1 && (
          <div className="grid auto-cols-fr grid-flow-col gap-1.5">
            {ways.map((w) => (
              <SmallChoice key={w} pressed={by === w} onPress={() => setBy(w)}>
                {w === "picture" ? "Point at a picture" : `Point at the ${w}`}
              </SmallChoice>
            ))}
          </div>
        )}
        {by === "Mat" ? (
          <Mat
            pockets={view.pockets}
            hand={view.pockets.length}
            foot="press the pocket that it belongs to"
            onPick={pickPocket}
            picked={pocket}
          />
        ) : by === "train" && view.train ? (
          <div className="flex h-[clamp(180px,26vh,420px)] items-center border-2 border-base-content bg-base-100 p-1">
            <TrainDiagram
              train={view.train}
              answer={{ shafts: view.shafts }}
              mostHeight={210}
              press={{ wheels: view.wheels, picked: wheelOf(view, wheel), onPick: pickWheel }}
            />
          </div>
        ) : (
          <PointAt
            pictures={view.pictures}
            shown={shown}
            onShow={setShown}
            spots={[...spotsIn({ chambers: view.chambers.map((c) => c.chamber), points }, picture), ...fresh]}
            onPoint={(spot) => setPlace((now) => ({ ...now, spot }))}
          />
        )}
        {dry && (chamber.dry?.length ?? 0) > 0 && (
          <ul aria-label={`Stays dry at the ${chamber.name}`}>
            {chamber.dry?.map((d) => (
              <li
                key={d.id}
                className="flex items-center gap-2 border-b-2 border-base-300 text-[18px] leading-tight"
              >
                <span className="flex-1">▨ {capital(d.says)}</span>
                <button
                  type="button"
                  className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                  aria-label={`Need not stay dry: ${d.says}`}
                  onClick={() => void run(takeDryOff, { chamber: chamber.id, place: d.id })}
                >
                  ×
                </button>
              </li>
            ))}
          </ul>
        )}
      </div>
      <FaultLine says={fault.elsewhere()} />
      <KeyButton keyName="D" look="main" className="justify-center" onPress={() => void add()}>
        {dry ? "Keep it dry" : "Put it there"}
      </KeyButton>
    </div>
  );
}

/** The wheel of the view that is meant: its role is one of those that a train has. */
const wheelOf = (view: Pick<LubeView, "wheels">, at: Place["wheel"]) =>
  view.wheels.find((w) => w.mesh === at?.mesh && w.role === at.role);
