import { PDFDocument } from "pdf-lib";
import { expect, it } from "vitest";
import { CARD } from "@/core/photo/index";
import { scaleCardPdf } from "./scale-card-pdf";

it("the scale card is a page of true size, the same bytes every time, its code as wide as it says", async () => {
  const bytes = await scaleCardPdf();
  expect(Buffer.from(bytes).equals(Buffer.from(await scaleCardPdf()))).toBe(true);
  const page = (await PDFDocument.load(bytes)).getPage(0);
  expect(page.getWidth()).toBeCloseTo((148 * 72) / 25.4, 3);
  expect(page.getHeight()).toBeCloseTo((105 * 72) / 25.4, 3);
  expect(CARD.codeSide + 14).toBeLessThanOrEqual(CARD.height);
});
