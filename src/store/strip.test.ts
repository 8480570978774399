import { describe, expect, it } from "vitest";
import { loadDrafts, saveDraft } from "./drafts";
import { parcelOf } from "./job-file";
import { createJob, setHead } from "./jobs";
import { setFinding, setPartFacts } from "./judge";
import { addPicture } from "./pictures";
import { changeStep, layDown, markPicture, setOrder, slide, toggleBundle } from "./strip";
import { faultOf, grey, job, step, testShop } from "./test-shop";
import { MOST_UNDONE, undoable, undoLast } from "./undo";

testShop();

describe("the strip in the store", () => {
  it("lays steps down with parts, hardware and order, and takes the last one back", async () => {
    const number = await createJob();
    let v = await layDown(
      number,
      1,
      step({
        action: "unscrew",
        parts: [],
        hardware: [{ kind: "screw", qty: 4, thread: "M4", lengthMm: 12, at: "corners" }],
      }),
    );
    v = await layDown(number, v, step({ needs: ["s1"], bundle: "b1", facing: "hub up", marks: ["dot"] }));
    const laid = await job(number);
    expect(laid.steps.map((s) => s.id)).toEqual(["s1", "s2"]);
    expect(laid.steps[0]?.hardware).toEqual([
      { id: "h1", kind: "screw", qty: 4, thread: "M4", lengthMm: 12, at: "corners" },
    ]);
    expect(laid.steps[1]).toMatchObject({
      parts: ["p1"],
      needs: ["s1"],
      bundle: "b1",
      facing: "hub up",
      marks: ["dot"],
    });
    v = await undoLast(number, v);
    const back = await job(number);
    expect([back.steps.length, back.parts.length]).toEqual([1, 0]);
    // a number is not given twice, not even one that was taken back
    await layDown(number, v, step());
    const again = await job(number);
    expect([again.steps[1]?.id, again.steps[1]?.parts]).toEqual(["s3", ["p2"]]);
  });

  it("refuses an order that goes in a circle and keeps the old one", async () => {
    const number = await createJob();
    let v = await layDown(number, 1, step());
    v = await layDown(number, v, step({ needs: ["s1"] }));
    expect(await faultOf(setOrder(number, v, "s1", { needs: ["s2"] }))).toMatch(/circle/);
    expect((await job(number)).steps[0]?.needs).toEqual([]);
  });

  it("does not take back a step whose part is judged", async () => {
    const number = await createJob();
    let v = await layDown(number, 1, step());
    v = await setFinding(number, v, "p1", { mode: "worn" });
    expect(await faultOf(undoLast(number, v))).toMatch(/judged already/);
  });
});

