/**
 * npm run bench, the photographs: how long `gear read` takes beside decoding and resizing the same picture
 * with sharp, at 1600 × 1200 and at 12
 * megapixels, and the memory of the process.
 */
import { mkdtempSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { readGearFile } from "../src/cli/gear-read";

const folder = "demo/gear-photos/jpeg";
const work = mkdtempSync(join(tmpdir(), "photo-bench-"));
const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] as number;
try {
  // once, so that the machine has warmed to it
  await readGearFile(join(folder, "gear-18.jpg"), undefined);
  for (const [width, says] of [
    [1600, "1600 × 1200"],
    [4000, "12 megapixels"],
  ] as const) {
    const read: number[] = [];
    const decode: number[] = [];
    let max = 0;
    for (const name of readdirSync(folder).filter((f) => f.startsWith("gear-") && f.endsWith(".jpg"))) {
      const file = join(work, `${width}-${name}`);
      await sharp(join(folder, name)).resize(width).jpeg({ quality: 88 }).toFile(file);
      let t = performance.now();
      await sharp(file).resize(800).raw().toBuffer();
      decode.push(performance.now() - t);
      t = performance.now();
      await readGearFile(file, undefined);
      read.push(performance.now() - t);
      max = Math.max(max, process.memoryUsage().rss);
    }
    console.log(
      `gear read, ${says}: median ${median(read).toFixed(0)} ms, ${(median(read) / median(decode)).toFixed(1)} times decoding and resizing it with sharp (${median(decode).toFixed(0)} ms); ${(max / 1e6).toFixed(0)} MB at most; aims: 1000 and 2500 ms, 600 MB`,
    );
  }
} finally {
  rmSync(work, { recursive: true, force: true });
}
