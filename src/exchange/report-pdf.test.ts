import { extractText, getDocumentProxy } from "unpdf";
import { expect, it } from "vitest";
import type { Report } from "@/core/hand-back/report/blocks";
import { reportPdf } from "./report-pdf";

const SHEET: Report = {
  title: "Return sheet J-0007",
  unit: "Nut roaster, Vail Crank 7 · serial 12",
  shop: { name: "The bench at Tallow Lane", town: "Quillmoor" },
  day: "3 December 2026",
  sections: [
    {
      title: "What was wrong",
      blocks: [
        { is: "list", items: [{ lead: "Wheel", says: "teeth missing, Ω ≤ 0.3 Ω, Łódź, 23 mm − 4 × 3 → x" }] },
      ],
    },
    {
      title: "Parts",
      blocks: [
        {
          is: "rows",
          rows: [{ what: "Wheel", says: "wheel of 41", under: "lot 7", number: "N-41", amount: "18.50 €" }],
        },
      ],
    },
    {
      title: "Tests",
      blocks: [
        { is: "tests", tests: [{ asks: "Earth bond", answer: "0.12 Ω", under: "Limit: at most 0.3 Ω" }] },
      ],
    },
  ],
  annex: [],
};
const pagesOf = async (pdf: Uint8Array): Promise<string[]> =>
  (await extractText(await getDocumentProxy(new Uint8Array(pdf)))).text.map((t) => t.replace(/\s+/g, " "));
const noPicture = async (): Promise<null> => null;

it("is text that can be read back, in letters beyond the plain alphabet", async () => {
  const pages = await pagesOf(await reportPdf(SHEET, noPicture));
  expect(pages).toHaveLength(1);
  for (const words of [
    "Return sheet J-0007",
    "Wheel:",
    "teeth missing, Ω ≤ 0.3 Ω, Łódź, 23 mm − 4 × 3 → x",
    "lot 7",
    "N-41",
    "18.50 €",
    "0.12 Ω",
    "Limit: at most 0.3 Ω",
    "page 1 of 1",
  ])
    expect(pages[0]).toContain(words);
});

it("takes as many pages as it needs and loses no word, whatever its length", async () => {
  const items = Array.from({ length: 150 }, (_, i) => ({
    says: `point ${i} of a long report, with enough words in it that it is broken into more than one line of the page, as long reports are`,
  }));
  const long = { ...SHEET, sections: [{ title: "Long", blocks: [{ is: "list" as const, items }] }] };
  const pages = await pagesOf(await reportPdf(long, noPicture));
  expect(pages.length).toBeGreaterThan(3);
  const all = pages.join(" ");
  for (const i of [0, 1, 74, 149]) expect(all).toContain(`point ${i} of a long report`);
  expect(all).toContain(`page 2 of ${pages.length}`);
});

it("what has no letter is a square, a word longer than a line is broken, a picture that is gone is said", async () => {
  const odd: Report = {
    ...SHEET,
    sections: [{ title: "Odd", blocks: [{ is: "words", says: `漢字 ${"x".repeat(300)} end` }] }],
    annex: [
      {
        title: "Pictures",
        blocks: [{ is: "pictures", pictures: [{ sha256: "0".repeat(64), says: "The unit" }] }],
      },
    ],
  };
  const pages = await pagesOf(await reportPdf(odd, noPicture));
  expect(pages[0]).toMatch(/□□ x+.*end/);
  expect(pages[1]).toContain("annex");
  expect(pages[1]).toContain("This picture is gone.");
});

it("draws a gear from its numbers, and a signature from its lines", async () => {
  const annex: Report["annex"] = [
    {
      title: "Gears",
      blocks: [
        {
          is: "gear",
          gear: {
            teeth: 41,
            moduleMm: 1,
            pressureAngleDeg: 20,
            helixAngleDeg: 18,
            profileShift: 0,
            marks: { "3": "missing", "4": "missing", "9": "cracked" },
            says: "Wheel: two teeth",
          },
        },
      ],
    },
  ];
  const signed: Report = {
    ...SHEET,
    annex,
    sections: [
      {
        title: "Handed over",
        blocks: [
          {
            is: "signature",
            signature: {
              says: "Dora Finch, 3 December 2026",
              strokes: [
                [
                  [0.1, 0.2],
                  [0.4, 0.9],
                ],
              ],
            },
          },
        ],
      },
    ],
  };
  const [bare, whole] = [
    await reportPdf({ ...SHEET, annex: [], sections: [] }, noPicture),
    await reportPdf(signed, noPicture),
  ];
  const text = (await pagesOf(whole)).join(" ");
  expect(text).toContain("Dora Finch, 3 December 2026");
  expect(text).toContain("41 teeth, module 1 mm, 20°, helix 18°");
  expect(text).toContain("Marked: 2 missing, 1 cracked");
  expect(whole.length).toBeGreaterThan(bare.length);
});
