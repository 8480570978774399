"use client";

import type { Mesh, TrainInput } from "@/core/train/train";
import { KeyButton } from "@/ui/key-button";
import { SavedField } from "../../saving/saved-field";
import type { ChangeTrain, TrainPart } from "./train-part";

const KINDS: readonly (readonly [Mesh["kind"], string])[] = [
  ["spur", "spur"],
  ["helical", "helical"],
  ["internal", "gear in a ring"],
  ["bevel", "bevel"],
  ["worm", "worm and wheel"],
  ["belt", "toothed belt"],
  ["chain", "chain"],
  ["planetary", "planetary set"],
];

const whole = (text: string): number => (text.trim() === "" ? Number.NaN : Number(text));

/** The meshes from the motor on, each a few fields; what is typed is drawn at once. */
export function TrainMeshes({
  train,
  change,
  parts,
  light,
}: {
  train: TrainInput;
  change: ChangeTrain;
  parts: readonly TrainPart[];
  light: (at: string | undefined) => void;
}) {
  const setInput = (fields: Partial<TrainInput["input"]>) => change((t) => ({ ...t, input: { ...t.input, ...fields } }));
  const add = (): void => {
    void change((t) => {
      const last = t.meshes.at(-1);
      const from = last ? (last.kind === "planetary" ? last.carrier.shaft : last.driven.shaft) : t.input.shaft;
      const n = nextNumber(t);
      return { ...t, meshes: [...t.meshes, { id: `m${n}`, kind: "spur", driver: { shaft: from, teeth: 12 }, driven: { shaft: `shaft ${n + 1}`, teeth: 36 } }] };
    });
  };
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_160px] gap-2">
        <SavedField
          label="Driven by, shaft"
          name="train-input"
          value={train.input.shaft}
          save={(t) => change((now) => renamed(now, now.input.shaft, t.trim()))}
        />
        <SavedField
          label="Its speed, rpm"
          name="train-rpm"
          value={train.input.rpm ? String(train.input.rpm) : ""}
          figure
          save={(t) => setInput({ rpm: t.trim() ? Number(t.replace(",", ".")) : 0 })}
        />
      </div>
      {train.meshes.map((m, i) => (
        <MeshRow key={m.id} mesh={m} n={i + 1} change={change} parts={parts} light={light} />
      ))}
      <KeyButton keyName="A" look={train.meshes.length ? "plain" : "main"} onPress={add} className="justify-center">
        Add a mesh
      </KeyButton>
    </>
  );
}

