/**
 * Renders the demo shop's photographs with POV-Ray (Debian: povray) into demo/pictures/jpeg/.
 *
 *   npx tsx demo/pictures/render.ts            all that are missing
 *   npx tsx demo/pictures/render.ts juicer-pin  one, again
 *   DRAFT=folder npx tsx demo/pictures/render.ts juicer-pin  small and quick, into a folder of its own, to
 *   find the framing
 *
 * The results are committed, so that the demo needs no renderer.
 */
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import sharp from "sharp";
import type { Scene } from "./scene";
import { scenes } from "./scenes";
import { wallBehind } from "./wall";

const here = dirname(fileURLToPath(import.meta.url));
const draft = process.env.DRAFT;
const out = draft ?? join(here, "jpeg");
const [WIDTH, HEIGHT] = draft ? [480, 360] : [880, 660];
const MOST_BYTES = 150_000;

/** A different hand holds the camera each time, but the same each time it is rendered. */
function hand(name: string): (k: number) => number {
  let h = 2166136261;
  for (const c of name) h = Math.imul(h ^ c.charCodeAt(0), 16777619);
  return (k) => ((Math.imul(h ^ (k * 0x9e3779b9), 2654435761) >>> 0) / 4294967296 - 0.5) * 2;
}

function source(s: Scene): string {
  const j = hand(s.name);
  const tilt = ((s.tilt ?? 30) * Math.PI) / 180;
  const distance = s.span * 1.5;
  const light = 40 + j(1) * 30;
  // the wall takes most of the sky away: the lamps make up for it
  const lamps = s.wall ? 2.3 : 1;
  return `${readFileSync(join(here, "bench.inc"), "utf8")}
camera { location <0,${distance * Math.cos(tilt)},${-distance * Math.sin(tilt)}> direction z*1.5 right x*4/3 up y sky y look_at <0,${s.lift ?? 4},0> angle 37 ${s.wall && !draft ? `focal_point <0,${(s.lift ?? 4) * 0.7},${-s.span * 0.12}> aperture ${s.span * 0.022} blur_samples 6, 24 confidence 0.9 variance 1/600` : ""} rotate y*${j(2) * 4} }
light_source { <${-s.span * 1.1},${s.span * 1.8},${s.span * (s.wall ? -0.45 : 0.5)}> rgb <1.05,0.99,0.90>*${0.86 * lamps} area_light x*${s.span * 0.5}, z*${s.span * 0.5}, 4, 4 adaptive 1 jitter circular orient rotate y*${s.wall ? light - 40 : light} }
light_source { <${s.span * 1.3},${s.span * 1.1},${-s.span * 0.7}> rgb <0.62,0.72,0.85>*${0.3 * lamps} area_light x*${s.span}, z*${s.span}, 2, 2 jitter }
sky_sphere { pigment { gradient y color_map { [0 rgb <0.20,0.19,0.17>] [0.35 rgb <0.42,0.41,0.38>] [0.75 rgb <0.75,0.76,0.78>] [1 rgb <0.95,0.95,0.93>] } } }
plane { y, 0 texture { ${s.mat} scale ${(s.span / 180).toFixed(3)} rotate y*${j(3) * 30} } }
${s.wall ? wallBehind(s.span) : ""}
union { ${s.things.filter(Boolean).join("\n")} rotate y*${s.turn ?? 0} }
`;
}

/** The camera's share: a little noise, a little vignette, a little softness; then as good a JPEG as fits. */
async function develop(png: Buffer, name: string): Promise<Buffer> {
  const { data, info } = await sharp(png).removeAlpha().blur(0.5).raw().toBuffer({ resolveWithObject: true });
  const j = hand(name);
  for (let y = 0; y < info.height; y++)
    for (let x = 0; x < info.width; x++) {
      const dx = x / info.width - 0.5;
      const dy = y / info.height - 0.5;
      const fall = 1 - 0.42 * (dx * dx + dy * dy);
      const grain = (j(x * 7919 + y * 104729) + j(x * 31 + y * 17389)) * 2.2;
      const at = (y * info.width + x) * 3;
      for (let c = 0; c < 3; c++)
        data[at + c] = Math.max(0, Math.min(255, (data[at + c] as number) * fall + grain));
    }
  for (let quality = 84; ; quality -= 6) {
    const jpeg = await sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } })
      .jpeg({ quality, mozjpeg: true })
      .toBuffer();
    if (jpeg.length < MOST_BYTES || quality < 40) return jpeg;
  }
}

mkdirSync(out, { recursive: true });
const wanted = process.argv.slice(2);
const work = mkdtempSync(join(tmpdir(), "bench-"));
// SHARE=1/2 and SHARE=2/2 split the work between two cores
const [share, shares] = (process.env.SHARE ?? "1/1").split("/").map(Number) as [number, number];
for (const [i, s] of scenes.entries()) {
  if (i % shares !== share - 1) continue;
  const jpeg = join(out, `${s.name}.jpg`);
  if (wanted.length ? !wanted.includes(s.name) : existsSync(jpeg)) continue;
  const pov = join(work, `${s.name}.pov`);
  writeFileSync(pov, source(s));
  const png = join(work, `${s.name}.png`);
  const t = Date.now();
  const run = spawnSync(
    "povray",
    [
      pov,
      `+O${png}`,
      `+W${WIDTH}`,
      `+H${HEIGHT}`,
      ...(draft ? ["+A0.4"] : s.wall ? ["-A"] : ["+A0.2", "+AM1", "+R2"]),
      "-D",
      "+FN",
      "+WT1",
      "-GA",
    ],
    { encoding: "utf8" },
  );
  if (run.status !== 0 || !existsSync(png)) {
    console.error(
      `${s.name} failed: ${
        run.error?.message ??
        run.stderr
          .split("\n")
          .filter((l) => /error|degenerate|expected/i.test(l))
          .slice(0, 4)
          .join(" | ")
      }`,
    );
    continue;
  }
  const bytes = await develop(readFileSync(png), s.name);
  writeFileSync(jpeg, bytes);
  console.log(`${s.name}: ${((Date.now() - t) / 1000).toFixed(0)} s, ${Math.round(bytes.length / 1000)} kB`);
}
