import { describe, expect, it } from "vitest";
import { gearDimensions, spanOver } from "@/core/gear/index";
import type { Finding } from "@/core/job/finding";
import type { GearNotes } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import type { Reading } from "@/core/job/reading";
import { cataloguePart } from "@/core/match/catalogue/catalogue-part";
import { gearView } from "./gear/gear-view";
import { nameFrom } from "./gear/naming";
import { asKind, renamed } from "./train/change-mesh";
import { evidenceOf, fatesOf } from "./why/why-facts";

const at = "2026-11-24T08:30:00.000Z";
let id = 0;
const reading = (part: string, what: string, value: number, teeth?: number): Reading => ({
  id: ++id,
  part,
  what,
  value,
  source: "caliper",
  at,
  ...(teeth === undefined ? {} : { teeth }),
});
const finding = (part: string, gear: GearNotes, more: Partial<Finding> = {}): Finding => ({
  part,
  teeth: {},
  gear,
  ...more,
});
const wheelGear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 18, profileShift: 0 };
const pinionGear = { ...wheelGear, teeth: 9, profileShift: 0.4 };
/** As much of a job as Judge looks at. */
const job = (more: Partial<Job>): Job =>
  ({
    maker: "Velbrant",
    model: "Pressa 40",
    symptoms: ["output-still"],
    past: {},
    causes: {},
    greaseStates: [],
    supplies: ["mains"],
    steps: [],
    lubePoints: [],
    parts: [
      { id: "p1", name: "wheel", kind: "gear", material: "PA", renew: true },
      { id: "p2", name: "pinion", kind: "gear", material: "steel" },
    ],
    findings: [],
    readings: [],
    ...more,
  }) as unknown as Job;

const wheelReadings = [
  reading("p1", "tip diameter", 45.07),
  reading("p1", "span", 13.95, 5),
  reading("p1", "span", 16.9, 6),
];
const identity = { ...wheelGear, diametralPitch: null, probability: 0.99 };

describe("a part on the gear bench", () => {
  it("is named by its kind, from its own readings", () => {
    const helical = nameFrom(
      { findings: [finding("p1", { teeth: 41, kind: "helical" })], readings: wheelReadings, parts: [] },
      "p1",
    );
    expect(helical?.names[0]).toMatchObject({ teeth: 41, moduleMm: 1, words: "module 1 · 20° · helix 18°" });
    const bevel = nameFrom(
      {
        findings: [finding("p1", { teeth: 20, kind: "bevel", mateTeeth: 40 })],
        readings: [reading("p1", "tip diameter", 32.68)],
        parts: [],
      },
      "p1",
    );
    expect(bevel?.names[0]).toMatchObject({ moduleMm: 1.5, coneAngleDeg: 26.57 });
    const ring = { findings: [finding("p1", { teeth: 60, kind: "internal" as const })], parts: [] };
    expect(
      nameFrom(
        {
          ...ring,
          readings: [reading("p1", "tip diameter", 58.04), reading("p1", "between pins 1.5", 58.5)],
        },
        "p1",
      )?.names[0],
    ).toMatchObject({
      moduleMm: 1,
      teeth: 60,
    });
    expect(
      gearView(
        job({ findings: ring.findings, readings: [reading("p1", "tip diameter", 58.04)] }),
        "p1",
        [],
      ).asked.map((a) => a.label),
    ).toContain("Between Ø 1.5 pins");
    expect(
      nameFrom(
        { findings: [finding("p1", { teeth: 20, kind: "pulley", pitchMm: 5 })], readings: [], parts: [] },
        "p1",
      ),
    ).toBeNull();
  });
  it("a worm and its wheel are named from what was measured on either", () => {
    const findings = [
      finding("p1", { teeth: 52, kind: "worm-wheel", mate: "p2" }),
      finding("p2", { teeth: 1, kind: "worm", mate: "p1" }),
    ];
    const readings = [
      reading("p1", "throat diameter", 67.5),
      reading("p2", "axial pitch", 15.71, 4),
      reading("p2", "tip diameter", 16.8),
    ];
    for (const part of ["p1", "p2"])
      expect(nameFrom({ findings, readings, parts: [] }, part)?.names[0]).toMatchObject({
        moduleMm: 1.25,
        wormDiameterMm: 14.3,
        teeth: part === "p1" ? 52 : 1,
      });
  });
  it("asks for what its kind needs, and for the arc where the count is broken off", () => {
    const asks = (gear: GearNotes) =>
      gearView(job({ findings: [finding("p1", gear)] }), "p1", []).asked.map((a) => a.what);
    expect(asks({ kind: "bevel" })).toContain("tooth depth");
    expect(asks({ kind: "worm" })).toContain("axial pitch");
    expect(asks({ kind: "spur", arcPitches: 12 })).toEqual(expect.arrayContaining(["arc", "chord"]));
    expect(asks({ kind: "spur", teeth: 20 })).not.toContain("arc");
    expect(asks({ kind: "rack" })).toEqual(["tip diameter", "bore", "face width"]);
    // of a fragment nothing is measured across, and no span is asked for twice
    expect(asks({ kind: "spur", arcPitches: 9 })).not.toContain("tip diameter");
    const spans = gearView(job({ findings: [finding("p1", { teeth: 9, kind: "spur" })] }), "p1", [])
      .asked.filter((a) => a.what === "span")
      .map((a) => a.teeth);
    expect(new Set(spans).size).toBe(spans.length);
    expect(spans.length).toBeGreaterThanOrEqual(2);
  });
  it("what is entered and not named is drawn from its pitch", () => {
    const view = gearView(
      job({ findings: [finding("p1", { kind: "pulley", teeth: 20, pitchMm: 5 })] }),
      "p1",
      [],
    );
    expect(view.gear?.moduleMm).toBeCloseTo(5 / Math.PI, 9);
    expect(view.sizes).toEqual([]);
  });
  it("lays over it what comes near in the catalogue, the chosen one first", () => {
    const part = (number: string, teeth: number) =>
      cataloguePart.parse({
        number,
        name: `wheel ${teeth}`,
        spec: { kind: "gear", teeth, moduleMm: 1, helixAngleDeg: 18 },
      });
    const view = gearView(
      job({ findings: [finding("p1", { kind: "helical", teeth: 41 }, { identity, chosen: "B" })] }),
      "p1",
      [part("A", 40), part("B", 41), part("C", 90)],
    );
    expect(view.over.map((o) => o.key)).toEqual(["B", "A"]);
  });
});

