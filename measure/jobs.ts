import sharp from "sharp";
import type { JobFile } from "../src/core/job/job-file";
import type { StripStep } from "../src/core/job/step";
import { safetyGate } from "../src/core/safety/gate";

/** A strip of n steps with hardware, free orders, bundles and grease, like a large machine's. */
export function jobOf(n: number, number: string): JobFile {
  const steps: StripStep[] = Array.from({ length: n }, (_, i) => ({
    id: `s${i + 1}`,
    action: i % 4 === 0 ? "unscrew" : "pull",
    title: `thing ${i + 1}`,
    ...(i % 5 === 3 ? { needs: [`s${Math.max(1, i - 7)}`, `s${i}`] } : {}),
    ...(i % 11 < 2 ? { bundle: `b${Math.floor(i / 11)}` } : {}),
    ...(i % 4 === 0
      ? {
          hardware: [
            { id: `h${i}`, kind: "screw" as const, qty: 4, thread: "M4", lengthMm: 12, drive: "TX20" },
          ],
        }
      : { parts: [`p${i}`] }),
    facing: "flange to the rear",
    minutes: 2,
  }));
  const parts = steps.flatMap((s) =>
    (s.parts ?? []).map((id) => ({ id, name: `wheel ${id}`, kind: "gear" })),
  );
  return {
    format: "demontage-job",
    version: 1,
    job: { number, complaint: "loud" },
    unit: { kind: "mill", supply: "hand" },
    parts,
    steps,
    lubePoints: parts
      .slice(0, 60)
      .map((p, i) => ({ id: `g${i}`, part: p.id, when: "after-fit" as const, grams: 2 })),
  };
}

/**
 * Takes such a job in with so many pictures a step, its safety gate answered. The data folder must be set
 * before.
 */
export async function takeInBenchJob(steps: number, picturesPerStep: number, number: string): Promise<void> {
  const { takeInJobFile } = await import("../src/store/job-file");
  const { database } = await import("../src/store/database");
  const { heldPictures } = await import("../src/core/job/job-parcel");
  const file = jobOf(steps, number);
  const pictures = new Map<string, Uint8Array>();
  for (const [i, s] of file.steps.entries()) {
    const names: string[] = [];
    for (let k = 0; k < picturesPerStep; k++) {
      const name = `${String(i * picturesPerStep + k + 1).padStart(4, "0")}.jpg`;
      const background = { r: i % 256, g: 90 + k * 40, b: (i >> 3) % 256 };
      const jpeg = sharp({ create: { width: 640, height: 480, channels: 3, background } }).jpeg();
      pictures.set(name, new Uint8Array(await jpeg.toBuffer()));
      names.push(name);
    }
    Object.assign(s, { pictures: names });
  }
  await takeInJobFile({ file, pictures: heldPictures(pictures) });
  const db = await database();
  const job = await db("jobs").where({ number }).first("id");
  for (const q of safetyGate({ supplies: ["hand"], hazards: [] }))
    await db("answers").insert({
      job_id: job.id,
      question: `safety:${q.gate}`,
      answer: "yes",
      at: new Date().toISOString(),
    });
}
