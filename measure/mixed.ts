/**
 * Mixed traffic: two benches, a front desk and the command line work in one shop, a back-up is made now and
 * then. Every answer is looked at; memory is watched.
 *
 *   npx tsx measure/mixed.ts [minutes, 60]
 */
import { execFile } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as wait } from "node:timers/promises";
import { promisify } from "node:util";
import sharp from "sharp";
import { JOB_PLACES } from "../demo/shop/places";
import { serveBuilt, stop } from "../scripts/serve-built";

const MINUTES = Number(process.argv[2] ?? 60);
const PORT = 4670;
const shop = `http://localhost:${PORT}`;
const root = mkdtempSync(join(tmpdir(), "mixed-"));
const folder = join(root, "shop");
process.env.DEMONTAGE_DATA = folder;
await promisify(execFile)("npx", ["tsx", "demo/shop/seed.ts"], { env: process.env });
const server = await serveBuilt(PORT, folder);
const until = Date.now() + MINUTES * 60_000;
const wrong = new Map<string, number>();
const count = new Map<string, number>();
const note = (map: Map<string, number>, key: string): void => void map.set(key, (map.get(key) ?? 0) + 1);

const JOBS = [
  "J-0135",
  "J-0137",
  "J-0138",
  "J-0139",
  "J-0140",
  "J-0141",
  "J-0142",
  "J-0143",
  "J-0144",
  "J-0145",
];
const any = <T>(xs: readonly T[]): T => xs[Math.floor(Math.random() * xs.length)] as T;

let slowest = 0;
/** Asks, and waits for the whole answer; a sentence where there is none within twenty seconds. */
async function ask(
  path: string,
  how: RequestInit = {},
): Promise<{ readonly status: number; readonly text: string } | string> {
  const from = performance.now();
  try {
    const answer = await fetch(shop + path, { ...how, signal: AbortSignal.timeout(20_000) });
    return { status: answer.status, text: await answer.text() };
  } catch (e) {
    return `${String(e)} after ${Math.round((performance.now() - from) / 1000)} s, ${new Date().toISOString()}`;
  } finally {
    slowest = Math.max(slowest, performance.now() - from);
  }
}

async function get(who: string, path: string, holds: RegExp): Promise<void> {
  const answer = await ask(path);
  note(count, who);
  if (typeof answer === "string") note(wrong, `${path}: ${answer}`);
  else if (answer.status !== 200) note(wrong, `${path}: ${answer.status}`);
  else if (!holds.test(answer.text)) note(wrong, `${path}: does not hold ${holds}`);
}
async function post(who: string, path: string, body: FormData | string): Promise<Record<string, unknown>> {
  const answer = await ask(path, { method: "POST", body });
  note(count, who);
  if (typeof answer === "string" || answer.status >= 300) {
    note(wrong, `POST ${path}: ${typeof answer === "string" ? answer : answer.status}`);
    return {};
  }
  const lines = answer.text.trim().split("\n");
  return JSON.parse(lines.at(-1) ?? "{}") as Record<string, unknown>;
}

async function bench(who: string): Promise<void> {
  for (let n = 0; Date.now() < until; n++) {
    const job = any(JOBS);
    await get(who, `/jobs/${job}/${any([...JOB_PLACES, "tag"])}`, new RegExp(job));
    await get(who, `/api/jobs/${job}/version`, /version/);
    if (n % 7 === 0) {
      const form = new FormData();
      const bytes = await sharp({
        create: {
          width: 1600,
          height: 1200,
          channels: 3,
          background: { r: n % 256, g: 99, b: 9 },
          noise: { type: "gaussian", mean: 120, sigma: 12 },
        },
      })
        .jpeg()
        .toBuffer();
      form.set("picture", new Blob([new Uint8Array(bytes)]));
      const { picture } = await post(who, `/api/jobs/${job}/pictures`, form);
      const sha = (picture as { sha256?: string } | undefined)?.sha256;
      if (sha) await get(who, `/api/pictures/${sha}?thumb`, /./s);
    }
    await wait(Math.random() * 400);
  }
}
async function desk(): Promise<void> {
  for (let n = 0; Date.now() < until; n++) {
    await get("desk", "/", /The board/);
    await get(
      "desk",
      any([
        "/settings",
        "/people",
        "/customers?q=a",
        "/parts?q=wheel",
        "/shelf",
        "/suppliers",
        "/backup",
        "/scan",
        "/hazards",
        "/job-files",
      ]),
      /<main/,
    );
    await get("desk", "/api/state", /"trouble":null|nearly full/);
    if (n % 40 === 20) {
      const id = String(
        (
          await post(
            "desk",
            "/api/parts/import",
            `supplier,number,price,lead_days\n${Array.from({ length: 2000 }, (_, i) => `Mixed,M-${i},${n % 90},3`).join("\n")}\n`,
          )
        ).id,
      );
      const { done } = await post("desk", `/api/parts/import/${id}?name=mixed.csv`, "");
      if (!done) note(wrong, "a table was not taken in");
    }
    if (n % 90 === 45)
      if (!(await post("desk", "/api/backup", "")).done) note(wrong, "a back-up was not made");
    await wait(Math.random() * 600);
  }
}
async function commands(): Promise<void> {
  const run = (words: string[]): Promise<{ stdout: string }> =>
    promisify(execFile)(process.execPath, ["--import", "tsx", "src/cli/main.ts", ...words], {
      env: process.env,
      maxBuffer: 1e8,
    });
  while (Date.now() < until) {
    const job = any(JOBS);
    const zip = join(root, `${job}.zip`);
    try {
      await run(["job", "export", job, "--out", zip]);
      const { number } = JSON.parse((await run(["job", "import", zip, "--as-new"])).stdout) as {
        number: string;
      };
      await get("commands", `/jobs/${number}/strip`, new RegExp(number));
    } catch (e) {
      note(wrong, `command: ${String(e).slice(0, 160)}`);
    }
    note(count, "commands");
    await wait(3000);
  }
}

const memory: number[] = [];
const watch = setInterval(
  () =>
    memory.push(
      Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, "utf8"))?.[1] ?? 0) / 1024,
    ),
  2000,
);
await Promise.all([bench("bench 1"), bench("bench 2"), desk(), commands()]);
clearInterval(watch);
await stop(server);
const { stdout } = await promisify(execFile)(
  process.execPath,
  ["--import", "tsx", "src/cli/main.ts", "check"],
  { env: process.env },
).catch((e: { stdout: string }) => e);
const part = (from: number, to: number): string =>
  Math.max(...memory.slice(Math.floor(memory.length * from), Math.floor(memory.length * to))).toFixed(0);
console.log(
  `${MINUTES} minutes: ${[...count.values()].reduce((a, b) => a + b, 0)} requests (${[...count].map(([k, v]) => `${k} ${v}`).join(", ")})`,
);
console.log(
  `memory at most, by quarters of the time: ${[0, 0.25, 0.5, 0.75].map((q) => part(q, q + 0.25)).join(", ")} MB`,
);
console.log(`the slowest answer: ${(slowest / 1000).toFixed(1)} s`);
console.log(`check: ${stdout.trim()}`);
console.log(`${[...wrong.values()].reduce((a, b) => a + b, 0)} wrong answers`);
for (const [what, n] of [...wrong].slice(0, 20)) console.log(`  ${n} × ${what}`);
rmSync(root, { recursive: true, force: true });
process.exit(wrong.size ? 1 : 0);
