import { describe, expect, it } from "vitest";
import { KIND_PHRASES } from "./line/lexicon";
import { lineAnswer } from "./line-answer";
import { SPOKEN } from "./spoken-table";

/** Kinds that are one another's cousins at the bench. */
const KIN: Readonly<Record<string, readonly string[]>> = {
  washer: ["washer", "wavy-washer"],
  pin: ["pin", "split-pin"],
};

/** What is wrong with what was read of a line; undefined: nothing. */
function wrongWith(says: string, cameOff: string): string | undefined {
  const [wanted = "", spare = ""] = cameOff.split("|").map((s) => s.trim());
  const { pieces } = lineAnswer({ says });
  const known = new Set<unknown>();
  for (const one of wanted.split(", ").filter(Boolean)) {
    const [qty, kind = "", ...facts] = one.split(" ");
    const own = pieces.filter((p) => (KIN[kind] ?? [kind]).includes(p.kind));
    for (const p of own) known.add(p);
    const count = own.reduce((n, p) => n + p.qty, 0);
    if (count !== Number(qty)) return `${count} ${kind}, not ${qty}`;
    for (const fact of facts) {
      const has = own.some((p) =>
        fact === "LH"
          ? p.leftHand
          : fact === "new"
            ? p.once
            : p.thread === fact || p.drive === fact || `${p.lengthMm}mm` === fact,
      );
      if (!has) return `${kind} without ${fact}`;
    }
  }
  const more = pieces.filter((p) => !known.has(p) && !spare.split(" ").includes(p.kind));
  return more.length ? `${more.length} too many` : undefined;
}

describe("a line as it is spoken", () => {
  it.each(SPOKEN)("“%s” is read, or asked about: never silently wrong", (says = "", cameOff = "") => {
    const wrong = wrongWith(says, cameOff);
    if (lineAnswer({ says }).doubts.length === 0) expect(wrong).toBeUndefined();
  });

  it("is read right without a question, nearly always", () => {
    const right = SPOKEN.filter(([says, cameOff, may]) => may || !wrongWith(says, cameOff));
    expect(right.length / SPOKEN.length).toBeGreaterThan(0.95);
    const asked = SPOKEN.filter(([says, , may]) => !may && lineAnswer({ says }).doubts.length > 0);
    expect(asked.length / SPOKEN.length).toBeLessThan(0.1);
  });

  it("has all its words in what was read", () => {
    for (const [says = ""] of SPOKEN) {
      const seen = new Set(
        lineAnswer({ says }).read.flatMap((s) => Array.from({ length: s.to - s.from }, (_, i) => s.from + i)),
      );
      for (const word of says.matchAll(/[\p{L}\p{N}]+/gu))
        for (let i = word.index; i < word.index + word[0].length; i++)
          expect([says, seen.has(i)]).toEqual([says, true]);
    }
  });
});

describe("what stands beside the pieces", () => {
  const of = (says: string) => lineAnswer({ says });
  it("goes where it belongs: tools with their size, ways, what stays, other units, for a while, its return", () => {
    expect(of("2 nuts, 10 mm socket and a long drift").tools).toEqual(["10 mm socket", "long drift"]);
    expect(of("levered off with two screwdrivers")).toMatchObject({
      freed: "pry",
      tools: ["screwdrivers"],
      pieces: [],
    });
    const about = (says: string) => of(says).asides.map((a) => [a.about, a.says]);
    expect(about("rests on 2 dowels, 2 screws")).toEqual([["seat", "rests on 2 dowels"]]);
    expect(about("1 circlip, on older ones a nut")).toEqual([["variant", "on older ones a nut"]]);
    expect(about("nut back on to save the thread")).toEqual([
      ["meanwhile", "nut back on to save the thread"],
    ]);
    expect(about("gasket, smear it with grease")).toEqual([["return", "smear it with grease"]]);
    expect(about("five nuts, one of them rusty")).toEqual([["share", "one of them rusty"]]);
  });
  it("gives a piece its own part of what was counted", () => {
    const counts = (says: string) => of(says).pieces.map((p) => [p.qty, p.kind, p.finish]);
    expect(counts("five screws, four short one long")).toEqual([
      [4, "screw", "short"],
      [1, "screw", "long"],
    ]);
    expect(counts("4 screws, two of them with nuts")).toEqual([
      [4, "screw", undefined],
      [2, "nut", undefined],
    ]);
    expect(counts("three bolts with a washer each")).toEqual([
      [3, "screw", undefined],
      [3, "washer", undefined],
    ]);
    expect(of("9 screws, 4 each side").doubts).toHaveLength(0);
    expect(of("4 screws, 3 each side").doubts[0]?.says).toMatch(/4 in all/);
  });
  it("names parts among the pieces, and counts none of them", () => {
    expect(of("end cap, snap ring")).toMatchObject({
      parts: ["end cap"],
      pieces: [{ kind: "circlip", qty: 1 }],
    });
    expect(of("brush holder").parts).toEqual(["brush holder"]);
    expect(of("spring cup and spring")).toMatchObject({
      parts: ["spring cup"],
      pieces: [{ kind: "spring" }],
    });
  });
  it("hears a left hand however it is said, gives it to what is screwed, and to the step where no piece is", () => {
    for (const says of [
      "nut M8, undoes clockwise",
      "nut M8 that turns the other way",
      "nut M8, tightens anticlockwise",
      "nut M8, opens to the right",
    ])
      expect([says, of(says).pieces[0]?.leftHand]).toEqual([says, true]);
    expect(of("13 nut and its washer, undoes clockwise").pieces.map((p) => p.leftHand)).toEqual([
      true,
      undefined,
    ]);
    expect(of("impeller, unscrews clockwise")).toMatchObject({ pieces: [], leftHand: true });
    expect(of("nut, undoes anticlockwise").pieces[0]?.leftHand).toBeUndefined();
    expect(of("nut M6, clockwise").doubts).not.toHaveLength(0);
  });
  it("takes a figure before one nut for its width, before several for how many", () => {
    expect(of("10 nut").pieces).toEqual([{ kind: "nut", qty: 1, drive: "AF10" }]);
    expect(of("10 nuts").pieces).toEqual([{ kind: "nut", qty: 10 }]);
    expect(of("8 mm bolt head, one bolt").pieces).toEqual([{ kind: "screw", qty: 1, drive: "AF8" }]);
  });
});

describe("a piece and where it sat", () => {
  const PLACES = ["", "on the left", "at the back", "in the cover", "under the gear", "through the hub", "behind it", "of the motor", "with a washer", "from the handle"]; // biome-ignore format: a row
  it("as a law: of every kind, by each of its words, it is counted or asked about, wherever it is said to have sat", () => {
    for (const [kind, phrases] of Object.entries(KIND_PHRASES))
      for (const phrase of phrases.filter((p) => p !== "flat"))
        for (const said of [phrase, `2 ${phrase}s`, `a ${phrase}`, `the ${phrase}`])
          for (const place of PLACES) {
            const { pieces, beside, doubts } = lineAnswer({ says: `${said} ${place}` });
            const isThere = [...pieces, ...beside].some((p) => p.kind === kind) || doubts.length > 0;
            expect([said, place, isThere]).toEqual([said, place, true]);
          }
  });
});
