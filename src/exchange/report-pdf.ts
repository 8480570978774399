import { readFile } from "node:fs/promises";
import { join } from "node:path";
import fontkit from "@pdf-lib/fontkit";
import { PDFDocument, type PDFFont, type PDFImage, type PDFPage, rgb } from "pdf-lib";
import { gearDimensions, gearOutline } from "@/core/gear/index";
import type {
  Block,
  Report,
  Row,
  Section,
  SheetGear,
  SheetPicture,
  SheetSignature,
  TestRow,
} from "@/core/hand-back/report/blocks";
import { capital } from "@/core/sentence";

const MM = 72 / 25.4;
const PAGE = {
  width: 210 * MM,
  height: 297 * MM,
  left: 18 * MM,
  right: 18 * MM,
  top: 12 * MM,
  bottom: 14 * MM,
};
const WIDTH = PAGE.width - PAGE.left - PAGE.right;
const INK = rgb(0.114, 0.165, 0.173);
const PALE = rgb(0.84, 0.8, 0.71);
const RED = rgb(0.7, 0.21, 0.1);
const BODY = 8.9;
const SMALL = 7.5;
const LEADING = 1.22;

/** A picture's bytes as JPEG, or null where it is gone. */
export type PictureOf = (sha256: string) => Promise<Uint8Array | null>;

/**
 * A sheet as a PDF of A4 pages, its text as text (it can be found, copied and read aloud), its annex on pages
 * of its own. The font ships with the program and has Latin, Greek and Cyrillic letters; what it
 * has no letter for is printed as a square.
 */
export async function reportPdf(report: Report, pictureOf: PictureOf): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.registerFontkit(fontkit);
  doc.setTitle(report.title);
  doc.setAuthor(report.shop.name);
  doc.setSubject(report.unit);
  doc.setLanguage("en");
  const face = async (name: string): Promise<PDFFont> =>
    doc.embedFont(await fontFile(name), { subset: true });
  const [plain, bold] = await Promise.all([face("DejaVuSansCondensed"), face("DejaVuSansCondensed-Bold")]);
  const pen = new Pen(doc, plain, bold, pictureOf);
  pen.head(report);
  for (const s of report.sections) await pen.section(s);
  if (report.annex.length) {
    pen.newPage();
    pen.line(`${report.title}: annex`, { size: 13, bold: true });
    for (const s of report.annex) await pen.section(s);
  }
  pen.feet(report);
  return doc.save();
}

/** The program is started from its own folder, where its packages lie. */
const fontFile = (name: string): Promise<Uint8Array> =>
  readFile(
    /* turbopackIgnore: true */ join(
      /* turbopackIgnore: true */ process.cwd(),
      "node_modules",
      "dejavu-fonts-ttf",
      "ttf",
      `${name}.ttf`,
    ),
  );

interface Says {
  readonly size?: number;
  readonly bold?: boolean;
  readonly x?: number;
  readonly width?: number;
}

/** Writes from the top of a page down, and takes the next one where it is full. */
class Pen {
  private page: PDFPage;
  private y: number;

  constructor(
    private readonly doc: PDFDocument,
    private readonly plain: PDFFont,
    private readonly bold: PDFFont,
    private readonly pictureOf: PictureOf,
  ) {
    this.page = doc.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.top;
  }

  newPage(): void {
    this.page = this.doc.addPage([PAGE.width, PAGE.height]);
    this.y = PAGE.height - PAGE.top;
  }

  private room(height: number): void {
    if (this.y - height < PAGE.bottom) this.newPage();
  }

  head(report: Report): void {
    this.text(report.title, PAGE.left, this.y - 17, 19, this.bold);
    for (const [i, says] of [report.shop.name, report.shop.town, report.day].entries())
      this.flushRight(says, PAGE.width - PAGE.right, this.y - 8 - 11.5 * i, BODY, i ? this.plain : this.bold);
    this.y -= 24;
    this.line(report.unit, { size: 11, width: WIDTH * 0.7 });
    this.y = Math.min(this.y, PAGE.height - PAGE.top - 38);
    this.page.drawLine({
      start: { x: PAGE.left, y: this.y },
      end: { x: PAGE.width - PAGE.right, y: this.y },
      thickness: 2,
      color: INK,
    });
    this.y -= 4;
  }

