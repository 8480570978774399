import { describe, expect, it } from "vitest";
import { oilClass } from "./oil-class";

describe("the class on an oil's tin", () => {
  it.each([
    ["ISO VG 220", { viscosityMm2s: 220 }],
    ["Wren VG68 bearing oil", { viscosityMm2s: 68 }],
    ["SAE 30, non-detergent", { viscosityMm2s: 100 }],
    ["10W-40", { viscosityMm2s: 95 }],
    ["gear oil 80W90 GL-4", { viscosityMm2s: 145, ep: true }],
    ["hypoid SAE 80W-90 GL-5", { viscosityMm2s: 145, ep: true, activeSulphur: true }],
    ["worm gear oil GL-1", { ep: false }],
    ["clock oil", {}],
    ["SAE 15", {}],
  ])("%s", (text, told) => expect(oilClass(text)).toEqual(told));
});
