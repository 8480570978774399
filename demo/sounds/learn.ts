import { appendFileSync, readFileSync } from "node:fs";
import type { GearSigns } from "../../src/core/sound/faults";
import { matchSound } from "../../src/core/sound/match";
import { groundsOf, speaks, suspectsOf } from "../../src/core/sound/suspects";
import type { Weights } from "../../src/core/sound/weights";
import { type MadeRecording, randomRecording } from "./random-unit";

/*
 * Learns what the clues of a fault weigh, from made recordings of units that nobody has:
 *   npx tsx demo/sounds/learn.ts hear FROM TO FILE    listens to the recordings FROM to TO and writes their
 *   signs to FILE (a line each; several can run at once)
 *   npx tsx demo/sounds/learn.ts fit FILE …           fits the weights to three quarters of them, and prints
 *   how they do on the last quarter
 */

interface Line {
  readonly truth: MadeRecording["truth"];
  readonly off: number;
  readonly signs: readonly GearSigns[];
  readonly meshesHeard: number;
}

function hear(from: number, to: number, file: string): void {
  for (let k = from; k < to; k++) {
    const made = randomRecording(k);
    try {
      const heard = matchSound(made, made.train);
      appendFileSync(
        file,
        `${JSON.stringify({ truth: made.truth, off: heard.rpm.value / made.rpm - 1, signs: heard.signs, meshesHeard: heard.meshesHeard })}\n`,
      );
    } catch (e) {
      appendFileSync(file, `${JSON.stringify({ truth: made.truth, says: (e as Error).message })}\n`);
    }
  }
}

/** Logarithm of how likely the truth is by the weights, and its slope along each of them. */
function slope(
  { truth, signs }: Line,
  w: Weights,
): { logLikely: number; tooth: number[]; eccentric: number[] } {
  const grounds = groundsOf(signs);
  const share = Math.log(Math.max(1, signs.length));
  const odds = grounds.map((g) => Math.exp(Math.max(-30, Math.min(30, speaks(g, w) - share))));
  const all = 1 + odds.reduce((a, b) => a + b, 0);
  const isTrue = grounds.map(
    (g) =>
      g.kind === truth.kind &&
      g.sign.gear.shaft === truth.shaft &&
      (g.kind === "tooth" || g.sign.gear.mesh === truth.mesh),
  );
  const right = truth.kind === "none" ? 1 : odds.reduce((sum, o, i) => sum + (isTrue[i] ? o : 0), 1e-12);
  const out = {
    logLikely: Math.log(right / all),
    tooth: w.tooth.map(() => 0),
    eccentric: w.eccentric.map(() => 0),
  };
  grounds.forEach((g, i) => {
    const pull =
      (isTrue[i] && truth.kind !== "none" ? (odds[i] as number) / right : 0) - (odds[i] as number) / all;
    const into = out[g.kind];
    g.clues.forEach((c, k) => {
      into[k] = (into[k] as number) + pull * c;
    });
  });
  return out;
}

function weighed(lines: readonly Line[], begin: Weights): Weights {
  const w = { tooth: [...begin.tooth], eccentric: [...begin.eccentric], trust: 1 };
  for (let round = 0; round < 4000; round++) {
    const sum = { tooth: w.tooth.map(() => 0), eccentric: w.eccentric.map(() => 0) };
    for (const l of lines) {
      const s = slope(l, w);
      for (const kind of ["tooth", "eccentric"] as const)
        sum[kind] = sum[kind].map((x, k) => x + (s[kind][k] as number));
    }
    for (const kind of ["tooth", "eccentric"] as const)
      w[kind].forEach((x, k) => {
        w[kind][k] = x + 0.4 * ((sum[kind][k] as number) / lines.length - 0.002 * x);
      });
  }
  return w;
}

function table(lines: readonly Line[], w: Weights): void {
  const count = { right: 0, unsure: 0, sure: 0, sureWrong: 0, mesh: 0 };
  for (const { truth, signs, meshesHeard } of lines) {
    const best = suspectsOf(signs, { hz: 1, meshesHeard }, w)[0];
    if (!best) continue;
    if (best.probability >= 0.8) count.sure++;
    if (best.kind === truth.kind && best.shaft === truth.shaft) {
      count.right++;
      if (best.mesh === truth.mesh) count.mesh++;
    } else if (best.probability < 0.8) count.unsure++;
    else count.sureWrong++;
  }
  console.log(
    `${lines.length}: ${count.right} right (${count.mesh} the mesh too), ${count.unsure} unsure, ${count.sureWrong} sure and wrong; ${count.sure} sure at all`,
  );
}

const [what, ...words] = process.argv.slice(2);
if (what === "hear") hear(Number(words[0]), Number(words[1]), String(words[2]));
else {
  const all = words
    .flatMap((f) => readFileSync(f, "utf8").trim().split("\n"))
    .map((l) => JSON.parse(l) as Line & { says?: string });
  const heard = all.filter((l) => !l.says);
  console.log(
    `${all.length} recordings; speed within 0.5 % in ${heard.filter((l) => Math.abs(l.off) < 0.005).length}; not heard: ${all.length - heard.length}`,
  );
  const learn = heard.filter((_, i) => i % 4 !== 3);
  const w = weighed(learn, { tooth: [-3, 2, 1, 1, -2], eccentric: [-1, 1, -2], trust: 1 });
  console.log(JSON.stringify(w));
  for (const trust of [1, 0.85, 0.7]) {
    table(learn, { ...w, trust });
    table(
      heard.filter((_, i) => i % 4 === 3),
      { ...w, trust },
    );
  }
}
