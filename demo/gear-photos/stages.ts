/**
 * Makes the pictures of docs/reading-a-gear.md: what is seen at each stage in one of the photographs here.
 * npx tsx demo/gear-photos/stages.ts
 */
import { join } from "node:path";
import sharp from "sharp";
import { pictureFrom } from "../../src/cli/picture-file";
import { centreVotes } from "../../src/core/photo/centre-votes";
import { type FacePlane, scaled, toPicture } from "../../src/core/photo/face-plane";
import { type RingReading, readGear } from "../../src/core/photo/index";
import { planesOf } from "../../src/core/photo/picture";
import { silhouettes } from "../../src/core/photo/silhouettes";

const file = "demo/gear-photos/jpeg/gear-16.jpg";
const out = "docs/reading-a-gear";
const { picture } = await pictureFrom(file);
const { width, height } = picture;
const small = planesOf(picture, 240);
const k = width / small.width;

const circle = (f: FacePlane, r: number, style: string): string =>
  `<path d="M${Array.from({ length: 90 }, (_, i) =>
    toPicture(f, [r * Math.cos((i * Math.PI) / 45), r * Math.sin((i * Math.PI) / 45)])
      .map((v) => v.toFixed(1))
      .join(","),
  ).join("L")}Z" fill="none" ${style}/>`;
const save = async (name: string, drawing: string, from = file): Promise<void> => {
  const drawn = await sharp(from)
    .composite([
      {
        input: Buffer.from(
          `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${drawing}</svg>`,
        ),
      },
    ])
    .png()
    .toBuffer();
  await sharp(drawn).resize(760).jpeg({ quality: 80 }).toFile(join(out, name));
};

const PAPER = 'stroke="#f4efe4" stroke-width="4"';
await save(
  "1-round-things.jpg",
  [
    ...silhouettes(small).map((s) => circle(scaled(s, k), 1, 'stroke="#7fb4de" stroke-width="3"')),
    ...centreVotes(small).map(
      ({ plane }, i) =>
        `<circle cx="${plane.centre[0] * k}" cy="${plane.centre[1] * k}" r="${16 - 2 * i}" fill="none" stroke="#e0a93c" stroke-width="4"/>`,
    ),
  ].join(""),
);

const { rings } = readGear(picture);
const ring = rings[0];
if (!ring) throw new Error("no ring in the picture");
const MARKS = {
  there: ["#f4efe4", 5],
  short: ["#f4efe4", 5],
  missing: ["#e2492b", 10],
  hidden: ["#e0a93c", 5],
} as const;
const drawnRing = (r: RingReading): string =>
  circle(r.plane, 1, PAPER) +
  circle(r.plane, r.slots.rootShare, 'stroke="#f4efe4" stroke-width="2"') +
  r.slots.slots
    .map((t) => {
      const [a, b] = [1.02, 1.1].map((at) =>
        toPicture(r.plane, [at * Math.cos(t.angle), at * Math.sin(t.angle)]),
      ) as [[number, number], [number, number]];
      const [colour, wide] = MARKS[t.state];
      return `<path d="M${a}L${b}" stroke="${colour}" stroke-width="${wide}"/>`;
    })
    .join("");
await save("2-ring.jpg", drawnRing(ring));

const covered = "demo/gear-photos/jpeg/hidden-104.jpg";
const [part] = readGear((await pictureFrom(covered)).picture).rings;
if (!part?.evidence.arc) throw new Error("the covered gear was not read from a part");
await save("4-from-a-part.jpg", drawnRing(part), covered);

// the ring unrolled, tips up
const [W, H] = [1100, 150];
const strip = Buffer.alloc(W * H * 3);
const depth = 1 - ring.slots.rootShare;
for (let y = 0; y < H; y++)
  for (let x = 0; x < W; x++) {
    const r = 1 + depth * (0.7 - (2.4 * y) / H);
    const angle =
      (ring.slots.slots[0]?.angle ?? 0) + ((x / W) * ring.teeth - 0.5) * ((2 * Math.PI) / ring.teeth);
    const [u, v] = toPicture(ring.plane, [r * Math.cos(angle), r * Math.sin(angle)]);
    for (let c = 0; c < 3; c++)
      strip[(y * W + x) * 3 + c] = picture.data[(Math.floor(v) * width + Math.floor(u)) * 4 + c] ?? 0;
  }
await sharp(strip, { raw: { width: W, height: H, channels: 3 } })
  .jpeg({ quality: 82 })
  .toFile(join(out, "3-unrolled.jpg"));
