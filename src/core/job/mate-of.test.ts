import { describe, expect, it } from "vitest";
import type { Job } from "./job";
import { mateOf } from "./mate-of";

type Said = Pick<Job, "findings" | "train">;
const finding = (part: string, mate?: string): Said["findings"][number] => ({
  part,
  teeth: {},
  gear: mate ? { mate } : {},
});
const spur = (id: string, driver: string, driven: string) => ({
  id,
  kind: "spur" as const,
  driver: { shaft: "a", teeth: 12, part: driver },
  driven: { shaft: "b", teeth: 41, part: driven },
});
const trainOf = (...meshes: ReturnType<typeof spur>[]) =>
  ({ input: { shaft: "a", rpm: 1000 }, meshes }) as unknown as NonNullable<Said["train"]>;

describe("the mate of a gear", () => {
  it("is found on its bench, on the other's bench, or in the train", () => {
    expect(mateOf({ findings: [finding("p1", "p2")] }, "p1")).toBe("p2");
    expect(mateOf({ findings: [finding("p2", "p1")] }, "p1")).toBe("p2");
    expect(mateOf({ findings: [], train: trainOf(spur("m1", "p1", "p2")) }, "p2")).toBe("p1");
  });
  it("is not guessed where nobody said it, or where an idler has two", () => {
    expect(mateOf({ findings: [finding("p1")] }, "p1")).toBeUndefined();
    const idler = trainOf(spur("m1", "p1", "p2"), spur("m2", "p2", "p3"));
    expect(mateOf({ findings: [], train: idler }, "p2")).toBeUndefined();
  });
});