describe("the recorder in the store", () => {
  it("lays a step down once, however often it is sent, and from a screen that is behind", async () => {
    const number = await createJob();
    await layDown(number, "any", step({ key: "a", needs: undefined }));
    await setHead(number, 2, { model: "X" }, "model: X");
    await layDown(number, "any", step({ key: "b", needs: undefined }));
    await layDown(number, "any", step({ key: "b", needs: undefined }));
    expect((await job(number)).steps.map((s) => s.needs)).toEqual([[], ["s1"]]);
    // another screen that began with the same draft, and recorded something else
    await layDown(number, "any", step({ key: "b", needs: undefined, title: "another wheel" }));
    expect((await job(number)).steps).toHaveLength(3);
  });

  it("refuses a step that is sent again by itself where it was changed meanwhile, and lays it down where it never arrived", async () => {
    const number = await createJob();
    let v = await layDown(number, "any", step({ key: "a", title: "wheel" }), { again: true });
    // it had arrived: nothing more lies there
    v = await layDown(number, "any", step({ key: "a", title: "wheel" }), { again: true });
    v = await changeStep(number, v, "s1", step({ key: "edit", title: "big wheel" }));
    expect(
      await faultOf(layDown(number, "any", step({ key: "a", title: "wheel" }), { again: true })),
    ).toMatch(/^big wheel \(step 1\) lies on the Mat already, but says something else there/);
    expect((await job(number)).steps).toHaveLength(1);
    // by hand it is another step
    await layDown(number, "any", step({ key: "a", title: "wheel" }));
    expect((await job(number)).steps).toHaveLength(2);
  });

  it("forgets the draft of the step that was laid down, and not that of the next, which was begun meanwhile", async () => {
    const number = await createJob();
    const { id } = await job(number);
    await saveDraft(number, "strip.step", { key: "b", what: "begun meanwhile" });
    await layDown(number, "any", step({ key: "a" }));
    expect(await loadDrafts(id)).toEqual({ "strip.step": { key: "b", what: "begun meanwhile" } });
    await layDown(number, "any", step({ key: "b" }));
    expect(await loadDrafts(id)).toEqual({});
  });

  it("ties pictures to their step, whether they arrive before it is laid down or after", async () => {
    const number = await createJob();
    const before = await addPicture(number, await grey(90, 60).jpeg().toBuffer(), {
      role: "step",
      key: "k1",
      stepKey: "a",
    });
    await layDown(number, "any", step({ key: "a" }));
    const after = await addPicture(number, await grey(91, 60).jpeg().toBuffer(), {
      role: "step",
      key: "k2",
      stepKey: "a",
    });
    const twice = await addPicture(number, await grey(91, 60).jpeg().toBuffer(), {
      role: "step",
      key: "k2",
      stepKey: "a",
    });
    expect(twice.picture.name).toBe(after.picture.name);
    expect((await job(number)).steps[0]?.pictures).toEqual([before.picture.name, after.picture.name]);
  });

  it("carries every fact of a step, and the stack by its pieces", async () => {
    const number = await createJob();
    const full = step({
      hardware: [
        { kind: "wavy-washer", qty: 2, at: "above" },
        {
          kind: "screw",
          qty: 1,
          thread: "M6",
          leftHand: true,
          form: "socket",
          finish: "black",
          locker: "blue",
          state: "broken",
        },
        { kind: "plug", qty: 1, label: "J3", poles: 2 },
      ],
      parts: [{ name: "wheel", kind: "gear", state: "broken" }],
      stack: ["h0", "p0"],
      held: ["dowels"],
      freed: { how: "heat", tool: "hot-air gun", standIn: true },
      timing: { pin: "tooth", turns: 1.5 },
      cautions: ["hot"],
      doNotUndo: "the worm's lock nut",
      tray: "B3",
      tools: ["TX15"],
      wires: [{ colour: "brown", to: "L" }],
    });
    await layDown(number, 1, full);
    const { parts: _p, stack: _s, ...facts } = full;
    expect((await job(number)).steps[0]).toMatchObject({ ...facts, parts: ["p1"], stack: ["h1", "p1"] });
    expect((await job(number)).parts[0]?.state).toBe("broken");
  });

  it("changes a step that lies there, and keeps the ids that findings hang on", async () => {
    const number = await createJob();
    let v = await layDown(number, 1, step({ parts: [{ name: "wheel" }, { name: "key" }], facing: "hub up" }));
    v = await setFinding(number, v, "p2", { mode: "worn" });
    expect(await faultOf(changeStep(number, v, "s1", step({ parts: [{ name: "wheel" }] })))).toMatch(
      /judged already/,
    );
    v = await changeStep(
      number,
      v,
      "s1",
      step({ parts: [{ name: "key" }, { name: "big wheel" }], hardware: [{ kind: "pin", qty: 1 }] }),
    );
    const changed = await job(number);
    expect(changed.steps[0]).toMatchObject({ parts: ["p2", "p1"], hardware: [{ kind: "pin", qty: 1 }] });
    expect(changed.steps[0]?.facing).toBeUndefined();
    expect(changed.parts.map((p) => p.name)).toEqual(["big wheel", "key"]);
  });

  it("changes a step, and what somebody said its part is stands; what was guessed follows the name", async () => {
    const number = await createJob();
    let v = await layDown(
      number,
      1,
      step({
        parts: [
          { name: "motor gear", kind: "motor" },
          { name: "cover", kind: "cover" },
        ],
      }),
    );
    v = await setPartFacts(number, v, "p1", { kind: "gear" });
    await changeStep(
      number,
      v,
      "s1",
      step({
        parts: [
          { name: "motor gear 1", kind: "motor" },
          { name: "cover bearing", kind: "bearing" },
        ],
      }),
    );
    expect((await job(number)).parts.map((p) => p.kind)).toEqual(["gear", "bearing"]);
  });

  it("slides a late step to its place, and takes the last ten actions back one by one", async () => {
    const number = await createJob();
    let v = 1;
    for (let i = 0; i < 5; i++)
      v = await layDown(number, v, step({ needs: undefined, parts: [{ name: `part ${i}` }] }));
    v = await slide(number, v, "s5", 1);
    expect((await job(number)).steps.map((s) => [s.id, s.needs?.[0]])).toEqual([["s1", undefined], ["s5", "s1"], ["s2", "s5"], ["s3", "s2"], ["s4", "s3"]]); // biome-ignore format: as they lie
    v = await toggleBundle(number, v, "s2", "s5");
    expect((await job(number)).steps.map((s) => s.bundle)).toEqual([
      undefined,
      "b1",
      "b1",
      undefined,
      undefined,
    ]);
    v = await undoLast(number, v);
    v = await undoLast(number, v);
    expect((await job(number)).steps.map((s) => s.id)).toEqual(["s1", "s2", "s3", "s4", "s5"]);
    for (let i = 0; i < MOST_UNDONE + 3; i++) v = await layDown(number, v, step({ needs: undefined }));
    expect(await undoable((await job(number)).id)).toHaveLength(MOST_UNDONE);
    for (let i = 0; i < MOST_UNDONE; i++) v = await undoLast(number, v);
    expect((await job(number)).steps).toHaveLength(8);
    expect(await faultOf(undoLast(number, v))).toBe("there is nothing to take back");
  });

  it("keeps marks beside a picture, which itself stays as it is", async () => {
    const number = await createJob();
    const { picture, version } = await addPicture(number, await grey(99, 60).jpeg().toBuffer(), {
      role: "intake",
    });
    const marks = [
      { kind: "arrow" as const, from: [0.1, 0.2] as [number, number], to: [0.5, 0.5] as [number, number] },
    ];
    await markPicture(number, version, picture.name, marks);
    expect((await job(number)).pictures[0]).toMatchObject({ sha256: picture.sha256, marks });
    expect((await parcelOf(number)).file.pictureMarks).toEqual({ [picture.name]: marks });
  });
});
