import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { SpotsOverlay } from "@/ui/spots-overlay";
import { spotsIn } from "./spots-in";

const at = (picture: string, x: number, y = 0.5) => ({ picture, x, y });
const job = {
  chambers: [
    {
      id: "c1",
      name: "gear case",
      spot: at("a", 0.1),
      dry: [
        { id: "d1", says: "cover face", spot: at("a", 0.9) },
        { id: "d2", says: "belt" },
      ],
    },
  ],
  points: [
    { id: "g1", where: "front bush", spot: at("a", 0.3) },
    { id: "g2", where: "rear bush", spot: at("b", 0.3) },
    { id: "g3", where: "teeth" },
  ],
};

describe("what was pointed at in a picture", () => {
  it("is shown in that picture alone, the point that is meant apart from the others", () => {
    expect(spotsIn(job, "a", "g1").map((s) => [s.kind, s.says])).toEqual([
      ["room", "gear case"],
      ["dry", "cover face"],
      ["here", "front bush"],
    ]);
    expect(spotsIn(job, "b")).toEqual([{ kind: "goes", x: 0.3, y: 0.5, says: "rear bush" }]);
    expect(spotsIn(job, undefined)).toEqual([]);
  });
  it("is drawn where it was pointed at, in three shapes, with its words towards the side that has room", () => {
    const drawn = renderToStaticMarkup(
      <SpotsOverlay spots={spotsIn(job, "a", "g1")} width={800} height={600} />,
    );
    expect(drawn).toContain('viewBox="0 0 1000 750"');
    expect(drawn).toContain('aria-label="gear case, stays dry: cover face, front bush"');
    expect(drawn).toMatch(/<rect x="866" y="341"[^>]*fill="url\(#/);
    expect(drawn).toMatch(/<text[^>]*text-anchor="end"[^>]*>dry: cover face</);
    expect(drawn).toMatch(/<circle cx="300" cy="375"/);
    expect(drawn).toMatch(/<text[^>]*text-anchor="start"[^>]*>front bush</);
    expect(drawn).toContain("stroke-dasharray");
    // words that would meet stand under each other
    const close = [0.6, 0.7, 0.8].map((x) => ({ kind: "dry" as const, x, y: 0.5, says: "cover face" }));
    const lines = [
      ...renderToStaticMarkup(<SpotsOverlay spots={close} width={800} height={600} />).matchAll(
        /<text[^>]* y="([\d.]+)"/g,
      ),
    ].map((m) => Number(m[1]));
    expect(lines).toHaveLength(3);
    lines.slice(1).forEach((y, i) => {
      expect(y - (lines[i] as number)).toBeGreaterThanOrEqual(40);
    });
    expect(renderToStaticMarkup(<SpotsOverlay spots={[]} width={800} height={600} />)).toBe("");
  });
});
