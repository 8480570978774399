import { describe, expect, it } from "vitest";
import type { PartSpec, RingSpec } from "../catalogue/part-spec";
import { ringVerdict, type WantedRing } from "./ring-verdict";
import { sizesVerdict, type WantedSizes } from "./sizes-verdict";
import { toothMaterial } from "./tooth-material";
import { wholeVerdict } from "./verdict";

const ring = (wanted: Partial<WantedRing>, offered: Partial<RingSpec>) =>
  wholeVerdict(
    ringVerdict({ kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, ...wanted }, {
      kind: "bearing",
      insideMm: 8,
      outsideMm: 22,
      widthMm: 7,
      ...offered,
    } as RingSpec),
  );
const sizes = (wanted: WantedSizes, offered: PartSpec) => wholeVerdict(sizesVerdict(wanted, offered));

describe("what is of the same size and does not simply drop in", () => {
  it("an O-ring or seal of another rubber, a bush of another metal: the material is to be settled", () => {
    const oRing = (material: string) =>
      sizes(
        { kind: "o-ring", sizes: { insideMm: 20, sectionMm: 2.5 }, seen: { material: "NBR" } },
        { kind: "o-ring", insideMm: 20, sectionMm: 2.5, material },
      );
    expect(oRing("NBR")).toBe("drop-in");
    expect(oRing("EPDM")).toBe("possible");
    const seal = { kind: "seal", material: "NBR" } as const;
    expect(ring(seal, { ...seal, material: "silicone" })).toBe("possible");
    const bush = { kind: "bush", material: "sintered bronze" } as const;
    expect(ring(bush, { ...bush, material: "PA" })).toBe("possible");
    expect(ring(bush, { kind: "bush" })).toBe("possible");
    expect(ring(bush, bush)).toBe("drop-in");
  });
  it("glass-filled for plain nylon: a stronger fuse, and a file to its mate", () => {
    expect(toothMaterial("PA66", "PA66-GF30")?.verdict).toBe("settle");
    expect(toothMaterial("PA66-GF30", "PA6")?.verdict).toBe("settle");
    expect(toothMaterial("PA", "PA66")?.verdict).toBe("same");
  });
  it("a seal that touches instead of a shield: its speed is to be settled", () => {
    expect(ring({ closure: "2Z" }, { closure: "2RS" })).toBe("possible");
    expect(ring({ closure: "2Z" }, { closure: "2Z" })).toBe("drop-in");
  });
  it("a switch for less voltage or current burns; one whose old rating nobody read is asked about", () => {
    const offered = (volts: number, amps: number): PartSpec => ({ kind: "switch", volts, amps, poles: 2 });
    const was = (seen: Record<string, string>): WantedSizes => ({
      kind: "switch",
      sizes: { poles: 2 },
      seen,
    });
    const plate = was({ volts: "250 V~", amps: "16" });
    expect(sizes(plate, offered(125, 6))).toBe("no");
    expect(sizes(plate, offered(250, 6))).toBe("no");
    expect(sizes(plate, offered(250, 16))).toBe("drop-in");
    expect(sizes(plate, offered(400, 20))).toBe("drop-in");
    // of two that are printed the larger counts
    expect(sizes(was({ volts: "125/250 V", amps: "16(4)" }), offered(250, 6))).toBe("no");
    expect(sizes(was({ volts: "125/250 V", amps: "16(4)" }), offered(250, 16))).toBe("drop-in");
    expect(sizes(was({}), offered(250, 16))).toBe("possible");
  });
  it("a brush that is off by its tolerance exactly is within it", () => {
    expect(
      sizes(
        { kind: "brush", sizes: { lengthMm: 15, widthMm: 6.3, thicknessMm: 6.3 }, seen: {} },
        { kind: "brush", lengthMm: 15, widthMm: 6.4, thicknessMm: 6.3 },
      ),
    ).toBe("drop-in");
  });
});
