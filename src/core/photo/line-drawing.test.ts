import { describe, expect, it } from "vitest";
import { drawnGears, tilted } from "./drawn-gear";
import { filledDrawing } from "./line-drawing";
import { type Picture, planesOf } from "./picture";
import { readGear } from "./read-gear";

/** Only the edge of what is dark: a pixel with paper within `thick` pixels of it. */
function outlined({ width, height, data }: Picture, thick: number): Picture {
  const out = new Uint8ClampedArray(data.length).fill(255);
  const dark = (x: number, y: number): boolean =>
    (data[
      (Math.min(height - 1, Math.max(0, y)) * width + Math.min(width - 1, Math.max(0, x))) * 4
    ] as number) < 128;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (
        dark(x, y) &&
        !(dark(x - thick, y) && dark(x + thick, y) && dark(x, y - thick) && dark(x, y + thick))
      )
        for (let c = 0; c < 3; c++) out[(y * width + x) * 4 + c] = 30;
  return { width, height, data: out };
}
const sketch = (teeth: number, missing: readonly number[] = []): Picture =>
  outlined(
    drawnGears(640, 480, [{ teeth, plane: tilted(310, 250, 190), missing, colour: [20, 20, 20] }], {
      bench: [255, 255, 255],
      noise: 0,
    }),
    2,
  );

describe("a drawing in lines", () => {
  it.each([11, 24, 47])("of a gear of %i teeth is read like a picture of one", (teeth) => {
    expect(readGear(sketch(teeth)).answer).toMatchObject({ teeth, missing: { count: 0 } });
  });

  it("shows where teeth are gone", () => {
    expect(
      readGear(sketch(32, [4, 5, 20]))
        .answer.missing.runs.map((r) => r.length)
        .sort(),
    ).toEqual([1, 2]);
  });

  it("is left as it is where its lines enclose nothing", () => {
    const lines = planesOf(
      drawnGears(640, 480, [], {
        bench: [255, 255, 255],
        noise: 0,
        cover: (x, y) => (y % 60 < 3 && x > 40 && x < 600 ? [0, 0, 0] : null),
      }),
    );
    expect(filledDrawing(lines)).toBe(lines);
  });

  it("is not made of a photograph, whose ground changes with the light", () => {
    const photo = planesOf(
      drawnGears(640, 480, [{ teeth: 24, plane: tilted(310, 250, 60), colour: [20, 20, 20] }], {
        cover: (x, y) => (Math.hypot(x - 310, y - 250) > 70 ? [200 - x / 12, 200 - y / 12, 190] : null),
      }),
    );
    expect(filledDrawing(photo)).toBe(photo);
  });
});
