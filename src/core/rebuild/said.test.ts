import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type BesideSaid, rebuildSaid, type SaidLine } from "./said";
import { MORE_UNITS } from "./said/more-units";
import { SAID_UNITS } from "./said/units";

const told = (l: SaidLine): string[] => [
  `${l.n}. ${l.says}`,
  ...l.beside.filter((b) => b.as !== "reason").map((b) => `     ${b.as}: ${b.says}`),
];

describe("the way back of a strip that is typed as it is spoken", () => {
  it.each([...SAID_UNITS, ...MORE_UNITS].map((u) => [u.unit, u] as const))("%s", async (unit, input) => {
    const { lines, out, asks } = rebuildSaid(input);
    const text = [...lines.flatMap(told), `pieces: ${out}`, ...asks.map((a) => `asks: ${a}`)].join("\n");
    expect(text).not.toMatch(/^\d+\. *$|: *$|\b[sphgv]\d+\b|undefined|null|lift-off|press-out/m);
    await expect(`${text}\n`).toMatchFileSnapshot(`./said/${unit.replaceAll(" ", "-")}.txt`);
  });

  it("cautions of what goes in new as of what came out", () => {
    const { lines } = rebuildSaid({
      unit: "x",
      steps: [{ what: "pawl" }],
      new: [{ part: "pawl", with: [{ name: "torsion spring", replaces: "" }] }],
    });
    // in place of nothing: nothing comes out for it
    expect(lines.map((l) => l.kind)).toEqual(["with", "fit"]);
    const line = lines.find((l) => /torsion spring/.test(l.says));
    expect(line?.beside.find((b) => b.as === "caution")?.says).toMatch(/glasses on/);
  });

  it("refuses what names nothing, and what goes in for a part that never came off", () => {
    expect(() => rebuildSaid({ unit: "x", steps: [{ what: "", line: "" }] })).toThrow(
      /steps\[0\].*what came off/,
    );
    expect(() =>
      rebuildSaid({ unit: "x", steps: [{ what: "lid" }], new: [{ part: "gear", with: [] }] }),
    ).toThrow(/gear did not come off in any step/);
  });
});

/** Said of coming off, and never what to do. */
const WAYS = [
  "lifts off", "pulled off by hand", "tilts out", "slides out", "driven out", "pried off", "wiggled loose", "drops out",
  "pops off", "comes away",
]; // biome-ignore format: a list
const NAMES = ["gear", "lid", "drive shaft", "lever", "motor", "rear panel", "pulley", "fan", "hub"];
const HELD = ["2 screws M4", "1 circlip 12", "4 nuts M6", "1 roll pin 3x16", "3 torx 10"];
const UNDER = ["", "o-ring", "1 gasket", "1 key"];

const step = fc.record({
  what: fc.constantFrom(...NAMES),
  held: fc.constantFrom("", ...HELD),
  under: fc.constantFrom(...UNDER),
  way: fc.constantFrom("", ...WAYS),
});
const strips = fc.uniqueArray(step, { minLength: 1, maxLength: 6, selector: (s) => s.what }).map((steps) => ({
  unit: "test rig",
  steps: steps.map(({ what, held, under, way }) => ({
    what,
    line: [held, under, way].filter(Boolean).join(", "),
  })),
}));
const instructs = ({ beside }: SaidLine): readonly BesideSaid[] =>
  beside.filter((b) => b.as !== "off" && b.as !== "if not");

describe("laws of what is said", () => {
  it("a word of removal is no instruction, and is told how it came off", () => {
    fc.assert(
      fc.property(strips, (strip) => {
        const { lines } = rebuildSaid(strip);
        const said = lines.flatMap((l) => [l.says, ...instructs(l).map((b) => b.says)]).join("\n");
        const off = lines
          .flatMap((l) => l.beside.filter((b) => b.as === "off").map((b) => b.says))
          .join("\n");
        for (const way of WAYS) {
          expect(said).not.toContain(way);
          if (strip.steps.some((s) => s.line.includes(way))) expect(off).toContain(way.split(" ")[0] ?? way);
        }
      }),
      { numRuns: 150 },
    );
  });

  it("each part goes back once, after what lies under it and before what holds it; the last step's part first", () => {
    fc.assert(
      fc.property(strips, (strip) => {
        const { lines } = rebuildSaid(strip);
        const at = (what: string): number[] =>
          lines.flatMap((l, i) =>
            (l.kind === "fit" || l.kind === "set") && new RegExp(`: ${what}\\b`).test(l.says) ? [i] : [],
          );
        const places = strip.steps.map(({ what }) => {
          expect(at(what)).toHaveLength(1);
          return at(what)[0] as number;
        });
        expect([...places].sort((a, b) => b - a)).toEqual(places);
        strip.steps.forEach(({ line }, k) => {
          const own = places[k] as number;
          const next = places.filter((p) => p > own).sort((a, b) => a - b)[0] ?? lines.length;
          const before = places.filter((p) => p < own).sort((a, b) => b - a)[0] ?? -1;
          const under = lines.findIndex(
            (l, i) => i > before && i < own && /: 1 (?:O-ring|gasket|key)/.test(l.says),
          );
          expect(under >= 0).toBe(/o-ring|gasket|key/.test(line));
          const holds = lines.findIndex(
            (l, i) => i > own && i < next && /\d (?:screw|nut|circlip|pin)/.test(l.says),
          );
          expect(holds >= 0).toBe(/screw|nut|circlip|pin|torx/.test(line));
        });
      }),
      { numRuns: 150 },
    );
  });

  it("what is looked at before it is made final comes before it is", () => {
    fc.assert(
      fc.property(strips, (strip) => {
        const { lines } = rebuildSaid(strip);
        lines.forEach((l, i) => {
          if (/holes line up/.test(l.says)) expect(lines[i + 1]?.says).toMatch(/Drive in|Put in|Lie|lie/i);
        });
      }),
      { numRuns: 100 },
    );
  });

  it("whatever goes in with a new part has a line, or stands at the piece that it renews", () => {
    const companions = fc.uniqueArray(
      fc.record({
        name: fc.constantFrom("new motor", "washer set", "worm 12", "ring"),
        replaces: fc.option(fc.constantFrom("motor", "o-ring", "lid", ""), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 3, selector: (c) => c.name },
    );
    fc.assert(
      fc.property(strips, companions, (strip, comes) => {
        const part = strip.steps[0]?.what ?? "";
        const { lines } = rebuildSaid({
          ...strip,
          new: [
            {
              part,
              name: "x",
              with: comes.map(({ replaces, name }) => ({
                name,
                ...(replaces !== undefined && { replaces }),
              })),
            },
          ],
        });
        const all = lines.flatMap((l) => [l.says, ...l.beside.map((b) => b.says)]).join("\n");
        for (const { name } of comes) expect(all).toContain(name);
      }),
      { numRuns: 100 },
    );
  });
});
