import { crc32, deflateSync } from "node:zlib";
import sharp from "sharp";
import type { HostileFile } from "./job-files";

const table = (...lines: string[]): Uint8Array => Buffer.from(`${lines.join("\n")}\n`);
const HEAD = "number,name,kind,teeth,module_mm,fits,needs_also,contains,stack";

export function hostileTables(): HostileFile[] {
  const cell = (column: "fits" | "needs_also" | "contains" | "stack", says: string): Uint8Array =>
    table(`number,name,kind,${column}`, `A-1,wheel,gear,"${says.replaceAll('"', '""')}"`);
  const files: Record<string, Uint8Array> = {
    "nothing.csv": Buffer.alloc(0),
    "blanks.csv": Buffer.alloc(100_000, 32),
    "newlines.csv": Buffer.alloc(2_000_000, 10),
    "binary.csv": Buffer.from(Array.from({ length: 5000 }, (_, i) => (i * 37) % 256)),
    "picture.csv": Buffer.from("ffd8ffe000104a46494600", "hex"),
    "one-column.csv": table("number", "A-1"),
    "other-table.csv": table("a,b,c", "1,2,3"),
    "columns-100k.csv": table(Array.from({ length: 100_000 }, (_, i) => `c${i}`).join(",")),
    "columns-201.csv": table(`${HEAD}${",x".repeat(200)}`),
    "commas.csv": table(HEAD, ",".repeat(100_000)),
    "one-line-30MB.csv": Buffer.alloc(30e6, "number,name,kind"),
    "quote-open.csv": table(
      HEAD,
      'A-1,"wheel,gear',
      Array.from({ length: 200_000 }, (_, i) => `A-${i},wheel,gear,41,1,,,,`).join("\n"),
    ),
    "quotes.csv": table(HEAD, '"'.repeat(100_001)),
    "cell-1MB.csv": table(HEAD, `A-1,${"w".repeat(1e6)},gear`),
    "same-heading.csv": table("number,number,name,kind", "1,2,3,gear"),
    "proto-heading.csv": table("number,name,kind,__proto__,constructor", "A-1,wheel,gear,x,y"),
    "formula.csv": table(HEAD, '=cmd|"/c calc"!A0,+1+1,gear,41,1,,,,'),
    "nul.csv": table(HEAD, "A-1,wh\0eel,gear,41,1,,,,"),
    "numbers-odd.csv": table(
      HEAD,
      "A-1,wheel,gear,1e999,NaN,,,,",
      "A-2,wheel,gear,-5,0,,,,",
      "A-3,wheel,gear,41,1.000.000,,,,",
    ),
    "rows-60k-faulty.csv": table(
      HEAD,
      Array.from({ length: 60_000 }, (_, i) => `F-${i},wheel ${i},cog,many,,,,,`).join("\n"),
    ),
    "rows-300k.csv": table(
      HEAD,
      Array.from({ length: 300_000 }, (_, i) => `R-${i},wheel ${i},gear,41,1,,,,`).join("\n"),
    ),
    "same-row-100k.csv": table(
      HEAD,
      Array.from({ length: 100_000 }, () => "A-1,wheel,gear,41,1,,,,").join("\n"),
    ),
    "utf16-half.csv": Buffer.concat([
      Buffer.from([0xff, 0xfe]),
      Buffer.from(`${HEAD}\nA-1,w`, "utf16le").subarray(0, -1),
    ]),
    "latin1.csv": Buffer.from("number;name;kind\nA-1;Zahnrad für Ü;gear\n", "latin1"),
    "mixed-ends.csv": Buffer.from("number,name,kind\rA-1,wheel,gear\r\nA-2,wheel,gear\n"),
    "replaces-itself.csv": table(
      "number,name,kind,replaces",
      "A-1,wheel,gear,A-1",
      "A-2,wheel,gear,A-3",
      "A-3,wheel,gear,A-2",
    ),
    "contains-itself.csv": table("number,name,kind,contains", "K-1,kit,kit,99999 x K-1"),
  };
  const offers: Record<string, string[]> = {
    "offers-odd.csv": [
      "supplier,number,price,lead_days",
      "North,A-1,-5,2",
      "North,A-2,five,2",
      "North,A-3,5,400",
    ],
    "offers-no-supplier.csv": ["supplier,number,price,lead_days", ",A-1,5,2"],
    "offers-pack-nothing.csv": ["supplier,number,price,lead_days,pack", "North,A-1,5,2,0"],
    "suppliers-odd.csv": ["name,shipping", "North,free", ",5", "South,-1"],
    "greases-odd.csv": ["name,thickener,base_oil,nlgi,h1,from_c,to_c", "G,unobtainium,PAO,9,maybe,hot,cold"],
    "kinds-odd.csv": ["number,name,kind", "A-1,x,cog", "A-2,x,", "A-3,,gear"],
    "numbers-long.csv": ["number,name,kind", `${"9".repeat(5000)},x,gear`],
    "headings-long.csv": [`number,name,kind,${"h".repeat(15_000)}`, "A-1,x,gear,y"],
    "headings-unicode.csv": ["nümber,näme,kïnd", "A-1,x,gear"],
    "separators-mixed.csv": ["number;name,kind", "A-1;x,gear"],
    "tabs.csv": ["number\tname\tkind", "A-1\tx\tgear\t\t\t"],
    "apostrophes.csv": ["number,name,kind", "''''=A1,'''x,gear"],
    "contains-deep.csv": [
      "number,name,kind,contains",
      ...Array.from({ length: 300 }, (_, i) => `K-${i},kit,kit,1 x K-${i + 1}`),
    ],
    "replaces-long.csv": [
      "number,name,kind,replaces",
      ...Array.from({ length: 300 }, (_, i) => `S-${i + 1},x,gear,S-${i}`),
    ],
  };
  for (const [name, lines] of Object.entries(offers)) files[name] = table(...lines);
  for (const [i, says] of [
    " ".repeat(2000),
    " ".repeat(19_000),
    `${" ".repeat(9000)}(`,
    "(".repeat(9000),
    "\\".repeat(9001),
    "a:".repeat(5000),
    "1 x ".repeat(4000),
    `x${" (y)".repeat(4000)}`,
    ";".repeat(19_000),
  ].entries())
    for (const column of ["needs_also", "fits"] as const) files[`${column}-${i}.csv`] = cell(column, says);
  return Object.entries(files).map(([name, bytes]) => ({ name, bytes }));
}

