import sharp, { type Metadata, type Sharp } from "sharp";
import { Fault } from "@/core/fault";

/** The three formats that are taken, and how their files end. */
export const ENDINGS: Readonly<Record<string, string>> = { jpeg: "jpg", png: "png", webp: "webp" };
/** A picture of more than this many pixels would take minutes and gigabytes to decode. */
const MOST_PIXELS = 120_000_000;
/**
 * The same for one that cannot be read row by row but lies in memory as a whole: interlaced, progressive,
 * WebP.
 */
const MOST_PIXELS_AT_ONCE = 50_000_000;

// only the three formats' own decoders can run: what says it is another format is refused before anything
// looks into it
sharp.block({ operation: ["VipsForeignLoad"] });
sharp.unblock({
  operation: ["Jpeg", "Png", "Webp"].flatMap((f) => [`VipsForeignLoad${f}Buffer`, `VipsForeignLoad${f}File`]),
});
sharp.cache(false);

/** A picture to be decoded; what is broken off is refused when it is worked on. */
export const decoding = (from: Buffer | string): Sharp =>
  sharp(from, { limitInputPixels: MOST_PIXELS, failOn: "truncated" });

/**
 * The head of a picture. Throws a Fault for what is none of the three formats, and for one of more pixels
 * than can be worked on.
 */
export async function pictureHead(
  from: Buffer | string,
): Promise<Metadata & { readonly format: "jpeg" | "png" | "webp" }> {
  const head = await sharp(from, { limitInputPixels: false })
    .metadata()
    .catch(() => null);
  const format = head?.format;
  if (!head || (format !== "jpeg" && format !== "png" && format !== "webp"))
    throw new Fault("picture", "This is no JPEG, PNG or WebP picture.");
  const pixels = head.width * head.height;
  const most = head.isProgressive || format === "webp" ? MOST_PIXELS_AT_ONCE : MOST_PIXELS;
  if (pixels > most)
    throw new Fault(
      "picture",
      `The picture has ${Math.round(pixels / 1e6)} million pixels, too many to work on; one of its kind may have ${most / 1e6} million.`,
    );
  if ((head.pages ?? 1) > 1) throw new Fault("picture", "This is an animation and no picture.");
  return { ...head, format };
}

/** How many pixels are worked on at once, all together. What is larger waits until it is alone. */
const ROOM = 40_000_000;
let taken = 0;
const waiting: { readonly pixels: number; readonly go: () => void }[] = [];

function letIn(): void {
  for (let next = waiting[0]; next && (taken === 0 || taken + next.pixels <= ROOM); next = waiting[0]) {
    waiting.shift();
    taken += next.pixels;
    next.go();
  }
}

/**
 * Works on a picture when there is room for its pixels, in the order of coming: many that come at once
 * neither fill the memory nor keep others from the disk.
 */
export async function inRoom<T>(pixels: number, work: () => Promise<T>): Promise<T> {
  await new Promise<void>((go) => {
    waiting.push({ pixels, go });
    letIn();
  });
  try {
    return await work();
  } finally {
    taken -= pixels;
    letIn();
  }
}
