import { describe, expect, it } from "vitest";
import { gearDimensions, spanOver } from "./index";
import { backlashChoices, makingNotes, type WayFacts, waysWithoutPart } from "./making";
import { type GearToMake, gearSection } from "./solid";

const wheel: GearToMake = {
  teeth: 41,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 18,
  profileShift: 0,
  hand: "right",
  faceWidthMm: 11,
  boreMm: 8,
  boreForm: "cross slot",
};
const facts: WayFacts = {
  mode: "missing-teeth",
  plastic: true,
  load: "light",
  safety: false,
  hot: false,
  donors: 0,
  missing: [],
};
const way = (name: string, more: Partial<WayFacts> = {}) => {
  const found = waysWithoutPart({ ...facts, ...more }).find((w) => w.way === name);
  if (!found) throw new Error(name);
  return found;
};

describe("the notes for making a gear", () => {
  const notes = Object.fromEntries(makingNotes(wheel, "PA").map((n) => [n.what, n]));
  it("have the numbers it is cut by and the sizes it is checked by", () => {
    expect(notes["tip diameter"]?.figure).toBe(`${gearDimensions(wheel).tipDiameterMm.toFixed(2)} mm`);
    const span = Object.keys(notes).find((n) => n.startsWith("span over"));
    expect(notes[span as string]?.figure).toBe(`${spanOver(wheel, Number(span?.slice(10))).toFixed(3)} mm`);
    // 11 tan 18° / (41/(2 cos 18°)) = 9.50°
    expect(notes.helix).toMatchObject({
      figure: "18° right",
      says: "turns by 9.50° over its face, anticlockwise going up",
    });
  });
  it("have the span and the tip that the file has, thinned or pointed", () => {
    const thin = makingNotes({ ...wheel, thinnedMm: 0.15 }, "PA").find((n) => n.what.startsWith("span over"));
    expect(Number(thin?.figure.slice(0, -3))).toBeCloseTo(
      spanOver(wheel, Number(thin?.what.slice(10))) - 0.15,
      3,
    );
    expect(thin?.says).toMatch(/as drawn, thinned by 0.15 mm/);
    const pointed = { ...wheel, teeth: 8, profileShift: 0.8, helixAngleDeg: 0, boreMm: 3 };
    const tip = makingNotes(pointed).find((n) => n.what === "tip diameter");
    expect(tip?.says).toMatch(/would come to a point/);
    const drawn = 2 * Math.max(...gearSection(pointed).outer.map(([x, y]) => Math.hypot(x, y)));
    expect(tip?.figure).toBe(`${drawn.toFixed(2)} mm`);
  });
  it("a gear that is made has backlash unless somebody says otherwise: more for a printer", () => {
    const [cut, printer, coarse, none] = backlashChoices(1);
    expect([cut?.thinnedMm, printer?.thinnedMm, coarse?.thinnedMm, none?.thinnedMm]).toEqual([
      0.05, 0.15, 0.25, 0,
    ]);
    expect(backlashChoices(4)[0]?.thinnedMm).toBe(0.1);
  });
  it("say what the files do not", () => {
    expect(notes.bore?.says).toMatch(/slot is drawn through/);
    expect(notes["old material"]?.says).toMatch(/fuse of the train/);
    expect(makingNotes({ ...wheel, helixAngleDeg: 0 }).some((n) => n.what === "helix")).toBe(false);
  });
});

describe("where no part is available", () => {
  it("teeth are not bonded, a hub may be, where nobody is hurt by it", () => {
    expect(way("bond").barred).toBe(true);
    expect(way("bond", { mode: "cracked-hub" }).barred).toBe(false);
    expect(way("bond", { mode: "cracked-hub", safety: true }).barred).toBe(true);
    expect(
      way("bond", { mode: "cracked-hub", hot: true, load: "daily" }).reasons.filter((r) => r.against),
    ).toHaveLength(3);
  });
  it("a donor needs a unit that was given up", () => {
    expect(way("donor").barred).toBe(true);
    expect(way("donor", { donors: 2 })).toMatchObject({
      barred: false,
      reasons: [{ says: expect.stringMatching(/^2 of this model were not repaired/) }, expect.anything()],
    });
  });
  it("it can be made once its numbers are complete", () => {
    expect(way("make").barred).toBe(false);
    expect(way("make", { missing: ["bore", "face width"] }).reasons[0]?.says).toBe(
      "measure first: bore, face width",
    );
  });
});
