"use client";

import type { ReactNode } from "react";
import type { BeltRun } from "@/core/train/belt-run";
import type { Mesh } from "@/core/train/train";
import { SmallChoice } from "@/ui/small-choice";
import type { ActionResult } from "../../saving/act";
import { SavedField } from "../../saving/saved-field";
import { figure } from "./in-figures";

/**
 * What a mesh of its kind has besides two wheels: a belt its length and centre distance, a worm and a bevel
 * what tells which way they turn.
 */
export function MeshFacts({
  mesh: m,
  n,
  belt,
  put,
}: {
  mesh: Mesh;
  n: number;
  belt?: BeltRun;
  put: (fields: object) => Promise<ActionResult>;
}) {
  const number = (field: string, label: string, value: number | undefined) => (
    <SavedField
      label={label}
      name={`${m.id}-${field}`}
      value={value === undefined ? "" : String(value)}
      figure
      save={(t) => put({ [field]: t.trim() ? Number(t.replace(",", ".")) : undefined })}
    />
  );
  const choice = (
    field: string,
    label: string,
    value: unknown,
    of: readonly (readonly [unknown, string])[],
  ) => (
    <Choices label={`${label}, mesh ${n}`} says={label}>
      {of.map(([v, says]) => (
        <SmallChoice
          key={says}
          pressed={value === v}
          onPress={() => void put({ [field]: value === v ? undefined : v })}
        >
          {says}
        </SmallChoice>
      ))}
    </Choices>
  );
  if (m.kind === "worm" || m.kind === "crossed")
    return (
      <div className="grid grid-cols-2 gap-x-2 pt-1">
        {choice("hand", m.kind === "worm" ? "Its thread" : "The driver's teeth", m.hand, [
          ["right", "right-hand"],
          ["left", "left-hand"],
        ])}
        {choice(
          "endAt",
          m.kind === "worm"
            ? "Worm under its wheel, its end seen from the"
            : "Driver below, its end seen from the",
          m.endAt,
          [
            ["left", "left"],
            ["right", "right"],
          ],
        )}
      </div>
    );
  if (m.kind === "bevel")
    return choice("seenFrom", "Of the driver, what is seen is its", m.seenFrom, [
      ["back", "back"],
      ["teeth", "teeth"],
    ]);
  if (m.kind === "chain")
    return <div className="grid grid-cols-3 gap-2">{number("links", "Links of the chain", m.links)}</div>;
  if (m.kind === "belt")
    return (
      <>
        <div className="grid grid-cols-3 gap-2">
          {number("beltTeeth", "Teeth of the belt", m.beltTeeth)}
          {number("pitchMm", "Its pitch, mm", m.pitchMm)}
          {number("centreMm", "Centres, mm", m.centreMm)}
        </div>
        <Run belt={belt} centreTold={m.centreMm !== undefined} />
      </>
    );
  if (m.kind === "smooth-belt")
    return (
      <>
        <div className="grid grid-cols-3 gap-2">
          {number("thicknessMm", "Flat, round: thick, mm", m.thicknessMm)}
          {number("centreMm", "Centres, mm", m.centreMm)}
          {number("lengthMm", "Belt length, mm", m.lengthMm)}
        </div>
        <div className="pt-1">
          <SmallChoice
            pressed={m.crossed === true}
            onPress={() => void put({ crossed: m.crossed ? undefined : true })}
          >
            crossed over
          </SmallChoice>
        </div>
        <Run belt={belt} centreTold={m.centreMm !== undefined} />
        <p className="hush text-[17px] leading-tight">
          V and ribbed belts: the diameters at their cord. A smooth belt creeps: what it drives turns 1 to 2 %
          slower than reckoned.
        </p>
      </>
    );
  if (m.kind === "rollers")
    return (
      <p className="hush text-[17px] leading-tight">
        Rollers slip a little under load: what is driven turns some percent slower than reckoned.
      </p>
    );
  return null;
}

function Choices({ label, says, children }: { label: string; says: string; children: ReactNode }) {
  return (
    <fieldset>
      <legend className="sr-only">{label}</legend>
      <span className="words" aria-hidden="true">
        {says}
      </span>
      <div className="flex gap-1.5">{children}</div>
    </fieldset>
  );
}

function Run({ belt, centreTold }: { belt?: BeltRun; centreTold: boolean }) {
  if (!belt) return null;
  const length = belt.beltTeeth
    ? `${belt.beltTeeth} teeth, ${figure(belt.lengthMm)} mm`
    : `${figure(belt.lengthMm)} mm`;
  return (
    <p role="status" aria-label="How the belt lies" className="figures py-1 text-[19px]">
      {centreTold ? `Belt: ${length} round.` : `Taut at ${figure(belt.centreMm)} mm between the shafts.`} Wrap{" "}
      {belt.wrapDeg.map((w) => `${w.toFixed(0)}°`).join(" and ")}
      {belt.teethInMesh === undefined ? "." : `, ${belt.teethInMesh} teeth in mesh.`}
    </p>
  );
}
