/**
 * A shop's weight: 20,000 jobs, 60 of them open, 100,000 parts, 300,000 offers, and two benches at work while
 * it is measured. Pages as ratios to an empty page of the same build in the same run; laying a step
 * down in a job of 300 steps and candidates of a gear in milliseconds.
 */
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as pause } from "node:timers/promises";
import { serveBuilt, stop } from "../scripts/serve-built";
import { takeInBenchJob } from "./jobs";

const PORT = 4668;
const data = mkdtempSync(join(tmpdir(), "weight-"));
process.env.DEMONTAGE_DATA = data;

const JOBS = Number(process.env.JOBS ?? 20_000);
const OPEN = 60;
const PARTS = Number(process.env.PARTS ?? 100_000);

const median = (xs: readonly number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] ?? Number.NaN;
const { database } = await import("../src/store/database");
const db = await database();

/** Many rows at once, in one transaction of the database's own driver. */
async function fill(): Promise<void> {
  await db.transaction(async (trx) => {
    const put = async (table: string, rows: readonly object[]): Promise<void> => {
      for (let i = 0; i < rows.length; i += 400) await trx(table).insert(rows.slice(i, i + 400));
    };
    const makers = ["Velbrant", "Tarnholt", "Brisswell", "Haldrick"];
    const jobs = Array.from({ length: JOBS - OPEN }, (_, i) => ({
      id: i + 1,
      number: `J-${String(i + 1).padStart(4, "0")}`,
      stage: "hand-back",
      kind: ["juicer", "slicer", "mill", "hammer"][i % 4],
      maker: makers[i % 4],
      model: `Model ${i % 300}`,
      customer_name: `Customer ${i % 5000}`,
      complaint: "loud",
      taken_in: "2024-01-01",
      handed_back_at: "2024-02-01T10:00:00.000Z",
    }));
    await put("jobs", jobs);
    const each = <T>(n: number, row: (job: number, k: number) => T): T[] =>
      jobs.flatMap((j) => Array.from({ length: n }, (_, k) => row(j.id, k)));
    await put(
      "steps",
      each(6, (job_id, k) => ({
        job_id,
        ref: `s${k + 1}`,
        position: k,
        action: "pull",
        title: `thing ${k}`,
        facts: "{}",
      })),
    );
    await put(
      "parts",
      each(6, (job_id, k) => ({ job_id, ref: `p${k + 1}`, position: k, name: `part ${k}`, kind: "gear" })),
    );
    await put(
      "hardware",
      each(3, (job_id, k) => ({
        job_id,
        ref: `h${k + 1}`,
        position: k,
        step: `s${k + 1}`,
        kind: "screw",
        qty: 4,
        facts: '{"thread":"M4"}',
      })),
    );
    await put(
      "findings",
      each(1, (job_id) => ({ job_id, part: "p1", mode: "worn" })),
    );
    await put(
      "readings",
      each(3, (job_id, k) => ({
        job_id,
        part: "p1",
        what: "bore",
        value: 8 + k / 100,
        source: "typed",
        at: "2024-01-01",
      })),
    );
    await put(
      "answers",
      each(4, (job_id, k) => ({ job_id, question: `final:${k}`, answer: "yes", at: "2024-01-01" })),
    );
    await put(
      "history",
      each(5, (job_id, k) => ({ job_id, version: k + 1, at: "2024-01-01", what: "changed" })),
    );
    await put("customers", Array.from({ length: 5000 }, (_, i) => ({ name: `Customer ${i}`, contact: `tel. ${i}` }))); // biome-ignore format: one table
  });
  const { partRows } = await import("../src/store/catalogue-index");
  const { cataloguePart } = await import("../src/core/match/catalogue/catalogue-part");
  const kinds = [
    (i: number) => ({
      kind: "gear",
      teeth: 8 + (i % 90),
      moduleMm: [0.5, 0.8, 1, 1.25, 1.5][i % 5],
      boreMm: 5 + (i % 10),
      material: "PA",
    }),
    (i: number) => ({
      kind: "bearing",
      insideMm: 5 + (i % 40),
      outsideMm: 10 + (i % 80),
      widthMm: 4 + (i % 10),
      closure: "2RS",
    }),
    (i: number) => ({
      kind: "seal",
      insideMm: 5 + (i % 40),
      outsideMm: 10 + (i % 80),
      widthMm: 4 + (i % 10),
      material: "NBR",
    }),
  ];
  const part = (i: number) =>
    cataloguePart.parse({
      number: `BW-${String(i).padStart(6, "0")}`,
      name: `Part ${i}`,
      spec: kinds[i % 3]?.(i),
      price: 3,
      stock: i % 3,
      fits: [{ maker: "Velbrant", model: `Model ${i % 400}` }],
    });
  for (let i = 0; i < PARTS; i += 2000)
    await db.transaction(async (trx) => {
      for (let k = i; k < Math.min(PARTS, i + 2000); k += 400) await partRows.write(trx, Array.from({ length: Math.min(400, PARTS - k) }, (_, n) => part(k + n))); // biome-ignore format: one call
    });
  await db("suppliers").insert(
    ["North", "Canal", "Hill"].map((name) => ({ name, shipping: 6, minimum_order: 0 })),
  );
  for (let i = 0; i < PARTS; i += 2000)
    await db.transaction(async (trx) => {
      for (const supplier of ["North", "Canal", "Hill"])
        for (let k = i; k < Math.min(PARTS, i + 2000); k += 400)
          await trx("offers").insert(Array.from({ length: Math.min(400, PARTS - k) }, (_, n) => ({ supplier, number: `BW-${String(k + n).padStart(6, "0")}`, price: 4, pack: 1, min_packs: 1, lead_days: 2 }))); // biome-ignore format: one call
    });
}

