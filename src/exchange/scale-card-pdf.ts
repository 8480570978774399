import { PDFDocument, rgb, StandardFonts } from "pdf-lib";
import QRCode from "qrcode";
import { CARD, cardText } from "@/core/photo/index";

const PT = 72 / 25.4;

/**
 * The scale card as a PDF at true size: its code, a line to check the print by, and how it is used. Points
 * are 1/72 inch; the page is A6 across.
 */
export async function scaleCardPdf(): Promise<Uint8Array> {
  const doc = await PDFDocument.create();
  doc.setTitle("Scale card");
  doc.setCreationDate(new Date(0));
  doc.setModificationDate(new Date(0));
  const [w, h] = [148 * PT, 105 * PT];
  const page = doc.addPage([w, h]);
  const font = await doc.embedFont(StandardFonts.Helvetica);
  const bold = await doc.embedFont(StandardFonts.HelveticaBold);
  const [left, bottom] = [(w - CARD.width * PT) / 2, h - 12 * PT - CARD.height * PT];
  page.drawRectangle({
    x: left,
    y: bottom,
    width: CARD.width * PT,
    height: CARD.height * PT,
    borderWidth: 0.5,
    borderColor: rgb(0.6, 0.6, 0.6),
  });
  const code = QRCode.create(cardText(CARD.codeSide), { errorCorrectionLevel: "M" }).modules;
  const module = (CARD.codeSide * PT) / code.size;
  const top = bottom + ((CARD.height + CARD.codeSide) / 2) * PT;
  for (let y = 0; y < code.size; y++)
    for (let x = 0; x < code.size; x++)
      if (code.get(y, x))
        page.drawRectangle({
          x: left + 7 * PT + x * module,
          y: top - (y + 1) * module,
          width: module + 0.05,
          height: module + 0.05,
          color: rgb(0, 0, 0),
        });
  const words = (text: string, x: number, y: number, size: number, face = font): void =>
    page.drawText(text, { x: left + x * PT, y: bottom + y * PT, size, font: face });
  words("Scale card", 51, 42, 12, bold);
  for (const [i, line] of [
    "Lay it flat beside the gear,",
    "level with its face.",
    "All of the code must be",
    "in the picture, and sharp.",
  ].entries())
    words(line, 51, 34 - i * 4.6, 8);
  words(`Code: ${CARD.codeSide} mm`, 51, 11, 8, bold);
  const y = bottom - 12 * PT;
  const x = left + ((CARD.width - CARD.checkLine) / 2) * PT;
  page.drawLine({ start: { x, y }, end: { x: x + CARD.checkLine * PT, y }, thickness: 0.6 });
  for (let i = 0; i <= CARD.checkLine; i += 5)
    page.drawLine({
      start: { x: x + i * PT, y },
      end: { x: x + i * PT, y: y + (i % 10 ? 2 : 3.5) * PT },
      thickness: 0.5,
    });
  words(
    `Print at 100 %, not "fit to page". Then measure this line: it must be ${CARD.checkLine} mm long.`,
    0,
    -19,
    8,
  );
  return doc.save({ useObjectStreams: false });
}
