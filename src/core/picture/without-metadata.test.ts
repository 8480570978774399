import fc from "fast-check";
import sharp, { type Sharp } from "sharp";
import { describe, expect, it } from "vitest";
import { withoutMetadata } from "./without-metadata";

const SECRET = "Larkspur Lane 7";
const picture = (width: number, height: number) =>
  sharp({
    create: {
      width,
      height,
      channels: 3,
      background: "#478",
      noise: { type: "gaussian", mean: 120, sigma: 50 },
    },
  }).withExif({
    IFD0: { Artist: SECRET, Copyright: SECRET },
    IFD3: { GPSLatitudeRef: "N", GPSLatitude: "51/1 30/1 0/1" },
  });
const pixels = async (bytes: Uint8Array): Promise<string> =>
  (await sharp(bytes).raw().toBuffer()).toString("base64");

describe("a picture without its metadata", () => {
  it.each([
    ["a JPEG", (s: Sharp) => s.jpeg().toBuffer()],
    ["a progressive JPEG", (s: Sharp) => s.jpeg({ progressive: true }).toBuffer()],
    ["a JPEG with a colour profile", (s: Sharp) => s.withIccProfile("p3").jpeg().toBuffer()],
    ["a PNG", (s: Sharp) => s.png().toBuffer()],
    ["an interlaced PNG", (s: Sharp) => s.png({ progressive: true }).toBuffer()],
    ["a WebP", (s: Sharp) => s.webp({ lossless: true }).toBuffer()],
  ])("%s says no more where it was taken or whose it is, and looks as before", async (_, make) => {
    const told = await make(picture(64, 48));
    expect(told.includes(SECRET)).toBe(true);
    const bare = withoutMetadata(told) as Uint8Array;
    expect(Buffer.from(bare).includes(SECRET)).toBe(false);
    expect(await pixels(bare)).toBe(await pixels(told));
    const [before, after] = [await sharp(told).metadata(), await sharp(bare).metadata()];
    expect([after.exif, after.xmp, after.width, after.icc?.length]).toEqual([
      undefined,
      undefined,
      64,
      before.icc?.length,
    ]);
    expect(withoutMetadata(bare)).toBe(bare);
  });

  it("nor does what a camera hangs behind the picture, or writes into a comment", async () => {
    const jpeg = await sharp({ create: { width: 8, height: 8, channels: 3, background: "#478" } })
      .jpeg()
      .toBuffer();
    const comment = Buffer.from([0xff, 0xfe, 0, SECRET.length + 2, ...Buffer.from(SECRET)]);
    const told = Buffer.concat([jpeg.subarray(0, 2), comment, jpeg.subarray(2), Buffer.from(SECRET)]);
    expect(Buffer.from(withoutMetadata(told) as Uint8Array).equals(jpeg)).toBe(true);
  });

  it("is null, and never an error, where the bytes are not built as their beginning says", async () => {
    const whole = await picture(20, 20).jpeg().toBuffer();
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.uint8Array({ maxLength: 30 }), (cut, noise) => {
        const bare = withoutMetadata(Buffer.concat([whole.subarray(0, cut), noise]));
        expect(bare === null || bare.length <= cut + noise.length).toBe(true);
      }),
    );
    expect(withoutMetadata(Buffer.from("GIF89a"))).toBeNull();
    expect(withoutMetadata(whole.subarray(0, 300))).toBeNull();
  });
});
