import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { drawnGears, tilted } from "./drawn-gear";
import { answerFrom, readGear, ringLayer } from "./read-gear";
import { certaintyOf, type RingEvidence } from "./ring-reading";

describe("reading a gear", () => {
  it("counts, finds what is missing, and says where", () => {
    // the first tooth stands at twelve o'clock, the others follow clockwise
    const { answer } = readGear(
      drawnGears(800, 600, [
        {
          teeth: 41,
          plane: tilted(420, 300, 210, 18),
          turn: -Math.PI / 2 + 0.01,
          missing: [9, 10, 11, 12, 13, 30],
        },
      ]),
      { mmPerPx: 0.1 },
    );
    expect(answer.teeth).toBe(41);
    expect(answer.missing).toEqual({
      count: 6,
      runs: [
        { from: 9, length: 5 },
        { from: 30, length: 1 },
      ],
    });
    expect(Math.abs(answer.tilt - 18)).toBeLessThan(4);
    expect(answer.tipDiameterPx).toBeCloseTo(420, -1);
    expect(answer.tipDiameter).toBeCloseTo((answer.tipDiameterPx as number) / 10, 2);
    expect(answer.centre?.map(Math.round)).toEqual([420, 300]);
  });

  it("gives the drawn count or none: never another one", () => {
    let right = 0;
    let all = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 11, max: 72 }),
        fc.integer({ min: 0, max: 30 }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.array(fc.integer({ min: 0, max: 71 }), { maxLength: 3 }),
        fc.boolean(),
        (teeth, tilt, turn, gone, dark) => {
          const missing = gone.map((g) => g % teeth);
          const { answer } = readGear(
            drawnGears(
              640,
              480,
              [
                {
                  teeth,
                  plane: tilted(330, 235, 190, tilt, turn),
                  turn,
                  missing,
                  colour: dark ? [52, 50, 55] : [220, 215, 200],
                },
              ],
              {
                noise: 5,
              },
            ),
          );
          all++;
          if (answer.teeth === teeth) right++;
          expect([teeth, null]).toContain(answer.teeth);
        },
      ),
      { numRuns: 8, seed: 11 },
    );
    expect(right / all).toBeGreaterThan(0.8);
  });

  it("the way the gear lies turned does not change what is read", () => {
    const read = (turn: number) =>
      readGear(drawnGears(640, 480, [{ teeth: 28, plane: tilted(320, 240, 180, 12), turn, missing: [2, 3] }]))
        .answer;
    for (const turn of [0.05, 1.3, 4]) {
      const answer = read(turn);
      expect([answer.teeth, answer.missing.count]).toEqual([28, 2]);
    }
  });

  it("a gear that is small in a large picture is looked at from nearby", () => {
    const { answer } = readGear(drawnGears(1600, 1000, [{ teeth: 48, plane: tilted(1200, 300, 110) }]));
    expect(answer.teeth).toBe(48);
    expect(answer.tipDiameterPx).toBeCloseTo(220, -1);
  });

  it("where there is nothing, or two alike, it gives no count but a sentence", () => {
    const none = readGear(drawnGears(400, 300, [])).answer;
    expect([none.teeth, none.candidates]).toEqual([null, []]);
    expect(none.says).toMatch(/ring of teeth/);
    const two = readGear(
      drawnGears(800, 500, [
        { teeth: 30, plane: tilted(210, 250, 150) },
        { teeth: 33, plane: tilted(580, 250, 150) },
      ]),
    ).answer;
    expect(two.teeth).toBeNull();
    expect(two.says).toMatch(/Two gears/);
    expect(() => readGear({ width: 1, height: 1, data: new Uint8ClampedArray(4) })).toThrow(/too few/);
  });

  it("tells how far it is, never going back", () => {
    const shares: number[] = [];
    readGear(drawnGears(480, 360, [{ teeth: 25, plane: tilted(240, 180, 130) }]), {
      tell: (share) => shares.push(share),
    });
    expect(shares.length).toBeGreaterThan(2);
    expect(shares.every((s, i) => s >= 0 && s <= 1 && s >= (shares[i - 1] ?? 0))).toBe(true);
  });

  it("a ring laid by hand is followed, or kept to the count that the hand has said", () => {
    const lay = ringLayer(drawnGears(640, 480, [{ teeth: 30, plane: tilted(320, 240, 180, 10) }]));
    expect(lay(tilted(326, 236, 184, 6), 31).teeth).toBe(30);
    expect(lay(tilted(320, 240, 180, 10), 31, { exactly: true }).teeth).toBe(31);
    expect(lay(tilted(338, 240, 180, 0), 28, { settle: true }).teeth).toBe(30);
  });
});

describe("certainty", () => {
  const good: RingEvidence = {
    agreement: 1,
    score: 0.98,
    margin: 0.2,
    depth: 1,
    separation: 0.8,
    beyond: 0.05,
    seen: 1,
    standing: 1,
  };
  it("is full where everything speaks for a count, and every kind of doubt takes from it", () => {
    expect(certaintyOf(good, 30)).toBe(1);
    for (const doubt of [
      { score: 0.75 },
      { margin: 0.04 },
      { depth: 2.2 },
      { seen: 0.6 },
      { standing: 0.4 },
    ] as const) {
      const now = certaintyOf({ ...good, ...doubt }, 30);
      expect(now, JSON.stringify(doubt)).toBeLessThan(0.9);
      expect(now).toBeGreaterThanOrEqual(0);
    }
  });
  it("blur may make many teeth that agree look shallow; of a few, or where a neighbour comes near, their depth must be right", () => {
    expect(certaintyOf({ ...good, depth: 0.62 }, 60)).toBe(1);
    expect(certaintyOf({ ...good, depth: 0.62 }, 12)).toBeLessThan(0.5);
    expect(certaintyOf({ ...good, depth: 0.62, margin: 0.08 }, 60)).toBeLessThan(0.5);
  });
  it("one of a dozen teeth is soon told from the next count: a right one wins by far", () => {
    expect(certaintyOf({ ...good, margin: 0.08 }, 11)).toBe(0);
    expect(certaintyOf({ ...good, margin: 0.1 }, 40)).toBe(1);
  });
  it("few teeth with the same face beyond them are holes", () => {
    expect(certaintyOf({ ...good, beyond: 0.9 }, 6)).toBe(0);
    expect(certaintyOf({ ...good, beyond: 0.9 }, 20)).toBe(1);
  });
  it("no rings, no answer", () => {
    expect(answerFrom([])).toMatchObject({
      teeth: null,
      confidence: 0,
      centre: null,
      says: "There is no ring of teeth in this picture.",
    });
  });
});