function MeshRow({
  mesh: m,
  n,
  change,
  parts,
  light,
}: {
  mesh: Mesh;
  /** its number, counted from the motor on */
  n: number;
  change: ChangeTrain;
  parts: readonly TrainPart[];
  light: (at: string | undefined) => void;
}) {
  const put = (next: (now: Mesh) => Mesh) => change((t) => ({ ...t, meshes: t.meshes.map((x) => (x.id === m.id ? next(x) : x)) }));
  const patch = (role: string, fields: object) =>
    put((now) => ({ ...now, [role]: { ...(now as unknown as Record<string, object>)[role], ...fields } }) as Mesh);
  const text = (role: string, label: string, shaft: string) => (
    <SavedField label={label} name={`${m.id}-${role}-shaft`} value={shaft} save={(t) => patch(role, { shaft: t.trim() })} />
  );
  const teeth = (role: string, label: string, value: number) => (
    <SavedField label={label} name={`${m.id}-${role}-teeth`} value={String(value)} figure save={(t) => patch(role, { teeth: whole(t) })} />
  );
  const isIt = (role: string, value: string | undefined) => (
    <select
      aria-label={`Which part is the ${role} of mesh ${n}`}
      className="field !min-h-[48px] !text-[17px]"
      value={value ?? ""}
      onChange={(e) => {
        const p = parts.find((x) => x.id === e.target.value);
        void patch(role, p ? { part: p.id, ...known(p) } : { part: undefined });
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
    <fieldset className="border-t-4 border-base-content bg-base-200 px-2.5 pb-2" onFocus={() => light(m.id)} onBlur={() => light(undefined)}>
      <legend className="sr-only">Mesh {n}</legend>
      <div className="flex items-center gap-2 py-1">
        <b className="figures text-[20px]">{n}</b>
        <select
          aria-label={`Kind of mesh ${n}`}
          className="field !min-h-[48px] !bg-base-100 flex-1"
          value={m.kind}
          onChange={(e) => void put((now) => asKind(now, e.target.value as Mesh["kind"]))}
        >
          {KINDS.map(([kind, says]) => (
            <option key={kind} value={kind}>
              {says}
            </option>
          ))}
        </select>
        <KeyButton className="small" label={`Take mesh ${n} out`} onPress={() => void change((t) => ({ ...t, meshes: t.meshes.filter((x) => x.id !== m.id) }))}>
          ×
        </KeyButton>
      </div>
      {m.kind === "planetary" ? (
        <div className="grid grid-cols-[minmax(0,1fr)_84px_minmax(0,1fr)_84px] gap-2">
          {text("sun", "Sun on", m.sun.shaft)}
          {teeth("sun", "teeth", m.sun.teeth)}
          {text("ring", "Ring on (frame: held)", m.ring.shaft)}
          {teeth("ring", "teeth", m.ring.teeth)}
          {text("carrier", "Carrier on", m.carrier.shaft)}
          <SavedField
            label="planets"
            name={`${m.id}-planets`}
            value={String(m.planets ?? "")}
            figure
            save={(t) => put((now) => ({ ...now, planets: t.trim() ? Number(t) : undefined }) as Mesh)}
          />
          <SavedField
            label="Planet teeth"
            name={`${m.id}-planet-teeth`}
            value={String(m.planetTeeth ?? "")}
            figure
            save={(t) => put((now) => ({ ...now, planetTeeth: t.trim() ? Number(t) : undefined }) as Mesh)}
          />
        </div>
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)_84px_minmax(0,1fr)_84px] gap-2">
          {text("driver", m.kind === "worm" ? "Worm on" : "Driver on", m.driver.shaft)}
          {teeth("driver", m.kind === "worm" ? "starts" : "teeth", m.driver.teeth)}
          {text("driven", m.kind === "worm" ? "Wheel on" : "Driven on", m.driven.shaft)}
          {teeth("driven", "teeth", m.driven.teeth)}
          <div className="col-span-2">{isIt("driver", m.driver.part)}</div>
          <div className="col-span-2">{isIt("driven", m.driven.part)}</div>
          {m.kind === "belt" && (
            <SavedField
              label="Teeth of the belt"
              name={`${m.id}-belt`}
              value={String(m.beltTeeth ?? "")}
              figure
              save={(t) => put((now) => ({ ...now, beltTeeth: t.trim() ? Number(t) : undefined }) as Mesh)}
            />
          )}
          {m.kind === "chain" && (
            <SavedField
              label="Links of the chain"
              name={`${m.id}-chain`}
              value={String(m.links ?? "")}
              figure
              save={(t) => put((now) => ({ ...now, links: t.trim() ? Number(t) : undefined }) as Mesh)}
            />
          )}
        </div>
      )}
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

function nextNumber(t: TrainInput): number {
  const used = t.meshes.map((m) => Number(/^m(\d+)$/.exec(m.id)?.[1] ?? 0));
  return Math.max(0, ...used) + 1;
}

/** The same shafts in a mesh of another kind. */
export function asKind(m: Mesh, kind: Mesh["kind"]): Mesh {
  if (m.kind === kind) return m;
  if (kind === "planetary") {
    const [from, to] = m.kind === "planetary" ? [m.sun.shaft, m.carrier.shaft] : [m.driver.shaft, m.driven.shaft];
    return { id: m.id, kind, sun: { shaft: from, teeth: 12 }, ring: { shaft: "frame", teeth: 60 }, carrier: { shaft: to }, planets: 3, planetTeeth: 24 };
  }
  if (m.kind === "planetary") return { id: m.id, kind, driver: { ...m.sun }, driven: { shaft: m.carrier.shaft, teeth: m.ring.teeth } } as Mesh;
  const driver = kind === "worm" ? { ...m.driver, teeth: Math.min(m.driver.teeth, 4) } : { ...m.driver, teeth: Math.max(m.driver.teeth, 4) };
  return { id: m.id, kind, driver, driven: m.driven } as Mesh;
}

/** A shaft called by another name, wherever it stands. */
export function renamed(t: TrainInput, from: string, to: string): TrainInput {
  const name = <W extends { shaft: string }>(w: W): W => (w.shaft === from ? { ...w, shaft: to } : w);
  return {
    input: name(t.input),
    meshes: t.meshes.map((m) =>
      m.kind === "planetary"
        ? { ...m, sun: name(m.sun), ring: name(m.ring), carrier: name(m.carrier) }
        : ({ ...m, driver: name(m.driver), driven: name(m.driven) } as Mesh),
    ),
  };
}
