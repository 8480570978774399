"use client";

import { useState } from "react";
import { POINT_KIND_NAMES, type PointKindName, pointKind } from "@/core/grease/point-kinds";
import type { Chamber } from "@/core/job/chamber";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { Mat } from "@/ui/mat";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { addPoint } from "./actions";
import type { LubeView } from "./lube-view";

const wheelKey = (w: { readonly mesh: string; readonly role: string }): string => `${w.mesh}:${w.role}`;

interface Place {
  readonly part?: string;
  readonly wheel?: { readonly mesh: string; readonly role: string };
  readonly spot?: { readonly picture: string; readonly x: number; readonly y: number };
  readonly where: string;
}

/** A point is put where it belongs: pointed at in a picture of the opened chamber, or on a part that came off, or on a wheel of the train. */
export function AddPoint({ view, chamber, onAdded }: { view: Omit<LubeView, "frame">; chamber: Chamber; onAdded: () => void }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [kind, setKind] = useState<PointKindName>("gear-teeth");
  // the first picture in which this chamber is open
  const open = view.pictures.findIndex((p) => chamber.openedBy !== undefined && p.after.includes(chamber.openedBy));
  const [shown, setShown] = useState(Math.max(0, open));
  const [place, setPlace] = useState<Place>({ where: "" });
  const [onMat, setOnMat] = useState(view.pictures.length === 0 && view.pockets.length > 0);
  const [pocket, setPocket] = useState<string>();
  /** a pocket of the Mat is pointed at: what came off with it */
  const pick = (step: string): void => {
    setPocket(step);
    const p = view.parts.find((x) => x.step === step);
    if (p?.place) setKind(p.place);
    const title = view.pockets.find((x) => x.step === step)?.title ?? "";
    setPlace((now) => ({ ...now, part: p?.id, where: p ? p.name : title.slice(0, 80) }));
  };
  const picture = view.pictures[shown];
  const spots = view.chambers.flatMap((c) => c.points).filter((g) => g.spot && g.spot.picture === picture?.name);
  const point = (x: number, y: number): void => {
    if (picture) setPlace((p) => ({ ...p, spot: { picture: picture.name, x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) } }));
  };
  const add = async (): Promise<void> => {
    if (fault.took(await run(addPoint, { chamber: chamber.id, kind, ...place }))) {
      setPlace({ where: "" });
      onAdded();
    }
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
        <fieldset>
          <legend className="words">What kind of place</legend>
          <div className="grid grid-cols-4 gap-1.5">
            {POINT_KIND_NAMES.map((k) => (
              <SmallChoice key={k} pressed={kind === k} onPress={() => setKind(k)}>
                {pointKind(k).says}
              </SmallChoice>
            ))}
          </div>
        </fieldset>
        <div className={`grid gap-2 ${view.wheels.length ? "grid-cols-3" : "grid-cols-2"}`}>
          <Choose
            label="On a part that came off"
            options={view.parts.map((p) => [p.id, p.name] as const)}
            value={place.part}
            none="on none"
            onChoose={(id) => {
              const p = view.parts.find((x) => x.id === id);
              if (p?.place) setKind(p.place);
              setPlace((now) => ({ ...now, part: id, where: p ? p.name : now.where }));
            }}
          />
          {view.wheels.length > 0 && (
            <Choose
              label="On a wheel of the train"
              options={view.wheels.map((w) => [wheelKey(w), w.says] as const)}
              value={place.wheel && wheelKey(place.wheel)}
              none="on none"
              onChoose={(key) => {
                const w = view.wheels.find((x) => wheelKey(x) === key);
                if (w) setKind(w.worm ? "worm" : "gear-teeth");
                setPlace((now) => ({
                  ...now,
                  wheel: w && { mesh: w.mesh, role: w.role },
                  ...(w?.part && { part: w.part }),
                  where: w ? `teeth of the ${w.says}` : now.where,
                }));
              }}
            />
          )}
          <label className="words">
            Where
            <input
              className="field"
              value={place.where}
              onChange={(e) => setPlace((now) => ({ ...now, where: e.target.value }))}
              placeholder="rear bush of the lay shaft"
              onKeyDown={(e) => e.key === "Enter" && void add()}
            />
          </label>
        </div>
        {view.pockets.length > 0 && view.pictures.length > 0 && (
          <div className="grid grid-cols-2 gap-1.5">
            <SmallChoice pressed={!onMat} onPress={() => setOnMat(false)}>
              Point at a picture
            </SmallChoice>
            <SmallChoice pressed={onMat} onPress={() => setOnMat(true)}>
              Point at the Mat
            </SmallChoice>
          </div>
        )}
        {onMat ? (
          <Mat pockets={view.pockets} hand={view.pockets.length} foot="press the pocket that it belongs to" onPick={pick} picked={pocket} />
        ) : picture ? (
          <div>
            <div className="relative mx-auto w-fit">
              {/* biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder */}
              <img src={picture.url} alt={picture.says} className="block max-h-[270px] max-w-full bg-base-200" />
              <button
                type="button"
                aria-label="Point at the place in the picture"
                className="absolute inset-0 cursor-crosshair"
                onClick={(e) => {
                  // by the keyboard: the middle
                  const box = e.currentTarget.getBoundingClientRect();
                  point(e.detail === 0 ? 0.5 : (e.clientX - box.left) / box.width, e.detail === 0 ? 0.5 : (e.clientY - box.top) / box.height);
                }}
              />
              {spots.map((g) => (
                <Spot key={g.id} x={g.spot?.x ?? 0} y={g.spot?.y ?? 0} says={g.where ?? ""} />
              ))}
              {place.spot?.picture === picture.name && <Spot x={place.spot.x} y={place.spot.y} says="here" fresh />}
            </div>
            <div className="mt-1 flex items-center gap-2">
              <KeyButton className="small" disabled={shown === 0} onPress={() => setShown(shown - 1)} label="The picture before">
                ‹
              </KeyButton>
              <span className="flex-1 text-center text-[17px]">
                {picture.says}, {shown + 1} of {view.pictures.length}
              </span>
              <KeyButton className="small" disabled={shown >= view.pictures.length - 1} onPress={() => setShown(shown + 1)} label="The next picture">
                ›
              </KeyButton>
            </div>
          </div>
        ) : (
          <p className="hush text-[18px]">No picture of this job shows an opened chamber: name the part, or say where it is.</p>
        )}
      </div>
      <FaultLine says={fault.elsewhere()} />
      <KeyButton keyName="D" look="main" className="justify-center" onPress={() => void add()}>
        Put it there
      </KeyButton>
    </div>
  );
}

function Spot({ x, y, says, fresh = false }: { x: number; y: number; says: string; fresh?: boolean }) {
  return (
    <span
      className={`pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 rounded-full border-4 px-2 py-0.5 text-[16px] font-bold ${fresh ? "border-error bg-base-100" : "border-success bg-base-100"}`}
      style={{ left: `${100 * x}%`, top: `${100 * y}%` }}
    >
      {says || "●"}
    </span>
  );
}
