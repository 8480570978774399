import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { HardwareFacts } from "../hardware/piece";
import type { Job } from "../job/job";
import { differences, follow, ghostOf, hardwareTotals } from "./ghost";

const called = (...titles: string[]) => titles.map((title) => ({ title, what: title }));

describe("following the last unit of the model", () => {
  it("goes on where the last step was found again, and says what was passed over", () => {
    const ghost = called("Lid", "Spring", "Wheel", "Washer");
    expect(follow(ghost, [])).toMatchObject({ next: 0, passed: [] });
    expect(follow(ghost, called("lid "))).toMatchObject({ next: 1, passed: [] });
    // another was taken off in between, and one was not there
    expect(follow(ghost, called("Lid", "Tape", "Wheel"))).toMatchObject({ next: 3, passed: [1] });
    expect(follow(ghost, called("Lid", "Spring", "Wheel", "Washer")).next).toBeUndefined();
  });

  it("finds a step by what came off, also where it was called otherwise", () => {
    expect(follow([{ title: "Lid off", what: "lid" }], called("lid")).next).toBeUndefined();
  });

  it("law: a ghost that is followed from the first to the last step is found whole, in its order", () => {
    const names = fc.array(fc.constantFrom("lid", "screw", "wheel", "washer"), {
      minLength: 1,
      maxLength: 12,
    });
    fc.assert(
      fc.property(names, (titles) => {
        const laid: { title: string }[] = [];
        const ghost = called(...titles);
        for (;;) {
          const { next } = follow(ghost, laid);
          if (next === undefined) break;
          expect(next).toBe(laid.length);
          laid.push({ title: titles[next] as string });
        }
        expect(laid).toHaveLength(titles.length);
        expect([...follow(ghost, laid).found]).toEqual(titles.map((_, i) => [i, i]));
      }),
    );
  });
});

describe("what differs from last time", () => {
  const screws = (qty: number, lengthMm: number): HardwareFacts => ({
    kind: "screw",
    qty,
    thread: "M4",
    lengthMm,
  });
  it("is said: more, fewer, another size", () => {
    expect(differences([{ kind: "washer", qty: 2 }], [{ kind: "washer", qty: 3 }])).toEqual([
      "1 washer more than last time",
    ]);
    expect(differences([screws(4, 12)], [screws(3, 12)])).toEqual(["1 screw M4 × 12 fewer than last time"]);
    expect(differences([screws(4, 12)], [screws(4, 16)])).toEqual([
      "4 screws M4 × 16; last time 4 screws M4 × 12",
    ]);
    expect(differences([], [{ kind: "ball", qty: 1 }])).toEqual(["1 ball more than last time"]);
  });

  it("is nothing where only the place, the finish or the words are others", () => {
    expect(differences([{ ...screws(4, 12), at: "corners" }], [{ ...screws(2, 12), at: "left" }, { ...screws(2, 12), finish: "black" }])).toEqual([]); // biome-ignore format: one case
    expect(differences([{ kind: "debris", qty: 1 }], [])).toEqual([]);
  });

  it("law: nothing differs from itself, whatever lies there and however it is ordered", () => {
    const pieces = fc.array(
      fc.record({
        kind: fc.constantFrom("screw" as const, "washer" as const, "ball" as const),
        qty: fc.integer({ min: 1, max: 9 }),
        lengthMm: fc.constantFrom(10, 12),
      }),
    );
    fc.assert(
      fc.property(pieces, (all) => {
        expect(differences(all, [...all].reverse())).toEqual([]);
        expect(differences([], all).length).toBe(new Set(all.map((p) => `${p.kind} ${p.lengthMm}`)).size);
      }),
    );
  });
});

describe("a strip as a ghost", () => {
  it("knows its parts by their names, and nothing of what was lost or broken of that unit", () => {
    const job = {
      number: "J-0007",
      parts: [{ id: "p1", name: "lid", kind: "cover", material: "ABS", renew: true, state: "broken" }],
      steps: [
        { id: "s1", action: "unscrew", title: "lid", parts: ["p1"], needs: [], minutes: 3, note: "cracks easily", stack: ["h1", "p1"], hardware: [{ id: "h1", kind: "screw", qty: 2, state: "lost" }] },
      ],
      pictures: [{ name: "1.jpg", sha256: "aa", role: "step", step: "s1", width: 1, height: 1 }],
    } as unknown as Job; // biome-ignore format: one step
    expect(ghostOf(job, (s) => s.title ?? "")).toEqual({
      from: "J-0007",
      steps: [
        {
          id: "s1",
          title: "lid",
          action: "unscrew",
          what: "lid",
          hardware: [{ kind: "screw", qty: 2 }],
          needs: [],
          stack: ["h0", "p0"],
          partFacts: { lid: { kind: "cover", material: "ABS" } },
          facts: { note: "cracks easily" },
          minutes: 3,
          picture: "aa",
        },
      ],
    });
  });

  it("says what is fetched before beginning", () => {
    expect(hardwareTotals([{ kind: "screw", qty: 4 }, { kind: "screw", qty: 2 }, { kind: "ball", qty: 1 }])).toBe("6 screws, 1 ball"); // biome-ignore format: one case
  });
});
