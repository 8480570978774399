/**
 * Renders photographs of gears with POV-Ray (Debian: povray), the truth beside each: what `gear read` is
 * tuned on.
 *
 *   npx tsx demo/gear-photos/render.ts FOLDER FROM TO [hidden|cut-off|two-gears|no-gear]
 *
 * The same seed makes the same picture. BORES=1 gives the bores all their forms in turn, WORN=1 wears a flank
 * of a few teeth. WIDTH=4000 makes it as large as a phone's.
 */
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import sharp from "sharp";
import { BORE_FORMS } from "../../src/core/gear/bore-form";
import { type GearScene, type GearTruth, gearScene } from "./scene";

const [folder = "data/gear-photos", from = "0", to = "19", also = "nothing"] = process.argv.slice(2);
const WIDTH = Number(process.env.WIDTH ?? 1600);
const materials = readFileSync(
  join(dirname(fileURLToPath(import.meta.url)), "../pictures/bench.inc"),
  "utf8",
).replace(/global_settings \{[\s\S]*?\n\s+radiosity.*\}\s*\}/, "");

/** The camera's share: softness, noise of its sensor, darker corners, the JPEG. */
async function develop(png: string, s: GearScene, seed: number): Promise<Buffer> {
  const { data, info } = await sharp(png)
    .removeAlpha()
    .blur(Math.max(0.3, (s.blur * WIDTH) / 1600))
    .raw()
    .toBuffer({ resolveWithObject: true });
  let a = seed * 7919 + 1;
  const uniform = (): number => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0;
    return a / 4294967296 - 0.5;
  };
  for (let y = 0; y < info.height; y++)
    for (let x = 0; x < info.width; x++) {
      const dx = x / info.width - 0.5;
      const dy = y / info.height - 0.5;
      const fall = 1 - 0.4 * (dx * dx + dy * dy);
      const grey = (uniform() + uniform() + uniform()) * s.noise * 1.4;
      const i = (y * info.width + x) * 3;
      for (let c = 0; c < 3; c++)
        data[i + c] = Math.max(0, Math.min(255, (data[i + c] as number) * fall + grey + uniform() * s.noise));
    }
  return sharp(data, { raw: { width: info.width, height: info.height, channels: 3 } })
    .jpeg({ quality: s.quality })
    .toBuffer();
}

mkdirSync(folder, { recursive: true });
const work = mkdtempSync(join(tmpdir(), "gears-"));
for (let seed = Number(from); seed <= Number(to); seed++) {
  const form = process.env.BORES ? BORE_FORMS[seed % (BORE_FORMS.length - 1)] : undefined;
  const scene = gearScene(seed, also as GearTruth["also"], form, Boolean(process.env.WORN));
  const jpeg = join(folder, scene.truth.file);
  writeFileSync(jpeg.replace(/\.jpg$/, ".json"), `${JSON.stringify(scene.truth)}\n`);
  if (existsSync(jpeg)) continue;
  const pov = join(work, "scene.pov");
  const png = join(work, "scene.png");
  writeFileSync(pov, `#version 3.7;\n${materials}\n${scene.pov}`);
  const run = spawnSync(
    "povray",
    [
      pov,
      `+O${png}`,
      `+W${WIDTH}`,
      `+H${(WIDTH * 3) / 4}`,
      "+A0.25",
      "+AM2",
      "+R1",
      "-D",
      "+FN",
      "+WT1",
      "-GA",
    ],
    { encoding: "utf8" },
  );
  if (run.status !== 0 || !existsSync(png)) {
    console.error(
      `${scene.truth.file} failed: ${
        run.error?.message ??
        run.stderr
          .split("\n")
          .filter((l) => /error/i.test(l))
          .slice(0, 3)
          .join(" | ")
      }`,
    );
    continue;
  }
  writeFileSync(jpeg, await develop(png, scene, seed));
  console.log(
    `${scene.truth.file}: ${scene.truth.teeth} teeth, ${scene.truth.missingCount} missing, ${scene.truth.material} on ${scene.truth.background}, tilt ${scene.truth.tilt}`,
  );
}
rmSync(work, { recursive: true });
