import { describe, expect, it } from "vitest";
import { boreOf } from "./bore";
import { centreVotes } from "./centre-votes";
import { discAt } from "./disc";
import { drawnGears, tilted } from "./drawn-gear";
import { axesOf, scaled, sizeOf } from "./face-plane";
import { faceSizes, scaleFromCorners, scaleFromDisc, scaleFromPoints } from "./face-scale";
import { phaseTrack } from "./phase-track";
import { planesOf, reduced } from "./picture";
import { centred, ringRhythms } from "./ring-rhythm";
import { ticksBetween } from "./rule";
import { silhouettes } from "./silhouettes";
import { toothSlots } from "./tooth-slots";
import { followed, trackFit } from "./track-fit";

const off = (a: readonly number[], x: number, y: number): number =>
  Math.hypot((a[0] as number) - x, (a[1] as number) - y);

describe("finding a gear", () => {
  const picture = drawnGears(640, 480, [{ teeth: 36, plane: tilted(300, 260, 150, 25), missing: [3, 4] }]);
  const planes = planesOf(picture, 640);
  const small = reduced(planes, 240);
  const k = 640 / 240;

  it("edges point at its centre, with the tilt undone", () => {
    const best = centreVotes(small)[0];
    expect(off(best?.plane.centre ?? [0, 0], 300 / k, 260 / k)).toBeLessThan(4);
    expect(axesOf(best?.plane ?? tilted(0, 0, 1)).tiltDeg).toBeGreaterThan(12);
  });

  it("it stands out from the bench as a round thing of about its size", () => {
    const found = silhouettes(small).map((f) => scaled(f, k));
    expect(
      found.some(
        (f) =>
          off(f.centre, 300, 260) < 12 && Math.abs(sizeOf(f) / sizeOf(tilted(300, 260, 150, 25)) - 1) < 0.12,
      ),
    ).toBe(true);
    expect(silhouettes(planesOf(drawnGears(240, 180, []), 240))).toEqual([]);
  });

  it("its ring repeats as often as it has teeth, also around a place a little off its centre", () => {
    for (const [dx, dy] of [
      [0, 0],
      [5, 0],
      [0, -5],
    ] as const) {
      const [ring] = ringRhythms(planes, tilted(300 + dx, 260 + dy, 150, 25), 0.7, 1.3, 1);
      expect(Math.abs((ring?.teeth ?? 0) - 36)).toBeLessThanOrEqual(2);
      expect(ring?.plainness).toBeGreaterThan(0.3);
    }
  });

  it("centring makes it plainer", () => {
    const [ring] = ringRhythms(planes, tilted(306, 255, 150, 15), 0.7, 1.3, 1);
    const better = ring && centred(planes, ring);
    expect(better?.plainness).toBeGreaterThan((ring?.plainness ?? 1) + 0.05);
  });

  it("the rhythm's own phase brings a ring that is off back to the centre, and the count with it", () => {
    for (const teeth of [34, 36, 38]) {
      const ring = followed(planes, tilted(306, 255, 150, 22), teeth, 5);
      expect(ring.teeth).toBe(36);
      expect(off(ring.plane.centre, 300, 260)).toBeLessThan(1.5);
      expect(Math.abs(axesOf(ring.plane).tiltDeg - 25)).toBeLessThan(3);
      expect(ring.score).toBeGreaterThan(0.85);
    }
  });

  it("on the right ring no other count fits as well", () => {
    const track = phaseTrack(planes, tilted(300, 260, 150, 25), 36);
    const right = trackFit(track, tilted(300, 260, 150, 25), 36).score;
    for (const z of [34, 35, 37, 38])
      expect(trackFit(track, tilted(300, 260, 150, 25), z).score, String(z)).toBeLessThan(right - 0.08);
  });

  it("each place is told: a tooth, or none; and the sizes are those that were drawn", () => {
    const slots = toothSlots(planes, tilted(300, 260, 150, 25), 36);
    expect(slots.slots.filter((s) => s.state === "missing").length).toBe(2);
    expect(slots.slots.filter((s) => s.state === "there").length).toBe(34);
    expect(sizeOf(slots.plane) / sizeOf(tilted(300, 260, 150, 25))).toBeCloseTo(1, 1);
    expect(slots.rootShare).toBeCloseTo(1 - 4.5 / 38, 1);
  });

  it("something of another colour over the teeth hides them, and they are not called gone", () => {
    const greasy = planesOf(
      drawnGears(640, 480, [{ teeth: 24, plane: tilted(320, 240, 180) }], {
        cover: (x, y) => (Math.hypot(x - 490, y - 240) < 34 ? [190, 30, 25] : null),
      }),
      640,
    );
    const states = toothSlots(greasy, tilted(320, 240, 180), 24).slots.map((s) => s.state);
    expect(states).not.toContain("missing");
    expect(states).toContain("hidden");
  });

  it("the bore is found where there is one", () => {
    expect(boreOf(planes, tilted(300, 260, 150, 25))?.share).toBeCloseTo(0.15, 1);
    const solid = planesOf(drawnGears(640, 480, [{ teeth: 36, plane: tilted(300, 260, 150), bore: 0 }]), 640);
    expect(boreOf(solid, tilted(300, 260, 150))).toBeNull();
  });
});

