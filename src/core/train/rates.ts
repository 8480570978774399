import { beltRunOf } from "./belt-run";
import { shaftSpeeds } from "./shaft-speeds";
import { gcd } from "./solve";
import { FRAME, isSmooth, type Mesh, meshName, pairSizes, type TrainInput, wheelsOf } from "./train";

/** Something in a train that comes round again and again, and could be heard. */
export interface Rate {
  readonly kind: "shaft" | "twice" | "planet" | "sun" | "ring" | "belt" | "hunting" | "mesh";
  /** a shaft or mesh */
  readonly at: string;
  /** for one turn of the input shaft */
  readonly perInputTurn: number;
  /** how often it is this, before anything was heard; not normed */
  readonly usual: number;
  /** "once per turn of lay" */
  readonly says: string;
  /** where to look: "its 47-tooth gear, its 11-tooth gear or its bearings" */
  readonly look: string;
}

/**
 * Every rate of a train: once per turn of each shaft, planets against their carrier, belts, the meeting of
 * the same two teeth, and the meshes themselves.
 *
 * In a planetary set with N planets a bad sun tooth meets N planets per turn against the carrier, a bad ring
 * tooth likewise, and a bad planet tooth meets sun and ring
 * once each per turn of the planet. Two bad teeth that meet only now and then knock every lcm(z1, z2)/z1
 * turns.
 */
export function ratesOf(train: TrainInput): Rate[] {
  const { turns } = shaftSpeeds(train);
  const n = (shaft: string): number => Math.abs(turns.get(shaft) ?? 0);
  const wheels = train.meshes.flatMap(wheelsOf);
  const out: Rate[] = [];
  for (const shaft of turns.keys()) {
    if (shaft === FRAME || n(shaft) < 1e-12) continue;
    const own = wheels.filter((w) => w.shaft === shaft && w.role !== "planet");
    const look = [...new Set(own.map((w) => `its ${w.says}`)), "its bearings"];
    const once: Rate = {
      kind: "shaft",
      at: shaft,
      perInputTurn: n(shaft),
      usual: 1,
      says: `once per turn of ${shaft}`,
      look: inWords(look),
    };
    out.push(once, {
      ...once,
      kind: "twice",
      perInputTurn: 2 * n(shaft),
      usual: 0.12,
      says: `twice per turn of ${shaft}`,
      look: `${once.look}: two bad places opposite each other`,
    });
  }
  for (const m of train.meshes) {
    if (m.kind === "planetary") {
      const [sun, ring, carrier] = [m.sun.shaft, m.ring.shaft, m.carrier.shaft].map((s) => turns.get(s));
      if (sun === undefined || ring === undefined || carrier === undefined) continue;
      const planets = m.planets ?? 3;
      const bySun = Math.abs(sun - carrier);
      const byRing = Math.abs(ring - carrier);
      if (bySun > 1e-12)
        out.push({
          kind: "sun",
          at: m.id,
          perInputTurn: planets * bySun,
          usual: 0.7,
          says: `each time a planet passes one place of the sun in ${meshName(m)}`,
          look: `its ${m.sun.teeth}-tooth sun`,
        });
      if (byRing > 1e-12)
        out.push({
          kind: "ring",
          at: m.id,
          perInputTurn: planets * byRing,
          usual: 0.7,
          says: `each time a planet passes one place of the ring in ${meshName(m)}`,
          look: `its ${m.ring.teeth}-tooth ring`,
        });
      if (m.planetTeeth && bySun > 1e-12) {
        const planet = (bySun * m.sun.teeth) / m.planetTeeth;
        out.push({
          kind: "planet",
          at: m.id,
          perInputTurn: 2 * planet,
          usual: 0.7,
          says: `twice per turn of a planet of ${meshName(m)}, at sun and ring`,
          look: `a ${m.planetTeeth}-tooth planet`,
        });
        out.push({
          kind: "planet",
          at: m.id,
          perInputTurn: planet,
          usual: 0.4,
          says: `once per turn of a planet of ${meshName(m)}`,
          look: `a ${m.planetTeeth}-tooth planet or its pin`,
        });
      }
      continue;
    }
    const speed = n(m.driver.shaft);
    if (speed < 1e-12) continue;
    const [z1, z2] = pairSizes(m);
    const round = roundOf(m);
    if (round)
      out.push({
        kind: "belt",
        at: m.id,
        perInputTurn: (speed * z1) / round,
        usual: 0.8,
        says: `once per turn of ${meshName(m)}`,
        look: BAD_PLACE[m.kind] ?? "the belt itself",
      });
    // what has no teeth makes no mesh
    if (isSmooth(m)) continue;
    const every = z2 / gcd(z1, z2);
    // where the same teeth meet at every turn of either gear, that is the shaft's own rate
    if (every > 1 && z1 / gcd(z1, z2) > 1 && m.kind !== "belt" && m.kind !== "chain")
      out.push({
        kind: "hunting",
        at: m.id,
        perInputTurn: speed / every,
        usual: 0.25,
        says: `when the same two teeth of ${meshName(m)} meet, every ${every} turns of ${m.driver.shaft}`,
        look: `one tooth on each: the ${wheelsOf(m)
          .map((w) => w.says)
          .join(" and the ")}`,
      });
    out.push({
      kind: "mesh",
      at: m.id,
      perInputTurn: speed * z1,
      usual: 0.1,
      says: `every tooth of ${meshName(m)}`,
      look: `the mesh as a whole: the ${wheelsOf(m)
        .map((w) => w.says)
        .join(" and the ")}, worn all round or set too deep`,
    });
  }
  return out;
}

const BAD_PLACE: Partial<Record<Mesh["kind"], string>> = {
  belt: "the belt itself: a missing or torn tooth",
  chain: "the chain itself: a stiff or bent link",
  "smooth-belt": "the belt itself: its joint, a hard or a torn place",
};

/**
 * How far it is once round a belt or chain, in the measure of its wheels: teeth, links, or millimetres over
 * π; undefined where nobody knows.
 */
function roundOf(m: Mesh): number | undefined {
  if (m.kind === "chain") return m.links;
  if (m.kind === "belt") return m.beltTeeth ?? beltRunOf(m)?.beltTeeth;
  const length = m.kind === "smooth-belt" ? (m.lengthMm ?? beltRunOf(m)?.lengthMm) : undefined;
  return length === undefined ? undefined : length / Math.PI;
}

/** "a, b or c" */
function inWords(items: readonly string[]): string {
  return items.length < 2 ? (items[0] ?? "") : `${items.slice(0, -1).join(", ")} or ${items.at(-1)}`;
}
