import { readFileSync } from "node:fs";
import sharp from "sharp";
import { Fault } from "@/core/fault";
import { LONGEST_SIDE, type Picture } from "@/core/photo/index";
import { whyNotRead } from "./not-read";

/**
 * A picture file decoded, upright, its longest side brought to what is used of it. Throws `Fault` with a
 * sentence where it cannot be read.
 * @returns the picture, and how many pixels of the file one of its pixels is
 */
export async function pictureFrom(path: string): Promise<{ picture: Picture; scale: number }> {
  let bytes: Buffer;
  try {
    bytes = readFileSync(path);
  } catch (e) {
    throw new Fault(path, whyNotRead(e));
  }
  try {
    const image = sharp(bytes, { failOn: "error" });
    const { autoOrient } = await image.metadata();
    const { data, info } = await image
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#fff" })
      .toColourspace("srgb")
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return {
      picture: { width: info.width, height: info.height, data },
      scale: autoOrient.width / info.width,
    };
  } catch {
    throw new Fault(path, "is not a picture that can be read (JPEG, PNG, WebP), or is damaged");
  }
}
