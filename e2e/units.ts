import { execFileSync } from "node:child_process";
import { join } from "node:path";
import { shopOf } from "./shops";

const DATA = shopOf(Number(process.env.TEST_PARALLEL_INDEX ?? 0));

export const cli = (words: readonly string[], data = DATA): string =>
  execFileSync(join("node_modules", ".bin", "tsx"), ["src/cli/main.ts", ...words], {
    encoding: "utf8",
    env: { ...process.env, DEMONTAGE_DATA: data },
  });

/**
 * A unit that was taken in and whose safety gate is answered, through the store: how a hand does that is told
 * by other tests.
 */
export async function unitAtStrip(unit: {
  kind: string;
  maker: string;
  model: string;
  complaint: string;
}): Promise<string> {
  process.env.DEMONTAGE_DATA = DATA;
  const { createJob } = await import("../src/store/jobs");
  const { loadJob } = await import("../src/store/job");
  const { setAnswer } = await import("../src/store/rebuild");
  const { safetyGate } = await import("../src/core/safety/gate");
  const { safetyKey } = await import("../src/core/job/keys");
  const number = await createJob({
    ...unit,
    supplies: ["mains"],
    protectionClass: "II",
    hazards: [],
    consent: true,
    stage: "strip",
  });
  for (;;) {
    const job = await loadJob(number);
    const open =
      job && safetyGate(job).find((q) => !job.answers.some((a) => a.question === safetyKey(q.gate)));
    if (!job || !open) return number;
    await setAnswer(
      number,
      job.version,
      safetyKey(open.gate),
      { answer: "yes" },
      `safety gate: ${open.asks} yes`,
    );
  }
}

/**
 * One of the demo's jobs under a number of its own, so that what is done to it here is nobody else's. Goes
 * through the store, beside the server, as the command line does.
 */
export async function copyOf(job: string): Promise<string> {
  process.env.DEMONTAGE_DATA = DATA;
  const { parcelOf, takeInJobFile } = await import("../src/store/job-file");
  const { database } = await import("../src/store/database");
  const { number } = await takeInJobFile(await parcelOf(job), true);
  // nothing is promised of it: on the board it stands behind the shop's own
  await (await database())("jobs").where({ number }).update({ promised: null });
  return number;
}

/** The demo's juicer at Judge. */
export const juicerCopy = (): Promise<string> => copyOf("J-0142");
