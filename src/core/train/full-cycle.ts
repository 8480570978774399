import { isSmooth, type TrainInput } from "./train";

/** A turn of a shaft for one turn of another, exactly. */
interface Ratio {
  readonly over: bigint;
  readonly under: bigint;
}

const gcd = (a: bigint, b: bigint): bigint => (b === 0n ? a : gcd(b, a % b));
const times = (r: Ratio, over: number, under: number): Ratio => {
  const [a, b] = [r.over * BigInt(over), r.under * BigInt(under)];
  const g = gcd(a, b);
  return { over: a / g, under: b / g };
};

/**
 * Turns of a shaft until every tooth of a train stands as it did at the beginning: the least number of whole
 * turns after which all other shafts have made whole turns too.
 *
 * @param shaft the one that is turned
 * @returns null where something slips (belts without teeth, rollers), turns about another (planets), is not
 *   counted, or hangs on nothing
 * @example fullCycle({ input: { shaft: "a", rpm: 1 }, meshes: [{ id: "m", kind: "spur", driver: { shaft: "a",
 *   teeth: 9 }, driven: { shaft: "b", teeth: 12 } }] }, "a") // 4
 */
export function fullCycle(train: TrainInput, shaft: string): number | null {
  const of = new Map<string, Ratio>([[shaft, { over: 1n, under: 1n }]]);
  const open = [...train.meshes];
  for (let found = true; found; ) {
    found = false;
    for (const m of open) {
      if (m.kind === "planetary" || isSmooth(m) || m.assumed) return null;
      const [a, b] = [of.get(m.driver.shaft), of.get(m.driven.shaft)];
      if (a && !b) of.set(m.driven.shaft, times(a, m.driver.teeth, m.driven.teeth));
      else if (b && !a) of.set(m.driver.shaft, times(b, m.driven.teeth, m.driver.teeth));
      else continue;
      found = true;
    }
  }
  if (train.meshes.some((m) => m.kind !== "planetary" && !of.has(m.driver.shaft))) return null;
  const turns = [...of.values()].reduce((n, { under }) => (n / gcd(n, under)) * under, 1n);
  return turns <= BigInt(Number.MAX_SAFE_INTEGER) ? Number(turns) : null;
}
