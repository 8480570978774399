import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readWith } from "../../fault";
import { cureInput, lockerAnswer, lockerCure, lockerRefused } from "./locker";
import { makersFigure } from "./makers-figure";
import { brushMeasured, capacitorMarked } from "./marked";
import { passesInWords, rowOrder, SEAL_PASSES } from "./tightening-order";
import { tighteningTorque } from "./tightening-torque";

describe("thread locker", () => {
  it("is full after a day on steel at room temperature; a passive metal, or the cold, takes longer; an activator takes the first away", () => {
    const full = (...[input]: Parameters<typeof lockerCure>) => lockerCure(input).fullMinutes;
    expect(full({ metals: ["steel", "brass"] })).toBe(1440);
    expect(full({ metals: ["stainless steel"] })).toBe(3 * 1440);
    expect(full({ metals: ["steel", "anodised aluminium"] })).toBe(3 * 1440);
    expect(full({ metals: ["stainless steel"], activated: true })).toBe(1440);
    expect(full({ metals: ["steel"], celsius: 12 })).toBe(2 * 1440);
    expect(lockerCure({ metals: ["steel"], celsius: 2 }).says).toMatch(/hardly sets: warm the joint/);
    expect(lockerCure().says).toMatch(/own sheet stands above/);
  });
  it("takes its class for how soon it can be handled, and says what it comes off with; on ABS it is no answer but a refusal", () => {
    expect(lockerCure({ class: "low" }).handleMinutes).toBeGreaterThan(
      lockerCure({ class: "medium" }).handleMinutes,
    );
    expect(lockerAnswer({ class: "high", metals: ["steel"] })).toMatchObject({
      fullMinutes: 1440,
      holds: expect.stringMatching(/heat only/),
    });
    expect(() => lockerAnswer({ class: "medium", into: "ABS" })).toThrow(/cracks ABS/);
    expect(() => readWith(cureInput, { class: "blue" })).toThrow(/none of low, medium/);
    const oiled = (into: "aluminium" | "plastic") =>
      tighteningTorque({ thread: "M4", into, oiled: true }).reasons.find((r) => r.rule === "if it is locker")
        ?.says;
    expect(oiled("aluminium")).toMatch(/fully after 72 h.*passive/);
    expect(oiled("plastic")).toMatch(/does not set between plastic/);
  });
  it("never holds fully before it can be handled, and the warmer the sooner", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.boolean(),
        (t, more, activated) => {
          const metals = ["stainless"];
          const [cold, warm] = [
            lockerCure({ metals, celsius: t, activated }),
            lockerCure({ metals, celsius: t + more, activated }),
          ];
          return cold.handleMinutes < cold.fullMinutes && warm.fullMinutes <= cold.fullMinutes;
        },
      ),
    );
  });
  it("is refused on plastics it cracks, and said to do nothing on the others; metal is no reason", () => {
    expect(lockerRefused("ABS")).toMatch(/cracks ABS/);
    expect(lockerRefused("polycarbonate")).toMatch(/cracks PC/);
    expect(lockerRefused("PA66-GF30")).toMatch(/does not set between plastic/);
    expect(lockerRefused("plastic")).toMatch(/ABS and PC split/);
    expect([lockerRefused("steel"), lockerRefused("brass insert"), lockerRefused(undefined)]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
});

describe("what is printed on a capacitor", () => {
  it.each([
    ["0.1µF X2 275V~", { says: "100 nF", volts: 275, current: "AC", safety: "X2" }],
    ["104K 275V~ X2", { says: "100 nF", volts: 275, tolerance: "±10 %" }],
    ["2n2 Y2", { says: "2.2 nF", safety: "Y2" }],
    ["4.7 uF 450 VAC", { says: "4.7 µF", volts: 450, current: "AC" }],
    ["470µF 25V", { says: "470 µF", volts: 25 }],
    ["16 MFD 400 V", { says: "16 µF", volts: 400 }],
    ["0,22 µF 630 V DC", { says: "220 nF", volts: 630, current: "DC" }],
    ["473J", { says: "47 nF", tolerance: "±5 %" }],
    ["220 pF", { says: "220 pF" }],
  ])("%s", (text, wanted) => {
    expect(capacitorMarked(text)).toMatchObject(wanted);
  });
  it("its class must come back, it is discharged first, and a look clears nothing", () => {
    expect(capacitorMarked("0.1µF X2 275V~").notes.join(" ")).toMatch(
      /Discharge it.*class X2 or better.*clears nothing/,
    );
    expect(capacitorMarked("100nF 250V").notes.join(" ")).toMatch(/only class X/);
  });
  it.each(["", "X2", "red", "275V", "0 nF"])("refuses what has no value: “%s”", (text) => {
    expect(() => capacitorMarked(text)).toThrow(/farads|no value is read/);
  });
});

describe("a maker's figure", () => {
  it.each([
    ["1.2 Nm", { makersNm: 1.2 }],
    ["1,5", { makersNm: 1.5 }],
    ["15 in-lb", { makersNm: 1.69 }],
    ["120 N cm", { makersNm: 1.2 }],
    ["10 Nm + 90°", { makersNm: 10, makersAngleDeg: 90 }],
    ["10 Nm then 90 deg", { makersNm: 10, makersAngleDeg: 90 }],
    ["60°", { makersAngleDeg: 60 }],
    ["", {}],
  ])("%s", (text, wanted) => {
    expect(makersFigure(text)).toEqual(wanted);
  });
  it.each(["tight", "0", "0 Nm", "1.2 Nm blue", "400°", "M4", "1.2 Nm or 3 Nm", "-2 Nm"])(
    "refuses “%s”",
    (text) => {
      expect(makersFigure(text)).toBeNull();
    },
  );
});

describe("a carbon brush", () => {
  const size = { thickness: 12.5, width: 6.3, length: 9 };
  it("is named by its sizes, the smaller first, and does not pretend to know whether it is worn", () => {
    expect(brushMeasured(size)).toMatchObject({
      name: "carbon brush 6.3 × 12.5 × 9.0 mm",
      worn: "not known",
    });
  });
  it("is worn past its mark, at a third of a new one, or below 6 mm; the mark stands above the rest", () => {
    expect(brushMeasured({ ...size, newLength: 28 }).worn).toBe("yes");
    expect(brushMeasured({ ...size, newLength: 18 }).worn).toBe("no");
    expect(brushMeasured({ ...size, length: 5 }).worn).toBe("yes");
    expect(brushMeasured({ ...size, length: 5, toMark: 1 }).worn).toBe("no");
    expect(brushMeasured({ ...size, toMark: 0, newLength: 18 }).worn).toBe("yes");
    expect(() => brushMeasured({ ...size, length: -1 })).toThrow(/measures up to/);
  });
});

describe("screws in a row, and on a seal", () => {
  it("go from the middle outwards: whoever comes later is never nearer to it", () => {
    expect(rowOrder(5).map((s) => s.turn)).toEqual([4, 2, 1, 3, 5]);
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), (n) => {
        const row = rowOrder(n);
        const apart = [...row].sort((a, b) => a.turn - b.turn).map((s) => Math.abs(s.x - 0.5));
        expect(row.map((s) => s.turn).sort((a, b) => a - b)).toEqual(
          Array.from({ length: n }, (_, i) => i + 1),
        );
        expect(apart.every((d, i) => i === 0 || d >= (apart[i - 1] as number) - 1e-9)).toBe(true);
      }),
    );
  });
  it("a gasket or O-ring takes three passes, the last of them the whole", () => {
    expect(SEAL_PASSES.at(-1)).toBe(1);
    expect(passesInWords(2)).toMatch(/three passes.*0\.6, 1\.2, 2 N m/);
    expect(passesInWords()).toMatch(/30 %, 60 %, 100 %/);
  });
});
