"use client";

import type { BeltRun } from "@/core/train/belt-run";
import { isSmooth, type Mesh } from "@/core/train/train";
import { KeyButton } from "@/ui/key-button";
import { SavedField } from "../../saving/saved-field";
import { asKind } from "./change-mesh";
import { MeshFacts } from "./mesh-facts";
import type { ChangeTrain, TrainPart } from "./train-part";

const KINDS: readonly (readonly [Mesh["kind"], string])[] = [
  ["spur", "spur"],
  ["helical", "helical"],
  ["internal", "gear in a ring"],
  ["bevel", "bevel"],
  ["worm", "worm and wheel"],
  ["crossed", "helical, shafts cross"],
  ["belt", "toothed belt"],
  ["smooth-belt", "smooth belt: flat, round, V, ribbed"],
  ["rollers", "friction rollers"],
  ["chain", "chain"],
  ["planetary", "planetary set"],
];

const whole = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text));

/** One mesh: its kind, its two shafts with their teeth, and which part each wheel is. */
export function MeshRow({
  mesh: m,
  n,
  belt,
  change,
  parts,
  light,
}: {
  mesh: Mesh;
  /** how its belt lies, where it is one and that is known */
  belt?: BeltRun;
  /** its number, counted from the motor on */
  n: number;
  change: ChangeTrain;
  parts: readonly TrainPart[];
  light: (at: string | undefined) => void;
}) {
  const put = (next: (now: Mesh) => Mesh) =>
    change((t) => ({ ...t, meshes: t.meshes.map((x) => (x.id === m.id ? next(x) : x)) }));
  const patch = (role: string, fields: object) =>
    put(
      (now) =>
        ({ ...now, [role]: { ...(now as unknown as Record<string, object>)[role], ...fields } }) as Mesh,
    );
  /** what was counted or measured: from then on the mesh counts */
  const told = (how: (now: Mesh) => Mesh) =>
    put((now) => {
      const { assumed: _, ...next } = how(now);
      return next as Mesh;
    });
  const counted = (role: string, fields: object) =>
    told(
      (now) =>
        ({ ...now, [role]: { ...(now as unknown as Record<string, object>)[role], ...fields } }) as Mesh,
    );
  const text = (role: string, label: string, shaft: string) => (
    <SavedField
      label={label}
      name={`${m.id}-${role}-shaft`}
      value={shaft}
      save={(t) => patch(role, { shaft: t.trim() })}
    />
  );
  const teeth = (role: string, label: string, value: number) => (
    <SavedField
      label={label}
      name={`${m.id}-${role}-teeth`}
      value={String(value)}
      figure
      save={(t) => counted(role, { teeth: whole(t) })}
    />
  );
  const across = (role: string, value: number) => (
    <SavedField
      label="Ø, mm"
      name={`${m.id}-${role}-across`}
      value={String(value)}
      figure
      save={(t) => counted(role, { diameterMm: whole(t.replace(",", ".")) })}
    />
  );
  /** a count that a mesh of this kind may have */
  const count = (field: string, label: string, name: string, value: number | undefined) => (
    <SavedField
      label={label}
      name={`${m.id}-${name}`}
      value={String(value ?? "")}
      figure
      save={(t) => told((now) => ({ ...now, [field]: t.trim() ? Number(t) : undefined }) as Mesh)}
    />
  );
  const isIt = (role: string, value: string | undefined) => (
    <select
      aria-label={`Which part is the ${role} of mesh ${n}`}
      className="field !min-h-[48px] !text-[17px]"
      value={value ?? ""}
      onChange={(e) => {
        const p = parts.find((x) => x.id === e.target.value);
        void (p?.teeth ? counted : patch)(role, p ? { part: p.id, ...known(p) } : { part: undefined });
      }}
    >
      <option value="">which part?</option>
      {parts.map((p) => (
        <option key={p.id} value={p.id}>
          {p.name}
        </option>
      ))}
    </select>
  );
  return (
    <fieldset
      className="border-t-4 border-base-content bg-base-200 px-2.5 pb-2"
      onFocus={() => light(m.id)}
      onBlur={() => light(undefined)}
    >
      <legend className="sr-only">Mesh {n}</legend>
      <div className="flex items-center gap-2 py-1">
        <b className="figures text-[20px]">{n}</b>
        <select
          aria-label={`Kind of mesh ${n}`}
          className="field !min-h-[48px] !bg-base-100 flex-1"
          value={m.kind}
          onChange={(e) =>
            void put((now) => asKind(now, KINDS.find(([kind]) => kind === e.target.value)?.[0] ?? now.kind))
          }
        >
          {KINDS.map(([kind, says]) => (
            <option key={kind} value={kind}>
              {says}
            </option>
          ))}
        </select>
        <KeyButton
          className="small"
          label={`Take mesh ${n} out`}
          onPress={() => void change((t) => ({ ...t, meshes: t.meshes.filter((x) => x.id !== m.id) }))}
        >
          ×
        </KeyButton>
      </div>
      {m.assumed && (
        <div className="flex items-center gap-2 pb-1">
          <p className="flex-1 text-[18px] leading-tight font-semibold text-error">
            Only a beginning: type the counts. Nothing is worked out by them yet.
          </p>
          <KeyButton className="small" onPress={() => void told((now) => now)}>
            So they are
          </KeyButton>
        </div>
      )}
      {m.kind === "planetary" ? (
        <div className="grid grid-cols-[minmax(0,1fr)_84px_minmax(0,1fr)_84px] gap-2">
          {text("sun", "Sun on", m.sun.shaft)}
          {teeth("sun", "teeth", m.sun.teeth)}
          {text("ring", "Ring on (frame: held)", m.ring.shaft)}
          {teeth("ring", "teeth", m.ring.teeth)}
          {text("carrier", "Carrier on", m.carrier.shaft)}
          {count("planets", "planets", "planets", m.planets)}
          {count("planetTeeth", "Planet teeth", "planet-teeth", m.planetTeeth)}
        </div>
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)_84px_minmax(0,1fr)_84px] gap-2">
          {text("driver", m.kind === "worm" ? "Worm on" : "Driver on", m.driver.shaft)}
          {isSmooth(m)
            ? across("driver", m.driver.diameterMm)
            : teeth("driver", m.kind === "worm" ? "starts" : "teeth", m.driver.teeth)}
          {text("driven", m.kind === "worm" ? "Wheel on" : "Driven on", m.driven.shaft)}
          {isSmooth(m) ? across("driven", m.driven.diameterMm) : teeth("driven", "teeth", m.driven.teeth)}
          <div className="col-span-2">{isIt("driver", m.driver.part)}</div>
          <div className="col-span-2">{isIt("driven", m.driven.part)}</div>
        </div>
      )}
      <MeshFacts mesh={m} n={n} belt={belt} put={(fields) => put((now) => ({ ...now, ...fields }) as Mesh)} />
    </fieldset>
  );
}

/** What is known of a part goes with it into the train. */
const known = (p: TrainPart): object =>
  Object.fromEntries(
    Object.entries({
      teeth: p.teeth,
      moduleMm: p.moduleMm,
      helixAngleDeg: p.helixAngleDeg || undefined,
      faceWidthMm: p.faceWidthMm,
      material: p.material,
    }).filter(([, v]) => v !== undefined),
  );
