import type { Mesh, TrainInput } from "@/core/train/train";

/** The number of the next mesh: one above the highest that is in use. */
export function nextNumber(t: TrainInput): number {
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