  async section({ title, blocks }: Section): Promise<void> {
    this.room(40);
    this.y -= 6;
    this.line(title, { size: 11.5, bold: true });
    this.y -= 1;
    for (const b of blocks) await this.block(b);
  }

  private async block(b: Block): Promise<void> {
    if (b.is === "words") this.line(b.says, { bold: b.strong ?? false, size: b.small ? SMALL : BODY });
    else if (b.is === "list") for (const i of b.items) this.item(i.lead, i.says);
    else if (b.is === "rows") for (const r of b.rows) this.row(r);
    else if (b.is === "tests") this.tests(b.tests);
    else if (b.is === "pictures") await this.pictures(b.pictures);
    else if (b.is === "gear") this.gear(b.gear);
    else this.signature(b.signature);
  }

  /** Words, broken into lines. */
  line(says: string, { size = BODY, bold = false, x = PAGE.left, width = WIDTH }: Says = {}): void {
    const font = bold ? this.bold : this.plain;
    for (const part of broken(says, font, size, width)) {
      this.room(size * LEADING);
      this.y -= size * LEADING;
      this.text(part, x, this.y + size * 0.22, size, font);
    }
  }

  /** A point of a list; its lead is set in bold, and the rest goes on behind it. */
  private item(lead: string | undefined, says: string): void {
    const inset = 9;
    const [x, width] = [PAGE.left + inset, WIDTH - inset];
    this.room(BODY * LEADING);
    const base = this.y - BODY * LEADING + BODY * 0.22;
    this.text("•", PAGE.left, base, BODY, this.bold);
    if (!lead) {
      this.line(says, { x, width });
      return;
    }
    this.text(`${lead}:`, x, base, BODY, this.bold);
    const used = this.bold.widthOfTextAtSize(known(this.bold, `${lead}: `), BODY);
    const [first = "", ...rest] = broken(says, this.plain, BODY, width, used);
    this.y -= BODY * LEADING;
    this.text(first, x + used, base, BODY, this.plain);
    for (const part of rest) this.line(part, { x, width });
  }

  private row({ what, says, under, number, amount, strong }: Row): void {
    const font = strong ? this.bold : this.plain;
    const [a, b, c] = says || number ? [0.24, 0.46, 0.16] : [0.84, 0, 0];
    const cells = [
      broken(what, font, BODY, a * WIDTH - 6).map((t) => [t, BODY] as const),
      b
        ? [
            ...broken(capital(says), font, BODY, b * WIDTH - 6).map((t) => [t, BODY] as const),
            ...broken(under ?? "", this.plain, SMALL, b * WIDTH - 6).map((t) => [t, SMALL] as const),
          ]
        : [],
      c ? broken(number ?? "", this.plain, SMALL, c * WIDTH - 4).map((t) => [t, SMALL] as const) : [],
    ];
    const height =
      Math.max(
        ...cells.map((lines) => lines.reduce((h, [, size]) => h + size * LEADING, 0)),
        BODY * LEADING,
      ) + 2;
    this.room(height);
    const places = [PAGE.left, PAGE.left + a * WIDTH, PAGE.left + (a + b) * WIDTH];
    cells.forEach((lines, i) => {
      let y = this.y;
      for (const [t, size] of lines) {
        y -= size * LEADING;
        this.text(t, places[i] as number, y + size * 0.22, size, size === BODY ? font : this.plain);
      }
    });
    if (amount)
      this.flushRight(amount, PAGE.width - PAGE.right, this.y - BODY * LEADING + BODY * 0.22, BODY, font);
    this.y -= height;
    this.rule();
  }

