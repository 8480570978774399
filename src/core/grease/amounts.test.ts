import { describe, expect, it } from "vitest";
import { roomAmounts } from "./amounts";
import type { LubePlace, LubeRoom } from "./lube-ask";

const teeth: LubePlace = { id: "g1", kind: "gear-teeth", toothVolumeMl: 2, speed: "slow" };
const room: LubeRoom = {
  id: "c1",
  name: "gear case",
  filling: "grease",
  points: [],
  freeVolumeMl: 200,
  makersGrams: null,
  coldestC: 5,
  hottestC: 70,
  seals: [],
  materials: [],
  old: null,
};
const ground = (more: Partial<LubeRoom>): string =>
  roomAmounts({ school: "measured" }, { ...room, ...more }, [teeth], 0.9).by?.says ?? "";

describe("two grounds that do not agree", () => {
  it("are told: what came out, or went into the last unit, beside what the rule gives", () => {
    expect(ground({ oldGrams: 170 })).toMatch(/; yet 170 g came out of it: it was packed full, or a size/);
    expect(ground({ oldGrams: 4 })).toMatch(/; yet only 4 g came out of it: it was half empty, or a size/);
    expect(ground({ lastUnit: { number: "J-0031", grams: 170 } })).toMatch(/170 g went into J-0031/);
  });
  it("are not made of what agrees, or of nothing", () => {
    expect(ground({})).not.toMatch(/yet/);
    expect(ground({ oldGrams: 80 })).not.toMatch(/yet/);
  });
});
