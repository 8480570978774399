import { describe, expect, it } from "vitest";
import { readWith } from "../fault";
import { nextNumber, type PictureMark, pictureMarkSchema } from "./picture-mark";

const read = (mark: unknown): PictureMark => readWith(pictureMarkSchema, mark);

describe("marks on a picture", () => {
  it.each([
    { kind: "arrow", from: [0, 0], to: [1, 1] },
    { kind: "ring", at: [0.5, 0.5], radius: 0.1 },
    { kind: "number", at: [0.2, 0.8], n: 3 },
    { kind: "word", at: [0.2, 0.8], says: "flat faces motor" },
  ] as const)("are data: $kind", (mark) => {
    expect(read(mark)).toEqual(mark);
  });
  it.each([
    [{ kind: "word", at: [0, 0], says: "" }, /a word mark needs its word/],
    [{ kind: "ring", at: [0, 0], radius: 0 }, /radius/],
    [{ kind: "arrow", from: [0, 0], to: [9, 0] }, /to/],
    [{ kind: "blot", at: [0, 0] }, /kind/],
    [{ kind: "number", at: [0, 0], n: 1, colour: "red" }, /does not know the key "colour"/],
  ])("are refused with their place: %j", (mark, says) => {
    expect(() => read(mark)).toThrow(says);
  });
  it("count on from the highest number there is", () => {
    expect(nextNumber([])).toBe(1);
    expect(nextNumber([{ kind: "number", at: [0, 0], n: 4 }, { kind: "ring", at: [0, 0], radius: 0.1 }, { kind: "number", at: [0, 0], n: 2 }])).toBe(5); // biome-ignore format: three marks
  });
});
