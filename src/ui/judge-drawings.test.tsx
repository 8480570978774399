import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { solveTrain } from "@/core/train/solve";
import type { TrainInput } from "@/core/train/train";
import { GearFace } from "./gear-face";
import { ReadingDrawing } from "./reading-drawing";
import { TrainDiagram } from "./train-diagram";

const count = (markup: string, what: RegExp): number => markup.match(what)?.length ?? 0;
const gear = { teeth: 24, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };

describe("faces of other kinds", () => {
  it("each look their own, with every tooth a target", () => {
    const kinds = ["spur", "bevel", "internal", "pulley", "sprocket"] as const;
    const drawn = kinds.map((kind) =>
      renderToStaticMarkup(<GearFace gear={gear} kind={kind} marks={{}} label={kind} />),
    );
    expect(new Set(drawn).size).toBe(kinds.length);
    for (const d of drawn) {
      expect(count(d, /aria-label="Tooth \d+/g)).toBe(24);
      expect(d).not.toContain("NaN");
    }
  });
  it("a rack shows its own teeth, a worm as many threads as there is room for, and both say their pitch", () => {
    expect(
      count(
        renderToStaticMarkup(<GearFace gear={{ ...gear, teeth: 14 }} kind="rack" marks={{}} label="rack" />),
        /aria-label="Tooth \d+/g,
      ),
    ).toBe(14);
    const worm = renderToStaticMarkup(<GearFace gear={gear} kind="worm" marks={{}} label="worm" />);
    expect(worm).toContain("pitch 3.14 mm");
    expect(worm).not.toContain("NaN");
  });
  it("each mark has a letter of its own", () => {
    const marks = [
      "missing",
      "broken",
      "chipped",
      "knife",
      "cracked",
      "melted",
      "worn-right",
      "worn-left",
      "corroded",
    ];
    const letters = marks.map(
      (m) =>
        /<text[^>]*font-weight="700"[^>]*>([^<]+)</.exec(
          renderToStaticMarkup(<GearFace gear={gear} marks={{ 0: m }} label="x" />),
        )?.[1],
    );
    expect(new Set(letters).size).toBe(marks.length);
    expect(letters).not.toContain(undefined);
  });
  it("another gear is laid over it with the difference between the two outlines shaded, and the picture holds both", () => {
    const over = renderToStaticMarkup(
      <GearFace gear={gear} marks={{}} over={{ ...gear, teeth: 28 }} label="x" />,
    );
    expect(over).toContain('fill-rule="evenodd"');
    const width = (markup: string): number => Number(/viewBox="[-\d.]+ [-\d.]+ ([\d.]+)/.exec(markup)?.[1]);
    expect(width(over)).toBeGreaterThan(30);
    expect(width(renderToStaticMarkup(<GearFace gear={gear} marks={{}} zoom={4} label="x" />))).toBeCloseTo(
      width(renderToStaticMarkup(<GearFace gear={gear} marks={{}} label="x" />)) / 4,
      2,
    );
  });
});

describe("how a reading is taken", () => {
  it("has a drawing for each, none like another", () => {
    const all = (["span", "tip", "pins", "centre", "helix", "count"] as const).map((drawing) =>
      renderToStaticMarkup(<ReadingDrawing next={{ drawing, teeth: 3, pinMm: 1.7 }} gear={gear} />),
    );
    expect(new Set(all).size).toBe(6);
    for (const d of all) expect(d).not.toContain("NaN");
  });
  it("the jaws stand so far apart as the span reads", () => {
    const jaws = /M-[\d.]+ [-\d.]+V[-\d.]+H([\d.]+)/.exec(
      renderToStaticMarkup(<ReadingDrawing next={{ drawing: "span", teeth: 3 }} gear={gear} />),
    );
    const half = Number(jaws?.[1]);
    expect(2 * half).toBeCloseTo(7.716, 2);
  });
});

describe("the train's diagram", () => {
  const train: TrainInput = {
    input: { shaft: "motor", rpm: 1380 },
    meshes: [
      { id: "m1", kind: "worm", driver: { shaft: "motor", teeth: 1 }, driven: { shaft: "lay", teeth: 40 } },
      { id: "m2", kind: "belt", driver: { shaft: "lay", teeth: 20 }, driven: { shaft: "out", teeth: 40 } },
    ],
  };
  it("says every shaft with its speed, and stands out where it is told to", () => {
    const drawn = renderToStaticMarkup(<TrainDiagram train={train} answer={solveTrain(train)} />);
    expect(drawn).toContain('aria-label="Train: motor 1380 rpm ↻, lay 34.5 rpm, out 17.3 rpm"');
    for (const teeth of [">1<", ">40<", ">20<"]) expect(drawn).toContain(teeth);
    expect(
      count(
        renderToStaticMarkup(<TrainDiagram train={train} answer={solveTrain(train)} lit="lay" />),
        /color-error/g,
      ),
    ).toBeGreaterThan(count(drawn, /color-error/g));
  });
  it("has its wheels as buttons where they can be pressed, and shows the one that was", () => {
    const wheels = [
      { mesh: "m1", role: "driver" as const, says: "worm" },
      { mesh: "m1", role: "driven" as const, says: "worm wheel" },
    ];
    const answer = solveTrain(train);
    const drawn = renderToStaticMarkup(
      <TrainDiagram
        train={train}
        answer={answer}
        press={{ wheels, picked: wheels[1], onPick: () => undefined }}
      />,
    );
    expect(drawn).toMatch(/role="button"[^>]*aria-label="worm" aria-pressed="false"/);
    expect(drawn).toMatch(/role="button"[^>]*aria-label="worm wheel" aria-pressed="true"/);
    // the belt's pulleys are none
    expect(count(drawn, /role="button"/g)).toBe(2);
  });
  it("a shaft that nothing settles is drawn with a question mark", () => {
    const free: TrainInput = {
      input: train.input,
      meshes: [
        {
          id: "p",
          kind: "planetary",
          sun: { shaft: "motor", teeth: 12 },
          ring: { shaft: "ring", teeth: 60 },
          carrier: { shaft: "out" },
        },
      ],
    };
    expect(renderToStaticMarkup(<TrainDiagram train={free} answer={solveTrain(free)} />)).toContain("out ?");
  });
});
