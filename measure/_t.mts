import { existsSync, rmSync } from "node:fs";
import { serveBuilt, stop } from "../scripts/serve-built";
import { takeInBenchJob } from "./jobs";

const data = "/tmp/t/profdata";
const fresh = !existsSync(data + "/shop.sqlite");
process.env.DEMONTAGE_DATA = data;
if (fresh) {
  await takeInBenchJob(120, 1, "J-0001");
  for (let i = 2; i < 60; i++) await takeInBenchJob(10, 0, `J-${String(i).padStart(4, "0")}`);
  await (await (await import("../src/store/database")).database()).destroy();
}
const server = await serveBuilt(4777, data);
const paths = [
  "/empty-page",
  "/scan",
  "/tray",
  "/jobs/J-0001/history",
  "/jobs/J-0001/judge/hardware",
  "/jobs/J-0001/take-in",
  "/jobs/J-0001/strip",
  "/jobs/J-0001/judge",
  "/",
];
const times = new Map(paths.map((p) => [p, [] as number[]]));
const size = new Map<string, number>();
for (let i = 0; i < 180; i++)
  for (const p of paths) {
    const t = performance.now();
    const b = await (await fetch("http://localhost:4777" + p)).arrayBuffer();
    size.set(p, b.byteLength);
    if (i > 60) times.get(p)!.push(performance.now() - t);
  }
const med = (x: number[]) => x.sort((a, b) => a - b)[x.length >> 1]!;
const e = med(times.get("/empty-page")!);
for (const p of paths)
  console.log(p.padEnd(26), (med(times.get(p)!) / e).toFixed(2), med(times.get(p)!).toFixed(1), "ms", (size.get(p)! / 1024).toFixed(0), "kB");
await stop(server);
