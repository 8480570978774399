import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { solveTrain } from "./solve";
import type { Mesh, TrainInput } from "./train";

type V = readonly [number, number, number];
const cross = (a: V, b: V): V => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const ways = fc.constantFrom("clockwise" as const, "anticlockwise" as const);
const hands = fc.constantFrom("right" as const, "left" as const);
const seenOf = (t: TrainInput, shaft: string) => solveTrain(t).shafts.find((s) => s.shaft === shaft)?.turning;

describe("which way a shaft is seen to turn", () => {
  it("a worm and its wheel agree with the motion of the thread in space", () => {
    fc.assert(
      fc.property(
        ways,
        hands,
        hands,
        fc.constantFrom("worm" as const, "crossed" as const),
        (turns, hand, endAt, kind) => {
          const mesh: Mesh = {
            id: "w",
            kind,
            driver: { shaft: "motor", teeth: 6 },
            driven: { shaft: "out", teeth: 30 },
            hand,
            endAt,
          };
          const got = seenOf({ input: { shaft: "motor", rpm: 1000, turns }, meshes: [mesh] }, "out");
          // the eye looks along −z at the wheel, x to the right, y up; the worm lies along x below it. Its
          // seen end is at x = −∞ (left) or +∞
          const looks = endAt === "left" ? 1 : -1;
          // clockwise, looking along an axis, is positive about that direction
          const omega = (turns === "clockwise" ? 1 : -1) * looks;
          // a right-hand thread: x = p θ/2π about +x; turned by ω the crest at a fixed place moves by −p ω/2π
          const crest = -omega * (hand === "right" ? 1 : -1);
          // the rim at (0, −1) moves with the crest; ω_wheel about z: v = ω × r
          const v = cross([0, 0, 1], [0, -1, 0])[0];
          const wheel = crest / v;
          // looking along −z, clockwise is positive about −z
          expect(got?.clockwise).toBe(wheel < 0);
        },
      ),
    );
  });

  it("two bevels agree with the motion of the tooth between them", () => {
    fc.assert(
      fc.property(ways, fc.constantFrom("back" as const, "teeth" as const), (turns, seenFrom) => {
        const mesh: Mesh = {
          id: "b",
          kind: "bevel",
          driver: { shaft: "motor", teeth: 12 },
          driven: { shaft: "out", teeth: 30 },
          seenFrom,
        };
        const got = seenOf({ input: { shaft: "motor", rpm: 1000, turns }, meshes: [mesh] }, "out");
        // the apex in the middle, the driver's body at −x with its back to the eye that looks along +x; the
        // driven one's at −y
        const omega = (turns === "clockwise" ? 1 : -1) * (seenFrom === "back" ? 1 : -1);
        const contact: V = [-12, -30, 0];
        const v = cross([omega, 0, 0], contact)[2];
        const driven = v / cross([0, 1, 0], contact)[2];
        expect(got?.clockwise).toBe(driven > 0);
      }),
    );
  });

  it("parallel shafts behind a worm go on from its wheel; without hand or side nothing is said beyond it", () => {
    const t = (more: object): TrainInput => ({
      input: { shaft: "motor", rpm: 1000, turns: "clockwise" },
      meshes: [
        {
          id: "a",
          kind: "spur",
          driver: { shaft: "motor", teeth: 10 },
          driven: { shaft: "worm", teeth: 20 },
        },
        {
          id: "w",
          kind: "worm",
          driver: { shaft: "worm", teeth: 1 },
          driven: { shaft: "lay", teeth: 30 },
          ...more,
        },
        { id: "b", kind: "spur", driver: { shaft: "lay", teeth: 10 }, driven: { shaft: "out", teeth: 20 } },
      ],
    });
    const told = t({ hand: "right", endAt: "left" });
    expect(seenOf(told, "worm")).toEqual({ clockwise: false, seen: "seen from the free end of motor" });
    expect(seenOf(told, "lay")?.clockwise).toBe(false);
    expect(seenOf(told, "out")).toEqual({
      clockwise: true,
      seen: "looking at the wheel on lay with the worm below",
    });
    expect(seenOf(t({ hand: "right" }), "lay")).toBeUndefined();
    expect(seenOf(t({}), "out")).toBeUndefined();
    expect(seenOf({ ...told, input: { shaft: "motor", rpm: 1000 } }, "motor")).toBeUndefined();
  });
});
