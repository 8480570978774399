import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Gear } from "../dimensions";
import { overPins } from "../over-pins";
import { spanOver } from "../span-measurement";
import { identifyGear } from "./identify";
import type { IdentifyInput } from "./input";
import { type AsItIs, madeGear, plainGear } from "./made-gear";

const gear = plainGear;
const made = (g: Gear, asItIs: AsItIs = {}) => madeGear(g, { apart: 2, ...asItIs });
const first = (input: IdentifyInput) => identifyGear(input).hypotheses[0];

describe("gears as they are really made", () => {
  it("thinned teeth and low tips are no shift and no other size", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 24, max: 70 }),
        fc.constantFrom(0.8, 1, 1.25, 1.5, 2),
        fc.double({ min: 0.02, max: 0.08, noNaN: true }),
        fc.double({ min: 0, max: 0.08, noNaN: true }),
        (z, m, thinned, low) => {
          expect(first(made(gear(z, m), { thinned: thinned * Math.sqrt(m), low }))).toMatchObject({
            module: m,
            pressureAngle: 20,
            profileShift: 0,
            tips: "as made",
          });
        },
      ),
      { numRuns: 60 },
    );
  });
  it("a shifted pinion whose tips were topped is named, and told so", () => {
    const g = gear(10, 1.5, { profileShift: 0.5 });
    const input = made(g, { low: 0.04 + 2 * 0.15 * 0.5 * 1.5 });
    expect(first(input)).toMatchObject({ module: 1.5, pressureAngle: 20, tips: "topped", profileShift: 0.5 });
  });
  it("other pressure angles and stubs are found when two spans lie far enough apart, at module 2", () => {
    for (const pressureAngleDeg of [14.5, 17.5, 25])
      expect(first(made(gear(44, 2, { pressureAngleDeg })))).toMatchObject({
        module: 2,
        pressureAngle: pressureAngleDeg,
      });
    expect(first(made(gear(44, 2, { addendum: 0.8 })))).toMatchObject({ module: 2, addendum: 0.8 });
  });
  it("of a moulded gear the sizes may be off together by three in a thousand; of a cut one not", () => {
    const g = gear(60, 1);
    const shrunk = (x: IdentifyInput): IdentifyInput => ({
      ...x,
      tipDiameter: { value: (x.tipDiameter as { value: number }).value * 0.995, u: 0.03 },
      spans: (x.spans ?? []).map((s) => ({ ...s, value: s.value * 0.995 })),
    });
    const moulded = identifyGear({ ...shrunk(made(g)), making: "moulded" });
    expect(moulded.hypotheses[0]).toMatchObject({ module: 1, pressureAngle: 20, profileShift: 0 });
    const cut = identifyGear({ ...shrunk(made(g)), making: "cut" }).hypotheses;
    expect(cut.find((h) => h.module === 1 && h.profileShift === 0)?.probability ?? 0).toBeLessThan(
      moulded.hypotheses[0]?.probability ?? 0,
    );
  });
  it("over pins a thinned tooth reads low as well", () => {
    const g = gear(32, 1.5);
    const lost = (spanOver(g, 4) - 0.06 - spanOver(g, 4)) / (2 * 1.5 * Math.sin((20 * Math.PI) / 180));
    const input: IdentifyInput = {
      kind: "spur",
      teeth: 32,
      tipDiameter: { value: 50.96, u: 0.03 },
      overPins: { pin: 2.5, value: overPins({ ...g, profileShift: lost }, 2.5), u: 0.02 },
    };
    const h = first(input);
    expect(h).toMatchObject({ module: 1.5, profileShift: 0 });
    expect(Math.abs(h?.residuals.find((r) => r.what.startsWith("over"))?.sigmas ?? 9)).toBeLessThan(1);
  });
});

