import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { quickLine } from "../quick-line";
import { retaken, takenFor } from "./retaken";

const words = (line: string) => takenFor(line, quickLine(line).read).map((t) => [t.text, t.as]);
const press = (line: string, text: string): string => {
  const at = takenFor(line, quickLine(line).read).find((t) => t.text === text);
  return at ? retaken(line, at) : expect.fail(`no ${text} in ${line}`);
};

describe("what each word was taken for", () => {
  it("is said word by word; what lies side by side is one", () => {
    expect(words("4x TX15 16 in rear cover")).toEqual([
      ["4x", "count"],
      ["TX15", "drive"],
      ["16", "length"],
      ["in rear cover", "place"],
    ]);
  });
  it("is changed by one press: a hand becomes a place, a place a note, a note what it was", () => {
    const place = press("M8 left", "left");
    expect(quickLine(place)).toMatchObject({ hardware: [{ thread: "M8", at: "left" }], doubts: [] });
    const note = press(place, "(left)");
    expect(quickLine(note)).toMatchObject({
      hardware: [{ kind: "screw", qty: 1, thread: "M8" }],
      unread: [{ text: "{left}" }],
    });
    expect(press(note, "{left}")).toBe("M8 left");
    expect(quickLine(press("2x M8 left", "left")).hardware[0]).toMatchObject({ qty: 2, leftHand: true });
    // a word that was taken for a kind of piece, and is where the others sit
    expect(quickLine(press("2 screws bearing", "bearing")).hardware).toEqual([
      { kind: "screw", qty: 2, at: "bearing" },
    ]);
  });
  it("loses no letter and no figure, however often it is pressed", () => {
    const bare = (s: string): string => s.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
    const word = fc.constantFrom(
      "4x",
      "M4x12",
      "left",
      "rear",
      "flat",
      "washer",
      "TX15",
      "brass",
      "lost",
      "plug",
      "J3",
      "and",
      "with",
      "oddly",
      "(front)",
      "16",
      "pull",
    );
    fc.assert(
      fc.property(
        fc.array(word, { minLength: 1, maxLength: 7 }),
        fc.array(fc.nat(20), { maxLength: 6 }),
        (said, presses) => {
          let line = said.join(" ");
          for (const n of presses) {
            const all = takenFor(line, quickLine(line).read);
            const at = all[n % Math.max(1, all.length)];
            if (!at) return;
            const next = retaken(line, at);
            expect(bare(next).replaceAll("lh", "left")).toBe(bare(line).replaceAll("lh", "left"));
            line = next;
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});
