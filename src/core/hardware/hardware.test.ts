import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bearingNamed } from "./bench/bearings";
import { tighteningOrder } from "./bench/tightening-order";
import { HARDWARE_KINDS, LEDGER_ROWS } from "./kinds";
import { differenceOf, lookAlikes, onceHint, piecesWithoutPlace, placeFault } from "./look-alikes";
import { partKindFrom } from "./part-kind";
import { type HardwareFacts, hardwareInWords } from "./piece";

describe("look-alikes", () => {
  const sixteen = {
    kind: "screw",
    qty: 4,
    thread: "ST3.5",
    lengthMm: 16,
    drive: "TX15",
    at: "corners",
  } as const;
  const at = (now: HardwareFacts[], ...laid: HardwareFacts[][]) =>
    lookAlikes(
      now,
      laid.map((hardware, i) => ({ step: i + 3, hardware })),
    );

  it("are named at the moment the second one is laid down, with the step of the first", () => {
    expect(at([{ ...sixteen, qty: 2, lengthMm: 20 }], [sixteen])).toEqual([
      { piece: 0, step: 3, close: false, says: "like the 4 of step 3, but 4 mm longer" },
    ]);
    expect(at([{ ...sixteen, lengthMm: 18 }], [{ ...sixteen, qty: 1 }])[0]).toMatchObject({
      close: true,
      says: "like the one of step 3, but 2 mm longer",
    });
    expect(at([{ ...sixteen, thread: "M3.5" }], [sixteen])[0]?.says).toBe(
      "like the 4 of step 3, but with the thread M3.5, not ST3.5",
    );
    expect(at([{ ...sixteen, leftHand: true }], [sixteen])[0]?.says).toMatch(/with a left-hand thread/);
    expect(
      at([{ kind: "circlip", qty: 1, lengthMm: 14 }], [{ kind: "circlip", qty: 1, lengthMm: 15 }])[0]?.says,
    ).toMatch(/1 mm smaller/);
  });
  it("the nearest of several is named: what cannot be told by eye comes before what can", () => {
    expect(at([{ ...sixteen, lengthMm: 18 }], [{ ...sixteen, lengthMm: 25 }], [sixteen])[0]).toMatchObject({
      step: 4,
      close: true,
    });
  });
  it("one with a nut or a washer is told from one without", () => {
    const nut = { kind: "nut", qty: 2, thread: "M4" } as const;
    const screw = { kind: "screw", qty: 2, thread: "M4", lengthMm: 20, drive: "TX20" } as const;
    expect(at([screw, nut], [screw])[0]?.says).toBe("like the 2 of step 3, but with a nut");
    expect(at([screw], [screw, nut])[0]?.says).toBe("like the 2 of step 3, but without a nut");
  });
  it("across kinds: a washer that only looks flat, a cross recess of the other sort, a thread that is cut otherwise", () => {
    const flat = { kind: "washer", qty: 2, lengthMm: 20 } as const;
    expect(at([{ kind: "disc-spring", qty: 1, lengthMm: 20 }], [flat])[0]).toMatchObject({
      close: true,
      says: "like the 2 of step 3, but a disc spring, which only looks flat",
    });
    expect(at([flat], [{ kind: "thrust-washer", qty: 1 }])[0]?.says).toBe(
      "like the one of step 3, but flat, a washer",
    );
    expect(at([{ kind: "disc-spring", qty: 1, lengthMm: 12 }], [flat])).toEqual([]);
    expect(at([{ kind: "wavy-washer", qty: 1 }], [flat])).toEqual([]);
    const cross = { kind: "screw", qty: 4, lengthMm: 16, drive: "PH2" } as const;
    expect(at([{ ...cross, drive: "PZ2" }], [cross])[0]).toMatchObject({
      close: true,
      says: "like the 4 of step 3, but with PZ2, not PH2",
    });
    expect(at([{ ...cross, drive: "PZ3" }], [cross])).toEqual([]);
    const coarse = { kind: "screw", qty: 2, lengthMm: 8, drive: "PH", threadIs: "coarse" } as const;
    expect(at([{ ...coarse, qty: 1, threadIs: "machine" }], [coarse])[0]?.says).toBe(
      "like the 2 of step 3, but with a machine thread",
    );
  });
  it("of what lies there just so already are none: the screws of the other side", () => {
    expect(at([{ ...sixteen, lengthMm: 20 }], [sixteen], [{ ...sixteen, lengthMm: 20 }])).toEqual([]);
    expect(
      at(
        [{ kind: "screw", qty: 1, thread: "M4" }],
        [
          { kind: "screw", qty: 1, thread: "M4" },
          { kind: "washer", qty: 1 },
        ],
      ),
    ).toEqual([]);
  });
  it("is silent about the same, the far and the different", () => {
    const silent: HardwareFacts[] = [
      { ...sixteen, qty: 2 },
      { ...sixteen, lengthMm: 45 },
      { ...sixteen, drive: "PH2", lengthMm: 20 },
      { ...sixteen, thread: "M8", lengthMm: 20 },
      { kind: "nut", qty: 1 },
    ];
    for (const h of silent) expect(at([h], [sixteen])).toEqual([]);
  });
  it("differ alike from both sides: longer here is shorter there", () => {
    const length = fc.integer({ min: 4, max: 80 });
    fc.assert(
      fc.property(length, length, (a, b) => {
        const [x, y] = [
          differenceOf({ ...sixteen, lengthMm: a }, { ...sixteen, lengthMm: b }),
          differenceOf({ ...sixteen, lengthMm: b }, { ...sixteen, lengthMm: a }),
        ];
        expect(x === null).toBe(y === null);
        expect(x?.says.replace("longer", "shorter")).toBe(y?.says.replace("longer", "shorter"));
        expect(x !== null).toBe(a !== b && Math.abs(a - b) <= 10);
      }),
    );
  });
  it("in one step need a place each, but one kind may go wherever the others do not", () => {
    const long = { ...sixteen, lengthMm: 20, qty: 2, at: undefined };
    const short = { ...sixteen, at: undefined };
    expect(piecesWithoutPlace([short, long])).toEqual([0, 1]);
    expect(placeFault([short, long])).toMatch(
      /4 screws ST3.5 × 16, TX15 and 2 screws ST3.5 × 20, TX15 differ, in one step: say where each sits/,
    );
    expect(placeFault([sixteen, long])).toBeNull();
    expect(placeFault([short, { ...short }])).toBeNull();
  });
  it("what holds by being bent or squeezed goes back new", () => {
    expect(onceHint({ kind: "nut", qty: 1, form: "self-locking" })).toMatch(/holds once/);
    expect(onceHint({ kind: "seal", qty: 1 })).toMatch(/leaks/);
    expect(onceHint(sixteen)).toBeNull();
  });
});