describe("a module of no standard", () => {
  it("is named free, from the base pitch and the tips", () => {
    for (const m of [0.952, 1.31, 1.66]) {
      const h = first(made(gear(46, m)));
      expect(h?.system).toBe("free");
      expect(Math.abs((h?.module ?? 0) / m - 1)).toBeLessThan(0.006);
    }
    const helical = first(made(gear(38, 0.93, { helixAngleDeg: 20 })));
    expect(helical).toMatchObject({ system: "free", pressureAngle: 20 });
  });
  it("costs: a standard module near enough is named as such", () => {
    fc.assert(
      fc.property(fc.integer({ min: 24, max: 70 }), fc.constantFrom(0.5, 0.8, 1, 1.5, 2), (z, m) => {
        expect(first(made(gear(z, m)))?.system).toBe("module");
      }),
      { numRuns: 40 },
    );
  });
  it("one diameter alone never makes it sure", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 90 }),
        fc.double({ min: 6, max: 200, noNaN: true }),
        (teeth, tip) => {
          const h = first({ kind: "spur", teeth, tipDiameter: tip });
          expect(h === undefined || h.system !== "free" || h.probability < 0.98).toBe(true);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe("slips of the hand", () => {
  const sound = made(gear(40, 1));
  const doubtsOf = (input: IdentifyInput): string[] => identifyGear(input).doubts.map((d) => d.reading);
  const why = (input: IdentifyInput): string => identifyGear(input).doubts[0]?.why ?? "";
  it("none are seen where readings hang together", () => {
    expect(doubtsOf(sound)).toEqual([]);
    expect(doubtsOf(made(gear(33, 1.5, { helixAngleDeg: 15 })))).toEqual([]);
  });
  it("a tip diameter that is misread is named, with what the others want", () => {
    const wrong = { ...sound, tipDiameter: { value: 39.33, u: 0.03 } };
    expect(doubtsOf(wrong)).toEqual(["tipDiameter"]);
    expect(why(wrong)).toMatch(
      /tip diameter reads 39.33 mm; the other readings want 41.96 mm, which is 2.63 mm more/,
    );
    expect(first(wrong)).toMatchObject({ module: 1, pressureAngle: 20 });
  });
  it("one tooth more between the jaws than was written down", () => {
    const spans = (sound.spans ?? []).map((s, i) => (i ? { ...s, teeth: s.teeth + 1 } : s));
    expect(doubtsOf({ ...sound, spans })).toEqual(["spans[1]"]);
    expect(why({ ...sound, spans })).toMatch(/fits if 7 teeth were between the jaws/);
    expect(first({ ...sound, spans })).toMatchObject({ module: 1 });
  });
  it("inches for millimetres: one reading, and all", () => {
    const one = { ...sound, tipDiameter: { value: 41.96 / 25.4, u: 0.03 } };
    expect(doubtsOf(one)).toEqual(["tipDiameter"]);
    expect(why(one)).toMatch(/fits as inches: that is 41.96 mm/);
    const inch = (v: number) => ({ value: v / 25.4, u: 0.001 });
    const all = {
      ...sound,
      tipDiameter: inch(41.96),
      spans: (sound.spans ?? []).map((s) => ({ teeth: s.teeth, ...inch(s.value) })),
    };
    // readings in inches are a gear of a module of 0.04: there is none such
    expect(doubtsOf(all)).toEqual(["units"]);
    expect(first(all)).toMatchObject({ module: 1 });
  });
  it("a wrong count is doubted, and the count that fits is said", () => {
    const miscounted = { ...sound, teeth: 41 };
    expect(doubtsOf(miscounted)).toContain("teeth");
    expect(first(miscounted)).toMatchObject({ module: 1, teeth: 40 });
    expect(identifyGear(miscounted).doubts.find((d) => d.reading === "teeth")?.why).toMatch(
      /41 teeth do not go with the readings: with 40 they would all fit/,
    );
  });
  it("slanted teeth that were taken for straight ones", () => {
    const { helixAngle: _, ...slanted } = made(gear(41, 1, { helixAngleDeg: 20 }));
    expect(doubtsOf({ ...slanted, kind: "spur" })).toContain("kind");
    expect(first({ ...slanted, kind: "spur" })).toMatchObject({ module: 1, pressureAngle: 20 });
  });
  it("a helix angle that is far off", () => {
    const g = made(gear(60, 1.5, { helixAngleDeg: 30 }));
    expect(doubtsOf({ ...g, helixAngle: { value: 17, u: 1.5 } })).toContain("helixAngle");
  });
  it("what no tooth fits is said, and nothing is named", () => {
    const none = identifyGear({ kind: "spur", teeth: 12, tipDiameter: 560 });
    expect(none.hypotheses).toEqual([]);
    expect(none.doubts[0]?.why).toMatch(/no tooth of module 0.15 to 10 mm/);
  });
  it("never an answer above 0.9 with a reading over 4 spreads off, and not a word about it", () => {
    const some = fc.record({
      kind: fc.constantFrom("spur", "helical"),
      teeth: fc.integer({ min: 8, max: 80 }),
      tipDiameter: fc.double({ min: 5, max: 120, noNaN: true }),
      first: fc.double({ min: 2, max: 40, noNaN: true }),
      gap: fc.double({ min: 0.5, max: 8, noNaN: true }),
      k: fc.integer({ min: 2, max: 8 }),
      root: fc.option(fc.double({ min: 4, max: 110, noNaN: true }), { nil: undefined }),
      helix: fc.option(fc.double({ min: 5, max: 35, noNaN: true }), { nil: undefined }),
    });
    fc.assert(
      fc.property(some, ({ kind, teeth, tipDiameter, first: a, gap, k, root, helix }) => {
        const { hypotheses, doubts } = identifyGear({
          kind: kind as "spur",
          teeth,
          tipDiameter,
          spans: [
            { teeth: k, value: a },
            { teeth: k + 1, value: a + gap },
          ],
          ...(root === undefined ? {} : { rootDiameter: root }),
          ...(helix === undefined ? {} : { helixAngle: helix }),
        });
        const [h] = hypotheses;
        if (h && h.probability > 0.9 && h.residuals.some((r) => Math.abs(r.sigmas) > 4))
          expect(doubts.length).toBeGreaterThan(0);
      }),
      { numRuns: 60 },
    );
  });
});