/** A PNG of one colour, by hand: its head says what it likes. */
function png(
  width: number,
  height: number,
  {
    interlaced = false,
    rows = height,
    depth = 8,
  }: { readonly interlaced?: boolean; readonly rows?: number; readonly depth?: number } = {},
): Uint8Array {
  const chunk = (name: string, data: Uint8Array): Buffer => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const length = Buffer.alloc(4);
    length.writeUInt32BE(data.length);
    const sum = Buffer.alloc(4);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = depth;
  head[9] = 0;
  head[12] = interlaced ? 1 : 0;
  const line = Math.ceil((width * depth) / 8) + 1;
  return Buffer.concat([
    Buffer.from("89504e470d0a1a0a", "hex"),
    chunk("IHDR", head),
    chunk("IDAT", deflateSync(Buffer.alloc(Math.min(line * rows, 4e8)))),
    chunk("IEND", new Uint8Array(0)),
  ]);
}

export async function hostilePictures(): Promise<HostileFile[]> {
  const noise = (width: number, height: number) =>
    sharp({
      create: {
        width,
        height,
        channels: 3,
        background: "#888",
        noise: { type: "gaussian", mean: 128, sigma: 40 },
      },
    });
  const jpeg = await noise(1200, 900).jpeg().toBuffer();
  const large = await sharp({ create: { width: 8000, height: 6000, channels: 3, background: "#987" } })
    .jpeg({ progressive: true })
    .toBuffer();
  const svg = (inside: string): Uint8Array =>
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="100" height="100">${inside}</svg>`,
    );
  const files: Record<string, Uint8Array> = {
    nothing: Buffer.alloc(0),
    "one-byte": Buffer.from([0xff]),
    words: Buffer.from("this is no picture"),
    html: Buffer.from("<!doctype html><script>alert(1)</script>"),
    gif: Buffer.from("R0lGODlhAQABAAAAACw=", "base64"),
    svg: svg("<rect width='9' height='9'/>"),
    "svg-20MB": svg("<path d='M0 0L9 9'/>".repeat(1_000_000)),
    "svg-file": svg("<image xlink:href='file:///etc/passwd'/>"),
    pdf: Buffer.from("%PDF-1.4\n"),
    tiff: await noise(60, 60).tiff().toBuffer(),
    "heif-head": Buffer.from("000000186674797068656963", "hex"),
    "jpeg-head": Buffer.from("ffd8ffe000104a46494600010100000100010000ffdb0043", "hex"),
    "jpeg-half": jpeg.subarray(0, jpeg.length >> 1),
    "jpeg-end-gone": jpeg.subarray(0, -2),
    "jpeg-behind": Buffer.concat([jpeg, Buffer.alloc(5e6, 65)]),
    "jpeg-zeros": Buffer.concat([jpeg.subarray(0, 3000), Buffer.alloc(20_000), jpeg.subarray(23_000)]),
    "jpeg-progressive-48MP": large,
    "png-1x1": png(1, 1),
    "png-bomb-30000": png(30_000, 30_000, { rows: 2000 }),
    "png-wide": png(2_000_000_000, 1, { rows: 0 }),
    "png-zero": png(0, 0),
    "png-few-rows": png(5000, 5000, { rows: 10 }),
    "png-interlaced-100MP": png(10_000, 10_000, { interlaced: true, depth: 1 }),
    "png-interlaced-49MP": png(7000, 7000, { interlaced: true, depth: 8 }),
    "png-119MP": png(10_900, 10_900, { depth: 1 }),
    "png-crc": Buffer.from(png(50, 50)).fill(7, 30, 32),
    "webp-animated": await sharp(
      await sharp({ create: { width: 20, height: 40, channels: 3, background: "#123" } })
        .png()
        .toBuffer(),
    )
      .webp()
      .toBuffer(),
    "webp-half": (await noise(900, 900).webp().toBuffer()).subarray(0, 9000),
    "26MB": Buffer.alloc(26 * 2 ** 20, 1),
    "60MB": Buffer.alloc(60 * 2 ** 20, 1),
    "exif-deep": await noise(80, 60)
      .withExif({ IFD0: { ImageDescription: "x".repeat(60_000) } })
      .jpeg()
      .toBuffer(),
    "orientation-9": await noise(80, 60).withMetadata({ orientation: 8 }).jpeg().toBuffer(),
  };
  return Object.entries(files).map(([name, bytes]) => ({ name, bytes }));
}

/** Lines as somebody types them into the command line, one a file of JSON lines. */
export function hostileLines(): HostileFile[] {
  const gear = (more: object): string =>
    JSON.stringify({ kind: "spur", teeth: 20, tipDiameter: 22, ...more });
  const lines: Record<string, string> = {
    nothing: "",
    comma: ",",
    deep: `${"[".repeat(100_000)}${"]".repeat(100_000)}`,
    null: "null",
    "teeth-many": gear({ teeth: 1e9 }),
    "teeth-half": gear({ teeth: 20.5 }),
    "teeth-minus": gear({ teeth: -20 }),
    "tip-nothing": gear({ tipDiameter: 0 }),
    "tip-infinite": '{"kind":"spur","teeth":20,"tipDiameter":1e999}',
    "spans-many": gear({ spans: Array.from({ length: 10_000 }, (_, i) => ({ teeth: i, value: i })) }),
    unknown: gear({ colour: "red" }),
    proto: '{"__proto__":{"teeth":5},"kind":"spur"}',
    "long-kind": JSON.stringify({ kind: "x".repeat(1e6) }),
  };
  const shapes: Record<string, string> = {
    "worm-starts": JSON.stringify({ kind: "worm", starts: 0, tipDiameter: 10 }),
    "bevel-angle": JSON.stringify({
      kind: "bevel",
      teeth: 20,
      mateTeeth: 20,
      shaftAngle: 720,
      tipDiameter: 30,
    }),
    "helix-90": gear({ helixAngle: 90 }),
    "pins-nothing": gear({ overPins: { pin: 0, value: 0 } }),
    "arc-odd": JSON.stringify({ kind: "spur", teeth: null, arc: { pitches: 0, angle: 0 }, tipDiameter: 22 }),
    "chords-none": JSON.stringify({ kind: "spur", chords: [] }),
    "mate-odd": gear({ mate: { teeth: -3, centreDistance: 0 } }),
    "spread-minus": gear({ tipDiameter: { value: 22, u: -1 } }),
    "spread-infinite": '{"kind":"spur","teeth":20,"tipDiameter":{"value":22,"u":1e999}}',
    "no-kind": "{}",
    "kind-list": JSON.stringify({ kind: ["spur"] }),
    "text-for-number": gear({ teeth: "20" }),
    "many-keys": JSON.stringify(Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, i]))),
    bytes: "\u0000\u0001\u0002",
    "two-values": `${gear({})} ${gear({})}`,
    "trailing-comma": '{"kind":"spur",}',
    "single-quotes": "{'kind':'spur'}",
    nan: '{"kind":"spur","teeth":NaN}',
    hex: '{"kind":"spur","teeth":0x14}',
    "bom-only": "\ufeff",
  };
  return Object.entries({ ...lines, ...shapes }).map(([name, says]) => ({
    name: `${name}.jsonl`,
    bytes: Buffer.from(`${says}\n`),
  }));
}
