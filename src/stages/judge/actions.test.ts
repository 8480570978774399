import { describe, expect, it, vi } from "vitest";
import { gearDimensions, spanOver } from "@/core/gear/index";
import { isPlastic } from "@/core/hardware/material";
import { PART_MATERIALS } from "@/core/job/part-material";
import { MATERIALS } from "@/core/train/materials";
import { jobHistory } from "@/store/change";
import { addPicture } from "@/store/pictures";
import { grey, job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import {
  acceptName,
  saveCauses,
  saveFinding,
  saveGearNotes,
  saveLook,
  saveMarks,
  savePart,
  savePhotoCount,
  strikeReading,
  takeReading,
} from "./actions";
import { judgeView } from "./judge-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const read = (
  number: string,
  what: string,
  typed: string,
  more: { unit?: "mm" | "in"; teeth?: number } = {},
) => press(takeReading, number, { part: "p2", what, typed, unit: "mm", source: "typed", ...more });
const finding = async (number: string) => (await job(number)).findings.find((f) => f.part === "p2");

describe("a switch", () => {
  it("is compared by what is printed on it; a rating without a figure is refused with a sentence", async () => {
    const number = await pumpAt("judge");
    await press(savePart, number, { part: "p2", kind: "switch" });
    expect(refusal(await press(saveLook, number, { part: "p2", key: "volts", says: "abc" }))).toContain(
      "“abc” has no figure",
    );
    await press(saveLook, number, { part: "p2", key: "volts", says: "250 V~" });
    expect((await finding(number))?.gear.looks).toEqual({ volts: "250 V~" });
  });
});

describe("a reading as it is typed", () => {
  it.each<[string, string, "mm" | "in", number]>([
    ["bore", "6,02", "mm", 6.02],
    ["bore", "1/4 in", "mm", 6.35],
    ["tip diameter", "1 3/16", "in", 30.1625],
    ["helix angle", "18°", "in", 18],
  ])("%s “%s” is taken for what it is", async (what, typed, unit, value) => {
    const number = await pumpAt("judge");
    expect(await read(number, what, typed, { unit })).toMatchObject({ ok: true });
    expect((await job(number)).readings).toMatchObject([
      { part: "p2", what, value: expect.closeTo(value, 9) },
    ]);
  });
  it.each([
    ["bore", "eight", /typed: “eight” is no length/],
    ["helix angle", "steep", /typed: “steep” is no angle/],
    ["bore", "4000", /cannot be: it lies between/],
    ["bore", "-3", /typed: /],
    ["shoe size", "43", /what: There is no reading called shoe size/],
    ["bore", "6".repeat(81), /longer than 80 characters/],
  ])("%s “%s” is refused with a sentence, and nothing is kept", async (what, typed, says) => {
    const number = await pumpAt("judge");
    expect(refusal(await read(number, what, typed))).toMatch(says);
    expect((await job(number)).readings).toEqual([]);
  });
  it("is told in its unit, and struck by its name", async () => {
    const number = await pumpAt("judge");
    await read(number, "helix angle", "18");
    expect((await jobHistory(number))[0]?.what).toBe("drive wheel: helix angle 18 ° (typed)");
    await press(strikeReading, number, { part: "p2", what: "helix angle" });
    expect((await job(number)).readings).toEqual([]);
  });
});