/** Two hands that save something in one of the open jobs every half a second, by the store itself. */
function atWork(numbers: readonly string[]): () => Promise<void> {
  let going = true;
  const hand = async (nth: number): Promise<void> => {
    const { setHead } = await import("../src/store/jobs");
    const { loadHead } = await import("../src/store/job");
    for (let i = 0; going; i++) {
      const number = numbers[(i * 7 + nth * 13) % numbers.length] ?? "";
      const head = await loadHead(number);
      if (head) await setHead(number, head.version, { condition: `scratch ${i}` }, "condition");
      await pause(500);
    }
  };
  const hands = [hand(0), hand(1)];
  return async () => {
    going = false;
    await Promise.all(hands);
  };
}

try {
  const from = Date.now();
  await fill();
  const open: string[] = [];
  for (let i = 0; i < OPEN; i++) {
    const number = `J-${String(JOBS - OPEN + 1 + i).padStart(4, "0")}`;
    await takeInBenchJob(i === 0 ? 120 : i === 1 ? 300 : 40, i === 0 ? 1 : 0, number);
    open.push(number);
  }
  await db.raw("analyze");
  const { n } = (await db("offers").count({ n: "*" }).first()) ?? {};
  console.log(
    `${JOBS} jobs, ${OPEN} of them open, ${PARTS} parts, ${n} offers, filled in ${((Date.now() - from) / 1000).toFixed(0)} s`,
  );
  const [large = "", longest = ""] = open;

  const { layDown } = await import("../src/store/strip");
  const laid: number[] = [];
  for (let i = 0; i < 25; i++) {
    const t = performance.now();
    await layDown(longest, "any", {
      action: "unscrew",
      title: `cover ${i}`,
      parts: [{ name: `cover ${i}` }],
      hardware: [{ kind: "screw", qty: 4, thread: "M4", lengthMm: 12 }],
    });
    laid.push(performance.now() - t);
  }
  console.log(
    `a step laid down in a job of 300 steps, in the store: ${median(laid).toFixed(1)} ms in the middle, ${Math.max(...laid).toFixed(1)} at most; aim: under 50`,
  );

  const { partsFor } = await import("../src/store/catalogue");
  const { rankCandidates } = await import("../src/core/match/candidates/rank");
  const gear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
  const ranked: number[] = [];
  let found = 0;
  for (let i = 0; i < 9; i++) {
    const t = performance.now();
    const among = await partsFor({ gear, kind: "gear", unit: { maker: "Velbrant", model: "Model 12" } });
    rankCandidates({ gear, kind: "gear" }, among);
    found = among.length;
    ranked.push(performance.now() - t);
  }
  console.log(
    `candidates of a gear among ${PARTS} parts: ${median(ranked).toFixed(0)} ms (${found} looked at); aim: under 60`,
  );

  const server = await serveBuilt(PORT, data);
  const stopWork = atWork(open.slice(2));
  try {
    const get = async (path: string): Promise<number> => {
      const t = performance.now();
      const answer = await fetch(`http://localhost:${PORT}${path}`);
      await answer.arrayBuffer();
      if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
      return performance.now() - t;
    };
    const paths = [
      "/",
      ...["take-in", "strip", "judge", "lube", "rebuild", "hand-back"].map((s) => `/jobs/${large}/${s}`),
      "/scan",
      "/empty-page",
    ];
    const times = new Map<string, number[]>(paths.map((p) => [p, []]));
    for (let i = 0; i < 120; i++)
      for (const p of paths) {
        const ms = await get(p);
        if (i >= 40) times.get(p)?.push(ms);
      }
    const empty = median(times.get("/empty-page") ?? []);
    console.log(`an empty page: ${empty.toFixed(1)} ms. As ratios to it, two benches at work:`);
    for (const p of paths.slice(0, -1)) {
      const ms = median(times.get(p) ?? []);
      console.log(
        `  ${p === "/" ? "the board" : p.replace(`/jobs/${large}/`, "120 steps, ")}: ${(ms / empty).toFixed(2)} (${ms.toFixed(1)} ms); aim: under ${p === "/" ? 3 : 2}`,
      );
    }
  } finally {
    await stopWork();
    await stop(server);
  }
} finally {
  await db.destroy();
  rmSync(data, { recursive: true, force: true });
}
