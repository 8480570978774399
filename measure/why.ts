/**
 * npx tsx measure/why.ts: how far the odds of causes can be believed. Two thousand units are drawn from the
 * network itself, four in ten of their signs are looked at, and what is called 80 % is counted. One exact
 * inference is timed as a job has it: twelve signs known.
 */

import { drawn, inOrder, seeded } from "@/core/judge/network/draw";
import { infer } from "@/core/judge/network/infer";
import { networkFor } from "@/core/judge/network/network";
import { SIGNS } from "@/core/judge/network/signs";
import { ROOTS } from "@/core/judge/roots";

const UNITS = 2000;
const CAUSES = ROOTS.map((r) => r.cause);
const NETWORK = networkFor(new Set(["has:plastic", "has:belt", "has:spring"]));
const ordered = inOrder(NETWORK);

const random = seeded(20261202);

const bins = Array.from({ length: 10 }, () => ({ said: 0, so: 0, n: 0 }));
let brier = 0;
let base = 0;
let slowest = 0;
let spent = 0;
for (let unit = 0; unit < UNITS; unit++) {
  let so = drawn(ordered, random);
  // a unit comes in because something shows
  while (!SIGNS.some((s) => so.has(s.id))) so = drawn(ordered, random);
  const known = new Map<string, true | number>();
  for (const s of SIGNS) if (random() < 0.4) known.set(s.id, so.has(s.id) ? true : 1);
  const { of } = infer(NETWORK, known, CAUSES);
  const few = new Map([...known].sort((a, b) => Number(b[1] === true) - Number(a[1] === true)).slice(0, 12));
  const from = performance.now();
  infer(NETWORK, few, CAUSES);
  const took = performance.now() - from;
  spent += took;
  slowest = Math.max(slowest, took);
  for (const r of ROOTS) {
    const p = of.get(r.cause) ?? 0;
    const truth = so.has(r.cause) ? 1 : 0;
    brier += (p - truth) ** 2;
    base += (r.prior - truth) ** 2;
    const bin = bins[Math.min(9, Math.floor(10 * p))];
    if (!bin) continue;
    bin.said += p;
    bin.so += truth;
    bin.n++;
  }
}
const all = UNITS * ROOTS.length;
console.log(`Brier score ${(brier / all).toFixed(4)}, of the priors alone ${(base / all).toFixed(4)}`);
for (const b of bins)
  if (b.n)
    console.log(
      `called ${((100 * b.said) / b.n).toFixed(0).padStart(3)} %, was so in ` +
        `${((100 * b.so) / b.n).toFixed(0).padStart(3)} % of ${b.n}`,
    );
console.log(`one inference ${(spent / UNITS).toFixed(1)} ms, the slowest ${slowest.toFixed(0)} ms`);