describe("the mate", () => {
  const measured = (loss: number): Job =>
    job({
      findings: [
        finding(
          "p1",
          { kind: "helical", teeth: 41, hand: "right", mate: "p2" },
          { identity, mode: "missing-teeth", teeth: { 1: "missing", 2: "missing" } },
        ),
        finding("p2", { kind: "helical", teeth: 9, hand: "left", mate: "p1" }),
      ],
      readings: [
        ...wheelReadings,
        reading("p2", "tip diameter", gearDimensions(pinionGear).tipDiameterMm * 0.975),
        reading("p2", "span", spanOver(pinionGear, 2) - loss, 2),
      ],
    });
  it("found worn is renewed too, and is evidence; found sound it may stay", () => {
    const worn = gearView(measured(0.14), "p1", []);
    expect(worn.mate.loss?.value).toBeCloseTo(0.09, 2);
    expect(worn.mate.loss?.profileShift).toBeCloseTo(0.4, 9);
    expect(worn.mate.rule.renewBoth).toBe(true);
    expect(worn.mate.answer?.verdicts.find((v) => v.criterion === "hand")?.ok).toBe(true);
    expect(evidenceOf(measured(0.14)).parts[0]).toMatchObject({ mateLimitMm: 0.05, teeth: 41 });
    expect(gearView(measured(0.01), "p1", []).mate.rule.renewBoth).toBe(false);
  });
  it("not measured, or not said, leaves the pair rule to say so", () => {
    const view = gearView(
      job({ findings: [finding("p1", { kind: "helical", teeth: 41 }, { identity })] }),
      "p1",
      [],
    );
    expect(view.mate.answer).toBeNull();
    expect(view.mate.rule.says).toMatch(/not measured/);
  });
  it("decides what is argued about the part", () => {
    expect(
      fatesOf(measured(0.14), "p1", [])
        .find((o) => o.fate === "renew-pair")
        ?.reasons.map((r) => r.says),
    ).toContain("the mate is worn beyond its limit");
    // an empty catalogue: no part is available
    expect(fatesOf(measured(0.14), "p1", [])[0]?.fate).toBe("make");
    expect(fatesOf(measured(0.14), "p2", [])).toEqual([]);
  });
});

describe("meshes written down", () => {
  const spur = {
    id: "m1",
    kind: "spur" as const,
    driver: { shaft: "motor", teeth: 9 },
    driven: { shaft: "lay", teeth: 41 },
  };
  it("keep their shafts when they become another kind, and back", () => {
    const set = asKind(spur, "planetary");
    expect(set).toMatchObject({
      kind: "planetary",
      sun: { shaft: "motor" },
      carrier: { shaft: "lay" },
      ring: { shaft: "frame" },
    });
    expect(asKind(set, "bevel")).toMatchObject({
      kind: "bevel",
      driver: { shaft: "motor" },
      driven: { shaft: "lay" },
    });
    expect(asKind(spur, "worm")).toMatchObject({ driver: { teeth: 4 } });
    expect(asKind(asKind(spur, "worm"), "spur")).toMatchObject({ driver: { teeth: 4 } });
  });
  it("a shaft called by another name is called so everywhere", () => {
    const t = renamed(
      {
        input: { shaft: "motor", rpm: 1 },
        meshes: [
          spur,
          { ...spur, id: "m2", driver: { shaft: "lay", teeth: 9 }, driven: { shaft: "motor", teeth: 20 } },
        ],
      },
      "motor",
      "armature",
    );
    expect(JSON.stringify(t)).not.toContain('"motor"');
  });
});
