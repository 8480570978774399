/**
 * For killed.test.ts: takes one job in and lays steps down one after another, telling on standard output what
 * the shop has acknowledged, until it is killed.
 */
import { writeSync } from "node:fs";
import { createJob } from "./jobs";
import { layDown } from "./strip";

const number = await createJob({ kind: "survivor" });
writeSync(1, `${number}\n`);
for (let n = 1; ; n++) {
  const version = await layDown(number, "any", {
    action: "unscrew",
    parts: [{ name: `cover ${n}`, kind: "cover" }],
    hardware: [{ kind: "screw", qty: n }],
    needs: [],
  });
  // at once and not through a stream: what was told was told, whatever happens next
  writeSync(1, `${n} ${version}\n`);
}
