import { describe, expect, it } from "vitest";
import { lineAnswer } from "./line-answer";
import { quickLine, worthALook } from "./quick-line";

type Answer = ReturnType<typeof lineAnswer>;
const said = (says: string): Answer => lineAnswer({ says });
const pieces = (says: string) => said(says).pieces;

// biome-ignore format: a line a line
const SAID: readonly (readonly [string, Answer["pieces"]])[] = [
  // each torque belongs to its own screws
  ["4x M4 1.2Nm, 2x M5 2Nm", [{kind: "screw", qty: 4, thread: "M4", torqueNm: 1.2}, {kind: "screw", qty: 2, thread: "M5", torqueNm: 2}]],
  ["3x M5 15 in-lb", [{kind: "screw", qty: 3, thread: "M5", torqueNm: 1.69}]],
  ["2 M6 80 Ncm", [{kind: "screw", qty: 2, thread: "M6", torqueNm: 0.8}]],
  ["two M6x16 allen 5, blue threadlocker, 9 Nm", [{kind: "screw", qty: 2, thread: "M6", lengthMm: 16, drive: "hex 5", locker: "blue", torqueNm: 9}]],
  ["13 mm nut finger tight plus 1/4 turn", [{kind: "nut", qty: 1, lengthMm: 13, tightens: "finger tight plus 1/4 turn"}]],
  ["2x M4x12 snug", [{kind: "screw", qty: 2, thread: "M4", lengthMm: 12, tightens: "snug"}]],
  // "in" is an inch only where nothing could lie in it
  ["4 TX15 16 in rear cover", [{kind: "screw", qty: 4, lengthMm: 16, drive: "TX15", at: "in rear cover"}]],
  ["1/2 in bolt", [{kind: "screw", qty: 1, lengthMm: 12.7}]],
  ["TX10 2 in", [{kind: "screw", qty: 1, lengthMm: 50.8, drive: "TX10"}]],
  ["3,5x16", []],
  ["3,5x16 TX15", [{kind: "screw", qty: 1, thread: "3.5", lengthMm: 16, drive: "TX15"}]],
  // counts, wherever they stand
  ["M3x8 ph1 x4", [{kind: "screw", qty: 4, thread: "M3", lengthMm: 8, drive: "PH1"}]],
  ["M3x8 (4)", [{kind: "screw", qty: 4, thread: "M3", lengthMm: 8}]],
  ["3pcs M4x20", [{kind: "screw", qty: 3, thread: "M4", lengthMm: 20}]],
  ["12 off M3", [{kind: "screw", qty: 12, thread: "M3"}]],
  ["half a dozen TX10 12mm", [{kind: "screw", qty: 6, lengthMm: 12, drive: "TX10"}]],
  ["pair of M3x6", [{kind: "screw", qty: 2, thread: "M3", lengthMm: 6}]],
  ["all four screws M4", [{kind: "screw", qty: 4, thread: "M4"}]],
  ["M4x10 four", [{kind: "screw", qty: 4, thread: "M4", lengthMm: 10}]],
  ["in rear cover 4 TX15 16", [{kind: "screw", qty: 4, lengthMm: 16, drive: "TX15", at: "in rear cover"}]],
  ["three-piece thrust washer", [{kind: "thrust-washer", qty: 3}]],
  // what comes along
  ["M4x12 with nut", [{kind: "screw", qty: 1, thread: "M4", lengthMm: 12}, {kind: "nut", qty: 1}]],
  ["2x M5x25 with washer and lock washer", [{kind: "screw", qty: 2, thread: "M5", lengthMm: 25}, {kind: "washer", qty: 2}, {kind: "lock-washer", qty: 2}]],
  ["4 washers above, 2 below", [{kind: "washer", qty: 4, at: "above"}, {kind: "washer", qty: 2, at: "below"}]],
  // the hand of a thread, and what it is once
  ["M10 left thread nut", [{kind: "nut", qty: 1, thread: "M10", leftHand: true}]],
  ["M12 nut reverse thread", [{kind: "nut", qty: 1, thread: "M12", leftHand: true}]],
  ["M8 left", [{kind: "screw", qty: 1, thread: "M8", leftHand: true}]],
  ["4x M4 left", [{kind: "screw", qty: 4, thread: "M4", at: "left"}]],
  ["cap nut M6, use once", [{kind: "nut", qty: 1, thread: "M6", form: "dome", once: true}]],
  ["locknut M5", [{kind: "nut", qty: 1, thread: "M5", finish: "lock"}]],
  ["4 flat heads M4x10", [{kind: "screw", qty: 4, thread: "M4", lengthMm: 10, form: "countersunk"}]],
  ["flat head M5x10 pozi 2", [{kind: "screw", qty: 1, thread: "M5", lengthMm: 10, drive: "PZ2", form: "countersunk"}]],
  ["608 bearing", [{kind: "bearing", qty: 1, label: "608"}]],
  ["6 TX10 into plastic 12mm", [{kind: "screw", qty: 6, lengthMm: 12, drive: "TX10", into: "plastic"}]],
  ["2x phillips 8mm coarse, 1 fine longer", [{kind: "screw", qty: 2, threadIs: "coarse", lengthMm: 8, drive: "PH"}, {kind: "screw", qty: 1, threadIs: "machine", finish: "longer"}]],
  // inches
  ["3 screws #6-32 x 3/8", [{kind: "screw", qty: 3, thread: "#6-32", lengthMm: 9.525}]],
  ["10-32 x 1/2 slotted", [{kind: "screw", qty: 1, thread: "#10-32", lengthMm: 12.7, drive: "SL"}]],
  ["3/8-16 x 1 1/4 hex head", [{kind: "screw", qty: 1, thread: "3/8-16", lengthMm: 31.75, form: "hex-head"}]],
  ["4x#8 wood screws", [{kind: "screw", qty: 4, thread: "#8"}]],
  [".250 pin", [{kind: "pin", qty: 1, lengthMm: 6.35}]],
  // small kinds
  ["belleville washer under gear", [{kind: "disc-spring", qty: 1, at: "under gear"}]],
  ["cotter pin through castle nut", [{kind: "split-pin", qty: 1, at: "through castle nut"}]],
  ["woodruff key 3x13", [{kind: "key", qty: 1, thread: "3", lengthMm: 13}]],
  ["pop rivet 3.2", [{kind: "rivet", qty: 1, lengthMm: 3.2}]],
  ["two zip ties", [{kind: "cable-tie", qty: 2}]],
  ["4 stand-offs 12 mm under board", [{kind: "spacer", qty: 4, lengthMm: 12, at: "under board"}]],
  ["3 brass inserts M3", [{kind: "insert", qty: 3, thread: "M3", finish: "brass"}]],
  ["two carbon brushes with springs", [{kind: "brush", qty: 2}, {kind: "spring", qty: 2}]],
  ["toothed belt", [{kind: "belt", qty: 1}]],
  ["2 retaining clips", [{kind: "clip", qty: 2}]],
  ["ratchet pawl and spring", [{kind: "pawl", qty: 1}, {kind: "spring", qty: 1}]],
  ["spring washer M6", [{kind: "lock-washer", qty: 1, thread: "M6"}]],
  ["wave washer between bearing and ring", [{kind: "wavy-washer", qty: 1, at: "between bearing and ring"}]],
  ["drive shaft nut M8", [{kind: "nut", qty: 1, thread: "M8", at: "drive shaft"}]],
];