  private tests(tests: readonly TestRow[]): void {
    const gap = 12;
    const width = (WIDTH - gap) / 2;
    for (let i = 0; i < tests.length; i += 2) {
      const pair = tests.slice(i, i + 2).map((t) => {
        const time = t.at ? ` ${t.at}` : "";
        const timeWidth = this.plain.widthOfTextAtSize(known(this.plain, time), SMALL - 0.8);
        const answers = Math.max(
          50,
          this.bold.widthOfTextAtSize(known(this.bold, t.answer), SMALL + 0.6) + timeWidth + 8,
        );
        return {
          ...t,
          time,
          timeWidth,
          lines: broken(t.asks, this.plain, SMALL + 0.6, width - answers),
          unders: broken(t.under ?? "", this.plain, SMALL - 0.8, width - 4),
        };
      });
      const height =
        Math.max(
          ...pair.map(
            (p) => p.lines.length * (SMALL + 0.6) * LEADING + p.unders.length * (SMALL - 0.8) * LEADING,
          ),
        ) + 3;
      this.room(height);
      pair.forEach((p, k) => {
        const x = PAGE.left + k * (width + gap);
        let y = this.y;
        for (const t of p.lines) {
          y -= (SMALL + 0.6) * LEADING;
          this.text(t, x, y + 2, SMALL + 0.6, this.plain);
        }
        const base = this.y - (SMALL + 0.6) * LEADING + 2;
        this.flushRight(p.answer, x + width - p.timeWidth, base, SMALL + 0.6, this.bold);
        // behind the answer, also for whom the text is read back
        this.flushRight(p.time, x + width, base, SMALL - 0.8, this.plain);
        for (const t of p.unders) {
          y -= (SMALL - 0.8) * LEADING;
          this.text(t, x, y + 2, SMALL - 0.8, this.plain);
        }
      });
      this.y -= height;
      this.rule();
    }
  }

  private rule(): void {
    this.page.drawLine({
      start: { x: PAGE.left, y: this.y },
      end: { x: PAGE.width - PAGE.right, y: this.y },
      thickness: 0.5,
      color: PALE,
    });
  }

  private async pictures(pictures: readonly SheetPicture[]): Promise<void> {
    const gap = 8;
    const width = (WIDTH - gap) / 2;
    const high = width * 0.66;
    for (let i = 0; i < pictures.length; i += 2) {
      this.room(high + 18);
      for (const [k, p] of pictures.slice(i, i + 2).entries()) {
        const x = PAGE.left + k * (width + gap);
        const image = await this.image(p.sha256);
        if (image) {
          const scale = Math.min(width / image.width, high / image.height);
          this.page.drawImage(image, {
            x,
            y: this.y - high + (high - image.height * scale),
            width: image.width * scale,
            height: image.height * scale,
          });
        } else this.text("This picture is gone.", x, this.y - high / 2, SMALL, this.plain);
        this.text(fitting(p.says, this.plain, SMALL, width), x, this.y - high - 9, SMALL, this.plain);
      }
      this.y -= high + 16;
    }
  }

  private async image(sha256: string): Promise<PDFImage | null> {
    const bytes = await this.pictureOf(sha256);
    return bytes && this.doc.embedJpg(bytes).catch(() => null);
  }

  private gear({ says, marks, ...gear }: SheetGear): void {
    const size = 62 * MM;
    this.room(size + 14);
    const outline = gearOutline(gear, undefined, 8);
    const reach = gearDimensions(gear).tipDiameterMm / 2;
    const scale = size / 2 / reach;
    const path = `${outline.map(([x, y], i) => `${i ? "L" : "M"}${(x * scale).toFixed(2)} ${(-y * scale).toFixed(2)}`).join("")}Z`;
    const [x, y] = [PAGE.left + size / 2, this.y - size / 2 - 2];
    this.page.drawSvgPath(path, { x, y, borderColor: INK, borderWidth: 0.8 });
    this.page.drawCircle({ x, y, size: 3, borderColor: INK, borderWidth: 0.8 });
    for (const tooth of Object.keys(marks)) {
      const at = (2 * Math.PI * Number(tooth)) / gear.teeth;
      const r = (reach - 1.1 * gear.moduleMm) * scale;
      this.page.drawCircle({
        x: x + r * Math.sin(at),
        y: y + r * Math.cos(at),
        size: Math.max(1.6, 0.7 * gear.moduleMm * scale),
        color: RED,
      });
    }
    const counts = new Map<string, number>();
    for (const m of Object.values(marks)) counts.set(m, (counts.get(m) ?? 0) + 1);
    const beside = PAGE.left + size + 14;
    const top = this.y;
    this.y -= size / 2 - 20;
    this.line(says, { x: beside, width: WIDTH - size - 14, bold: true });
    this.line(
      `${gear.teeth} teeth, module ${gear.moduleMm} mm, ${gear.pressureAngleDeg}°${gear.helixAngleDeg ? `, helix ${gear.helixAngleDeg}°` : ""}, tips ${(2 * reach).toFixed(2)} mm`,
      {
        x: beside,
        width: WIDTH - size - 14,
      },
    );
    if (counts.size)
      this.line(`Marked: ${[...counts].map(([m, n]) => `${n} ${m}`).join(", ")}`, {
        x: beside,
        width: WIDTH - size - 14,
      });
    this.y = top - size - 10;
  }

