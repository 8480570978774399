import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { solveTrain } from "@/core/train/solve";
import { type Mesh, type TrainInput, trainInput } from "@/core/train/train";
import { asKind, renamed } from "./change-mesh";

const KINDS = [
  "spur",
  "helical",
  "internal",
  "bevel",
  "worm",
  "crossed",
  "belt",
  "smooth-belt",
  "rollers",
  "chain",
  "planetary",
] as const;
const first: Mesh = {
  id: "m1",
  kind: "spur",
  driver: { shaft: "motor", teeth: 12, moduleMm: 0.8 },
  driven: { shaft: "out", teeth: 47 },
};

describe("a mesh of another kind", () => {
  it("is always one that the shop takes, and joins the same shafts", () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...KINDS), { minLength: 1, maxLength: 6 }), (kinds) => {
        const last = kinds.reduce<Mesh>((m, k) => asKind(m, k), first);
        expect(last.kind).toBe(kinds.at(-1));
        const train = trainInput.parse({ input: { shaft: "motor", rpm: 900 }, meshes: [last] });
        expect(solveTrain(train).shafts.map((s) => s.shaft)).toEqual(["motor", "out"]);
      }),
    );
  });

  it("keeps its ratio between teeth and diameters", () => {
    const belt = asKind(first, "smooth-belt");
    // and is asked for all the same: nobody has measured these diameters
    expect(belt).toMatchObject({
      assumed: true,
      driver: { diameterMm: 12 * 0.8 },
      driven: { diameterMm: 47 * 0.8 },
    });
    expect(asKind(first, "helical").assumed).toBeUndefined();
  });

  it("a shaft's new name reaches its clutch", () => {
    const t: TrainInput = {
      input: { shaft: "motor", rpm: 1 },
      meshes: [first],
      clutches: [{ shaft: "motor", slipsNm: 2 }],
    };
    expect(renamed(t, "motor", "armature").clutches).toEqual([{ shaft: "armature", slipsNm: 2 }]);
  });
});