describe("a line as technicians say it", () => {
  it.each(SAID)("%s", (says, wanted) => {
    expect(pieces(says)).toEqual(wanted);
  });

  it("tells what was only loosened, or stays in its part, from what came off", () => {
    const stays = (says: string) => quickLine(says).hardware.map((h) => [h.qty, h.kind, h.at, h.stays]);
    expect(stays("3 screws only loosened")).toEqual([[3, "screw", undefined, "loosened"]]);
    expect(stays("2 hex bolts M6 rear, loosened only")).toEqual([[2, "screw", "rear", "loosened"]]);
    expect(stays("2 screws stay with the cover")).toEqual([[2, "screw", undefined, "with the cover"]]);
    expect(stays("4x M4 captive in the lid, 2 nuts")).toEqual([
      [4, "screw", undefined, "in the lid"],
      [2, "nut", undefined, undefined],
    ]);
    expect(stays("spring stays in the housing")).toEqual([[1, "spring", undefined, "in the housing"]]);
    // of these nothing was undone
    for (const says of ["2 screws stay in place", "one clip stays", "two screws left in"])
      expect([says, stays(says)]).toEqual([says, []]);
  });
  it("takes a drive that comes along for the screw's own, and what is long for how long it is", () => {
    expect(quickLine("four M5x20 with hex 4").hardware).toEqual([
      { kind: "screw", qty: 4, thread: "M5", lengthMm: 20, drive: "hex 4" },
    ]);
    expect(quickLine("2 m4x12 ph").hardware[0]).toMatchObject({ qty: 2, drive: "PH" });
    expect(quickLine("four torx 15 screws 16 mm long at the corners").hardware[0]).toEqual({
      kind: "screw",
      qty: 4,
      drive: "TX15",
      lengthMm: 16,
      at: "at the corners",
    });
    expect(quickLine("2 long screws").hardware[0]).toMatchObject({ finish: "long" });
    expect(quickLine("one M5x20 at 3 Nm").hardware[0]).toEqual({
      kind: "screw",
      qty: 1,
      thread: "M5",
      lengthMm: 20,
      tighten: { torqueNm: 3 },
    });
    expect(quickLine("plug j3 2-pole").hardware[0]).toMatchObject({ label: "J3" });
  });
  it("takes three sizes for those of a ring or a key, and for a count and two sizes of a screw", () => {
    expect(quickLine("seal 20x32x7").hardware).toEqual([
      { kind: "seal", qty: 1, thread: "20x32", lengthMm: 7 },
    ]);
    expect(quickLine("4x3.5x16 screws").hardware).toEqual([
      { kind: "screw", qty: 4, thread: "3.5", lengthMm: 16 },
    ]);
    expect(quickLine("8x7x20 key").doubts[0]?.says).toMatch(/three sizes, or 8 of 7 × 20/);
    expect(worthALook(quickLine("4x3.5x16"))).toHaveLength(1);
  });
  it("takes two sizes in inches for both, and a cross against its figure for a count", () => {
    const size = (says: string) => quickLine(says).hardware.map((h) => [h.qty, h.kind, h.thread, h.lengthMm]);
    expect(size('pin 1/8 x 1"')).toEqual([[1, "pin", "3.175", 25.4]]);
    expect(size("pin .125 x 1 inch")).toEqual([[1, "pin", "3.175", 25.4]]);
    expect(size("3/16 x 3/4 key")).toEqual([[1, "key", "4.762", 19.05]]);
    expect(size('screw 1/4 x 1 1/4"')).toEqual([[1, "screw", "6.35", 31.75]]);
    expect(size("3/8 bolt x4")).toEqual([[4, "screw", undefined, 9.525]]);
    expect(size("screws 3/8 x4")).toEqual([[4, "screw", undefined, 9.525]]);
  });
  it("lets the piece before be measured and counted behind its comma", () => {
    expect(quickLine("three torx 20, 25 long").hardware).toEqual([
      { kind: "screw", qty: 3, drive: "TX20", lengthMm: 25 },
    ]);
    expect(quickLine("M4 x 10 mm, 3 off").hardware).toEqual([
      { kind: "screw", qty: 3, thread: "M4", lengthMm: 10 },
    ]);
    expect(quickLine("2 M4, TX15, 1 nut").hardware).toEqual([
      { kind: "screw", qty: 2, thread: "M4", drive: "TX15" },
      { kind: "nut", qty: 1 },
    ]);
    expect(quickLine("2x 12mm T8 security torx").hardware[0]).toMatchObject({
      qty: 2,
      lengthMm: 12,
      drive: "TX8",
    });
    expect(quickLine("nut M8 17mm spanner").hardware).toEqual([
      { kind: "nut", qty: 1, thread: "M8", drive: "AF17" },
    ]);
    expect(quickLine("M4x10 4x, M5x12 2x").hardware.map((h) => [h.qty, h.at])).toEqual([
      [4, undefined],
      [2, undefined],
    ]);
    expect(quickLine("seal, 20x32x7").hardware).toEqual([
      { kind: "seal", qty: 1, thread: "20x32", lengthMm: 7 },
    ]);
    expect(quickLine("4x M4x16, with washers, 8 Nm").hardware.map((h) => h.tighten?.torqueNm)).toEqual([
      8,
      undefined,
    ]);
    expect(quickLine("nut & bolt M6").hardware.map((h) => h.kind)).toEqual(["nut", "screw"]);
    expect(quickLine("bearing 6202 2RS C3").hardware[0]).toMatchObject({ label: "6202-2RS" });
    expect(quickLine("needle bearing HK1012").hardware[0]).toMatchObject({ label: "HK1012" });
    expect(quickLine("2 dozen rivets").hardware).toEqual([{ kind: "rivet", qty: 24 }]);
    expect(quickLine("twenty screws M3").hardware).toEqual([{ kind: "screw", qty: 20, thread: "M3" }]);
    expect(quickLine("two (2) M4").hardware).toEqual([{ kind: "screw", qty: 2, thread: "M4" }]);
  });
  it("never takes a piece that is named for the drive of the one before, and keeps what was doubted", () => {
    const read = quickLine("M8 left, 6mm allen bolt, spring 30");
    expect(read.hardware.map((h) => h.kind)).toEqual(["screw", "screw", "spring"]);
    expect(read.doubts.map((d) => d.piece)).toEqual([0, 1]);
    expect(quickLine("2 M6x16, hex 8").doubts).toEqual([
      { piece: 0, says: expect.stringMatching(/a recess, or a head/) },
    ]);
  });
  it.each([
    ["handful of washers", /how many/],
    ["M4x12, 300 off", /300 off.*was not read/],
    ["4 M4x12, 20 long", /so many, or how long/],
    ["2 screws, 4 long", /how long they are, or so many more/],
    ["4 M4x12, 2 nuts, TX20", /a piece of its own, or the drive/],
    ["6 screws but one missing", /all 6, or one of them/],
    ["3 or 4 washers", /which of the two/],
    ["6mm allen bolt", /how wide its key is, or how long/],
    ["1 large 2 small washers", /how large, or so many more/],
    ["2 x 12mm T8", /a size, or 2 of 12 mm/],
    ["2 springs red, 1 blue", /1 blue.*was not read/],
    ["2 longer ones at the back", /was not read/],
  ])("is not sure of “%s”, and says so", (line, says) => {
    expect(worthALook(quickLine(line)).join(" ")).toMatch(says);
  });
  it("counts debris as no piece of the machine", () => {
    expect(quickLine("swarf in the grease").hardware).toEqual([
      { kind: "debris", qty: 1, at: "in the grease" },
    ]);
    expect(quickLine("3 broken teeth under the wheel").hardware[0]).toMatchObject({ kind: "debris", qty: 3 });
  });
  it("keeps a facing with the piece that it was said of, and the step has them all", () => {
    const read = quickLine("2 thrust washers chamfer down, oil seal lip in, facing up");
    expect(read.hardware.map((h) => h.facing)).toEqual(["chamfer down", "lip in"]);
    expect(read.facing).toEqual(["chamfer down", "lip in", "up"]);
  });
  it("reads how pieces lie on each other, from the top or from the bottom, with the part between them", () => {
    const flat = { kind: "washer", qty: 1 };
    expect(quickLine("top: flat + wheel + flat")).toMatchObject({
      hardware: [flat, flat],
      stack: [{ piece: 0 }, { part: "wheel" }, { piece: 1 }],
      unread: [],
    });
    expect(quickLine("from the bottom up: circlip, drive wheel, wavy").stack).toEqual([
      { piece: 1 },
      { part: "drive wheel" },
      { piece: 0 },
    ]);
    expect(quickLine("top: flat + wheel + flat, 2 M4x8").stack).toHaveLength(3);
    expect(quickLine("stack: 2 flat 10 + spring + 1 flat 12").stack).toHaveLength(3);
    // a place with a colon is none
    expect(quickLine("4 screws top left").stack).toEqual([]);
  });
  it("keeps what stands in braces word for word, and reads nothing into it", () => {
    const read = quickLine("M8 {left}");
    expect([read.hardware, read.unread.map((u) => u.text), read.doubts]).toEqual([
      [{ kind: "screw", qty: 1, thread: "M8" }],
      ["{left}"],
      [],
    ]);
  });
  it("counts nothing that is not there, or stays", () => {
    for (const says of [
      "no nut on front left",
      "two screws left in",
      "2 screws not out yet",
      "one clip stays",
      "without washer",
      "leave the pin",
      "2 screws only a look",
      "motor brushes just looked at",
    ]) {
      expect(pieces(says)).toEqual([]);
      expect(said(says).note).toBe(says);
    }
    expect(said("4 TX10 no washer")).toMatchObject({
      pieces: [{ kind: "screw", qty: 4, drive: "TX10" }],
      note: "no washer",
    });
  });

  it("keeps every facing, every mark and every way of freeing, and makes no screw of a mark", () => {
    expect(said("facing up, facing rear").facing).toEqual(["up", "rear"]);
    expect(said("2 disc springs cup side down")).toMatchObject({
      pieces: [{ kind: "disc-spring", qty: 2 }],
      facing: ["cup side down"],
    });
    expect(said("mark on the rim, witness mark at the screw")).toMatchObject({
      pieces: [],
      marks: ["mark on the rim", "at the screw"],
    });
    expect(said("heated, pulled")).toMatchObject({ freed: "heat", alsoFreed: ["pull"] });
    expect(said("roll pin 4x20 driven out to the left")).toMatchObject({
      freed: "drive",
      asides: [{ about: "way", says: "driven out to the left" }],
      pieces: [{ kind: "pin", qty: 1 }],
    });
  });

  it("keeps the polarity of wires, and their terminals' words", () => {
    expect(said("white>M+, brown>motor +, gnye>ground screw").wires).toEqual([
      { colour: "white", to: "M+" },
      { colour: "brown", to: "motor +" },
      { colour: "green-yellow", to: "ground screw" },
    ]);
  });

  it("refuses rather than misreads", () => {
    expect(said("4 screws TX15, 2 long 2 short")).toMatchObject({
      pieces: [{ qty: 4 }],
      note: "2 long 2 short",
    });
    for (const says of ["M4 M5 screw", "4x M4 x3", "0x TX15"]) expect(pieces(says)).toEqual([]);
  });

  it("asks for a second look where it may have been meant otherwise", () => {
    const look = (says: string): string[] => worthALook(quickLine(says));
    expect(look("M8 left")).toEqual(["“left”: a left-hand thread, or where it sat?"]);
    expect(look("3 of 4 screws")).toEqual(["3 of 4: where is the rest?"]);
    expect(look("4 screws with 2 washers")).toEqual(["“with”: 2 in all, or for each of the 4?"]);
    expect(look("four TX15 16mm, front right has the nut")).toEqual(["“has”: which piece has it?"]);
    expect(look("M4 M5 screw")).toEqual(["“M4 M5 screw” was not read, and is counted nowhere"]);
    expect(look("4 screws, one longer")).toEqual(["1 of the 4, or besides?"]);
    expect(look("6 hex 10mm bolts")).toEqual(["“hex 10”: a recess, or a head that is so wide?"]);
    expect(look("brush holder cap x2 slotted")).toEqual([
      "“brush holder cap x2 slotted”: a part, and 2 screws?",
    ]);
    expect(pieces("screw from left side 20 long")).toEqual([
      { kind: "screw", qty: 1, lengthMm: 20, finish: "long", at: "from left side" },
    ]);
    for (const says of [
      "4x TX15 16 corners",
      "no nut on front left",
      "funny bracket",
      "4x M5x25 with washer",
    ])
      expect(look(says)).toEqual([]);
  });

  it("tells what each stretch was taken for", () => {
    const says = "4x TX15 16 in rear cover, once";
    expect(said(says).read.map(({ from, to, as }) => [says.slice(from, to), as])).toEqual([
      ["4x", "count"],
      ["TX15", "drive"],
      ["16", "length"],
      ["in", "place"],
      ["rear", "place"],
      ["cover", "place"],
      [",", "joins"],
      ["once", "once"],
    ]);
    expect(() => lineAnswer({ says: 4 })).toThrow(/says/);
  });
});
