import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FREEINGS } from "./freed";
import { HARDWARE_KINDS } from "./kinds";
import { KIND_PHRASES, LOCKER_COLOURS, LOOKS, METRIC_PITCHES, WIRE_COLOURS } from "./line/lexicon";
import { FORMS, type HardwareFacts, hardwareInWords, PIECE_STATES } from "./piece";
import { LONGEST_MM, MOST_PIECES, quickLine, worthALook } from "./quick-line";
import { type LineFacts, shorthandOf, writeQuickLine } from "./write-quick-line";

/** Words between others, and signs: a line of these alone says nothing. */
const NAMES_NOTHING =
  /^(?:[^\p{L}\p{N}]|\b(?:and|plus|with|or|of|the|an?|its?|is|are|was|were|has|have|each|all|these|those|other|more|another)\b)*$/iu;

/** What is typed, and all that is understood by it. */
// biome-ignore format: an example a line
const EXAMPLES: readonly (readonly [string, Partial<LineFacts>])[] = [
  ["4x TX15 16 ST3.5 corners", {hardware: [{kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15", at: "corners"}]}],
  ["4xTX15 16 ST3.5", {hardware: [{kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15"}]}],
  ["4 TX15 16mm ST3.5x16", {hardware: [{kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15"}]}],
  ["four TX15 16 mm, fr nut M4", {hardware: [{kind: "screw", qty: 4, lengthMm: 16, drive: "TX15"},{kind: "nut", qty: 1, thread: "M4", at: "front right"}]}],
  ["pin 3x18 drive", {hardware: [{kind: "pin", qty: 1, thread: "3", lengthMm: 18}], freed: ["drive"]}],
  ["2 wavy + 1 flat above gear", {hardware: [{kind: "wavy-washer", qty: 2, at: "above gear"},{kind: "washer", qty: 1, at: "above gear"}]}],
  ["plug J3 2-pole", {hardware: [{kind: "plug", qty: 1, label: "J3", poles: 2}]}],
  ["plug J3 2 pole", {hardware: [{kind: "plug", qty: 1, label: "J3", poles: 2}]}],
  ["fr nut M4", {hardware: [{kind: "nut", qty: 1, thread: "M4", at: "front right"}]}],
  ["M8 LH", {hardware: [{kind: "screw", qty: 1, thread: "M8", leftHand: true}]}],
  ["1 nut M8 left hand", {hardware: [{kind: "nut", qty: 1, thread: "M8", leftHand: true}]}],
  ["1/4-20 x 3/4\"", {hardware: [{kind: "screw", qty: 1, thread: "1/4-20", lengthMm: 19.05}]}],
  ["1/4-20x3/4\" hex4", {hardware: [{kind: "screw", qty: 1, thread: "1/4-20", lengthMm: 19.05, drive: "hex 4"}]}],
  ["2 ba x 1/2 slotted", {hardware: [{kind: "screw", qty: 1, thread: "2BA", lengthMm: 12.7, drive: "SL"}]}],
  ["3x 1/4 BSW screws", {hardware: [{kind: "screw", qty: 3, thread: "1/4 BSW"}]}],
  ["#8-32 PH2 1/2\"", {hardware: [{kind: "screw", qty: 1, thread: "#8-32", lengthMm: 12.7, drive: "PH2"}]}],
  ["#10-24x5/8in", {hardware: [{kind: "screw", qty: 1, thread: "#10-24", lengthMm: 15.875}]}],
  ["screw M4x12", {hardware: [{kind: "screw", qty: 1, thread: "M4", lengthMm: 12}]}],
  ["M4x0.5x12 TX20", {hardware: [{kind: "screw", qty: 1, thread: "M4x0.5", lengthMm: 12, drive: "TX20"}]}],
  ["8 M8 13mm", {hardware: [{kind: "screw", qty: 8, thread: "M8", drive: "AF13"}]}],
  ["4 M8 20mm", {hardware: [{kind: "screw", qty: 4, thread: "M8", lengthMm: 20}]}],
  ["2 M8 AF13 25mm", {hardware: [{kind: "screw", qty: 2, thread: "M8", lengthMm: 25, drive: "AF13"}]}],
  ["M8x1", {hardware: [{kind: "screw", qty: 1, thread: "M8x1"}]}],
  ["M8x1x20", {hardware: [{kind: "screw", qty: 1, thread: "M8x1", lengthMm: 20}]}],
  ["M5x8", {hardware: [{kind: "screw", qty: 1, thread: "M5", lengthMm: 8}]}],
  ["M6x1", {hardware: [{kind: "screw", qty: 1, thread: "M6x1"}]}],
  ["M3x0.5", {hardware: [{kind: "screw", qty: 1, thread: "M3x0.5"}]}],
  ["4 csk M4x10 PH2", {hardware: [{kind: "screw", qty: 4, thread: "M4", lengthMm: 10, drive: "PH2", form: "countersunk"}]}],
  ["2 socket M5x20 hex4", {hardware: [{kind: "screw", qty: 2, thread: "M5", lengthMm: 20, drive: "hex 4", form: "socket"}]}],
  ["2 cap screws M5x20 hex 4", {hardware: [{kind: "screw", qty: 2, thread: "M5", lengthMm: 20, drive: "hex 4", form: "socket"}]}],
  ["3 grub M4x5 hex2", {hardware: [{kind: "screw", qty: 3, thread: "M4", lengthMm: 5, drive: "hex 2", form: "grub"}]}],
  ["1 self-locking nut M6 once", {hardware: [{kind: "nut", qty: 1, thread: "M6", form: "self-locking", once: true}]}],
  ["1 self locking nut M6", {hardware: [{kind: "nut", qty: 1, thread: "M6", form: "self-locking"}]}],
  ["dome nut M8", {hardware: [{kind: "nut", qty: 1, thread: "M8", form: "dome"}]}],
  ["2 wing nuts M6", {hardware: [{kind: "nut", qty: 2, thread: "M6", form: "wing"}]}],
  ["nut M5", {hardware: [{kind: "nut", qty: 1, thread: "M5"}]}],
  ["2 lock washers M5", {hardware: [{kind: "lock-washer", qty: 2, thread: "M5"}]}],
  ["1 spring washer M6", {hardware: [{kind: "lock-washer", qty: 1, thread: "M6"}]}],
  ["3 spring washers", {hardware: [{kind: "lock-washer", qty: 3}]}],
  ["2 flat washers 20", {hardware: [{kind: "washer", qty: 2, lengthMm: 20}]}],
  ["1 shim 0.2", {hardware: [{kind: "washer", qty: 1, finish: "shim", lengthMm: 0.2}]}],
  ["circlip 15", {hardware: [{kind: "circlip", qty: 1, lengthMm: 15}]}],
  ["2 circlips 12", {hardware: [{kind: "circlip", qty: 2, lengthMm: 12}]}],
  ["1 e-clip 6", {hardware: [{kind: "e-clip", qty: 1, lengthMm: 6}]}],
  ["snap ring 20", {hardware: [{kind: "circlip", qty: 1, lengthMm: 20}]}],
  ["o-ring 30", {hardware: [{kind: "o-ring", qty: 1, lengthMm: 30}]}],
  ["2 o rings 12", {hardware: [{kind: "o-ring", qty: 2, lengthMm: 12}]}],
  ["spring 30", {hardware: [{kind: "spring", qty: 1, lengthMm: 30}]}],
  ["1 ball 7", {hardware: [{kind: "ball", qty: 1, lengthMm: 7}]}],
  ["5 balls 3", {hardware: [{kind: "ball", qty: 5, lengthMm: 3}]}],
  ["bearing 608", {hardware: [{kind: "bearing", qty: 1, label: "608"}]}],
  ["seal 12", {hardware: [{kind: "seal", qty: 1, lengthMm: 12}]}],
  ["shaft seal 12", {hardware: [{kind: "seal", qty: 1, lengthMm: 12}]}],
  ["gasket", {hardware: [{kind: "gasket", qty: 1}]}],
  ["key 4x12", {hardware: [{kind: "key", qty: 1, thread: "4", lengthMm: 12}]}],
  ["roll pin 2x10", {hardware: [{kind: "pin", qty: 1, thread: "2", lengthMm: 10}]}],
  ["spring pin 3x18 press", {hardware: [{kind: "pin", qty: 1, thread: "3", lengthMm: 18}], freed: ["press"]}],
  ["2 black TX15 20 ST3.5 front rear", {hardware: [{kind: "screw", qty: 2, thread: "ST3.5", lengthMm: 20, drive: "TX15", finish: "black", at: "front rear"}]}],
  ["brass nut M3", {hardware: [{kind: "nut", qty: 1, thread: "M3", finish: "brass"}]}],
  ["4x M4x16 blue locker", {hardware: [{kind: "screw", qty: 4, thread: "M4", lengthMm: 16, locker: "blue"}]}],
  ["4x M4x16 locker", {hardware: [{kind: "screw", qty: 4, thread: "M4", lengthMm: 16, locker: "seen"}]}],
  ["M6x30 red-locker lost", {hardware: [{kind: "screw", qty: 1, thread: "M6", lengthMm: 30, locker: "red", state: "lost"}]}],
  ["1x ST4.2 PH2 13 broken", {hardware: [{kind: "screw", qty: 1, thread: "ST4.2", lengthMm: 13, drive: "PH2", state: "broken"}]}],
  ["2 screws M4 missing", {hardware: [{kind: "screw", qty: 2, thread: "M4", state: "missing"}]}],
  ["M5x20 1.2Nm", {hardware: [{kind: "screw", qty: 1, thread: "M5", lengthMm: 20, tighten: {torqueNm: 1.2}}]}],
  ["4x M5x20 hex4 corners 3.5 Nm", {hardware: [{kind: "screw", qty: 4, thread: "M5", lengthMm: 20, drive: "hex 4", tighten: {torqueNm: 3.5}, at: "corners"}]}],
  ["brown>L, blue>N", {wires: [{colour: "brown", to: "L"},{colour: "blue", to: "N"}]}],
  ["bn→L1; bu→N; gnye->frame", {wires: [{colour: "brown", to: "L1"},{colour: "blue", to: "N"},{colour: "green-yellow", to: "frame"}]}],
  ["plug X1 3-pole, rd>U, bk>V, ye>W", {hardware: [{kind: "plug", qty: 1, label: "X1", poles: 3}], wires: [{colour: "red", to: "U"},{colour: "black", to: "V"},{colour: "yellow", to: "W"}]}],
  ["facing hub up", {facing: ["hub up"]}],
  ["2 flat above, facing: dot to the motor", {hardware: [{kind: "washer", qty: 2, at: "above"}], facing: ["dot to the motor"]}],
  ["mark paint dot on both", {marks: ["paint dot on both"]}],
  ["4x TX15 16 (left of M4 hole)", {hardware: [{kind: "screw", qty: 4, lengthMm: 16, drive: "TX15", at: "left of M4 hole"}]}],
  ["4x TX15 16 above gear 2", {hardware: [{kind: "screw", qty: 4, lengthMm: 16, drive: "TX15", at: "above gear 2"}]}],
  ["heat", {freed: ["heat"]}],
  ["press", {freed: ["press"]}],
  ["4x TX15 16, pry", {hardware: [{kind: "screw", qty: 4, lengthMm: 16, drive: "TX15"}], freed: ["pry"]}],
  ["TX20H 25 M5", {hardware: [{kind: "screw", qty: 1, thread: "M5", lengthMm: 25, drive: "TX20H"}]}],
  ["T20 12", {hardware: [{kind: "screw", qty: 1, lengthMm: 12, drive: "TX20"}]}],
  ["SL6 8", {hardware: [{kind: "screw", qty: 1, lengthMm: 8, drive: "SL6"}]}],
  ["hex3 20 M4", {hardware: [{kind: "screw", qty: 1, thread: "M4", lengthMm: 20, drive: "hex 3"}]}],
  ["hx3", {hardware: [{kind: "screw", qty: 1, drive: "hex 3"}]}],
  ["AF10 M6x40", {hardware: [{kind: "screw", qty: 1, thread: "M6", lengthMm: 40, drive: "AF10"}]}],
  ["PZ2 30", {hardware: [{kind: "screw", qty: 1, lengthMm: 30, drive: "PZ2"}]}],
  ["SQ2 25", {hardware: [{kind: "screw", qty: 1, lengthMm: 25, drive: "SQ2"}]}],
  ["clamp", {hardware: [{kind: "clamp", qty: 1}]}],
  ["2 cord clamps PH2 12", {hardware: [{kind: "clamp", qty: 2, lengthMm: 12, drive: "PH2"}]}],
  ["#4-40", {hardware: [{kind: "screw", qty: 1, thread: "#4-40"}]}],
  ["3/8-16 x 1\"", {hardware: [{kind: "screw", qty: 1, thread: "3/8-16", lengthMm: 25.4}]}],
  ["M4 x 12", {hardware: [{kind: "screw", qty: 1, thread: "M4", lengthMm: 12}]}],
  ["ST3.5x16 tl", {hardware: [{kind: "screw", qty: 1, thread: "ST3.5", lengthMm: 16, at: "top left"}]}],
  ["1-1/4\" M6", {hardware: [{kind: "screw", qty: 1, thread: "M6", lengthMm: 31.75}]}],
  ["1,5 mm circlip", {hardware: [{kind: "circlip", qty: 1, lengthMm: 1.5}]}],
  ["2 plastic ST2.9x10 PH1 bl", {hardware: [{kind: "screw", qty: 2, thread: "ST2.9", lengthMm: 10, drive: "PH1", finish: "plastic", at: "bottom left"}]}],
  ["nut M4 fr + washer M4", {hardware: [{kind: "nut", qty: 1, thread: "M4", at: "front right"},{kind: "washer", qty: 1, thread: "M4"}]}],
  ["0x TX15", {unread: [{text: "0x TX15", says: "none of something is nothing"}]}],
  ["4x TX15 4000", {unread: [{text: "4x TX15 4000", says: "4000 mm is longer than anything on this bench: the maximum is 500 mm"}]}],
  ["300x M4", {unread: [{text: "300x M4", says: "300 pieces cannot be: the maximum is 200"}]}],
  ["funny thing", { unread: [{ text: "funny thing", says: "not read, kept as a note" }] }],
  ["4x", {unread: [{text: "4x", says: "not read, kept as a note"}]}],
  ["x", {unread: [{text: "x", says: "not read, kept as a note"}]}],
  ["12", {unread: [{text: "12", says: "not read, kept as a note"}]}],
  ["()", {}],
  ["4x ()", {unread: [{text: "4x ()", says: "not read, kept as a note"}]}],
  [",,,+;", {}],
  ["🙂 🙂", {unread: [{text: "🙂 🙂", says: "not read, kept as a note"}]}],
  ["4x TX15 TX20", {unread: [{text: "4x TX15 TX20", says: "two drives in one piece, TX15 and TX20; part them with a comma"}]}],
  ["M4 M5 screw", {unread: [{text: "M4 M5 screw", says: "two threads in one piece, M4 and M5; part them with a comma"}]}],
  ["and and", {}],
  ["2 and 3", {unread: [{text: "2", says: "not read, kept as a note"},{text: "3", says: "not read, kept as a note"}]}],
  ["-4x TX15 16", {unread: [{text: "-4x TX15 16", says: "a count or a length is never below nothing"}]}],
  ["4x TX15 -16", {unread: [{text: "4x TX15 -16", says: "a count or a length is never below nothing"}]}],
  ["screw nut", {unread: [{text: "screw nut", says: "two kinds of piece in one piece, screw and nut; part them with a comma"}]}],
];

/** What a line says of its pieces and its step, without where it says it and what is doubted. */
const said = (text: string): LineFacts => {
  const { hardware, wires, freed, facing, marks, stack, unread } = quickLine(text);
  return { hardware, wires, freed, facing, marks, stack, unread };
};

it("asks whether a figure behind a thread is a length or a spanner, where it may be either", () => {
  const asked = (line: string): number => quickLine(line).doubts.length;
  expect(["6 M6 10mm", "4 M5 8 mm"].map(asked)).toEqual([1, 1]);
  expect(["6 M6x10", "6 M6 12mm", "6 M6 AF10", "8 M8 13mm"].map(asked)).toEqual([0, 0, 0, 0]);
});

describe("the quick line", () => {
  it.each(EXAMPLES)("reads %s", (text, understood) => {
    expect(said(text)).toEqual({
      hardware: [],
      wires: [],
      freed: [],
      facing: [],
      marks: [],
      stack: [],
      unread: [],
      ...understood,
    });
  });

  it.each(EXAMPLES)("writes %s so that it reads the same again", (text) => {
    const read = said(text);
    expect(said(writeQuickLine(quickLine(text)))).toEqual(read);
  });

  it("takes any line without falling over, and keeps what it did not understand", () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 80 }),
          fc.string({ maxLength: 60, unit: fc.constantFrom(..."4x TXM16,+;(\"'/>#-. andlhSTwavy") }),
        ),
        (text) => {
          const read = quickLine(text);
          for (const h of read.hardware) {
            expect(h.qty).toBeGreaterThan(0);
            expect(h.lengthMm ?? 1).toBeGreaterThan(0);
          }
          // every letter and figure lies in one stretch that was read, and in no other
          const times = new Uint8Array(text.length);
          for (const span of read.read)
            for (let i = span.from; i < span.to; i++) times[i] = (times[i] ?? 0) + 1;
          for (const word of text.matchAll(/[\p{L}\p{N}]+/gu))
            for (let i = word.index; i < word.index + word[0].length; i++) expect(times[i]).toBe(1);
          // a word that is in no fact stands in what was not read
          if (/[a-z]/i.test(text) && !/facing|face|mark|witness/i.test(text))
            expect(
              read.hardware.length +
                read.wires.length +
                read.unread.length +
                read.freed.length +
                read.asides.length +
                read.doubts.length +
                read.parts.length +
                read.facing.length +
                read.marks.length +
                (NAMES_NOTHING.test(text) ? 1 : 0),
            ).toBeGreaterThan(0);
        },
      ),
    );
  });
});

/** Any facts that the bench can say. */
const place = fc
  .array(
    fc.constantFrom(
      "above",
      "gear",
      "2",
      "corners",
      "front",
      "left",
      "M4",
      "hole",
      "screw",
      "TX15",
      "16",
      "spring",
      "pin",
      "lost",
      "of",
      "the",
      "fr",
      "3x18",
      "brown>L",
      "drive",
      "and",
      "a,b",
      "x",
      "+",
    ),
    { minLength: 1, maxLength: 4 },
  )
  .map((words) => words.join(" "));
const lengthMm = fc.integer({ min: 1, max: LONGEST_MM * 20 }).map((n) => n / 20);
const metric = fc.constantFrom(
  ...Object.entries(METRIC_PITCHES).flatMap(([d, pitches]) => [`M${d}`, ...pitches.map((p) => `M${d}x${p}`)]),
);
const thread = fc.oneof(
  metric,
  fc.constantFrom("ST2.9", "ST3.5", "ST4.2", "#4-40", "#10-32", "1/4-20", "3/8-16"),
);
const some = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined, freq: 2 });
const facts: fc.Arbitrary<HardwareFacts> = fc
  .record({
    kind: fc.constantFrom(...HARDWARE_KINDS),
    qty: fc.integer({ min: 1, max: MOST_PIECES }),
    thread: some(thread),
    lengthMm: some(lengthMm),
    drive: some(fc.constantFrom("TX15", "TX20H", "PH2", "PZ1", "SL6", "hex 4", "SQ2", "AF10", "hex 2.5")),
    form: some(fc.constantFrom(...FORMS)),
    finish: some(fc.constantFrom(...LOOKS)),
    leftHand: some(fc.constant(true)),
    once: some(fc.constant(true)),
    locker: some(fc.constantFrom("seen", ...LOCKER_COLOURS)),
    state: some(fc.constantFrom(...PIECE_STATES)),
    threadIs: some(fc.constantFrom("coarse" as const, "machine" as const)),
    into: some(fc.constantFrom("plastic", "wood", "insert", "die cast")),
    tighten: some(fc.record({ torqueNm: fc.integer({ min: 1, max: 400 }).map((n) => n / 10) })),
    at: some(place),
    facing: some(fc.constantFrom("hub up", "dot to the motor")),
    stays: some(fc.constantFrom("loosened", "with the cover", "in the housing")),
  })
  .map((f) => {
    const known = Object.fromEntries(
      Object.entries(f).filter(([, v]) => v !== undefined),
    ) as unknown as HardwareFacts;
    // plugs and bearings are told by what is printed on them, not by a thread
    if (known.kind === "plug")
      return { kind: "plug", qty: known.qty, label: "J3", poles: 2, ...(known.at ? { at: known.at } : {}) };
    if (known.kind === "bearing")
      return { kind: "bearing", qty: known.qty, label: "608-2RS", ...(known.at ? { at: known.at } : {}) };
    // a length that is a standard pitch of its thread is read as the pitch, as it is at the bench
    const pitch =
      known.lengthMm !== undefined &&
      METRIC_PITCHES[known.thread?.replace(/^M/, "") ?? ""]?.includes(known.lengthMm);
    return pitch ? { ...known, lengthMm: 12 } : known;
  });

describe("writing and reading again", () => {
  it("gives the same facts, whatever they are", () => {
    fc.assert(
      fc.property(facts, (h) => void expect(quickLine(shorthandOf(h)).hardware).toEqual([h])),
      { numRuns: 500 },
    );
  });
  it("gives the same line: hardware, wires, how it was freed, facing, mark and torque", () => {
    const words = fc.stringMatching(/^[a-z][a-z ]{0,20}[a-z]$/).filter((w) => !/\band\b/.test(w));
    const line = fc
      .record({
        hardware: fc.array(facts, { maxLength: 4 }),
        wires: fc.array(
          fc.record({
            colour: fc.constantFrom(...new Set(Object.values(WIRE_COLOURS))),
            to: fc.constantFrom("L", "N", "frame", "X1-2"),
          }),
          {
            maxLength: 3,
          },
        ),
        freed: fc.array(fc.constantFrom(...FREEINGS.filter((f) => f !== "slide")), { maxLength: 2 }),
        facing: fc.array(words, { maxLength: 2 }),
        marks: fc.array(words, { maxLength: 2 }),
        stack: fc.constant([]),
        unread: fc.constant([]),
      })
      .map(
        (l) => ({ ...l, facing: [...l.hardware.flatMap((h) => h.facing ?? []), ...l.facing] }) as LineFacts,
      );
    fc.assert(
      fc.property(line, (l) => void expect(said(writeQuickLine(l))).toEqual(l)),
      { numRuns: 300 },
    );
  });
  it("knows every kind by its first word", () => {
    for (const kind of HARDWARE_KINDS)
      expect(quickLine(`2x ${KIND_PHRASES[kind][0]}`).hardware).toEqual([{ kind, qty: 2 }]);
  });
});

describe("what is not read", () => {
  it("is kept as it was said, a saying that goes on behind a with as one", () => {
    expect(quickLine("2 screws, worn with age and grime").unread.map((u) => u.text)).toEqual([
      "worn with age and grime",
    ]);
    expect(quickLine("belt, arrow with travel").hardware[0]).toMatchObject({ kind: "belt" });
    expect(quickLine("belt, arrow with travel").facing).toEqual(["arrow with travel"]);
  });
});

describe("what nobody counted", () => {
  it("is not taken for one: how many is asked, and it stays uncounted until somebody counts", () => {
    const read = quickLine("washers above, 2 screws");
    expect(read.hardware).toMatchObject([
      { kind: "washer", qty: 1, uncounted: true },
      { kind: "screw", qty: 2 },
    ]);
    expect(worthALook(read)).toEqual(["washers: how many?"]);
    expect(hardwareInWords({ kind: "washer", qty: 1, uncounted: true, lengthMm: 12 })).toBe(
      "uncounted washers 12 mm",
    );
    expect(quickLine("a few balls").hardware).toMatchObject([{ kind: "ball", uncounted: true }]);
  });

  it("is one where one was spoken of, and as many as what it comes with", () => {
    for (const line of ["washer", "4 screws with washers", "screws, 3 off", "swarf"])
      for (const h of quickLine(line).hardware) expect(h.uncounted, line).toBeUndefined();
  });

  it("is counted by what is said behind it, and a bare number is asked about: so many, or so long?", () => {
    expect(quickLine("balls, 12 of them").hardware).toEqual([{ kind: "ball", qty: 12 }]);
    expect(quickLine("balls 12 of them").hardware).toEqual([{ kind: "ball", qty: 12 }]);
    expect(worthALook(quickLine("screws, 4 of them"))).toEqual([]);
    expect(worthALook(quickLine("washers 3"))).toEqual(["washers: 3 of them, or 3 mm?"]);
  });

  it("screws without a size are told by what follows the comma, and are not joined by one more", () => {
    const screws = { kind: "screw", qty: 4, thread: "M4", lengthMm: 12 } as const;
    expect(quickLine("4 screws, M4x12").hardware).toEqual([screws]);
    expect(quickLine("screws, 4 of them, TX20 12 M4").hardware).toEqual([{ ...screws, drive: "TX20" }]);
    expect(quickLine("4 screws, 1x M4x12").hardware).toHaveLength(2);
    expect(quickLine("4x M3x8, M4x12").hardware).toHaveLength(2);
  });

  it("is written so that it is read so again", () => {
    const piece = { kind: "ball", qty: 1, uncounted: true, lengthMm: 4 } as const;
    expect(quickLine(shorthandOf(piece)).hardware).toEqual([piece]);
    const screws = { kind: "screw", qty: 1, uncounted: true, thread: "M4" } as const;
    expect(quickLine(shorthandOf(screws)).hardware).toEqual([screws]);
  });
});