describe("how large it is", () => {
  const plane = tilted(300, 260, 150, 28, 1.1);
  it("two places a known length apart give the scale, whichever way they lie: tilt does not matter", () => {
    for (const angle of [0, 0.7, 1.6, 2.5]) {
      // half a tip radius either side of the centre, 20 mm in all: a tip radius is 20 mm
      const at = (s: number): [number, number] => {
        const [u, v] = [0.5 * s * Math.cos(angle), 0.5 * s * Math.sin(angle)];
        return [
          plane.centre[0] + plane.a[0] * u + plane.a[1] * v,
          plane.centre[1] + plane.a[1] * u + plane.a[2] * v,
        ];
      };
      expect(scaleFromPoints(plane, at(-1), at(1), 20).value).toBeCloseTo(20, 6);
    }
    expect(() => scaleFromPoints(plane, [10, 10], [12, 10], 20)).toThrow(/too close together/);
    expect(() => scaleFromPoints(plane, [10, 10], [200, 10], 0)).toThrow(/how far apart/);
  });
  it("a square's corners give it too, and a square that is bent is refused", () => {
    const flat = tilted(300, 260, 150);
    const corners = [
      [100, 100],
      [200, 100],
      [200, 200],
      [100, 200],
    ] as const;
    expect(scaleFromCorners(flat, corners, 40).value).toBeCloseTo(60, 6);
    expect(() =>
      scaleFromCorners(
        flat,
        [
          [100, 100],
          [200, 100],
          [200, 160],
          [100, 200],
        ],
        40,
      ),
    ).toThrow(/does not lie flat/);
  });
  it("sizes carry the spread of the scale and of the ring", () => {
    const slots = toothSlots(
      planesOf(drawnGears(640, 480, [{ teeth: 30, plane: tilted(320, 240, 200) }]), 640),
      tilted(320, 240, 200),
      30,
    );
    const { tipDiameter, rootDiameter } = faceSizes({ slots }, { value: 16, u: 0.16 });
    expect(tipDiameter.value).toBe(32);
    expect(tipDiameter.u).toBeGreaterThan(0.32);
    expect(rootDiameter.value).toBeLessThan(29);
  });
  it("a coin is found from a place on it, and a tap on the bench is answered with a sentence", () => {
    const coin = planesOf(
      drawnGears(640, 480, [], {
        cover: (x, y) => (Math.hypot((x - 420) / 1, (y - 200) / 0.9) < 60 ? [190, 150, 60] : null),
      }),
      640,
    );
    const seen = discAt(coin, [410, 207]);
    expect(off(seen.centre, 420, 200)).toBeLessThan(1);
    expect(seen.longPx).toBeCloseTo(60, 0);
    expect(seen.shortPx).toBeCloseTo(54, 0);
    expect(scaleFromDisc(tilted(200, 200, 120), seen, 24).value).toBeCloseTo(24, 0);
    expect(() => discAt(coin, [80, 400])).toThrow(/no round edge|not round enough/);
  });
  it("the divisions of a rule are counted between two places on it", () => {
    const rule = planesOf(
      drawnGears(640, 200, [], {
        bench: [230, 225, 210],
        cover: (x, y) => (y > 90 && y < 150 && (x - 100) % 7.5 < 2 ? [30, 30, 30] : null),
      }),
      640,
    );
    expect(ticksBetween(rule, [100, 120], [550, 120])).toBeCloseTo(60, 0);
    expect(() => ticksBetween(rule, [100, 30], [550, 30])).toThrow(/no even division/);
    expect(() => ticksBetween(rule, [100, 30], [110, 30])).toThrow(/too close/);
  });
});
