import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { readGearFile } from "./gear-read";

const folder = mkdtempSync(join(tmpdir(), "gear-read-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const demo = (name: string): string => join("demo", "pictures", "jpeg", `${name}.jpg`);

describe("gear read", () => {
  it("counts the juicer's wheel in the demo's photographs, its five missing teeth, and its size where the scale is given", async () => {
    const read = await readGearFile(demo("juicer-wheel41"), "0.1");
    expect(read).toMatchObject({ teeth: 41, missing: { count: 5, runs: [{ from: 9, length: 5 }] } });
    expect(read.confidence).toBeGreaterThan(0.9);
    expect(read.tipDiameter).toBeCloseTo((read.tipDiameterPx as number) / 10, 2);
    expect(read.elapsedMs).toBeGreaterThan(0);
    expect(await readGearFile(demo("juicer-wheel41-card"), undefined)).toMatchObject({
      teeth: 41,
      missing: { count: 5 },
      tipDiameter: null,
    });
  });

  it("reads a turned, smaller, transparent or very large copy alike, in pixels of the file", async () => {
    const half = join(folder, "half.png");
    await sharp(demo("juicer-wheel41")).resize(440).rotate(90).ensureAlpha().png().toFile(half);
    const small = await readGearFile(half, undefined);
    const whole = await readGearFile(demo("juicer-wheel41"), undefined);
    expect([small.teeth, null]).toContain(whole.teeth);
    expect((small.tipDiameterPx as number) / (whole.tipDiameterPx as number)).toBeCloseTo(0.5, 1);
    const large = join(folder, "large.jpg");
    await sharp(demo("juicer-wheel41")).resize(8944, 6708).jpeg({ quality: 60 }).toFile(large);
    const sixty = await readGearFile(large, undefined);
    expect(sixty.teeth).toBe(41);
    expect((sixty.tipDiameterPx as number) / (whole.tipDiameterPx as number)).toBeCloseTo(8944 / 880, 0);
  });

  it("answers what cannot be read in a sentence with its place", async () => {
    const tiny = join(folder, "tiny.png");
    await sharp({ create: { width: 1, height: 1, channels: 3, background: "#888" } })
      .png()
      .toFile(tiny);
    const broken = join(folder, "broken.jpg");
    writeFileSync(broken, (await sharp(demo("juicer-wheel41")).toBuffer()).subarray(0, 4000));
    const words = join(folder, "words.jpg");
    writeFileSync(words, "this is no picture");
    await expect(readGearFile(tiny, undefined)).rejects.toThrow(/too few to see a tooth/);
    await expect(readGearFile(broken, undefined)).rejects.toThrow(/damaged/);
    await expect(readGearFile(words, undefined)).rejects.toThrow(/not a picture/);
    await expect(readGearFile(join(folder, "none.jpg"), undefined)).rejects.toThrow(/there is no such file/);
    await expect(readGearFile(undefined, undefined)).rejects.toThrow(/which picture/);
    await expect(readGearFile(demo("juicer-wheel41"), "many")).rejects.toThrow(
      /--mm-per-px: is millimetres in one pixel/,
    );
  });

  it("gives no count where no gear is", async () => {
    const read = await readGearFile(demo("juicer-washers"), undefined);
    expect(read.teeth).toBeNull();
    expect(read.says).toBeTruthy();
  });
});