describe("a gear that is named", () => {
  const gear = { teeth: 24, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
  it("by its readings: worked out again when it is accepted, gone when a tooth's reading changes", async () => {
    const number = await pumpAt("judge");
    expect(refusal(await press(acceptName, number, { part: "p2", which: 0 }))).toMatch(
      /^readings: Not enough is measured to name it/,
    );
    await press(saveGearNotes, number, { part: "p2", notes: { kind: "spur", teeth: 24 } });
    await read(number, "tip diameter", gearDimensions(gear).tipDiameterMm.toFixed(2));
    for (const teeth of [3, 4]) await read(number, "span", spanOver(gear, teeth).toFixed(2), { teeth });
    expect(refusal(await press(acceptName, number, { part: "p2", which: 20 }))).toMatch(
      /^which: That name no longer fits/,
    );
    expect(await press(acceptName, number, { part: "p2", which: 0 })).toMatchObject({ ok: true });
    expect((await finding(number))?.identity).toMatchObject({ teeth: 24, moduleMm: 1 });
    await read(number, "span", "12", { teeth: 5 });
    expect((await finding(number))?.identity).toBeUndefined();
  });
  it("with three teeth is a worm or a slip", async () => {
    const number = await pumpAt("judge");
    expect(refusal(await press(saveGearNotes, number, { part: "p2", notes: { teeth: 3 } }))).toBe(
      "notes.teeth: A gear has 4 teeth or more; only a worm has fewer",
    );
    expect(
      await press(saveGearNotes, number, { part: "p2", notes: { teeth: 3, kind: "worm" } }),
    ).toMatchObject({ ok: true });
    expect((await finding(number))?.gear).toMatchObject({ teeth: 3, kind: "worm" });
    expect((await jobHistory(number))[0]?.what).toBe("drive wheel: kind: worm, teeth: 3");
    await press(saveGearNotes, number, { part: "p2", notes: { mate: "p3", arcPitches: null, drives: true } });
    expect((await jobHistory(number))[0]?.what).toBe(
      "drive wheel: mate: shaft seal, drives: yes, pitches in the arc: taken back",
    );
    expect(refusal(await press(saveGearNotes, number, { part: "p2", notes: { mate: "p77" } }))).toBe(
      "part: Is not among the job’s parts any more",
    );
  });
});

describe("what failed", () => {
  it("goes back new, shows what can be done about it, and is told by its name", async () => {
    const number = await pumpAt("judge");
    await press(saveFinding, number, { part: "p2", mode: "missing-teeth" });
    const view = await judgeView(number);
    const wheel = view?.parts.find((p) => p.id === "p2");
    expect(wheel).toMatchObject({
      name: "drive wheel",
      renew: true,
      step: 3,
      finding: { mode: "missing-teeth" },
      pictureWords: "as it came off",
    });
    expect(view?.parts[0]).toMatchObject({
      name: "pump lid",
      step: 2,
      pictureWords: "facing: arrow to the outlet",
    });
    expect(Object.keys(view?.fates ?? {})).toEqual(["p2"]);
    expect(view?.fates.p2?.length).toBeGreaterThan(2);
    expect((await jobHistory(number))[0]?.what).toMatch(/^drive wheel: /);
  });
  it("shows the picture that was taken of it rather than that of its step, and the last of several", async () => {
    const number = await pumpAt("judge");
    const shot = async (shade: number) =>
      grey(80, 60 + shade)
        .jpeg()
        .toBuffer();
    const of = async () => (await judgeView(number))?.parts.find((p) => p.id === "p2");
    const step = (await addPicture(number, await shot(1), { role: "step", step: "s3" })).picture;
    await addPicture(number, await shot(2), { role: "step", step: "s3" });
    expect((await of())?.picture?.url).toContain(step.sha256);
    await addPicture(number, await shot(3), { role: "finding", part: "p2" });
    const last = (await addPicture(number, await shot(4), { role: "finding", part: "p2" })).picture;
    expect(await of()).toMatchObject({
      pictureWords: "as it was found",
      picture: { url: expect.stringContaining(last.sha256) },
    });
  });
  it("on a part that was taken back meanwhile is refused, and leaves nothing", async () => {
    const number = await pumpAt("judge");
    for (const refused of [
      press(saveFinding, number, { part: "p77", mode: "worn" }),
      press(saveMarks, number, { part: "p77", teeth: [1], mark: "missing" }),
    ])
      expect(refusal(await refused)).toBe("part: Is not among the job’s parts any more");
    expect((await job(number)).findings).toEqual([]);
  });
});

describe("what else is said", () => {
  it("marks teeth, and takes a mark away; an unknown mark is refused", async () => {
    const number = await pumpAt("judge");
    await press(saveMarks, number, { part: "p2", teeth: [3, 4], mark: "missing" });
    await press(saveMarks, number, { part: "p2", teeth: [3], mark: null });
    expect((await finding(number))?.teeth).toEqual({ 4: "missing" });
    expect(refusal(await press(saveMarks, number, { part: "p2", teeth: [1], mark: "sad" }))).toMatch(
      /^mark: /,
    );
    expect(refusal(await press(saveMarks, number, { part: "p2", teeth: [-1], mark: "missing" }))).toMatch(
      /^teeth\[0\]: /,
    );
  });
  it("keeps the technician's own verdict, in words and by cause", async () => {
    const number = await pumpAt("judge");
    await press(saveCauses, number, { chosen: ["worn-mate"] });
    await press(saveCauses, number, { words: "sand in the case" });
    expect((await job(number)).causes).toMatchObject({ chosen: ["worn-mate"], words: "sand in the case" });
  });
  it("takes no count from a picture that the job does not have", async () => {
    const number = await pumpAt("judge");
    const count = { picture: "0009.jpg", teeth: 24, missing: [], broken: [], certainty: 0.9, sizes: [] };
    expect(refusal(await press(savePhotoCount, number, { part: "p2", ...count }))).toBe(
      "picture: That picture is not among the job's any more",
    );
    expect((await job(number)).findings).toEqual([]);
  });
});

describe("what a part is", () => {
  const part = async (number: string, id = "p2") => (await judgeView(number))?.parts.find((p) => p.id === id);
  it("is what somebody said, and taken back it is what the name says: nothing, where another kind shares it", async () => {
    const number = await pumpAt("judge", {
      parts: [{ id: "p1" }, { id: "p2", name: "gear housing", kind: "gear" }, { id: "p3" }],
    });
    expect(await part(number)).toMatchObject({ kind: "gear" });
    expect(await press(savePart, number, { part: "p2", kind: "housing" })).toMatchObject({ ok: true });
    expect(await part(number)).toMatchObject({ kind: "housing", kindSaid: true });
    expect((await jobHistory(number))[0]?.what).toBe("gear housing: kind housing");
    await press(savePart, number, { part: "p2", kind: null });
    const back = await part(number);
    expect([back?.kind, back?.kindSaid]).toEqual([undefined, undefined]);
    expect(refusal(await press(savePart, number, { part: "p2", kind: "teapot" as "gear" }))).toMatch(
      /^kind: /,
    );
    expect(refusal(await press(savePart, number, { part: "p9", kind: "gear" }))).toBe(
      "part: Is not among the job’s parts any more",
    );
  });
  it("and what it is made of", async () => {
    const number = await pumpAt("judge", {
      parts: [
        { id: "p1", name: "lid" },
        { id: "p2", name: "drive wheel" },
        { id: "p3", name: "seal" },
      ],
    });
    for (const [id, material] of [["p1", "PC"], ["p2", "PA66-GF30"], ["p3", "EPDM"]]) await press(savePart, number, { part: id as string, material: material as string }); // biome-ignore format: three parts
    expect((await job(number)).parts.map((p) => p.material)).toEqual(["PC", "PA66-GF30", "EPDM"]);
    expect((await jobHistory(number))[0]?.what).toBe("seal: made of EPDM rubber");
    await press(savePart, number, { part: "p1", material: null });
    expect(await part(number, "p1")).not.toHaveProperty("material", "PC");
    expect(refusal(await press(savePart, number, { part: "p1", material: "cheese" }))).toMatch(/^material: /);
  });
  it("every material that can be chosen is known for what it is", () => {
    for (const { material } of PART_MATERIALS) {
      const rubber = ["NBR", "EPDM", "FKM", "silicone"].includes(material);
      const metal = MATERIALS.some((m) => m.material === material && !m.plastic) || material === "aluminium";
      expect([material, isPlastic(material)]).toEqual([
        material,
        !rubber && !metal && material !== "felt" && material !== "paper",
      ]);
    }
  });
});
