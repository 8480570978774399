/**
 * npx tsx measure/find.ts: one box over twenty thousand jobs. Prints the middle and the slowest of each kind
 * of question, against a job that is looked up by its number; the aim is under 50 ms.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { performance } from "node:perf_hooks";

const JOBS = 20_000;
const folder = mkdtempSync(join(tmpdir(), "find-"));
process.env.DEMONTAGE_DATA = folder;

const { database } = await import("../src/store/database");
const { findJobs } = await import("../src/store/find-jobs");
const { pastJobs } = await import("../src/store/past-jobs");
const { loadHead } = await import("../src/store/job");
const db = await database();

const KINDS = [
  "masticating juicer",
  "paper shredder",
  "flour mill",
  "meat slicer",
  "bread cutter",
  "tofu press",
  "ice shaver",
  "label printer",
  "cable drum",
  "nut roaster",
];
const MAKERS = ["Velbrant", "Corvane", "Tarnholt", "Pellgrove", "Ostrava", "Morvane", "Quentar"];
const NAMES = [
  "Finch",
  "Morrow",
  "Oake",
  "Wendell",
  "Reddy",
  "Pellam",
  "Fallow",
  "Orlin",
  "Weyle",
  "Sund",
  "Marn",
  "Brill",
];
const PARTS = [
  "crown wheel",
  "gear case cover",
  "motor pinion",
  "worm shaft",
  "ball bearing",
  "drive belt",
  "carbon brush",
  "switch plate",
];
let at = 1;
const next = (n: number): number => {
  at = (at * 48271) % 2147483647;
  return at % n;
};
const of = <T>(xs: readonly T[]): T => xs[next(xs.length)] as T;

const filled = performance.now();
for (let from = 0; from < JOBS; from += 500)
  await db.transaction(async (trx) => {
    const jobs = Array.from({ length: 500 }, (_, i) => {
      const n = from + i + 1;
      const maker = of(MAKERS);
      return {
        number: `J-${String(n).padStart(4, "0")}`,
        stage: "hand-back",
        version: 1,
        kind: of(KINDS),
        maker,
        model: `${maker.slice(0, 3)} ${next(90) + 10}`,
        serial: `${maker.slice(0, 2).toUpperCase()}${next(10)}-${10_000 + next(89_999)}`,
        customer_name: `${String.fromCharCode(65 + next(26))}. ${of(NAMES)}`,
        complaint: of([
          "Grinds.",
          "Clicks once a turn.",
          "Hums and stands still.",
          "Smells of warm oil.",
          "Grew louder over a month.",
        ]),
        taken_in: `20${10 + Math.floor(n / 1300)}-0${1 + next(9)}-1${next(10)}`,
        handed_back_at: `20${10 + Math.floor(n / 1300)}-10-1${next(10)}T10:00:00.000Z`,
      };
    });
    // SQLite takes so many values at once
    for (let i = 0; i < jobs.length; i += 50) await trx("jobs").insert(jobs.slice(i, i + 50));
    const parts = jobs.flatMap((_, i) =>
      Array.from({ length: 4 }, (_x, k) => ({
        job_id: from + i + 1,
        ref: `p${k}`,
        position: k,
        name: of(PARTS),
        kind: "gear",
      })),
    );
    for (let i = 0; i < parts.length; i += 100) await trx("parts").insert(parts.slice(i, i + 100));
  });
console.log(
  `${JOBS} jobs with four parts each written in ${((performance.now() - filled) / 1000).toFixed(1)} s`,
);

const time = async (work: () => Promise<unknown>): Promise<number> => {
  const t = performance.now();
  await work();
  return performance.now() - t;
};
const middle = (xs: readonly number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] as number;
const ASKED: readonly (readonly [string, () => string])[] = [
  ["a number", () => String(1 + next(JOBS))],
  ["a serial number", () => String(10_000 + next(89_999))],
  ["a customer", () => of(NAMES)],
  ["a model and a part", () => `${of(MAKERS)} ${of(PARTS)}`],
  ["one letter", () => "m"],
  ["every word of a job", () => `${of(KINDS)} ${of(MAKERS)} ${of(NAMES)}`],
  ["nothing that is there", () => "zzzyx quern"],
];
for (let i = 0; i < 20; i++) await findJobs("velbrant");
const head = middle(await Promise.all([...Array(1)].map(async () => time(() => loadHead("J-0777")))));
let worst = 0;
for (const [what, words] of ASKED) {
  const took: number[] = [];
  for (let i = 0; i < 40; i++) {
    const typed = words();
    took.push(await time(() => findJobs(typed)));
  }
  worst = Math.max(worst, ...took);
  console.log(
    `${what.padEnd(24)} middle ${middle(took).toFixed(1)} ms, slowest ${Math.max(...took).toFixed(1)} ms (${(middle(took) / head).toFixed(1)} times one job's head)`,
  );
}
console.log(`slowest of all ${worst.toFixed(1)} ms (aim: under 50)`);
console.log(`the whole record of ${JOBS} jobs: ${(await time(() => pastJobs())).toFixed(0)} ms`);
await db.destroy();
rmSync(folder, { recursive: true, force: true });
