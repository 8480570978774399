/**
 * npm run bench: measures what the papers ask for, as ratios within one run where a figure depends on the
 * machine.
 *
 * - server time of the job page with 120 steps and 120 pictures, as a ratio to an empty page of the same
 *   build
 * - then the recorder in the real browser (measure/recorder.ts), some minutes
 * - a train of 12 meshes; a gear face of 120 teeth in the browser (measure/gear-face.ts)
 * - rebuild plan for 500 steps, job file of 200 steps written and read, gear identification, in milliseconds
 *   (median)
 */
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { buffer } from "node:stream/consumers";
import { serveBuilt, stop } from "../scripts/serve-built";
import { identifyGear } from "../src/core/gear/identify/index";
import { stripOf } from "../src/core/job/job-file";
import { rebuildPlan } from "../src/core/order/rebuild-plan";
import { solveTrain } from "../src/core/train/solve";
import type { TrainInput } from "../src/core/train/train";
import { packJob, readJobParcel } from "../src/exchange/job-zip";
import { jobOf, takeInBenchJob } from "./jobs";

const PORT = 4666;
const data = mkdtempSync(join(tmpdir(), "bench-"));
process.env.DEMONTAGE_DATA = data;

const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] as number;

function timed(times: number, work: () => void): number {
  for (let i = 0; i < Math.min(5, times); i++) work();
  return median(
    Array.from({ length: times }, () => {
      const t = performance.now();
      work();
      return performance.now() - t;
    }),
  );
}

async function pageRatio(): Promise<void> {
  await takeInBenchJob(120, 1, "J-0001");
  await (await (await import("../src/store/database")).database()).destroy();
  const server = await serveBuilt(PORT, data);
  try {
    const get = async (path: string): Promise<number> => {
      const t = performance.now();
      const answer = await fetch(`http://localhost:${PORT}${path}`);
      await answer.arrayBuffer();
      if (!answer.ok && answer.status !== 404) throw new Error(`${path}: ${answer.status}`);
      return performance.now() - t;
    };
    const paths = ["/jobs/J-0001/strip", "/jobs/J-0001/rebuild", "/empty-page"] as const;
    const times: Record<string, number[]> = Object.fromEntries(paths.map((p) => [p, []]));
    for (let i = 0; i < 150; i++)
      for (const p of paths) {
        const ms = await get(p);
        if (i >= 50) times[p]?.push(ms);
      }
    const [strip, rebuild, empty] = paths.map((p) => median(times[p] as number[])) as [
      number,
      number,
      number,
    ];
    console.log(
      `job page, 120 steps, 120 pictures: strip ${(strip / empty).toFixed(2)}, rebuild ${(rebuild / empty).toFixed(2)} times an empty page (${strip.toFixed(1)}, ${rebuild.toFixed(1)}, ${empty.toFixed(1)} ms); aim: under 3`,
    );
  } finally {
    await stop(server);
  }
}

try {
  const plan500 = stripOf(jobOf(500, "J-0500"));
  console.log(
    `rebuild plan, 500 steps: ${timed(40, () => rebuildPlan(plan500)).toFixed(1)} ms; aim: under 50`,
  );
  const parts = plan500.steps.flatMap((s) => s.parts ?? []);
  const pointed = {
    ...plan500,
    lubePoints: Array.from({ length: 200 }, (_, i) => ({
      id: `g${i}`,
      part: parts[i % parts.length] ?? "",
      when: "after-fit" as const,
    })),
    services: Array.from({ length: 100 }, (_, i) => ({
      id: `v${i}`,
      part: parts[(i * 3) % parts.length] ?? "",
      do: "clean" as const,
    })),
  };
  const served = pointed.lubePoints.length + pointed.services.length;
  console.log(
    `rebuild plan, 500 steps with ${served} points and services: ${timed(40, () => rebuildPlan(pointed)).toFixed(1)} ms; aim: under 50`,
  );
  const file200 = jobOf(200, "J-0200");
  const written = (): Promise<Buffer> => buffer(packJob({ file: file200, pictures: new Map() }));
  const bytes = await written();
  const zip = join(data, "job.zip");
  writeFileSync(zip, bytes);
  const inMs = async (times: number, work: () => Promise<unknown>): Promise<number> => {
    const from = performance.now();
    for (let i = 0; i < times; i++) await work();
    return (performance.now() - from) / times;
  };
  console.log(
    `job file, 200 steps: written in ${(await inMs(40, written)).toFixed(1)} ms, read in ${(await inMs(40, () => readJobParcel(zip, async () => null))).toFixed(1)} ms, ${(bytes.length / 1024).toFixed(1)} kB`,
  );
  const helical = {
    kind: "helical" as const,
    teeth: 41,
    tipDiameter: 45.1,
    spans: [
      { teeth: 5, value: 13.95 },
      { teeth: 6, value: 16.9 },
    ],
    helixAngle: { value: 17.4, u: 1.5 },
  };
  const uncounted = {
    kind: "spur" as const,
    tipDiameter: 31.2,
    spans: [
      { teeth: 5, value: 11.05 },
      { teeth: 6, value: 13.41 },
    ],
  };
  console.log(
    `gear identify: helical ${timed(20, () => identifyGear(helical)).toFixed(1)} ms, spur without a count ${timed(20, () => identifyGear(uncounted)).toFixed(1)} ms; aim: under 60, with all hypotheses`,
  );
  const train12: TrainInput = {
    input: { shaft: "s0", rpm: 18000 },
    meshes: Array.from({ length: 12 }, (_, i): TrainInput["meshes"][number] =>
      i % 4 === 3
        ? {
            id: `m${i}`,
            kind: "planetary",
            sun: { shaft: `s${i}`, teeth: 12 },
            ring: { shaft: "frame", teeth: 60 },
            carrier: { shaft: `s${i + 1}` },
            planets: 3,
            planetTeeth: 24,
          }
        : {
            id: `m${i}`,
            kind: i % 4 === 2 ? "bevel" : "spur",
            driver: { shaft: `s${i}`, teeth: 11 },
            driven: { shaft: `s${i + 1}`, teeth: 23 },
          },
    ),
  };
  console.log(
    `train of 12 meshes solved: ${timed(200, () => solveTrain(train12)).toFixed(2)} ms; aim: under 2`,
  );
  await pageRatio();
} finally {
  rmSync(data, { recursive: true, force: true });
}