  private signature({ says, strokes }: SheetSignature): void {
    const [width, height] = [60 * MM, (strokes.length ? 14 : 9) * MM];
    this.room(height + 14);
    const top = this.y - 2;
    for (const stroke of strokes)
      for (let i = 1; i < stroke.length; i++) {
        const [a, b] = [stroke[i - 1] as readonly [number, number], stroke[i] as readonly [number, number]];
        this.page.drawLine({
          start: { x: PAGE.left + a[0] * width, y: top - a[1] * height },
          end: { x: PAGE.left + b[0] * width, y: top - b[1] * height },
          thickness: 1,
          color: INK,
        });
      }
    this.page.drawLine({
      start: { x: PAGE.left, y: top - height },
      end: { x: PAGE.left + width, y: top - height },
      thickness: 0.6,
      color: INK,
    });
    this.y = top - height;
    this.line(says, { size: SMALL });
  }

  /** Which sheet, which page of how many. */
  feet(report: Report): void {
    const pages = this.doc.getPages();
    pages.forEach((page, i) => {
      const says = `${report.title} · ${report.shop.name} · page ${i + 1} of ${pages.length}`;
      page.drawText(known(this.plain, says), {
        x: PAGE.left,
        y: 9 * MM,
        size: 7,
        font: this.plain,
        color: INK,
      });
    });
  }

  private flushRight(says: string, right: number, y: number, size: number, font: PDFFont): void {
    this.text(says, right - font.widthOfTextAtSize(known(font, says), size), y, size, font);
  }

  private text(says: string, x: number, y: number, size: number, font: PDFFont): void {
    this.page.drawText(known(font, says), { x, y, size, font, color: INK });
  }
}

const letters = new WeakMap<PDFFont, ReadonlySet<number>>();
/** What a font can print of words; a square for what it has no letter for. */
function known(font: PDFFont, says: string): string {
  const has = letters.get(font) ?? new Set(font.getCharacterSet());
  letters.set(font, has);
  return [...says.replace(/\s/g, " ")].map((c) => (has.has(c.codePointAt(0) ?? 0) ? c : "□")).join("");
}

/**
 * Words broken into lines that fit; a word that is longer than a line is broken too.
 *
 * @param used of the first line already
 */
function broken(says: string, font: PDFFont, size: number, width: number, used = 0): string[] {
  const out: string[] = [];
  let line = "";
  const fits = (t: string): boolean =>
    font.widthOfTextAtSize(known(font, t), size) <= width - (out.length ? 0 : used);
  for (const word of says.split(/\s+/).filter(Boolean)) {
    if (fits(line ? `${line} ${word}` : word)) {
      line = line ? `${line} ${word}` : word;
      continue;
    }
    if (line) out.push(line);
    line = "";
    for (const letter of word) {
      if (line && !fits(line + letter)) {
        out.push(line);
        line = "";
      }
      line += letter;
    }
  }
  if (line) out.push(line);
  return out;
}

const fitting = (says: string, font: PDFFont, size: number, width: number): string =>
  broken(says, font, size, width)[0] ?? "";