describe("tables and names", () => {
  it("finds a bearing in a sentence, with its closure", () => {
    expect(bearingNamed("lay shaft bearing 608-2RS")).toMatchObject({
      designation: "608",
      outsideMm: 22,
      closure: "2RS",
    });
    expect(bearingNamed("6001 ZZ from the crown")).toMatchObject({ boreMm: 12, closure: "2Z" });
    expect(bearingNamed("bearing 9999")).toBeNull();
  });
  it("counts every kind in exactly one row of the ledger", () => {
    for (const kind of HARDWARE_KINDS)
      expect(LEDGER_ROWS.filter((r) => r.kinds.includes(kind)).length).toBe(1);
  });
  it("says hardware as at the bench", () => {
    expect(hardwareInWords({ kind: "screw", qty: 1, thread: "M4", lengthMm: 12 })).toBe("1 screw M4 × 12");
    expect(hardwareInWords({ kind: "circlip", qty: 2, lengthMm: 15 })).toBe("2 circlips 15 mm");
  });
  it("knows a part's kind by its name", () => {
    expect([
      partKindFrom("second-stage wheel"),
      partKindFrom("gear case cover"),
      partKindFrom("lay shaft bearing"),
      partKindFrom("carriage"),
    ]).toEqual(["gear", "cover", "bearing", undefined]);
  });
  it.each([
    ["motor gear", "gear"],
    ["gear housing", "housing"],
    ["gear motor", "motor"],
    ["motor brush", "brush"],
    ["brush spring", "spring"],
    ["bearing cover", "cover"],
    ["gear case", "housing"],
    ["sleeve bearing", "bush"],
    ["belt pinion", "gear"],
    ["cross pin of the crown gear", "pin"],
    ["seal for the output shaft", "seal"],
    ["trigger switch", "switch"],
    ["washer set of the lay shaft", undefined],
  ])("what English puts last, it is: %s is %s", (name, kind) => {
    expect(partKindFrom(name)).toBe(kind);
  });
});

describe("tightening order", () => {
  it("goes crosswise: four screws corner to opposite corner", () => {
    expect(tighteningOrder(4).map((s) => s.turn)).toEqual([1, 3, 2, 4]);
  });
  it("takes every screw once, and the second opposite the first", () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 12 }), (n) => {
        const screws = tighteningOrder(n);
        expect(screws.map((s) => s.turn).sort((a, b) => a - b)).toEqual(
          Array.from({ length: n }, (_, i) => i + 1),
        );
        const [first, second] = [1, 2].map((t) => screws.find((s) => s.turn === t));
        if (first && second) expect(Math.hypot(first.x - second.x, first.y - second.y)).toBeGreaterThan(0.9);
      }),
    );
  });
  it("goes round an odd number as a star: no two that follow each other stand side by side", () => {
    for (const n of [5, 7, 9, 11]) {
      const holes = tighteningOrder(n).map((s) => s.turn);
      const order = Array.from({ length: n }, (_, k) => holes.indexOf(k + 1));
      for (let k = 1; k < n; k++) {
        const apart = Math.abs((order[k] as number) - (order[k - 1] as number));
        expect(Math.min(apart, n - apart)).toBe((n - 1) / 2);
      }
    }
    expect(tighteningOrder(5).map((s) => s.turn)).toEqual([1, 4, 2, 5, 3]);
  });
  it("draws none for three", () => {
    expect(tighteningOrder(3)).toEqual([]);
  });
});
