import { isSmooth, type Mesh, pairSizes, type TrainInput } from "@/core/train/train";

/** The number of the next mesh: one above the highest that is in use. */
export function nextNumber(t: TrainInput): number {
  const used = t.meshes.map((m) => Number(/^m(\d+)$/.exec(m.id)?.[1] ?? 0));
  return Math.max(0, ...used) + 1;
}

/** The same shafts in a mesh of another kind. */
export function asKind(m: Mesh, kind: Mesh["kind"]): Mesh {
  const next = ofKind(m, kind);
  // another kind has other counts: what it begins with is nobody's yet, unless teeth went over as they were
  const kept =
    !m.assumed &&
    kind !== "planetary" &&
    m.kind !== "planetary" &&
    kind !== "worm" &&
    isSmooth(next) === isSmooth(m);
  return next === m || kept ? next : { ...next, assumed: true };
}

function ofKind(m: Mesh, kind: Mesh["kind"]): Mesh {
  if (m.kind === kind) return m;
  if (kind === "planetary") {
    const [from, to] =
      m.kind === "planetary" ? [m.sun.shaft, m.carrier.shaft] : [m.driver.shaft, m.driven.shaft];
    return {
      id: m.id,
      kind,
      sun: { shaft: from, teeth: 12 },
      ring: { shaft: "frame", teeth: 60 },
      carrier: { shaft: to },
      planets: 3,
      planetTeeth: 24,
    };
  }
  if (m.kind === "planetary")
    return ofKind(
      {
        id: m.id,
        kind: "spur",
        driver: { ...m.sun },
        driven: { shaft: m.carrier.shaft, teeth: m.ring.teeth },
      },
      kind,
    );
  const [from, to] = pairSizes(m);
  if (kind === "smooth-belt" || kind === "rollers") {
    // teeth become millimetres by their module, so that the ratio stays until the diameters are measured
    const across = (w: { readonly shaft: string; readonly moduleMm?: number }, size: number) => ({
      shaft: w.shaft,
      diameterMm: size * (w.moduleMm ?? 1),
    });
    const module = isSmooth(m) ? 1 : (m.driver.moduleMm ?? m.driven.moduleMm ?? 1);
    return {
      id: m.id,
      kind,
      driver: across({ shaft: m.driver.shaft, moduleMm: module }, from),
      driven: across({ shaft: m.driven.shaft, moduleMm: module }, to),
    };
  }
  const wheel = (
    { diameterMm: _, ...w }: { readonly shaft: string; readonly diameterMm?: number },
    teeth: number,
  ) => ({
    ...w,
    teeth: Math.max(Math.round(teeth), 4),
  });
  const driver =
    kind === "worm"
      ? { ...wheel(m.driver, from), teeth: Math.max(1, Math.min(Math.round(from), 4)) }
      : wheel(m.driver, from);
  return { id: m.id, kind, driver, driven: wheel(m.driven, to) } as Mesh;
}

/** A shaft called by another name, wherever it stands. */
export function renamed(t: TrainInput, from: string, to: string): TrainInput {
  const name = <W extends { shaft: string }>(w: W): W => (w.shaft === from ? { ...w, shaft: to } : w);
  return {
    ...t,
    input: name(t.input),
    ...(t.clutches ? { clutches: t.clutches.map(name) } : {}),
    meshes: t.meshes.map((m) =>
      m.kind === "planetary"
        ? { ...m, sun: name(m.sun), ring: name(m.ring), carrier: name(m.carrier) }
        : ({ ...m, driver: name(m.driver), driven: name(m.driven) } as Mesh),
    ),
  };
}
